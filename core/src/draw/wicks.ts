import type { ClothWickDesign } from '../design';
import type { Planter } from '../planter';
import { area, line, type Point, type Shape } from './shape';

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
  const R = planter.vessel.radiusAt(base) - 0.006;
  const legs = Math.min(wick.legs, LEGS_DRAWN);
  return Array.from({ length: legs }, (_, leg) => {
    const side = leg % 2 === 0 ? 1 : -1;
    const x = legs === 1 ? 0 : side * 0.007;
    const hang = wave(x, wick.foot, base, 0.0018, side);
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

/** The cups that the cutting plane goes through, with the height that each stands at. */
export function cutCups({
  design,
  layout,
}: Planter): { x: number; r: number; foot: number; i: number }[] {
  return layout.cups
    .map((cup, i) => ({ ...cup, i, foot: design.wicks[cup.wick]?.foot ?? 0 }))
    .filter(({ y, r }) => Math.abs(y) < r);
}

function cups(planter: Planter): Shape[] {
  const { base } = planter.heights;
  return cutCups(planter).map(({ x, r, foot, i }) =>
    line(`cup-${i}`, 'cup', [
      [x - r, base],
      [x - r, foot],
      [x + r, foot],
      [x + r, base],
    ]),
  );
}
