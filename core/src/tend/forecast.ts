import { dayAfter, type WeatherDay } from '../climate';
import type { SeasonRun } from '../season';
import { below, type Quantiles } from './belief';
import { dayOf, runThirsty, wateringsOf, withRain, type Tended, type Thirst } from './thirst';

/** What is to come. */
export interface Forecast {
  /** The level now, metres, and the water in it, m³: tenth, half and nine tenths. */
  level: Quantiles;
  water: Quantiles;
  /** The day on which it is to be filled again; null where that lies beyond the days that are looked at. */
  next: { early: string; likely: string; late: string | null };
  /** Days of the level to come, metres. */
  fan: readonly Quantiles[];
  /** The day on which plants begin to go short if nobody fills; null where none does. */
  short: string | null;
  /** What plants and surface ask for on a day of the next week, m³. */
  daily: number;
}

/** Days before it was last full from which on a forecast is run, so that the soil is as wet as it is. */
const WARM_UP = 10;

/** Days that count as the next ones. */
const DAYS_SOON = 7;

/** Parts of the belief that the forecast is run for, one each. */
const SHARES = [1 / 6, 1 / 2, 5 / 6] as const;

/** From a day to come on nothing more is to be learned: plants go short, and it is low. */
const overOn =
  ({ figures }: Tended, past: readonly WeatherDay[]) =>
  ({ date, stress, level }: SeasonRun['days'][number]): boolean =>
    stress === 'dry' && date > (past.at(-1)?.date ?? '') && level <= figures.usableLevel + 1e-4;

/**
 * What a planter does from now on if nobody fills it.
 *
 * @param ahead weathers to come, each from the day after the last known one on
 */
export function forecastOf(
  tended: Tended,
  thirst: Thirst,
  ahead: readonly (readonly WeatherDay[])[],
): Forecast {
  const warm = dayAfter(thirst.fullOn, -WARM_UP);
  const begin = warm > tended.planted ? warm : tended.planted;
  const entries = tended.entries.filter((entry) => dayOf(entry) >= begin);
  const past = withRain(tended.weather, entries).filter(({ date }) => date >= begin);
  const waterings = wateringsOf(entries);
  const today = past.length;
  const runs = SHARES.flatMap((share) => {
    const factor = below(thirst.belief, share);
    return ahead.map((days) =>
      runThirsty(tended, [...past, ...days], factor, waterings, { until: overOn(tended, past) }),
    );
  });
  const length = past.length + (ahead[0]?.length ?? 0);
  const spread = (of: (run: SeasonRun) => number): Quantiles => {
    const sorted = runs.map(of).sort((a, b) => a - b);
    const at = (share: number): number =>
      sorted[Math.min(Math.round(share * (sorted.length - 1)), sorted.length - 1)] as number;
    return { low: at(0.1), middle: at(0.5), high: at(0.9) };
  };
  // Filled this morning it is full now, whatever the evening before was like.
  const filledNow = ahead[0]?.[0]?.date === thirst.fullOn;
  const now = Math.max(today - 1, 0);
  const brim = tended.planter.heights.brim;
  const levelOn = (run: SeasonRun, i: number): number =>
    (filledNow || today === 0) && i === now ? brim : ((run.days[i] ?? run.days.at(-1))?.level ?? 0);
  const from = filledNow ? today : now;
  const low = (run: SeasonRun): number => {
    const at = run.days.findIndex(
      ({ level }, i) => i >= from && level <= tended.figures.usableLevel + 1e-4,
    );
    if (at >= 0) return at;
    // Plants went short before it was low.
    return run.days.length < length ? run.days.length - 1 : length;
  };
  const when = spread(low);
  const dateOf = (i: number): string => dayAfter(begin, Math.round(i));
  const shorts = runs
    .map(({ days }) => days.findIndex(({ stress }, i) => i >= from && stress === 'dry'))
    .map((i) => (i < 0 ? Infinity : i))
    .sort((a, b) => a - b);
  const short = shorts[Math.floor(shorts.length * 0.1)] ?? Infinity;
  return {
    level: spread((run) => levelOn(run, now)),
    water: spread((run) => (filledNow || today === 0 ? run.full : (run.days[now]?.water ?? 0))),
    next: {
      early: dateOf(when.low),
      likely: dateOf(when.middle),
      late: when.high >= length ? null : dateOf(when.high),
    },
    fan: Array.from({ length: Math.max(length - now, 0) }, (_, i) =>
      spread((run) => levelOn(run, now + i)),
    ),
    short: Number.isFinite(short) ? dateOf(short) : null,
    daily: spread((run) => {
      const soon = run.days.slice(today, today + DAYS_SOON);
      const asked = soon.reduce((sum, day) => sum + day.asked + day.evaporated, 0);
      return asked / Math.max(soon.length, 1);
    }).middle,
  };
}
