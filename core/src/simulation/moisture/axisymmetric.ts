import type { Circle } from '../../geometry/packing';
import { columnAt, type Body, type Grid } from './grid';

/**
 * A round body that is alike all about its axis, as rings inside one another: what varies in three dimensions
 * is found in two. Rings stand where a grid's columns of boxes stand, so that the same flow runs through them.
 */

/** Nearer to the axis than this counts as in it, metres. */
const IN_AXIS = 2e-3;
/** Less of a ring inside than this counts as wall. */
const SLIVER = 0.04;

/** Whether a body and all that stands in it are alike all about its axis. */
export function isAlikeRound(body: Body, discs: readonly Circle[]): boolean {
  const round = [body.from, (body.from + body.to) / 2, body.to].every((z) => {
    const { a, b, c } = body.outlineAt(z);
    return Math.abs(a - b) < 1e-9 && a - c < 1e-9;
  });
  return round && discs.every(({ x, y }) => Math.hypot(x, y) < IN_AXIS);
}

/** @param count rings; @param nz boxes one above the other */
export function ringsOf({ outlineAt, from, to }: Body, count: number, nz: number): Grid {
  const widest = Math.max(outlineAt(from).a, outlineAt((from + to) / 2).a, outlineAt(to).a);
  const [dx, dz] = [widest / count, (to - from) / nz];
  const area = (ring: number): number => Math.PI * dx * dx * (2 * ring + 1);
  /** Share of a ring that lies inside at a height. */
  const inside = (z: number, ring: number): number => {
    const r = Math.min(Math.max(outlineAt(z).a / dx, ring), ring + 1);
    const share = (r * r - ring * ring) / (2 * ring + 1);
    return share < SLIVER ? 0 : share;
  };
  const cells = count * nz;
  const grid = {
    ...{ nx: count, ny: 1, nz, dx, dy: 0, dz, x0: 0, y0: 0, z0: from, times: 1 },
    volume: new Float64Array(cells),
    east: new Float64Array(cells),
    north: new Float64Array(cells),
    up: new Float64Array(cells),
    base: new Float64Array(count),
  };
  for (let ring = 0; ring < count; ring += 1) {
    const at = (k: number, of: number): number => (k < nz ? inside(from + (k + 0.5) * dz, of) : 1);
    grid.base[ring] = at(0, ring) > 0 ? inside(from, ring) * area(ring) : 0;
    for (let k = 0; k < nz; k += 1) {
      const here = at(k, ring);
      const cell = ring * nz + k;
      grid.volume[cell] = here * area(ring) * dz;
      if (here === 0) continue;
      if (ring < count - 1)
        grid.east[cell] = Math.min(here, at(k, ring + 1)) * 2 * Math.PI * (ring + 1) * dx * dz;
      if (at(k + 1, ring) > 0) grid.up[cell] = inside(from + (k + 1) * dz, ring) * area(ring);
    }
  }
  return grid;
}

/** Share of a ring that a disc about the axis covers. */
export function coveredOfRing({ dx }: Grid, ring: number, discs: readonly Circle[]): number {
  const r = Math.max(...discs.map((disc) => disc.r), dx / 2);
  const reach = Math.min(Math.max(r / dx, ring), ring + 1);
  return (reach * reach - ring * ring) / (2 * ring + 1);
}

export const isRings = ({ dy }: Grid): boolean => dy === 0;

/** The heads that rings have where the boxes of a grid stand; both have the same layers. */
export function fromRings(rings: Grid, h: Float64Array, grid: Grid): Float64Array {
  const { nx, nz, dx, volume } = rings;
  // At the wall the last ring that has soil stands for what a box has beyond it.
  const last = Array.from({ length: nz }, (_, k) => {
    let ring = nx - 1;
    while (ring > 0 && volume[ring * nz + k] === 0) ring -= 1;
    return ring;
  });
  return Float64Array.from({ length: grid.volume.length }, (_, cell) => {
    const { x, y } = columnAt(grid, Math.floor(cell / nz));
    const k = cell % nz;
    const most = last[k] as number;
    const at = Math.min(Math.max(Math.hypot(x, y) / dx - 0.5, 0), most);
    const ring = Math.floor(at);
    const low = h[ring * nz + k] as number;
    const high = h[Math.min(ring + 1, most) * nz + k] as number;
    return low + (high - low) * (at - ring);
  });
}
