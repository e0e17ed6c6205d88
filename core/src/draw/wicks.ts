import type { ClothWickDesign } from '../design';
import { halfAt, type Planter } from '../planter';
import { inkOf } from './ink';
import { area, line, type Ink, type Point, type Shape } from './shape';

/** Cloth is drawn at least this thick, so that it can be seen, metres. */
const THICKNESS_DRAWN = 0.004;
/** Legs that hang through one hole side by side in the drawing. */
const LEGS_DRAWN = 2;

/** Cloth legs with their spread, and packed cups. */
export function wicksOf(planter: Planter): Shape[] {
  const cloths = planter.design.wicks.flatMap((wick, i) =>
    wick.kind === 'cloth' ? cloth(planter, wick, i) : [],
  );
  return [...cups(planter), ...cloths];
}

function cloth(planter: Planter, wick: ClothWickDesign, i: number): Shape[] {
  const { base } = planter.heights;
  const half = Math.max(wick.thickness, THICKNESS_DRAWN) / 2;
  const R = Math.max(halfAt(planter, base) - 0.006, 0.002);
  const legs = Math.min(wick.legs, LEGS_DRAWN);
  // On a curved floor the cloth is drawn from where there is room for its width.
  const lowest = planter.vessel.bends.find((z) => planter.vessel.halfAt(z) > 0.012) ?? 0;
  return Array.from({ length: legs }, (_, leg) => {
    const side = leg % 2 === 0 ? 1 : -1;
    const x = legs === 1 ? 0 : side * 0.007;
    const hang = wave(x, Math.max(wick.foot, lowest), base, 0.0018, side);
    const reachX = side * Math.min(Math.abs(x) + wick.spread, R);
    const middle = (x + reachX) / 2;
    const path: Point[] =
      wick.spread > 0
        ? [
            ...hang,
            [x + side * 0.003, base + half * 2],
            [middle, base + half * 2.6],
            [reachX, base + half * 1.6],
          ]
        : hang;
    return area(`cloth-${i}-${leg}`, 'cloth', thicken(path, half));
  });
}

function wave(x: number, z0: number, z1: number, swing: number, phase: number): Point[] {
  const steps = 10;
  return Array.from({ length: steps + 1 }, (_, k): Point => {
    const t = k / steps;
    return [x + swing * Math.sin(t * 7 + phase) * (1 - t), z0 + (z1 - z0) * t];
  });
}

/** A band of given half width along a path. */
function thicken(path: readonly Point[], half: number): Point[] {
  const left: Point[] = [];
  const right: Point[] = [];
  path.forEach(([x, z], k) => {
    const [ax, az] = path[Math.max(k - 1, 0)] as Point;
    const [bx, bz] = path[Math.min(k + 1, path.length - 1)] as Point;
    const length = Math.hypot(bx - ax, bz - az) || 1;
    const nx = (-(bz - az) / length) * half;
    const nz = ((bx - ax) / length) * half;
    left.push([x + nx, Math.max(z + nz, 0)]);
    right.push([x - nx, Math.max(z - nz, 0)]);
  });
  return [...left, ...right.reverse()];
}

interface Cut {
  id: string;
  x: number;
  r: number;
  foot: number;
  ink: Ink;
}

/** The cups and columns that the cutting plane goes through, or the nearest where it meets none. */
export function cutUprights({ design, layout }: Planter): Cut[] {
  return ([...layout.cups, ...layout.columns] as const)
    .map((one, i): Cut & { y: number } => {
      const wick = design.wicks[one.wick];
      const ink = wick?.kind === 'column' ? inkOf(wick.medium) : 'soil';
      const name = wick?.kind === 'column' ? 'column' : 'cup';
      return { ...one, id: `${name}-${i}`, foot: wick?.foot ?? 0, ink };
    })
    .filter(({ y, r, id }) => Math.abs(y) < r || (id.startsWith('column') && y > 0));
}

function cups(planter: Planter): Shape[] {
  const { base } = planter.heights;
  return cutUprights(planter).map(({ x, r, foot, id }) =>
    line(id, id.startsWith('cup') ? 'cup' : 'separator', [
      [x - r, base],
      [x - r, foot],
      [x + r, foot],
      [x + r, base],
    ]),
  );
}
