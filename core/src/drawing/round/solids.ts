import { PIPES } from '../../catalog';
import { CUP_WALL, PIPE_WALL, type Part, type PartGroup, type Planter } from '../../assembly';
import { grown, type Outline, type Vessel } from '../../geometry/vessels';
import {
  boxCell,
  frustumCell,
  loopOf,
  rodCell,
  wallCells,
  type Cell,
  type Ring,
  type Vec3,
} from './cell';

/** Parts as convex cells, each kind as it is built. */

/** Corners a quarter turn: of a vessel's wall, and of what is narrow. */
const WIDE = 11;
const NARROW = 4;
/** Segments of a pipe that lies in a turn. */
const TURN_STEPS = 10;
/** A wall is drawn at least so thick, metres, or its cut cannot be seen. */
const LEAST_WALL = 0.0025;
/** Cloth that hangs bunched is drawn flat, so much of its bunch thick. */
const CLOTH_FLAT = 0.35;

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
function shell(vessel: Vessel, at = { x: 0, y: 0, z: 0 }): Cell[] {
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
const SHEET = 0.003;

/** Film on the inside of the walls. */
function lining(vessel: Vessel): Cell[] {
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
function pipe({ x, y, from, to }: Part, r: number, wall: number): Cell[] {
  const thick = Math.min(Math.max(wall, LEAST_WALL / 2), r * 0.6);
  const ring = (z: number, radius: number): Ring => ringOf(circle(radius), z, NARROW, x, y);
  return wallCells([ring(from, r), ring(to, r)], [ring(from, r - thick), ring(to, r - thick)]);
}

const rod = ({ x, y, from, to }: Part, r0: number, r1 = r0): Cell[] => [
  frustumCell(ringOf(circle(r0), from, NARROW, x, y), ringOf(circle(r1), to, NARROW, x, y)),
];

/** Half width by height of a bottle or jug, as shares of its radius. */
const NECKED: readonly (readonly [t: number, r: number])[] = [
  [0, 1],
  [0.68, 1],
  [0.86, 0.38],
  [1, 0.34],
];

function standing({ spec }: PartGroup<'standing'>, part: Part, r: number): Cell[] {
  const { from, to } = part;
  if (spec.what === 'pipe') return pipe(part, r, spec.wall);
  if (spec.what === 'bottle' || spec.what === 'jug')
    return NECKED.slice(1).flatMap(([t, share], i) => {
      const [t0, share0] = NECKED[i] as readonly [number, number];
      const at = (u: number): number => from + (to - from) * u;
      return rod({ ...part, from: at(t0), to: at(t) }, r * share0, r * share);
    });
  return rod(part, r, spec.what === 'pot' ? 0.75 * r : 0.94 * r);
}

/** Cloth as it hangs, and what of it lies spread on the base. */
function cloth({ spec }: PartGroup<'cloth'>, { x, y, from, to }: Part, r: number): Cell[] {
  const thick = Math.max(r * CLOTH_FLAT, 0.0015);
  const lies = Math.max(spec.thickness, 0.002);
  return [
    boxCell(x, y, r, thick, from, to),
    boxCell(x, y, Math.max(spec.spread, r), Math.min(r, spec.width / 2 + r / 2), to, to + lies),
  ];
}

function arch({ spec }: PartGroup<'arch'>, { x, y, foot, to }: Part): Cell[] {
  if (foot.form !== 'box') return [];
  const steps = 10;
  const half = spec.width / 2;
  return Array.from({ length: steps }, (_, i) => {
    const [t0, t1] = [(Math.PI * i) / steps, (Math.PI * (i + 1)) / steps];
    const profile = (t: number, s: number): [number, number] => [
      x + s * half * Math.cos(t),
      s * to * Math.sin(t),
    ];
    const thin = 1 - Math.max(spec.wall, LEAST_WALL) / Math.max(half, 0.01);
    const corners = [profile(t0, 1), profile(t1, 1), profile(t1, thin), profile(t0, thin)];
    return prismAlongY(corners, y - foot.b, y + foot.b);
  });
}

/** A body with one section all along y. */
function prismAlongY(
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
function lying(part: Part): Cell[] {
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

/** The cells of one part of a group; none for what has no body of its own. */
export function cellsOf(group: PartGroup, part: Part, planter: Planter): Cell[] {
  const { foot, x, y, from, to } = part;
  const { vessel, bed, design } = planter;
  if (group.kind === 'vessel') return shell(vessel);
  if (group.kind === 'liner') return lining(vessel);
  if (group.kind === 'fill') return filling(vessel, from, to);
  if (
    group.kind === 'nested' ||
    group.kind === 'neck' ||
    group.kind === 'row' ||
    group.kind === 'bag'
  )
    return shell(bed.inside, { x, y, z: bed.floor });
  // Cloth that lies between base and soil has no height of its own.
  if (group.kind === 'layer')
    return design.bed ? [] : filling(vessel, from, Math.max(to, from + SHEET));
  if (to <= from + 1e-9) return [];
  switch (foot.form) {
    case 'disc':
      if (group.kind === 'tube')
        return pipe(part, foot.r, foot.r - PIPES[group.spec.pipe].inside / 2);
      if (group.kind === 'inspection' || group.kind === 'worm')
        return pipe(part, foot.r, PIPE_WALL);
      if (group.kind === 'standing') return standing(group, part, foot.r);
      if (group.kind === 'cloth') return cloth(group, part, foot.r);
      if (group.kind === 'cup')
        return rod(part, group.spec.bottom / 2 + CUP_WALL, group.spec.diameter / 2 + CUP_WALL);
      return rod(part, foot.r);
    case 'ring':
      return group.kind === 'standing' && group.spec.what !== 'pipe'
        ? standing(group, part, foot.r)
        : wallCells(
            [ringOf(circle(foot.r), from, WIDE), ringOf(circle(foot.r), to, WIDE)],
            [
              ringOf(circle(foot.r - Math.max(foot.wall, LEAST_WALL)), from, WIDE),
              ringOf(circle(foot.r - Math.max(foot.wall, LEAST_WALL)), to, WIDE),
            ],
          );
    case 'box':
      return group.kind === 'arch' ? arch(group, part) : [boxCell(x, y, foot.a, foot.b, from, to)];
    case 'run':
      return lying(part);
    case 'outline':
      return [
        frustumCell(
          ringOf(foot.outline, from, WIDE, x, y),
          ringOf(foot.outline, Math.max(to, from + LEAST_WALL), WIDE, x, y),
        ),
      ];
    case 'none':
      return [];
  }
}
