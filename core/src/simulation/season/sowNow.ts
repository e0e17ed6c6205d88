import { cropOf, CROP_IDS, datesOf, type Crop, type CropId, type Site } from '../../catalog';
import { cropIn, usualPlanted, type Patch, type Planted } from '../../document';
import { plantingPlan, surfaceArea, type Planter } from '../../assembly';
import { dayAfter, daysBetween } from '../../physics/climate';
import { standsFor, together } from '../../physics/crop';
import { yearOf } from './year';

/** What can be sown or planted in a planter now, or when what grows there is cleared: by room, roots, frost and heat. */

/** Crops that stay longer than this are no matter of a season, days. */
const SEASONAL = 300;
/** A place that is cleared within so many days is one to sow for. */
const SOON = 21;
/** Roots may be short by this, metres. */
const LITTLE = 0.02;
/** More of one kind than this nobody sows at once. */
const MOST = 24;
/** What is ready sooner than this is sown in place, days. */
const QUICK = 60;
/** Crops that are sown where they grow. */
const SOWN: readonly Crop['habit'][] = ['root', 'climbing', 'grassy', 'rosette'];

export interface SowNow {
  crop: CropId;
  name: string;
  start: 'seed' | 'bought';
  count: number;
  /** The day on which it goes in, and of the first harvest: ISO dates. */
  on: string;
  harvest: string;
  /** What is cleared before, in words; null where there is room today. */
  after: string | null;
  /** Adds it to the design. */
  patch: Patch;
}

/** The days from planting on on which a place is free: today, and when what grows there is cleared soon. */
function free({ design }: Planter, day: number): { from: number; after: string | null }[] {
  const cleared = design.planting.crops
    .filter(({ count }) => count > 0)
    .map((one) => ({ from: one.from + standsFor(one), after: cropIn(one).name.toLowerCase() }))
    .filter(({ from }) => from > day && from <= day + SOON)
    .sort((a, b) => a.from - b.from);
  return [{ from: day, after: null }, ...cleared];
}

/** Plantings with those cleared that are over by a day; one that nobody has said the end of would stand there for ever. */
const clearedBy = (crops: readonly Planted[], day: number): Planted[] =>
  crops.map((one) =>
    one.stays === null && one.from + standsFor(one) <= day
      ? { ...one, stays: standsFor(one) }
      : one,
  );

/** Surface that a planting asks for, m². */
const asks = ({ count, spacing }: Planted): number => (count * Math.PI * spacing ** 2) / 4;

/** How many of a planting find a place beside what grows there, and surface that is nobody's. */
function roomFor(planter: Planter, there: readonly Planted[], planted: Planted): number {
  const { design } = planter;
  const beside = there.filter((one) => one.count > 0 && together(one, planted));
  const left = surfaceArea(planter) - beside.reduce((sum, one) => sum + asks(one), 0);
  const most = beside.length > 0 ? Math.floor(left / asks({ ...planted, count: 1 })) : MOST;
  if (most < 1) return 0;
  const crops = [...there, { ...planted, count: MOST }];
  const plan = plantingPlan({ ...planter, design: { ...design, planting: { crops } } });
  return Math.min(plan.stand.at(-1) ?? 0, most, MOST);
}

/**
 * What can go into a planter now, soonest harvest first.
 *
 * @param planted the planter's first day, and today: ISO dates
 */
export function sowNow(planter: Planter, planted: string, today: string, site: Site): SowNow[] {
  const { design, heights } = planter;
  const day = Math.max(daysBetween(planted, today), 0);
  const depth = heights.surface - heights.base;
  const there = new Set(
    design.planting.crops.filter((one) => one.from + standsFor(one) > day).map(({ crop }) => crop),
  );
  const times = free(planter, day);
  return CROP_IDS.flatMap((id): SowNow[] => {
    const crop = cropOf(id);
    if (crop.roots > depth + LITTLE || crop.habit === 'tree') return [];
    const { seed, plant, life } = datesOf(id);
    const sown = SOWN.includes(crop.habit) || (seed ?? Infinity) <= QUICK;
    const start = seed !== null && (plant === null || sown) ? 'seed' : 'bought';
    for (const { from, after } of times) {
      const one = usualPlanted(id, 1, { from, start });
      if (life?.first !== 1 && standsFor(one) > SEASONAL) return [];
      const alone = { ...design, planting: { crops: [one] } };
      const bar = yearOf(alone, planted, site).bars[0];
      // Too cold, too hot, or no time left before the frost.
      if (!bar || bar.says.length > 0) continue;
      const cleared = clearedBy(design.planting.crops, from);
      const count = roomFor(planter, cleared, one);
      // More of the same is no news where it grows already.
      if (count === 0 || (there.has(id) && after === null)) continue;
      return [
        {
          ...{ crop: id, name: crop.name, start, count, after },
          on: dayAfter(planted, from),
          harvest: bar.harvest,
          patch: [
            {
              path: ['planting', 'crops'],
              value: [...cleared, { ...one, count }],
            },
          ],
        },
      ];
    }
    return [];
  }).sort((a, b) => a.harvest.localeCompare(b.harvest));
}
