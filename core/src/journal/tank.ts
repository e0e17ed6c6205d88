import type { Site } from '../catalog';
import {
  daysThatCount,
  dayAfter,
  daysBetween,
  type MeasuredDay,
  type WeatherDay,
} from '../physics/climate';
import { currentEntries, type LogEntry } from './entry';
import { WEATHERS } from './estimator';
import { rainIn, weathersThere, type TendedState } from './state';
import type { RainTank } from './rainTank';

/** A tank that a roof fills: what it has, what it catches, and when it runs dry. */

/** Share of the rain on a hard roof that comes down its pipe. Typical: 0.8 to 0.9 for tiles and metal (DIN 1989-1). */
const RUNS_OFF = 0.85;
/** Rain under which a day counts as dry, metres. */
const DRY = 5e-4;

/** A day of the tank. Volumes m³. */
export interface TankDay {
  date: string;
  /** In it at the end of the day. */
  water: number;
  caught: number;
  /** Ran over because it was full. */
  spilled: number;
  drawn: number;
  /** Asked for and not there. */
  short: number;
}

/**
 * The tank through days, from the morning on which somebody looked into it.
 *
 * @param days weather of each day from then on
 * @param wanted what is taken out on a day, m³
 */
export function tankDays(
  tank: RainTank,
  days: readonly WeatherDay[],
  wanted: (date: string) => number,
): TankDay[] {
  let { water } = tank;
  let dry = true;
  return days.map(({ date, rain }) => {
    const asked = wanted(date);
    const drawn = Math.min(asked, water);
    const came = rain * tank.roof * RUNS_OFF - (dry ? tank.firstFlush : 0);
    const caught = rain < DRY ? 0 : Math.max(came, 0);
    const room = tank.size - (water - drawn);
    const spilled = Math.max(caught - Math.max(room, 0), 0);
    water = water - drawn + caught - spilled;
    dry = rain < DRY;
    return { date, water, caught, spilled, drawn, short: asked - drawn };
  });
}

/** How a tank stands and what is to come. */
export interface TankOutlook {
  /** In it now, m³: likely; where rain was not measured it is that of the middling weather. */
  water: number;
  /** What fell into it since somebody looked, and what was taken, m³. */
  caught: number;
  drawn: number;
  /** What is taken on a usual day from now on, m³. */
  daily: number;
  /** The day on which it likely runs dry, and early if little rain falls; null beyond the days looked at. */
  dry: { early: string | null; likely: string | null };
}

/**
 * What a tank has today and how long that serves.
 *
 * @param was weathers that may have been from the day on which somebody looked, up to today
 * @param given what was filled on days since then, m³
 * @param ahead weathers to come, from today on, one for each of those
 * @param daily what planters drink on a day, m³
 */
export function tankOutlook(
  tank: RainTank,
  was: readonly (readonly WeatherDay[])[],
  given: ReadonlyMap<string, number>,
  ahead: readonly (readonly WeatherDay[])[],
  daily: number,
): TankOutlook {
  const runs = was.map((days, i) => {
    const past = tankDays(tank, days, (date) => given.get(date) ?? 0);
    const water = past.at(-1)?.water ?? tank.water;
    const sum = (of: (day: TankDay) => number): number =>
      past.reduce((all, day) => all + of(day), 0);
    const dry = tankDays({ ...tank, water }, ahead[i] ?? [], () => daily).find(
      ({ short }) => short > daily * 0.01,
    );
    return {
      water,
      caught: sum((day) => day.caught - day.spilled),
      drawn: sum(({ drawn }) => drawn),
      dry: dry?.date ?? null,
    };
  });
  const middling = (of: (run: (typeof runs)[number]) => number): number => {
    const sorted = runs.map(of).sort((a, b) => a - b);
    return sorted[Math.floor(sorted.length / 2)] ?? 0;
  };
  const dries = runs.map(({ dry }) => dry).sort((a, b) => (a ?? '9').localeCompare(b ?? '9'));
  return {
    water: runs.length > 0 ? middling(({ water }) => water) : tank.water,
    caught: middling(({ caught }) => caught),
    drawn: middling(({ drawn }) => drawn),
    daily,
    dry: {
      early: dries[Math.floor(dries.length / 10)] ?? null,
      likely: dries[Math.floor(dries.length / 2)] ?? null,
    },
  };
}

/** How far a tank is looked ahead, days. */
export const TANK_AHEAD = 45;

/** What a tank's standing follows from, besides itself. */
interface TankQuestion {
  /** How the planters stand that are filled from it. */
  states: readonly Pick<TendedState, 'past' | 'forecast'>[];
  entries: readonly LogEntry[];
  site: Site;
  days: readonly MeasuredDay[];
  /** ISO date. */
  today: string;
}

/** How a tank stands today, from the weather that may have been and what its planters were given. */
export function tankStands(
  tank: RainTank,
  { states, entries, site, days, today }: TankQuestion,
): TankOutlook {
  const weathers = weathersThere({ site, days: daysThatCount(days, today) });
  const noted = rainIn(currentEntries(entries));
  const stretch = (from: string, count: number, which: number): WeatherDay[] =>
    Array.from({ length: Math.max(count, 0) }, (_, i) => {
      const day = weathers.on(dayAfter(from, i), which);
      return { ...day, rain: noted.get(day.date) ?? day.rain };
    });
  const since = daysBetween(tank.seen, today);
  const each = Array.from({ length: WEATHERS }, (_, which) => which);
  const given = new Map<string, number>();
  for (const { past } of states)
    past.filled.forEach((volume, i) => {
      const date = dayAfter(past.from, i);
      given.set(date, (given.get(date) ?? 0) + volume);
    });
  const daily = states.reduce((sum, { forecast }) => sum + forecast.daily, 0);
  return tankOutlook(
    tank,
    each.map((which) => stretch(tank.seen, since, which)),
    given,
    each.map((which) => stretch(today, TANK_AHEAD, which)),
    daily,
  );
}
