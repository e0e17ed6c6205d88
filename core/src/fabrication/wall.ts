import { grown, perimeterOf, type Vessel } from '../geometry/vessels';
import type { PlanterDesign } from '../document';

/** The wall as a tape laid on its outside finds it: lengths up it and round it. */

/** Slope of the wall that the overflow is drilled in: metres outward for each metre up. */
function slopeAt(vessel: Vessel, z: number): number {
  const upper = vessel.bends.find((bend) => bend >= z - 1e-9 && bend > 0) ?? vessel.depth;
  const lower = [...vessel.bends].reverse().find((bend) => bend < upper - 1e-12) ?? 0;
  return (vessel.halfAt(upper) - vessel.halfAt(lower)) / (upper - lower);
}

/** Whether the overflow's wall is upright whatever the sides do: the end of a lying half barrel. */
const inFlatEnd = ({ vessel }: PlanterDesign): boolean => vessel.kind === 'lying';

/**
 * How far it is up the wall from the inside floor's level to height z, along the slant. Metres.
 *
 * @param vessel of the planter, with the overflow in the wall at −x
 */
export function upTheWall(design: PlanterDesign, vessel: Vessel, z: number): number {
  if (inFlatEnd(design)) return z;
  let length = 0;
  let from = 0;
  for (const bend of [...vessel.bends.filter((one) => one > 0 && one < z), z]) {
    const outward = vessel.halfAt(bend) - vessel.halfAt(from);
    length += Math.hypot(bend - from, outward);
    from = bend;
  }
  return length;
}

/** Half angle of the cone that a round, evenly tapered wall is part of; 0 where it is upright. Radians. */
export function taperOf(design: PlanterDesign, vessel: Vessel, z: number): number {
  return design.vessel.kind === 'round' ? Math.atan(slopeAt(vessel, z)) : 0;
}

/** Way round the outside of the wall at height z. Metres. */
export function roundTheWall(vessel: Vessel, z: number): number {
  // A wall's thickness is measured square to it, so level with the ground it is a little more.
  const level = vessel.wall * Math.hypot(1, slopeAt(vessel, z));
  return perimeterOf(grown(vessel.outlineAt(z), level));
}
