import { FINGER, type FieldReading } from './advice';
import type { Field } from './field';

/** A cut through a field as rows of suctions, metres, from below or from the front; NaN outside the soil. */
export interface FieldPicture {
  readonly wide: number;
  readonly tall: number;
  /** Metres: across from the middle of the bed, and up from the inside floor or to the back. */
  readonly bounds: { left: number; right: number; bottom: number; top: number };
  readonly suctions: Float32Array;
}

/** What is shown of a field: an upright cut through its middle, and a level one at a finger's depth. */
export interface FieldPictures {
  section: FieldPicture;
  plan: FieldPicture;
  shares: Field['shares'];
  drunk: number;
  reading: FieldReading;
}

export function picturesOf(field: Field, reading: FieldReading): FieldPictures {
  const { grid } = field;
  const { nx, ny, nz, dx, dy, dz, x0, y0, z0 } = grid;
  const [mirrorX, mirrorY] = [x0 === 0, y0 === 0];
  const [wide, deep] = [mirrorX ? 2 * nx : nx, mirrorY ? 2 * ny : ny];
  const half = (i: number, n: number, mirror: boolean): number =>
    mirror ? (i < n ? n - 1 - i : i - n) : i;
  const at = (i: number, j: number, k: number): number => {
    const cell = (half(j, ny, mirrorY) * nx + half(i, nx, mirrorX)) * nz + k;
    return (grid.volume[cell] as number) > 0 ? -(field.h[cell] as number) : NaN;
  };
  const [left, right] = [mirrorX ? -nx * dx : x0, x0 + nx * dx];
  const [front, back] = [mirrorY ? -ny * dy : y0, y0 + ny * dy];
  const finger = Math.min(Math.floor(nz * (1 - FINGER)), nz - 1);
  const middle = Math.floor(deep / 2);
  return {
    section: {
      ...{ wide, tall: nz, bounds: { left, right, bottom: z0, top: z0 + nz * dz } },
      suctions: Float32Array.from({ length: wide * nz }, (_, n) =>
        at(n % wide, middle, Math.floor(n / wide)),
      ),
    },
    plan: {
      ...{ wide, tall: deep, bounds: { left, right, bottom: front, top: back } },
      suctions: Float32Array.from({ length: wide * deep }, (_, n) =>
        at(n % wide, Math.floor(n / wide), finger),
      ),
    },
    shares: field.shares,
    drunk: field.drunk,
    reading,
  };
}
