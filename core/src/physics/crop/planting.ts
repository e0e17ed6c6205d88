import type { Crop } from '../../catalog';
import { cropIn, type Planted, type PlantingDesign } from '../../document';
import { behind, lastPick } from './dates';
import { rootLimit } from './roots';
import { stageIn, type Stage } from './stages';

/**
 * What grows in a planter as a whole: thirst, cover and roots of all its plantings by day. What a list asks
 * is the sum of what its members ask.
 */

/** Part of a crop coefficient that is the soil's own evaporation (FAO-56, table 17: Kcb ≈ Kc − 0.05). */
const SOIL_PART_OF_KC = 0.05;

/** All plantings on a day. */
export interface Growth {
  /** Basal crop coefficients times the ground that leaves cover, m²: thirst over reference evapotranspiration. */
  thirst: number;
  /** Ground that leaves cover, m². */
  foliage: number;
  /** The stage of the thirstiest. */
  stage: Stage['name'];
}

const NOTHING: Growth = { thirst: 0, foliage: 0, stage: 'over' };

/** Ground that the grown leaves of a planting cover, m². */
export const foliageOf = ({ count, foliage }: Pick<Planted, 'count' | 'foliage'>): number =>
  count * (Math.PI / 4) * foliage ** 2;

/** Whether a planting stands in the planter on a day, counted from the planter's first. */
export const standsOn = ({ from, stays }: Planted, day: number): boolean =>
  day >= from && (stays === null || day < from + stays);

/** The first day on which a planting is gone; Infinity where it stays to the end. */
export const goneOn = ({ from, stays }: Planted): number =>
  stays === null ? Infinity : from + stays;

/** Whether two plantings stand in the planter at the same time. */
export const together = (one: Planted, other: Planted): boolean =>
  one.from < goneOn(other) && other.from < goneOn(one);

/**
 * What a planting asks on a day, counted from the planter's first. A plant that was raised in a pot has its
 * first stage behind it only in part: stages count from the day on which a bought one comes into the planter, as
 * FAO-56's do, and what is sown there or set out smaller is young for longer.
 */
export function growthOf(planted: Planted, day: number): Growth {
  if (!standsOn(planted, day)) return NOTHING;
  const { kc, cover, name } = stageIn(cropIn(planted), day - planted.from - behind(planted));
  const foliage = foliageOf(planted) * cover;
  return { thirst: Math.max(kc - SOIL_PART_OF_KC, 0) * foliage, foliage, stage: name };
}

/** What all plantings ask on a day, counted from the planter's first; days before it count as the first. */
export function growthOn({ crops }: PlantingDesign, day: number): Growth {
  let all = NOTHING;
  let most = 0;
  for (const planted of crops) {
    const one = growthOf(planted, Math.max(day, 0));
    const leads = all === NOTHING || one.thirst > most;
    if (one.foliage === 0 && one.thirst === 0 && one.stage === 'over') continue;
    most = Math.max(most, one.thirst);
    all = {
      thirst: all.thirst + one.thirst,
      foliage: all.foliage + one.foliage,
      stage: leads ? one.stage : all.stage,
    };
  }
  return all;
}

const QUARTERS = [0.25, 0.5, 0.75];

/**
 * Peaks are looked for on the days on which some planting comes or goes, and where one of its stages begins or ends:
 * between them the thirst of all together runs nearly
 * straight, so that few days there tell the rest.
 */
function turningDays({ crops }: PlantingDesign): number[] {
  const days = crops.flatMap((planted) => {
    const { from, stays } = planted;
    let at = from + behind(planted);
    const ends = cropIn(planted).stages.map((stage) => (at += stage));
    const gone = stays === null ? Infinity : from + Math.max(stays - 1, 0);
    return [from, ...ends, gone]
      .flatMap((day) => [Math.floor(day) - 1, Math.floor(day), Math.ceil(day)])
      .map((day) => Math.min(day, gone))
      .filter((day) => day >= 0 && Number.isFinite(day));
  });
  const turns = [...new Set(days)].sort((a, b) => a - b);
  const between = turns.slice(1).flatMap((day, i) => {
    const before = turns[i] as number;
    return QUARTERS.map((part) => Math.round(before + part * (day - before)));
  });
  return [...turns, ...between];
}

const peaks = new WeakMap<PlantingDesign, { day: number; growth: Growth }>();

/** The thirstiest that all plantings together get, and the day. */
export function peakOf(planting: PlantingDesign): { day: number; growth: Growth } {
  const known = peaks.get(planting);
  if (known) return known;
  let peak = { day: 0, growth: growthOn(planting, 0) };
  for (const day of turningDays(planting)) {
    const growth = growthOn(planting, day);
    if (growth.thirst > peak.growth.thirst) peak = { day, growth };
  }
  peaks.set(planting, peak);
  return peak;
}

/** The crop that asks the most root room, and none where nothing grows. */
export function deepest({ crops }: PlantingDesign): Crop | null {
  let most: Crop | null = null;
  for (const planted of crops) {
    const crop = cropIn(planted);
    if (!most || crop.roots > most.roots) most = crop;
  }
  return most;
}

/** How deep roots go where nothing stops them, metres: those of the crop that goes deepest. */
export const deepestRoots = (planting: PlantingDesign): number => {
  const crop = deepest(planting);
  return crop ? rootLimit(crop) : 0;
};

/** How deep the roots of what stands there on a day may be: how deep they go, and how long they have had. */
export function rootsOn({ crops }: PlantingDesign, day: number): { limit: number; days: number } {
  let limit = 0;
  let days = 0;
  for (const planted of crops) {
    if (!standsOn(planted, Math.max(day, 0))) continue;
    limit = Math.max(limit, rootLimit(cropIn(planted)));
    days = Math.max(days, day - planted.from);
  }
  return { limit, days };
}

/**
 * How many times what it would at the distance of open ground a surface drinks that is planted so close: plants on it
 * go with the square of the distance.
 */
export const closeness = (planted: Planted): number =>
  (cropIn(planted).openSpacing / planted.spacing) ** 2;

/** Plants of all plantings, those that follow one another counted one by one. */
export const countOf = ({ crops }: PlantingDesign): number =>
  crops.reduce((sum, { count }) => sum + count, 0);

/** Days until the last planting is over: cleared, or ripe. */
export const plantingLength = ({ crops }: PlantingDesign): number =>
  crops.reduce(
    (most, planted) => Math.max(most, planted.from + (planted.stays ?? lastPick(planted))),
    0,
  );
