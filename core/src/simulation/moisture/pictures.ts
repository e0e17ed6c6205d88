import type { Planter } from '../../assembly';
import { outlinePoints } from '../../geometry/vessels';
import { FINGER, type FieldReading } from './advice';
import type { Field } from './field';

/** A cut through a field as rows of suctions, metres, from below or from the front, and the soil's outline. */
export interface FieldPicture {
  readonly wide: number;
  readonly tall: number;
  /** Metres: across from the middle of the bed, and up from the inside floor or to the back. */
  readonly bounds: { left: number; right: number; bottom: number; top: number };
  readonly suctions: Float32Array;
  /** Across, and up or back, metres. */
  readonly outline: readonly (readonly [number, number])[];
}

/** What is shown of a field: an upright cut through its middle, and a level one at a finger's depth. */
export interface FieldPictures {
  section: FieldPicture;
  plan: FieldPicture;
  shares: Field['shares'];
  drunk: number;
  reading: FieldReading;
}

export function picturesOf(planter: Planter, field: Field, reading: FieldReading): FieldPictures {
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
      suctions: outward(wide, nz, (i, k) => at(i, middle, k)),
      outline: sides(planter, z0, z0 + nz * dz),
    },
    plan: {
      ...{ wide, tall: deep, bounds: { left, right, bottom: front, top: back } },
      suctions: outward(wide, deep, (i, j) => at(i, j, finger)),
      outline: outlinePoints(
        planter.bed.inside.outlineAt(z0 + (finger + 0.5) * dz - planter.bed.floor),
        16,
      ),
    },
    shares: field.shares,
    drunk: field.drunk,
    reading,
  };
}

/** Steps up the side of a bed, so that a bent wall looks bent. */
const STEPS = 12;

/** The outline of the soil in the upright cut. */
function sides({ bed, heights }: Planter, from: number, to: number): [number, number][] {
  const right = Array.from({ length: STEPS + 1 }, (_, i): [number, number] => {
    const z = from + ((to - from) * i) / STEPS;
    return [bed.inside.halfAt(Math.max(z, heights.base) - bed.floor), z];
  });
  return [...right, ...[...right].reverse().map(([x, z]): [number, number] => [-x, z])];
}

/** Rows of values; what lies outside takes that of the nearest inside, so that edges can be cut smooth. */
function outward(wide: number, tall: number, at: (i: number, j: number) => number): Float32Array {
  let now = Float32Array.from({ length: wide * tall }, (_, n) =>
    at(n % wide, Math.floor(n / wide)),
  );
  for (let pass = 0; pass < wide + tall && now.some(Number.isNaN); pass += 1) {
    const next = Float32Array.from(now);
    now.forEach((value, n) => {
      if (!Number.isNaN(value)) return;
      const [i, j] = [n % wide, Math.floor(n / wide)];
      const near = [
        i > 0 ? now[n - 1] : NaN,
        i < wide - 1 ? now[n + 1] : NaN,
        j > 0 ? now[n - wide] : NaN,
        j < tall - 1 ? now[n + wide] : NaN,
      ].filter((one): one is number => one !== undefined && !Number.isNaN(one));
      if (near.length > 0) next[n] = near.reduce((sum, one) => sum + one, 0) / near.length;
    });
    now = next;
  }
  return now;
}

/** A level cut turned by a quarter, as a plan is turned: what was at the front is on the left. */
export function pictureTurned({
  wide,
  tall,
  bounds,
  suctions,
  outline,
}: FieldPicture): FieldPicture {
  return {
    wide: tall,
    tall: wide,
    bounds: { left: bounds.bottom, right: bounds.top, bottom: -bounds.right, top: -bounds.left },
    suctions: Float32Array.from(suctions, (_, n) => {
      const [x, y] = [n % tall, Math.floor(n / tall)];
      return suctions[x * wide + (wide - 1 - y)] as number;
    }),
    outline: outline.map(([x, y]) => [y, -x] as const),
  };
}
