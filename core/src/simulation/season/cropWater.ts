import { cropIn, type PlantingDesign } from '../../document';
import { daysBetween } from '../../physics/climate';
import { growthOf } from '../../physics/crop';
import type { SeasonDay } from './run';

/** What a crop drinks in a season. */
export interface CropWater {
  crop: string;
  /** Plants of it, over all its plantings. */
  count: number;
  /** In the season, m³, and as a share of what all crops drink. */
  volume: number;
  share: number;
  /** On its thirstiest day, m³, and that day; none where it drinks nothing. */
  most: { volume: number; date: string } | null;
}

/**
 * What each crop of a planter drinks: a day's water is parted as the thirst of that day is (basal crop coefficient times
 * the ground that leaves cover, FAO-56 chapter 7, as the season itself adds it up).
 *
 * @param planted ISO date of the planter's first day
 * @returns thirstiest first; a crop with several plantings once
 */
export function cropWater(
  { crops }: PlantingDesign,
  days: readonly Pick<SeasonDay, 'date' | 'drunk'>[],
  planted: string,
): CropWater[] {
  const all = new Map<string, Omit<CropWater, 'share'>>();
  for (const one of crops) {
    const { name } = cropIn(one);
    const known = all.get(name) ?? { crop: name, count: 0, volume: 0, most: null };
    all.set(name, { ...known, count: known.count + one.count });
  }
  let sum = 0;
  for (const { date, drunk } of days) {
    const age = Math.max(daysBetween(planted, date), 0);
    const thirsts = crops.map((one) => growthOf(one, age).thirst);
    const thirst = thirsts.reduce((before, one) => before + one, 0);
    if (thirst <= 0) continue;
    const today = new Map<string, number>();
    crops.forEach((one, i) => {
      const { name } = cropIn(one);
      today.set(name, (today.get(name) ?? 0) + (drunk * thirsts[i]!) / thirst);
    });
    for (const [name, volume] of today) {
      const known = all.get(name)!;
      const most = volume > (known.most?.volume ?? 0) ? { volume, date } : known.most;
      all.set(name, { ...known, volume: known.volume + volume, most });
    }
    sum += drunk;
  }
  return [...all.values()]
    .map((one) => ({ ...one, share: sum > 0 ? one.volume / sum : 0 }))
    .sort((a, b) => b.volume - a.volume);
}
