import type { Vessel } from '../geometry/vessels';
import type { Point } from './shape';

/**
 * The inside outline of a vessel from z0 to z1, as a closed polygon.
 *
 * @param at where the vessel's own axis and floor stand; z0 and z1 are heights of the drawing. Metres.
 * @param inset keeps this far from the wall
 */
export function insideBetween(
  vessel: Vessel,
  z0: number,
  z1: number,
  at: { x: number; floor: number } = { x: 0, floor: 0 },
  inset = 0,
): Point[] {
  const heights = [
    z0,
    ...vessel.bends.map((z) => z + at.floor).filter((z) => z > z0 && z < z1),
    z1,
  ];
  const half = (z: number) => Math.max(vessel.halfAt(z - at.floor) - inset, 0);
  const right = heights.map((z): Point => [at.x + half(z), z]);
  const left = [...heights].reverse().map((z): Point => [at.x - half(z), z]);
  return [...right, ...left];
}

/** Floor and walls of a vessel as one closed outline, t thick, with its own axis and floor at `at`. */
export function shellOf(
  vessel: Vessel,
  t: number,
  at: { x: number; floor: number } = { x: 0, floor: 0 },
): Point[] {
  const flat = vessel.halfAt(0) > 1e-6;
  const inner = vessel.bends.map((z): Point => [vessel.halfAt(z), z]);
  const outer = vessel.bends.map((z, i): Point => {
    if (flat) return [vessel.halfAt(z) + t, z];
    // A curved wall keeps its thickness across its slope.
    const before = vessel.bends[Math.max(i - 1, 0)] as number;
    const after = vessel.bends[Math.min(i + 1, vessel.bends.length - 1)] as number;
    const dx = vessel.halfAt(after) - vessel.halfAt(before);
    const length = Math.hypot(dx, after - before) || 1;
    const lean = Math.min(Math.max((after - before) / length, 0), 1);
    return [vessel.halfAt(z) + t * lean, z - (t * dx) / length];
  });
  const floor = vessel.halfAt(0) + t;
  const mirror = (points: readonly Point[]): Point[] => points.map(([x, z]) => [-x, z]);
  const bottom = (side: 1 | -1): Point[] => (flat ? [[side * floor, -t]] : []);
  return [
    ...bottom(1),
    ...outer,
    ...[...inner].reverse(),
    ...mirror(inner),
    ...mirror([...outer].reverse()),
    ...bottom(-1),
  ].map(([x, z]): Point => [x + at.x, z + at.floor]);
}
