import { areaOf, grown, holds, segmentArea, type Outline, type Vessel } from '../geometry/vessels';
import type { Circle, Rectangle } from '../geometry/packing';

// By name: looked up once, these are asked millions of times.
const { abs, hypot, max, min, sqrt, PI } = Math;

/**
 * Bodies that things are made of: each says what is of it below a height, its plan area at a height,
 * and whether a point is in it. The first two are closed forms; the last is for drawings and for tests
 * that count points.
 */
export interface Solid {
  /** m³ */
  below(z: number): number;
  /** m² */
  areaAt(z: number): number;
  holds(x: number, y: number, z: number): boolean;
}

const clamp = (z: number, from: number, to: number): number => min(max(z, from), to);

/** An upright cylinder. Metres. */
export function cylinder({ x, y, r }: Circle, from: number, to: number): Solid {
  const area = PI * r * r;
  return {
    below: (z) => area * (clamp(z, from, to) - from),
    areaAt: (z) => (z >= from && z <= to ? area : 0),
    holds: (px, py, pz) => pz >= from && pz <= to && hypot(px - x, py - y) <= r,
  };
}

/** An upright cone cut off, r0 at its foot and r1 at its top. Metres. */
export function frustum(
  { x, y }: { x: number; y: number },
  r0: number,
  r1: number,
  from: number,
  to: number,
): Solid {
  const tall = max(to - from, 1e-9);
  const radius = (z: number) => r0 + ((r1 - r0) * (clamp(z, from, to) - from)) / tall;
  return {
    below(z) {
      const up = clamp(z, from, to) - from;
      const r = radius(from + up);
      return (PI * up * (r0 * r0 + r0 * r + r * r)) / 3;
    },
    areaAt: (z) => (z >= from && z <= to ? PI * radius(z) ** 2 : 0),
    holds: (px, py, pz) => pz >= from && pz <= to && hypot(px - x, py - y) <= radius(pz),
  };
}

/** A box with sides along the axes. Metres. */
export function cuboid({ x, y, a, b }: Rectangle, from: number, to: number): Solid {
  const area = 4 * a * b;
  return {
    below: (z) => area * (clamp(z, from, to) - from),
    areaAt: (z) => (z >= from && z <= to ? area : 0),
    holds: (px, py, pz) => pz >= from && pz <= to && abs(px - x) <= a && abs(py - y) <= b,
  };
}

/** A slab of one outline. Metres. */
export function slab(outline: Outline, from: number, to: number): Solid {
  const area = areaOf(outline);
  return {
    below: (z) => area * (clamp(z, from, to) - from),
    areaAt: (z) => (z >= from && z <= to ? area : 0),
    holds: (px, py, pz) => pz >= from && pz <= to && holds(outline, px, py),
  };
}

/** Half of a level chord through a circle of radius r whose lowest point is at 0. Metres. */
const halfChord = (r: number, z: number): number =>
  z <= 0 || z >= 2 * r ? 0 : sqrt(2 * r * z - z * z);

/** A pipe lying on the floor, of radius r about its middle line at height `axis`. Metres. */
export type Run =
  | { kind: 'straight'; x: number; y: number; half: number; along: 'x' | 'y' }
  /** A closed turn along an outline: the pipe's middle line. */
  | { kind: 'turn'; line: Outline };

/** Length of a run's middle line, metres. */
export function lengthOf(run: Run): number {
  if (run.kind === 'straight') return 2 * run.half;
  const { a, b, c } = run.line;
  return 4 * (a + b) - (8 - 2 * PI) * c;
}

/** Distance from a run's middle line, seen from above; infinite beyond its ends. Metres. */
export function asideOf(run: Run, x: number, y: number): number {
  if (run.kind === 'straight') {
    const [along, aside] = run.along === 'y' ? [y - run.y, x - run.x] : [x - run.x, y - run.y];
    return abs(along) <= run.half ? abs(aside) : Infinity;
  }
  const { a, b, c } = run.line;
  const [dx, dy] = [abs(x) - (a - c), abs(y) - (b - c)];
  if (dx > 0 && dy > 0) return abs(hypot(dx, dy) - c);
  return min(dy <= 0 ? abs(abs(x) - a) : Infinity, dx <= 0 ? abs(abs(y) - b) : Infinity);
}

/** A pipe along a run. @param axis height of its middle line, metres */
export function tubing(run: Run, r: number, axis: number): Solid {
  const long = lengthOf(run);
  return {
    below: (z) => long * segmentArea(r, z - axis + r),
    areaAt: (z) => long * 2 * halfChord(r, z - axis + r),
    holds: (x, y, z) => hypot(asideOf(run, x, y), z - axis) <= r,
  };
}

/** A body with a round of arch in its section, along y. @param profile its half width and area by height */
export function vault(
  { x, y, b }: Rectangle,
  profile: { halfAt(z: number): number; below(z: number): number },
  top: number,
): Solid {
  return {
    below: (z) => 2 * b * profile.below(clamp(z, 0, top)),
    areaAt: (z) => (z >= 0 && z <= top ? 2 * b * 2 * profile.halfAt(z) : 0),
    holds: (px, py, pz) =>
      pz >= 0 && pz <= top && abs(py - y) <= b && abs(px - x) <= profile.halfAt(pz),
  };
}

/** The inside of a vessel between two heights, metres. */
export function inside(vessel: Vessel, from: number, to: number): Solid {
  return {
    below: (z) => vessel.volumeBetween(from, clamp(z, from, to)),
    areaAt: (z) => (z >= from && z <= to ? vessel.areaAt(z) : 0),
    holds: (x, y, z) => z >= from && z <= to && holds(vessel.outlineAt(z), x, y),
  };
}

/** Walls and floor of a vessel that stands with its inside floor at `floor` about a place. Metres. */
export function walls(
  vessel: Vessel,
  wall: number,
  at: { x: number; y: number },
  floor: number,
): Solid {
  const outer = (z: number): Outline => grown(vessel.outlineAt(z - floor), wall);
  return {
    below: () => 0,
    areaAt: (z) =>
      z < floor - wall || z > floor + vessel.depth
        ? 0
        : areaOf(outer(z)) - (z > floor ? vessel.areaAt(z - floor) : 0),
    holds(x, y, z) {
      if (z < floor - wall || z > floor + vessel.depth) return false;
      if (!holds(outer(z), x - at.x, y - at.y)) return false;
      return z <= floor || !holds(vessel.outlineAt(z - floor), x - at.x, y - at.y);
    },
  };
}
