import { holds, type Outline } from '../../geometry/vessels';

// By name: looked up once, these are asked millions of times.
const { ceil, max, min, round } = Math;

/**
 * A body of soil as boxes of one size, each with the part of it that lies inside the real outline. Boxes
 * stand in columns, from below, so that a column's entries lie side by side: entry (j·nx + i)·nz + k. Metres.
 */
export interface Grid {
  readonly nx: number;
  readonly ny: number;
  readonly nz: number;
  readonly dx: number;
  readonly dy: number;
  readonly dz: number;
  /** Corner of the first box. */
  readonly x0: number;
  readonly y0: number;
  readonly z0: number;
  /** How many such bodies stand in the whole: 4 for a quarter, 2 for a half, 1. */
  readonly times: number;
  /** Soil in each box, m³; none where it lies outside. */
  readonly volume: Float64Array;
  /** Open area of a box towards the next along x, y and z, m²; the last along z is the surface's. */
  readonly east: Float64Array;
  readonly north: Float64Array;
  readonly up: Float64Array;
  /** Open area at the base below each column, m². */
  readonly base: Float64Array;
}

/** What a body is made of: its outline by height, from where to where, and whether halves are alike. */
export interface Body {
  outlineAt(z: number): Outline;
  readonly from: number;
  readonly to: number;
  readonly alikeX: boolean;
  readonly alikeY: boolean;
}

/** Looks across a box, each way, at how much of it lies inside. */
const LOOKS = 4;
/** A box with less of itself inside counts as wall. */
const SLIVER = 0.04;

/** @param wide size of a box along x and y that is aimed at; @param nz boxes one above the other */
export function gridOf(body: Body, wide: number, nz: number): Grid {
  const { from, to, alikeX, alikeY } = body;
  const widest = { a: 0, b: 0 };
  for (const z of [from, (from + to) / 2, to]) {
    const { a, b } = body.outlineAt(z);
    widest.a = max(widest.a, a);
    widest.b = max(widest.b, b);
  }
  const nx = max(round(((alikeX ? 1 : 2) * widest.a) / wide), 1);
  const ny = max(round(((alikeY ? 1 : 2) * widest.b) / wide), 1);
  const dx = ((alikeX ? 1 : 2) * widest.a) / nx;
  const dy = ((alikeY ? 1 : 2) * widest.b) / ny;
  const dz = (to - from) / nz;
  const x0 = alikeX ? 0 : -widest.a;
  const y0 = alikeY ? 0 : -widest.b;
  const share = (z: number): Float64Array =>
    insideShares(body.outlineAt(z), { nx, ny, dx, dy, x0, y0 });
  const middles = Array.from({ length: nz }, (_, k) => share(from + (k + 0.5) * dz));
  const faces = Array.from({ length: nz + 1 }, (_, k) => share(from + k * dz));
  const cells = nx * ny * nz;
  const grid = {
    ...{ nx, ny, nz, dx, dy, dz, x0, y0, z0: from },
    times: (alikeX ? 2 : 1) * (alikeY ? 2 : 1),
    volume: new Float64Array(cells),
    east: new Float64Array(cells),
    north: new Float64Array(cells),
    up: new Float64Array(cells),
    base: new Float64Array(nx * ny),
  };
  const at = (k: number, column: number): number => middles[k]?.[column] ?? 0;
  for (let column = 0; column < nx * ny; column += 1) {
    const i = column % nx;
    grid.base[column] = at(0, column) > 0 ? (faces[0]?.[column] ?? 0) * dx * dy : 0;
    for (let k = 0; k < nz; k += 1) {
      const here = at(k, column);
      const cell = column * nz + k;
      grid.volume[cell] = here * dx * dy * dz;
      if (here === 0) continue;
      if (i < nx - 1) grid.east[cell] = min(here, at(k, column + 1)) * dy * dz;
      if (column + nx < nx * ny) grid.north[cell] = min(here, at(k, column + nx)) * dx * dz;
      const open = k === nz - 1 || at(k + 1, column) > 0 ? (faces[k + 1]?.[column] ?? 0) : 0;
      grid.up[cell] = open * dx * dy;
    }
  }
  return grid;
}

/** Share of each box of a layer that lies inside an outline, 0 to 1. */
function insideShares(
  outline: Outline,
  { nx, ny, dx, dy, x0, y0 }: Pick<Grid, 'nx' | 'ny' | 'dx' | 'dy' | 'x0' | 'y0'>,
): Float64Array {
  const shares = new Float64Array(nx * ny);
  for (let j = 0; j < ny; j += 1) {
    for (let i = 0; i < nx; i += 1) {
      let inside = 0;
      for (let u = 0; u < LOOKS; u += 1) {
        const x = x0 + (i + (u + 0.5) / LOOKS) * dx;
        for (let v = 0; v < LOOKS; v += 1) {
          if (holds(outline, x, y0 + (j + (v + 0.5) / LOOKS) * dy)) inside += 1;
        }
      }
      const part = inside / LOOKS ** 2;
      shares[j * nx + i] = part < SLIVER ? 0 : part;
    }
  }
  return shares;
}

/** The middle of a column of boxes, metres. */
export const columnAt = (
  { nx, dx, dy, x0, y0 }: Grid,
  column: number,
): { x: number; y: number } => ({
  x: x0 + ((column % nx) + 0.5) * dx,
  y: y0 + (Math.floor(column / nx) + 0.5) * dy,
});

/** Boxes across that keep the whole under a number. @param most boxes in all */
export function widthFor(length: number, width: number, nz: number, most: number): number {
  const layer = max(most / nz, 4);
  return Math.sqrt((length * width) / ceil(layer));
}
