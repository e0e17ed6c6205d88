import { airCeiling, USUAL_AIR_GAP, type Change, type Patch, type PlanterDesign } from '../design';
import { LEAST_SOIL } from '../planter';

/** Changes that several remedies are made of. Lengths in metres. */

/** The least air gap that roots need. */
export const LEAST_AIR_GAP = 0.01;

const MM = 1000;
/** Down or up to a whole millimetre, as one can mark it. */
export const downToMm = (length: number): number => Math.floor(length * MM + 1e-6) / MM;
export const upToMm = (length: number): number => Math.ceil(length * MM - 1e-6) / MM;

export const set = (path: Change['path'], value: unknown): Change => ({ path, value });

/** Moves the platform's underside (or the bottles' tops) and keeps `gap` between it and the lip. */
export function moveBase(design: PlanterDesign, ceiling: number, gap: number): Patch {
  const path = ['reservoir', design.reservoir.kind === 'platform' ? 'underside' : 'height'];
  const patch = [set(path, ceiling)];
  if (design.overflow) {
    patch.push(set(['overflow', 'centre'], ceiling - gap + design.overflow.diameter / 2));
  }
  return patch;
}

/** The highest that the ceiling may stand and leave `depth` of soil. */
export function highestCeiling(design: PlanterDesign, depth = LEAST_SOIL): number {
  const slab = design.reservoir.kind === 'platform' ? design.reservoir.thickness : 0;
  return design.vessel.depth - design.soil.freeboard - depth - slab;
}

/** The gap to keep when the platform moves: what there is now, if that is sound. */
export function gapToKeep(design: PlanterDesign): number {
  if (!design.overflow) return USUAL_AIR_GAP;
  const now = airCeiling(design.reservoir) - design.overflow.centre + design.overflow.diameter / 2;
  return now >= LEAST_AIR_GAP && now <= 2 * USUAL_AIR_GAP ? now : USUAL_AIR_GAP;
}
