import type { WeatherDay } from '../../physics/climate';
import type { SeasonRun } from './run';

/** The same season in many weathers: what is likely, and how sure that is. */

/** 10th, 50th and 90th percentile. */
export interface Spread {
  low: number;
  middle: number;
  high: number;
}

/** Percentiles of some numbers, in a straight line between them. NaN without any. */
export function spreadOf(values: readonly number[]): Spread {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number): number => {
    const place = share * (sorted.length - 1);
    const low = sorted[Math.floor(place)] ?? NaN;
    const high = sorted[Math.ceil(place)] ?? NaN;
    return low + (high - low) * (place - Math.floor(place));
  };
  return { low: at(0.1), middle: at(0.5), high: at(0.9) };
}

/** A season in numbers. Volumes m³. */
export interface Totals {
  drunk: number;
  asked: number;
  /** Given in all, through the tube and on top, and on how many days. */
  filled: number;
  fills: number;
  rain: number;
  overflow: number;
  evaporated: number;
  dryDays: number;
  drownedDays: number;
}

export function totalsOf({ days }: Pick<SeasonRun, 'days'>): Totals {
  const sum = (value: (day: SeasonRun['days'][number]) => number): number =>
    days.reduce((total, day) => total + value(day), 0);
  return {
    drunk: sum((day) => day.drunk),
    asked: sum((day) => day.asked),
    filled: sum((day) => day.filled + day.poured),
    fills: sum((day) => (day.filled + day.poured > 0 ? 1 : 0)),
    rain: sum((day) => day.rain),
    overflow: sum((day) => day.overflow),
    evaporated: sum((day) => day.evaporated),
    dryDays: sum((day) => (day.stress === 'dry' ? 1 : 0)),
    drownedDays: sum((day) => (day.stress === 'drowned' ? 1 : 0)),
  };
}

/** Spread by day of the levels of many runs, each a list by day. Metres. */
export const levelSpread = (levels: readonly (readonly number[])[]): Spread[] =>
  (levels[0] ?? []).map((_, d) => spreadOf(levels.map((one) => one[d] ?? 0)));

/**
 * From each day of a season on, how many days a full reservoir lasts until no more is left than
 * `beyond`, by what was drawn from it on those days; the last days, which the season is too short for,
 * have null.
 *
 * @param beyond m³
 */
export function lastsFrom(
  { days, full }: Pick<SeasonRun, 'days' | 'full'>,
  beyond: number,
): (number | null)[] {
  const drawn = days.map((day, i) => {
    const before = i === 0 ? full : (days[i - 1]?.water ?? full);
    return before + day.filled - day.water;
  });
  return days.map((_, from) => {
    let left = full - beyond;
    for (let d = from; d < drawn.length; d += 1) {
      left = Math.min(left - (drawn[d] as number), full - beyond);
      if (left <= 0) return d - from;
    }
    return null;
  });
}

/** Days before the first on which plants go short, in a run that stops there. */
export function daysLasted({ days }: Pick<SeasonRun, 'days'>): number {
  const short = days.findIndex(({ stress }) => stress !== 'none');
  return short < 0 ? days.length : short;
}

/** Nights this cold freeze the water in a vessel that stands outside, °C. Typical. */
const FREEZES = -2;

/** The first day on which the reservoir may freeze; null where none is that cold. */
export const freezesOn = (weather: readonly Pick<WeatherDay, 'date' | 'tMin'>[]): string | null =>
  weather.find(({ tMin }) => tMin <= FREEZES)?.date ?? null;

/** How sure one can be that plants do not go short. */
export interface Absence {
  /** Share of weathers in which they do not, 0 to 1. */
  sure: number;
  /** Days that are safe in nine weathers of ten. */
  safe: number;
  /** Days until they go short in the middling weather; null when that lies beyond what was looked at. */
  middling: number | null;
}

/**
 * An absence, from runs that begin full on the day of leaving and are never filled.
 *
 * @param lasted days before the first short one, in each weather; @param wanted days away
 */
export function absenceOf(lasted: readonly number[], wanted: number, most: number): Absence {
  const { low, middle } = spreadOf(lasted);
  const ok = lasted.filter((days) => days >= wanted).length;
  return {
    sure: lasted.length > 0 ? ok / lasted.length : 0,
    safe: Math.floor(low + 1e-9),
    middling: middle >= most ? null : Math.round(middle),
  };
}
