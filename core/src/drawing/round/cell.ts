import type { Outline } from '../../geometry/vessels';

/**
 * Convex cells that parts are made of in the round. Lengths are metres; x runs to the right of the plan, y to the back,
 * z up from the inside floor. Faces are flat, their corners in turn seen from outside.
 */

export type Vec3 = readonly [x: number, y: number, z: number];

export interface Face {
  points: readonly Vec3[];
  /** Seen from outside, between two cells of one part, or where the part is cut open. */
  kind: 'skin' | 'inner' | 'cut';
}

export interface Cell {
  faces: readonly Face[];
}

export interface Plane {
  n: Vec3;
  d: number;
}

const EPS = 1e-7;

export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const minus = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const mix = (a: Vec3, b: Vec3, t: number): Vec3 => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];

/** The normal of a face after Newell, of length 1; null where it has no area. */
export function normalOf(points: readonly Vec3[]): Vec3 | null {
  let [x, y, z] = [0, 0, 0];
  for (let i = 0; i < points.length; i += 1) {
    const p = points[i] as Vec3;
    const q = points[(i + 1) % points.length] as Vec3;
    x += (p[1] - q[1]) * (p[2] + q[2]);
    y += (p[2] - q[2]) * (p[0] + q[0]);
    z += (p[0] - q[0]) * (p[1] + q[1]);
  }
  const long = Math.hypot(x, y, z);
  return long < 1e-12 ? null : [x / long, y / long, z / long];
}

export function planeOf(points: readonly Vec3[]): Plane | null {
  const n = normalOf(points);
  if (!n) return null;
  const middle = points.reduce((sum, p) => sum + dot(n, p), 0) / points.length;
  return { n, d: middle };
}

/**
 * Corners of an outline, as many for each of its four rounded corners, counterclockwise from above: of a sharp one all
 * fall together, so that loops of one vessel always have as many.
 */
export function loopOf({ a, b, c }: Outline, steps: number): [number, number][] {
  const round = Math.min(c, a, b);
  return [0, 1, 2, 3].flatMap((quarter) => {
    const [sx, sy] = [
      [1, 1],
      [-1, 1],
      [-1, -1],
      [1, -1],
    ][quarter] as [number, number];
    return Array.from({ length: steps + 1 }, (_, i): [number, number] => {
      const angle = (Math.PI / 2) * (quarter + i / steps);
      return [
        sx * (a - round) + round * Math.cos(angle),
        sy * (b - round) + round * Math.sin(angle),
      ];
    });
  });
}

/** A loop at a height, about a place. */
export interface Ring {
  z: number;
  loop: readonly (readonly [number, number])[];
}

const at = ({ loop, z }: Ring, i: number): Vec3 => {
  const [x, y] = loop[i % loop.length] as readonly [number, number];
  return [x, y, z];
};

/** A body between two loops of as many corners. @param below and above whether it goes on there */
export function frustumCell(low: Ring, high: Ring, below = false, above = false): Cell {
  const n = low.loop.length;
  const sides = Array.from({ length: n }, (_, i): Face => ({
    kind: 'skin',
    points: [at(low, i), at(low, i + 1), at(high, i + 1), at(high, i)],
  }));
  const bottom = Array.from({ length: n }, (_, i) => at(low, n - 1 - i));
  const top = Array.from({ length: n }, (_, i) => at(high, i));
  return {
    faces: sound([
      ...sides,
      { kind: below ? 'inner' : 'skin', points: bottom },
      { kind: above ? 'inner' : 'skin', points: top },
    ]),
  };
}

/** Faces that have an area: where corners fall together others remain. */
const sound = (faces: readonly Face[]): Face[] =>
  faces.flatMap(({ kind, points }) => {
    const kept = points.filter((p, i) => {
      const q = points[(i + 1) % points.length] as Vec3;
      return Math.hypot(...minus(p, q)) > EPS;
    });
    return kept.length >= 3 && normalOf(kept) ? [{ kind, points: kept }] : [];
  });

/**
 * A wall between an outer and an inner loop, from one height to another, of so many hexahedra.
 *
 * @param below and above whether it goes on there
 */
export function wallCells(
  outer: [Ring, Ring],
  inner: [Ring, Ring],
  below = false,
  above = false,
): Cell[] {
  const n = outer[0].loop.length;
  return Array.from({ length: n }, (_, i): Cell => {
    const [o0, o1] = [at(outer[0], i), at(outer[0], i + 1)];
    const [o2, o3] = [at(outer[1], i + 1), at(outer[1], i)];
    const [i0, i1] = [at(inner[0], i), at(inner[0], i + 1)];
    const [i2, i3] = [at(inner[1], i + 1), at(inner[1], i)];
    return {
      faces: sound([
        { kind: 'skin', points: [o0, o1, o2, o3] },
        { kind: 'skin', points: [i1, i0, i3, i2] },
        { kind: above ? 'inner' : 'skin', points: [o3, o2, i2, i3] },
        { kind: below ? 'inner' : 'skin', points: [o1, o0, i0, i1] },
        { kind: 'inner', points: [o0, o3, i3, i0] },
        { kind: 'inner', points: [o2, o1, i1, i2] },
      ]),
    };
  }).filter(({ faces }) => faces.length >= 4);
}

/** A box with its sides along the axes. */
export function boxCell(
  x: number,
  y: number,
  a: number,
  b: number,
  from: number,
  to: number,
): Cell {
  const loop: [number, number][] = [
    [x + a, y + b],
    [x - a, y + b],
    [x - a, y - b],
    [x + a, y - b],
  ];
  return frustumCell({ z: from, loop }, { z: to, loop });
}

/** A pipe that lies, as a rod of so many sides from one point to another at one height. */
export function rodCell(from: Vec3, to: Vec3, r: number, sides = 12): Cell {
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  const [ax, ay] = [-(to[1] - from[1]) / long, (to[0] - from[0]) / long];
  const round = (p: Vec3): Vec3[] =>
    Array.from({ length: sides }, (_, i): Vec3 => {
      const t = (2 * Math.PI * i) / sides;
      return [p[0] + ax * r * Math.cos(t), p[1] + ay * r * Math.cos(t), p[2] + r * Math.sin(t)];
    });
  const [one, other] = [round(from), round(to)];
  const quads = one.map((p, i): Face => ({
    kind: 'skin',
    points: [p, other[i] as Vec3, other[(i + 1) % sides] as Vec3, one[(i + 1) % sides] as Vec3],
  }));
  const caps: Face[] = [
    { kind: 'skin', points: one },
    { kind: 'skin', points: [...other].reverse() },
  ];
  return outward({ faces: [...quads, ...caps] });
}

/** Turns faces that look into their cell. */
function outward({ faces }: Cell): Cell {
  const all = faces.flatMap(({ points }) => points);
  const middle: Vec3 = [0, 1, 2].map(
    (k) => all.reduce((sum, p) => sum + (p[k] as number), 0) / all.length,
  ) as never;
  return {
    faces: faces.map(({ kind, points }) => {
      const plane = planeOf(points);
      const looksIn = plane !== null && dot(plane.n, middle) > plane.d;
      return { kind, points: looksIn ? [...points].reverse() : points };
    }),
  };
}

/** What of a face lies on the inner side of a plane, n · p ≤ d; less than three corners where nothing does. */
function clipped(points: readonly Vec3[], { n, d }: Plane): Vec3[] {
  const out: Vec3[] = [];
  for (let i = 0; i < points.length; i += 1) {
    const p = points[i] as Vec3;
    const q = points[(i + 1) % points.length] as Vec3;
    const [a, b] = [dot(n, p) - d, dot(n, q) - d];
    if (a <= EPS) out.push(p);
    if ((a < -EPS && b > EPS) || (a > EPS && b < -EPS)) out.push(mix(p, q, a / (a - b)));
  }
  return out;
}

/**
 * What of a cell lies on the inner side of a plane, with a face on it; null where nothing does.
 *
 * @param kind of the face on the plane
 */
function cutCell(cell: Cell, plane: Plane, kind: Face['kind'] = 'cut'): Cell | null {
  let [under, over] = [false, false];
  for (const { points } of cell.faces)
    for (const p of points) {
      const off = dot(plane.n, p) - plane.d;
      if (off < -EPS) under = true;
      if (off > EPS) over = true;
    }
  if (!over) return cell;
  if (!under) return null;
  const faces = cell.faces.flatMap((face): Face[] => {
    const left = clipped(face.points, plane);
    return left.length >= 3 && normalOf(left) ? [{ kind: face.kind, points: left }] : [];
  });
  const rim = faces.flatMap(({ points }) =>
    points.filter((p) => Math.abs(dot(plane.n, p) - plane.d) <= 10 * EPS),
  );
  const cap = hullOn(rim, plane);
  return { faces: cap ? [...faces, { kind, points: cap }] : faces };
}

/** The corners of a convex face on a plane, in turn seen against its normal. */
function hullOn(points: readonly Vec3[], { n }: Plane): Vec3[] | null {
  const different: Vec3[] = [];
  for (const p of points)
    if (!different.some((q) => Math.hypot(...minus(p, q)) < 5 * EPS)) different.push(p);
  if (different.length < 3) return null;
  const middle: Vec3 = [0, 1, 2].map(
    (k) => different.reduce((sum, p) => sum + (p[k] as number), 0) / different.length,
  ) as never;
  const u = unit(minus(different[0] as Vec3, middle));
  const v: Vec3 = [n[1] * u[2] - n[2] * u[1], n[2] * u[0] - n[0] * u[2], n[0] * u[1] - n[1] * u[0]];
  const turn = (p: Vec3): number => Math.atan2(dot(minus(p, middle), v), dot(minus(p, middle), u));
  const sorted = different.sort((p, q) => turn(p) - turn(q));
  return normalOf(sorted) ? sorted : null;
}

function unit(v: Vec3): Vec3 {
  const long = Math.hypot(...v) || 1;
  return [v[0] / long, v[1] / long, v[2] / long];
}

/**
 * A cell without the wedge between two upright planes, in up to three pieces: that opposite the wedge, and those beside
 * it. Only their faces on the wedge itself are cut faces.
 */
export function withoutWedge(cell: Cell, [first, second]: readonly [Plane, Plane]): Cell[] {
  const over = cutCell(cell, flipped(first), 'inner');
  const opposite = over && cutCell(over, flipped(second), 'inner');
  const beyondFirst = cutCell(cell, flipped(first), 'cut');
  const oneSide = beyondFirst && cutCell(beyondFirst, second, 'inner');
  const beyondSecond = cutCell(cell, flipped(second), 'cut');
  const otherSide = beyondSecond && cutCell(beyondSecond, first, 'inner');
  return [opposite, oneSide, otherSide].filter((one): one is Cell => one !== null);
}

const flipped = ({ n, d }: Plane): Plane => ({ n: [-n[0], -n[1], -n[2]], d: -d });
