/** The coefficients of a grid of columns, `nz` boxes each, by box: of itself and of its neighbours. */
export interface FivePointSystem {
  readonly diagonal: Float64Array;
  /** Of the box of the next column and of the one above, in a box's own row, and of the box itself in theirs. */
  readonly east: Float64Array;
  readonly up: Float64Array;
  readonly west: Float64Array;
  readonly down: Float64Array;
}

/**
 * The linear system of a body one box broad, by elimination without pivoting within its band (Golub and Van
 * Loan 2013, section 4.3): as wide as a column has boxes, so that it costs less than one look at its error.
 */
export function banded(
  { nx, nz }: { readonly nx: number; readonly nz: number },
  system: FivePointSystem,
): (right: Float64Array) => Float64Array {
  const { diagonal, east, up, west, down } = system;
  const n = nx * nz;
  const wide = 2 * nz + 1;
  // Entry (row, column) stands at row·wide + column − row + nz.
  const band = new Float64Array(n * wide);
  const x = new Float64Array(n);

  const fill = (): void => {
    band.fill(0);
    for (let c = 0; c < n; c += 1) {
      const row = c * wide + nz;
      band[row] = diagonal[c] as number;
      if (c + 1 < n) band[row + 1] = up[c] as number;
      if (c > 0) band[row - 1] = down[c - 1] as number;
      if (c + nz < n) band[row + nz] = (band[row + nz] as number) + (east[c] as number);
      if (c >= nz) band[row - nz] = (band[row - nz] as number) + (west[c - nz] as number);
    }
  };
  const eliminate = (): void => {
    for (let k = 0; k < n; k += 1) {
      const pivot = 1 / (band[k * wide + nz] as number);
      const last = Math.min(k + nz, n - 1);
      for (let i = k + 1; i <= last; i += 1) {
        const row = i * wide + nz - i;
        const factor = (band[row + k] as number) * pivot;
        if (factor === 0) continue;
        const above = k * wide + nz - k;
        for (let j = k + 1; j <= last; j += 1)
          band[row + j] = (band[row + j] as number) - factor * (band[above + j] as number);
        x[i] = (x[i] as number) - factor * (x[k] as number);
      }
    }
  };
  const substitute = (): void => {
    for (let k = n - 1; k >= 0; k -= 1) {
      const row = k * wide + nz - k;
      let sum = x[k] as number;
      for (let j = k + 1; j <= Math.min(k + nz, n - 1); j += 1)
        sum -= (band[row + j] as number) * (x[j] as number);
      x[k] = sum / (band[row + k] as number);
    }
  };

  return (right) => {
    x.set(right);
    fill();
    eliminate();
    substitute();
    return x;
  };
}
