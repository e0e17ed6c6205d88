/**
 * A rising curve through points, without overshoot: piecewise cubic Hermite interpolation with the
 * slopes limited after Fritsch and Carlson (1980), so that it never falls between rising points.
 */
export interface MonotoneCurve {
  /** The value at x; straight on beyond the ends. */
  at(x: number): number;
  /** The slope at x, never negative for rising points. */
  slopeAt(x: number): number;
}

/**
 * @param xs strictly rising
 * @param ys rising
 */
export function monotoneCurve(xs: readonly number[], ys: readonly number[]): MonotoneCurve {
  const n = xs.length;
  const x = (i: number) => xs[i] as number;
  const y = (i: number) => ys[i] as number;
  const secant = Array.from({ length: n - 1 }, (_, i) => (y(i + 1) - y(i)) / (x(i + 1) - x(i)));
  const d = (i: number) => secant[i] as number;
  const slope = Array.from({ length: n }, (_, i) => {
    if (i === 0) return d(0);
    if (i === n - 1) return d(n - 2);
    return d(i - 1) * d(i) <= 0 ? 0 : (d(i - 1) + d(i)) / 2;
  });
  for (let i = 0; i < n - 1; i += 1) {
    if (d(i) === 0) {
      slope[i] = 0;
      slope[i + 1] = 0;
      continue;
    }
    const [p, q] = [(slope[i] as number) / d(i), (slope[i + 1] as number) / d(i)];
    const size = Math.hypot(p, q);
    if (size > 3) {
      slope[i] = (3 * p * d(i)) / size;
      slope[i + 1] = (3 * q * d(i)) / size;
    }
  }
  const m = (i: number) => slope[i] as number;
  const segment = (at: number): number => {
    let i = 0;
    while (i < n - 2 && at > x(i + 1)) i += 1;
    return i;
  };
  return {
    at(at) {
      if (at <= x(0)) return y(0) + m(0) * (at - x(0));
      if (at >= x(n - 1)) return y(n - 1) + m(n - 1) * (at - x(n - 1));
      const i = segment(at);
      const h = x(i + 1) - x(i);
      const t = (at - x(i)) / h;
      return (
        y(i) * (1 + 2 * t) * (1 - t) ** 2 +
        m(i) * h * t * (1 - t) ** 2 +
        y(i + 1) * t * t * (3 - 2 * t) +
        m(i + 1) * h * t * t * (t - 1)
      );
    },
    slopeAt(at) {
      if (at <= x(0)) return m(0);
      if (at >= x(n - 1)) return m(n - 1);
      const i = segment(at);
      const h = x(i + 1) - x(i);
      const t = (at - x(i)) / h;
      return (
        (6 * t * (t - 1) * (y(i) - y(i + 1))) / h +
        m(i) * (1 - t) * (1 - 3 * t) +
        m(i + 1) * t * (3 * t - 2)
      );
    },
  };
}
