import fc from 'fast-check';
import { banded, ConvergenceError, hash32, monotoneCurve, randomSource } from '.';

const numbers = (count: number, of: () => number): number[] => Array.from({ length: count }, of);

describe('a monotone curve', () => {
  const rising = fc
    .array(
      fc.tuple(
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
      ),
      {
        minLength: 2,
        maxLength: 8,
      },
    )
    .map((steps) => {
      let [x, y] = [-1, 2];
      const points = [{ x, y }];
      for (const [dx, dy] of steps) points.push({ x: (x += dx), y: (y += dy) });
      return points;
    });

  test('goes through its points and never falls between rising ones', () => {
    fc.assert(
      fc.property(rising, (points) => {
        const curve = monotoneCurve(
          points.map(({ x }) => x),
          points.map(({ y }) => y),
        );
        for (const { x, y } of points) expect(curve.at(x)).toBeCloseTo(y, 9);
        for (let i = 0; i + 1 < points.length; i += 1) {
          const [a, b] = [points[i]!, points[i + 1]!];
          for (let k = 0; k <= 20; k += 1) {
            const at = a.x + ((b.x - a.x) * k) / 20;
            expect(curve.at(at)).toBeGreaterThanOrEqual(a.y - 1e-9);
            expect(curve.at(at)).toBeLessThanOrEqual(b.y + 1e-9);
            expect(curve.slopeAt(at)).toBeGreaterThanOrEqual(-1e-9);
          }
        }
      }),
    );
  });

  test('its slope is that of its values, and it goes straight on beyond its ends', () => {
    const curve = monotoneCurve([0, 1, 3, 4], [0, 2, 3, 7]);
    for (const at of [0.2, 0.9, 1.1, 2, 2.9, 3.5]) {
      expect(curve.slopeAt(at)).toBeCloseTo((curve.at(at + 1e-6) - curve.at(at - 1e-6)) / 2e-6, 5);
    }
    expect(curve.at(-2)).toBeCloseTo(-2 * curve.slopeAt(0), 12);
    expect(curve.at(6)).toBeCloseTo(7 + 2 * curve.slopeAt(4), 12);
    expect(curve.slopeAt(-5)).toBe(curve.slopeAt(0));
    expect(curve.slopeAt(9)).toBe(curve.slopeAt(4));
  });

  test('a straight line stays one', () => {
    const line = monotoneCurve([0, 1, 2.5, 7], [1, 3, 6, 15]);
    for (const at of [-1, 0.3, 1, 2, 5, 9]) {
      expect(line.at(at)).toBeCloseTo(1 + 2 * at, 12);
      expect(line.slopeAt(at)).toBeCloseTo(2, 12);
    }
  });

  test('slopes are the means of their neighbours, limited to a circle of radius three', () => {
    // Fritsch and Carlson (1980): secants 1 and 5 meet in a slope of 3, which is three times the first.
    const curve = monotoneCurve([0, 1, 2], [0, 1, 6]);
    // On the first piece (1, 3) lies outside of the circle and is drawn in by 3/√10.
    expect(curve.slopeAt(0)).toBeCloseTo(3 / Math.sqrt(10), 12);
    expect(curve.slopeAt(1)).toBeCloseTo(9 / Math.sqrt(10), 12);
    expect(curve.slopeAt(2)).toBeCloseTo(5, 12);
    // A flat piece is flat at both its ends.
    const flat = monotoneCurve([0, 1, 2, 3], [0, 1, 1, 2]);
    for (const at of [1, 1.5, 2]) expect(flat.slopeAt(at)).toBeCloseTo(0, 12);
    expect(flat.at(1.5)).toBe(1);
  });
});

describe('elimination within a band', () => {
  test('solves what a dense elimination with pivots solves', () => {
    const luck = randomSource(3);
    for (const [nx, nz] of [
      [1, 4],
      [3, 5],
      [6, 2],
    ] as const) {
      const n = nx * nz;
      const of = (low: number, high: number) =>
        Float64Array.from(numbers(n, () => low + (high - low) * luck.uniform()));
      const system = {
        diagonal: of(5, 9),
        east: of(-1, 1),
        up: of(-1, 1),
        west: of(-1, 1),
        down: of(-1, 1),
      };
      const dense = numbers(n, () => 0).map(() => numbers(n, () => 0));
      for (let c = 0; c < n; c += 1) {
        dense[c]![c] = system.diagonal[c]!;
        const add = (row: number, column: number, value: number) => {
          if (row < n && column < n) dense[row]![column] = dense[row]![column]! + value;
        };
        add(c, c + 1, system.up[c]!);
        add(c + 1, c, system.down[c]!);
        add(c, c + nz, system.east[c]!);
        add(c + nz, c, system.west[c]!);
      }
      const right = of(-3, 3);
      const x = [...banded({ nx, nz }, system)(right)];
      for (let row = 0; row < n; row += 1) {
        const sum = dense[row]!.reduce((all, value, column) => all + value * x[column]!, 0);
        expect(sum).toBeCloseTo(right[row]!, 10);
      }
    }
  });
});

describe('seeded chance', () => {
  /** The same generator in whole numbers of any size, so that no rule of 32 bits is used twice. */
  function* reference(seed: number): Generator<number> {
    const M = 2n ** 32n;
    const times = (a: bigint, b: bigint) => (a * b) % M;
    let state = BigInt(seed) % M;
    for (;;) {
      state = (state + 0x6d2b79f5n) % M;
      let t = state;
      t = times(t ^ (t >> 15n), t | 1n);
      t = t ^ ((t + times(t ^ (t >> 7n), t | 61n)) % M);
      yield Number((t ^ (t >> 14n)) % M) / 2 ** 32;
    }
  }

  test.each([0, 1, 42, 4_294_967_295])('seed %d gives the numbers of the reference', (seed) => {
    const [luck, told] = [randomSource(seed), reference(seed)];
    for (let i = 0; i < 200; i += 1) expect(luck.uniform()).toBe(told.next().value);
  });

  const moments = (values: number[]) => {
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    const spread = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length;
    const skew =
      values.reduce((sum, value) => sum + (value - mean) ** 3, 0) / values.length / spread ** 1.5;
    return { mean, spread, skew };
  };
  const MANY = 40_000;

  test('is even, normal and gamma as it says', () => {
    const luck = randomSource(7);
    const even = moments(numbers(MANY, luck.uniform));
    expect(even.mean).toBeCloseTo(0.5, 2);
    expect(even.spread).toBeCloseTo(1 / 12, 2);
    const normal = moments(numbers(MANY, luck.normal));
    expect(Math.abs(normal.mean)).toBeLessThan(0.02);
    expect(normal.spread).toBeCloseTo(1, 1);
    expect(Math.abs(normal.skew)).toBeLessThan(0.05);
    for (const [shape, scale] of [
      [0.4, 2],
      [1, 3],
      [5, 0.5],
    ] as const) {
      const gamma = moments(numbers(MANY, () => luck.gamma(shape, scale)));
      expect(gamma.mean / (shape * scale)).toBeCloseTo(1, 1);
      expect(gamma.spread / (shape * scale ** 2)).toBeCloseTo(1, 1);
      expect(gamma.skew / (2 / Math.sqrt(shape))).toBeCloseTo(1, 0);
    }
  });

  test('a hash is FNV-1a, from its published vectors', () => {
    expect(hash32('')).toBe(0x811c9dc5);
    expect(hash32('a')).toBe(0xe40c292c);
    expect(hash32('foobar')).toBe(0xbf9cf968);
    expect(hash32('bar', hash32('foo'))).toBe(hash32('foobar'));
  });
});

test('no convergence says of what', () => {
  const error = new ConvergenceError('the column');
  expect([error.name, error.message]).toEqual([
    'ConvergenceError',
    'No convergence for the column',
  ]);
});
