import { randomSource } from '../../numerics';
import { dayAfter } from '../../physics/climate';
import { SHORT } from '../../physics/crop';
import { dayBuffers, advanceDay, type DayBuffers, type FilterSetting } from './daily';
import { freeVolume } from './measurement';
import { levelSpreadOf } from './estimator';
import { copyParticles, evenly, quantilesOf, type Particles, type Quantiles } from './particles';

/** What a planter does from a morning on if nobody fills it: every particle in a weather of its own. */

/** What is to come. */
export interface Forecast {
  /** The level now, metres, and the water in it, m³: tenth, half and nine tenths. */
  level: Quantiles;
  water: Quantiles;
  /** The day on which it is to be filled again; null where that lies beyond the days that are looked at. */
  next: { early: string; likely: string; late: string | null };
  /** The last day that is looked at; what is likely on it may as well be later. */
  until: string;
  /** Days of the level to come, metres. */
  fan: readonly Quantiles[];
  /** The day on which plants begin to go short if nobody fills; null where that lies beyond the days. */
  short: { early: string | null; likely: string | null };
  /** What plants and surface ask for on a day of the next week, m³. */
  daily: number;
}

/** Days that count as the next ones. */
const DAYS_SOON = 7;

/** Whether plants of a particle want water on a day; those that stand too wet want air. */
export const goesShort = (
  { table }: FilterSetting,
  { soil }: Particles,
  { share }: DayBuffers,
  i: number,
): boolean => (share[i] as number) < SHORT && (soil[i] as number) <= table.rested;

/** Particles that go ahead. */
const GO = 160;

/** The paths of the particles from the morning of a day on. */
interface Paths {
  /** Days until each reads low, and until its plants go short; Infinity where it does not within the days. */
  low: Float64Array;
  short: Float64Array;
  fan: Quantiles[];
  /** Asked on a day of the next week, m³, by particle. */
  daily: Float64Array;
}

/** @param days at most; it ends earlier once all read low and go short, but not before the next ones are over */
function pathsFrom(
  setting: FilterSetting,
  from: Particles,
  today: string,
  days: number,
  seed: number,
): Paths {
  const particles = copyParticles(from);
  const count = particles.weight.length;
  const { table, figures, model } = setting;
  const mark = figures.usableLevel + 1e-4;
  const low = new Float64Array(count).fill(Infinity);
  const short = new Float64Array(count).fill(Infinity);
  const daily = new Float64Array(count);
  const out = dayBuffers(count);
  const fan = [levelSpreadOf(setting, particles)];
  const level = (i: number): number => table.level(particles.water[i] as number);
  const emptyBarrel = 0.01 * (model.barrel?.volume ?? 0);
  const before = Float64Array.from({ length: count }, (_, i) => level(i));
  for (let i = 0; i < count; i += 1)
    if ((before[i] as number) <= mark && (particles.barrel[i] as number) <= emptyBarrel) low[i] = 0;
  const soon = Math.min(DAYS_SOON, days);
  let open = 2 * count;
  for (let d = 0; d < days && (open > 0 || d < soon); d += 1) {
    const date = dayAfter(today, d);
    advanceDay(setting, particles, date, randomSource(seed + 7919 * (d + 1)), null, out);
    open = 0;
    for (let i = 0; i < count; i += 1) {
      const stands = level(i);
      if (low[i] === Infinity && stands <= mark && (particles.barrel[i] as number) <= emptyBarrel) {
        const fell = (before[i] as number) - stands;
        low[i] =
          d + (fell > 0 ? Math.min(Math.max(((before[i] as number) - mark) / fell, 0), 1) : 0);
      }
      if (short[i] === Infinity && goesShort(setting, particles, out, i)) short[i] = d;
      if (d < soon) daily[i] = (daily[i] as number) + (out.asked[i] as number) / soon;
      open += (low[i] === Infinity ? 1 : 0) + (short[i] === Infinity ? 1 : 0);
      before[i] = stands;
    }
    fan.push(levelSpreadOf(setting, particles));
  }
  return { low, short, fan, daily };
}

/** The forecast from what is believed on a morning. */
export function forecastFrom(
  setting: FilterSetting,
  all: Particles,
  today: string,
  days: number,
  seed: number,
): Forecast {
  const particles = evenly(all, GO, randomSource(seed));
  const paths = pathsFrom(setting, particles, today, days, seed);
  const low = quantilesOf(particles, (i) => Math.min(paths.low[i] as number, days + 1));
  const short = quantilesOf(particles, (i) => Math.min(paths.short[i] as number, days + 1));
  const on = (at: number): string => dayAfter(today, Math.floor(Math.min(at, days)));
  const within = (at: number): string | null => (at > days ? null : on(at));
  return {
    level: levelSpreadOf(setting, particles),
    water: quantilesOf(particles, (i) => fullOf(setting) - freeVolume(setting, particles, i)),
    next: {
      early: on(low.low),
      likely: on(low.middle),
      late: low.high > days ? null : on(low.high),
    },
    until: dayAfter(today, days),
    fan: paths.fan,
    short: { early: within(short.low), likely: within(short.middle) },
    daily: quantilesOf(particles, (i) => paths.daily[i] as number).middle,
  };
}

/** What it holds when it is full, with its barrel, m³. */
const fullOf = ({ table, model }: FilterSetting): number =>
  table.full + (model.barrel?.volume ?? 0);
