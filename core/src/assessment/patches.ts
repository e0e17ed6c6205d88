import {
  airCeiling,
  baseStyle,
  invertOf,
  lipBelowMark,
  soilBaseHeight,
  standsOnStone,
  USUAL_AIR_GAP,
  type Change,
  type Patch,
  type PlanterDesign,
} from '../document';
import { LEAST_SOIL } from '../assembly';
import { q, say } from '../units';
import type { Remedy } from './finding';

/** Changes that several remedies are made of. Lengths in metres. */

/** The least air gap that roots need. */
export const LEAST_AIR_GAP = 0.01;

/** A hole's upper edge keeps this far under a platform, metres. */
const CLEAR_OF_PLATFORM = 0.002;

/** From the lip to the top of the base so that the whole opening lies below it; 0 where no opening is in its way. */
export function openingAboveLip(design: PlanterDesign): number {
  const { overflow } = design;
  const style = baseStyle(design);
  if (!overflow || overflow.kind === 'rim' || overflow.kind === 'rows' || style === 'bag') return 0;
  const clear = style === 'gap' ? CLEAR_OF_PLATFORM : 0;
  return lipBelowMark(overflow) + overflow.diameter / 2 + clear;
}

const MM = 1000;
/** Down or up to a whole millimetre, as one can mark it. */
export const downToMm = (length: number): number => Math.floor(length * MM + 1e-6) / MM;
export const upToMm = (length: number): number => Math.ceil(length * MM - 1e-6) / MM;

export const set = (path: Change['path'], value: unknown): Change => ({ path, value });

/** Marks the overflow so that its lip stands at `lip`; nothing for an overflow over the rim. */
export function moveLip({ overflow }: PlanterDesign, lip: number): Patch {
  return overflow && overflow.kind !== 'rim'
    ? [set(['overflow', 'centre'], lip + lipBelowMark(overflow))]
    : [];
}

/** The remedy that marks the overflow so that its lip stands at `lip`; none for an overflow over the rim. */
export function markRemedies(design: PlanterDesign, lip: number): Remedy[] {
  const { overflow } = design;
  if (!overflow || overflow.kind === 'rim') return [];
  const mark = lip + lipBelowMark(overflow);
  return [
    {
      label: say`Move the mark to ${q(mark, 'length')}, lip ${q(lip, 'length')}`,
      patch: moveLip(design, lip),
    },
  ];
}

/** Moves the top of the base and keeps `gap` between it and the lip. */
export function moveBase(design: PlanterDesign, ceiling: number, gap: number): Patch {
  return [set(['reservoir', 'top'], ceiling), ...moveLip(design, ceiling - gap)];
}

/** The highest that the ceiling may stand and leave `depth` of soil; `rim` is where the soil ends. */
export function highestCeiling(design: PlanterDesign, rim: number, depth = LEAST_SOIL): number {
  const slab = soilBaseHeight(design) - airCeiling(design);
  return rim - design.soil.freeboard - depth - slab;
}

/** The gap to keep when the platform moves: what there is now, if that is sound, and what the opening takes. */
export function gapToKeep(design: PlanterDesign): number {
  return Math.max(soundGap(design), openingAboveLip(design));
}

function soundGap(design: PlanterDesign): number {
  const lip = invertOf(design);
  if (lip === null) return USUAL_AIR_GAP;
  const now = airCeiling(design) - lip;
  const least = standsOnStone(design) ? 0 : LEAST_AIR_GAP;
  return now >= least && now <= 2 * USUAL_AIR_GAP ? now : USUAL_AIR_GAP;
}
