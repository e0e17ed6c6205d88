import type { Part, Perforation } from '../../assembly';
import type { Vec3 } from './cell';
import { loopOf } from './cell';
import type { Mark } from './partRound';

/** Flat marks on the faces of parts: holes, slots and bars, where they are. */

/** How far a mark lies over what it marks, metres. */
export const OVER = 0.0004;
/** Corners of a hole. */
const CORNERS = 10;
/** Width of a saw's slot and of a bar, metres. */
const SAW = 0.003;

/** A disc from this radius on is drawn rounder, metres. */
const WIDE_DISC = 0.015;

/** A disc that lies level. */
export const level = (x: number, y: number, z: number, r: number): Mark => ({
  points: loopOf({ a: r, b: r, c: r }, r > WIDE_DISC ? 7 : 3).map(([u, v]): Vec3 => [
    x + u,
    y + v,
    z,
  ]),
});

/** A disc that stands on a face looking along (ux, uy), about a point of it. */
export const upright = ([x, y, z]: Vec3, [ux, uy]: readonly [number, number], r: number): Mark => ({
  points: Array.from({ length: CORNERS }, (_, i): Vec3 => {
    const t = (2 * Math.PI * i) / CORNERS;
    return [x - uy * r * Math.cos(t), y + ux * r * Math.cos(t), z + r * Math.sin(t)];
  }),
});

/** A rectangle that stands on a face looking along (ux, uy), so far to both sides of a point of it. */
const panel = (
  [x, y]: readonly [number, number],
  [ux, uy]: readonly [number, number],
  half: number,
  from: number,
  to: number,
): Mark => ({
  points: [
    [x - uy * half, y + ux * half, from],
    [x + uy * half, y - ux * half, from],
    [x + uy * half, y - ux * half, to],
    [x - uy * half, y + ux * half, to],
  ],
});

/** Rows of holes: this far from foot and top, as a share of the height. */
const NEAR_END = 0.12;

/** Holes and slots in the wall of something round. @param rAt its radius by height */
export function roundPerforations(
  { x, y, from, to }: Part,
  made: Perforation | null,
  rAt: (z: number) => number,
): Mark[] {
  if (!made) return [];
  const at = (t: number, z: number): Vec3 => {
    const r = rAt(z) + OVER;
    return [x + r * Math.cos(t), y + r * Math.sin(t), z];
  };
  if (made.kind === 'slots') {
    const sides = [0, Math.PI].map((t) => t + Math.PI / 4);
    return sides.flatMap((t) =>
      [
        [from, from + made.depth],
        [to - made.depth, to],
      ].map(([low, high]) =>
        panel(
          [at(t, from)[0], at(t, from)[1]],
          [Math.cos(t), Math.sin(t)],
          SAW / 2,
          low as number,
          high as number,
        ),
      ),
    );
  }
  const row = Math.max(Math.round(made.each / 2), 1);
  return [NEAR_END, 1 - NEAR_END].flatMap((share, k) =>
    Array.from({ length: row }, (_, i) => {
      const t = (2 * Math.PI * (i + k / 2)) / row;
      const z = from + share * (to - from);
      return upright(at(t, z), [Math.cos(t), Math.sin(t)], made.diameter / 2);
    }),
  );
}

/** The four sides of a box: which way each looks, how far off its middle it is, and its half width. */
export const sidesOf = (a: number, b: number) =>
  [
    { way: [1, 0], off: a, half: b },
    { way: [-1, 0], off: a, half: b },
    { way: [0, 1], off: b, half: a },
    { way: [0, -1], off: b, half: a },
  ] as const;

/** Holes in the four sides of a box. */
export function boxPerforations({ x, y, from, to, foot }: Part, made: Perforation | null): Mark[] {
  if (made?.kind !== 'holes' || foot.form !== 'box') return [];
  const sides = sidesOf(foot.a, foot.b);
  const each = Math.max(Math.round(made.each / (2 * sides.length)), 1);
  return sides.flatMap(({ way: [ux, uy], off, half }) =>
    [NEAR_END, 1 - NEAR_END].flatMap((share) =>
      Array.from({ length: each }, (_, i) => {
        const along = ((2 * (i + 0.5)) / each - 1) * half;
        const place: Vec3 = [
          x + ux * (off + OVER) - uy * along,
          y + uy * (off + OVER) + ux * along,
          from + share * (to - from),
        ];
        return upright(place, [ux, uy], made.diameter / 2);
      }),
    ),
  );
}

/** Openings of a box whose sides are a mesh: from one bar to the next, metres, and the bar's share of that. */
const MESH = 0.06;
const BAR = 0.35;

/** The openings in the four sides of a crate. */
export function meshOf({ x, y, from, to, foot }: Part): Mark[] {
  if (foot.form !== 'box') return [];
  const rows = Math.max(Math.round((to - from) / MESH), 1);
  const rise = (to - from) / rows;
  return sidesOf(foot.a, foot.b).flatMap(({ way, off, half }) => {
    const [ux, uy] = way;
    const columns = Math.max(Math.round((2 * half) / MESH), 1);
    const wide = (2 * half) / columns;
    return Array.from({ length: rows * columns }, (_, i) => {
      const [row, column] = [Math.floor(i / columns), i % columns];
      const along = (column + 0.5) * wide - half;
      const low = from + rise * (row + BAR / 2);
      return panel(
        [x + ux * (off + OVER) - uy * along, y + uy * (off + OVER) + ux * along],
        way,
        (wide * (1 - BAR)) / 2,
        low,
        low + rise * (1 - BAR),
      );
    });
  });
}

/** Pieces of a line along a side of a box, metres at the most each. */
const PIECE = 0.1;

/** A level line along a side of a box, in short pieces. */
export function strip(
  way: readonly [number, number],
  off: number,
  half: number,
  from: number,
  to: number,
): Mark[] {
  const [ux, uy] = way;
  const count = Math.max(Math.ceil((2 * half) / PIECE), 1);
  return Array.from({ length: count }, (_, i) => {
    const along = ((2 * (i + 0.5)) / count - 1) * half;
    return panel([ux * off - uy * along, uy * off + ux * along], way, half / count, from, to);
  });
}
