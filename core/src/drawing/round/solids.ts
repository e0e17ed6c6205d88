import type { Part } from '../../assembly';
import { grown, type Outline, type Vessel } from '../../geometry/vessels';
import { frustumCell, loopOf, rodCell, wallCells, type Cell, type Ring, type Vec3 } from './cell';

/** Bodies of convex cells that parts of several kinds are built of. */

/** Corners a quarter turn: of a vessel's wall, and of what is narrow. */
const WIDE = 11;
const NARROW = 4;
/** Segments of a pipe that lies in a turn. */
const TURN_STEPS = 10;
/** A wall is drawn at least so thick, metres, or its cut cannot be seen. */
export const LEAST_WALL = 0.0025;
const ringOf = (outline: Outline, z: number, steps: number, x = 0, y = 0): Ring => ({
  z,
  loop: loopOf(outline, steps).map(([u, v]) => [u + x, v + y] as const),
});

const circle = (r: number): Outline => ({ a: r, b: r, c: r });

/** Most slices that a vessel of many bends is drawn with. */
const MOST_SLICES = 8;

/** Heights at which a vessel bends between two others. */
function bends({ bends: all }: Vessel, from: number, to: number): number[] {
  const within = all.filter((z) => z > from + 1e-6 && z < to - 1e-6);
  const every = Math.ceil(within.length / MOST_SLICES);
  return [from, ...within.filter((_, i) => i % Math.max(every, 1) === 0), to];
}

/** Heights of pairs that follow one another. */
const pairs = (heights: readonly number[]): [number, number][] =>
  heights.slice(1).map((to, i) => [heights[i] as number, to]);

/** What fills a vessel between two heights. @param at where its own floor is */
export function filling(
  vessel: Vessel,
  from: number,
  to: number,
  at = { x: 0, y: 0, z: 0 },
  less = 0.0006,
): Cell[] {
  const slices = pairs(bends(vessel, Math.max(from, 0), Math.min(to, vessel.depth))).filter(
    ([low, high]) => high > low + 1e-6,
  );
  return slices.map(([low, high], i) => {
    const ring = (z: number): Ring =>
      ringOf(grown(vessel.outlineAt(z), -less), at.z + z, WIDE, at.x, at.y);
    return frustumCell(ring(low), ring(high), i > 0, i < slices.length - 1);
  });
}

/** Walls of a vessel whose inside floor is at a place. */
export function shell(vessel: Vessel, at = { x: 0, y: 0, z: 0 }): Cell[] {
  const wall = Math.max(vessel.wall, LEAST_WALL);
  const ring = (z: number, out: number): Ring =>
    ringOf(grown(vessel.outlineAt(z), out), at.z + z, WIDE, at.x, at.y);
  const slices = pairs(bends(vessel, 0, vessel.depth));
  return slices.flatMap(([low, high], i) =>
    wallCells(
      [ring(low, wall), ring(high, wall)],
      [ring(low, 0), ring(high, 0)],
      i > 0,
      i < slices.length - 1,
    ),
  );
}

/** Cloth and film are drawn so thick, metres. */
export const SHEET = 0.003;

/** Film on the inside of the walls. */
export function lining(vessel: Vessel): Cell[] {
  const ring = (z: number, out: number): Ring => ringOf(grown(vessel.outlineAt(z), out), z, WIDE);
  const top = vessel.depth;
  const [outer, inner] = [-0.0005, -SHEET];
  return wallCells([ring(0, outer), ring(top, outer)], [ring(0, inner), ring(top, inner)]);
}

/** The floor of a vessel, which is not cut open with its walls. */
export function floorOf(vessel: Vessel, at = { x: 0, y: 0, z: 0 }): Cell[] {
  const wall = Math.max(vessel.wall, LEAST_WALL);
  const base = ringOf(grown(vessel.outlineAt(0), wall), at.z - wall, WIDE, at.x, at.y);
  return [frustumCell(base, { ...base, z: at.z })];
}

/** An upright pipe, open at both ends. */
export function pipe({ x, y, from, to }: Part, r: number, wall: number): Cell[] {
  const thick = Math.min(Math.max(wall, LEAST_WALL / 2), r * 0.6);
  const ring = (z: number, radius: number): Ring => ringOf(circle(radius), z, NARROW, x, y);
  return wallCells([ring(from, r), ring(to, r)], [ring(from, r - thick), ring(to, r - thick)]);
}

export const rod = ({ x, y, from, to }: Part, r0: number, r1 = r0): Cell[] => [
  frustumCell(ringOf(circle(r0), from, NARROW, x, y), ringOf(circle(r1), to, NARROW, x, y)),
];

/** A body with one section all along y. */
export function prismAlongY(
  section: readonly (readonly [number, number])[],
  from: number,
  to: number,
): Cell {
  const at = (i: number, y: number): Vec3 => {
    const [x, z] = section[i % section.length] as readonly [number, number];
    return [x, y, z];
  };
  const n = section.length;
  return {
    faces: [
      ...section.map((_, i) => ({
        kind: 'skin' as const,
        points: [at(i, to), at(i + 1, to), at(i + 1, from), at(i, from)],
      })),
      { kind: 'skin', points: Array.from({ length: n }, (_, i) => at(i, from)) },
      { kind: 'skin', points: Array.from({ length: n }, (_, i) => at(n - 1 - i, to)) },
    ],
  };
}

/** A pipe that lies, straight or in a turn. */
export function runCells(part: Part): Cell[] {
  const { foot, from, to } = part;
  if (foot.form !== 'run') return [];
  const { run, r } = foot;
  const z = (from + to) / 2;
  if (run.kind === 'straight') {
    const [dx, dy] = run.along === 'y' ? [0, run.half] : [run.half, 0];
    return [rodCell([run.x - dx, run.y - dy, z], [run.x + dx, run.y + dy, z], r)];
  }
  const line = loopOf(run.line, TURN_STEPS);
  return line.flatMap(([x, y], i): Cell[] => {
    const [u, v] = line[(i + 1) % line.length] as [number, number];
    return Math.hypot(u - x, v - y) < 1e-6 ? [] : [rodCell([x, y, z], [u, v, z], r, 8)];
  });
}

/** A part whose foot is an outline, as thick as it is, at least so thick that its edge is seen. */
export function slab({ foot, from, to, x, y }: Part): Cell[] {
  if (foot.form !== 'outline') return [];
  const upper = Math.max(to, from + LEAST_WALL);
  return [
    frustumCell(ringOf(foot.outline, from, WIDE, x, y), ringOf(foot.outline, upper, WIDE, x, y)),
  ];
}

/** A part that stands as a ring, open above and below. */
export function ringCells({ foot, from, to }: Part): Cell[] {
  if (foot.form !== 'ring' || to <= from + 1e-9) return [];
  const inner = foot.r - Math.max(foot.wall, LEAST_WALL);
  return wallCells(
    [ringOf(circle(foot.r), from, WIDE), ringOf(circle(foot.r), to, WIDE)],
    [ringOf(circle(inner), from, WIDE), ringOf(circle(inner), to, WIDE)],
  );
}
