import { halfAt, radiiOf, type Part } from '../../assembly';
import type { InSection } from '../partDrawing';
import { inkOf } from '../ink';
import { area, line, type Ink, type Point, type Shape } from '../shape';

/** Cloth is drawn at least this thick, so that it can be seen, metres. */
const THICKNESS_DRAWN = 0.004;
/** A leg is drawn this far from the wall at the least, metres. */
const BESIDE_WALL = 0.004;
/** Legs that hang through one hole side by side in the drawing. */
const LEGS_DRAWN = 2;

/** Cloth that hangs down through its holes, and lies spread under the soil. */
export const cloth: InSection<'cloth'> = (group, planter) => {
  const { spec: wick, id } = group;
  const { base } = planter.heights;
  const half = Math.max(wick.thickness, THICKNESS_DRAWN) / 2;
  const wall = Math.max(halfAt(planter, base) - 0.006, 0.002);
  // On a curved floor the cloth is drawn from where there is room for its width.
  const lowest = planter.vessel.bends.find((z) => planter.vessel.halfAt(z) > 0.012) ?? 0;
  const places = [...new Map(group.parts.map((one) => [one.x.toFixed(3), one])).values()];
  return places.flatMap(({ x: middle }, k) => {
    const legs = Math.min(Math.ceil(wick.legs / Math.max(group.parts.length, 1)), LEGS_DRAWN);
    return Array.from({ length: legs }, (_, leg) => {
      const side = leg % 2 === 0 ? 1 : -1;
      const low = Math.max(planter.vessel.halfAt(wick.foot) - BESIDE_WALL, 0);
      const aside = middle + (legs === 1 ? 0 : side * 0.007);
      const x = Math.min(Math.max(aside, -low), low);
      const hang = wave(x, Math.max(wick.foot, lowest), base, 0.0018, side);
      const end = Math.min(Math.max(x + side * wick.spread, -wall), wall);
      const path: Point[] =
        wick.spread > 0
          ? [
              ...hang,
              [x + side * 0.003, base + half * 2],
              [(x + end) / 2, base + half * 2.6],
              [end, base + half * 1.6],
            ]
          : hang;
      return area(`${id}-${k * LEGS_DRAWN + leg}`, 'cloth', thicken(path, half));
    });
  });
};

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

/** Whether the cutting plane goes through something round, or it stands behind and is seen. */
const seen = ({ y, foot }: Part, behind: boolean): boolean =>
  foot.form === 'disc' && (Math.abs(y) < foot.r || (behind && y > 0));

/** A packed cup: its walls, the mix in it, and what of that is soaked. */
export const cup: InSection<'cup'> = (group, planter, level) =>
  group.parts
    .filter((piece) => seen(piece, false))
    .flatMap((piece, i) => {
      const { base } = planter.heights;
      const [r0, r1] = radiiOf(group.spec, base);
      return upright(`${group.id}-${i}`, 'cup', 'soil', piece, r0, r1, base, level);
    });

export const column: InSection<'column'> = (group, planter, level) =>
  group.parts
    .filter((piece) => seen(piece, true))
    .flatMap((piece, i) => {
      const r = group.spec.diameter / 2;
      const ink = inkOf(group.spec.medium);
      return upright(
        `${group.id}-${i}`,
        'separator',
        ink,
        piece,
        r,
        r,
        planter.heights.base,
        level,
      );
    });

function upright(
  id: string,
  wall: Ink,
  ink: Ink,
  { x, from }: Part,
  r0: number,
  r1: number,
  top: number,
  level: number,
): Shape[] {
  const at = (z: number) => r0 + ((r1 - r0) * (z - from)) / Math.max(top - from, 1e-9);
  const body = (to: number): Point[] => [
    [x - r0, from],
    [x + r0, from],
    [x + at(to), to],
    [x - at(to), to],
  ];
  const wet = Math.min(level, top);
  return [
    area(`${id}-mix`, ink, body(top)),
    ...(wet > from ? [area(`${id}-wet`, 'soaked', body(wet))] : []),
    line(id, wall, [
      [x - r1, top],
      [x - r0, from],
      [x + r0, from],
      [x + r1, top],
    ]),
  ];
}
