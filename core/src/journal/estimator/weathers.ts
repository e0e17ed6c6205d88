import type { Site } from '../../catalog';
import { randomSource, hash32, type RandomSource } from '../../numerics';
import { roomDay, weatherOf, type WeatherDay } from '../../physics/climate';

/** Weathers that may have been or may come: days that nobody measured are spread over many made-up ones. */

/** How many made-up weathers there are. */
export const WEATHERS = 30;

/** The days of a month in each made-up weather, by what the site is. Made once: all planters of a garden ask the same. */
const made = new Map<string, Map<string, WeatherDay[]>>();

/** Made-up days in all weathers, by site and by whether it is indoors. */
const daysMade = new Map<string, Map<string, DayInAll>>();

const DAYS_IN_MONTH = 31;

/** A day in all weathers, by their numbers. */
export interface DayInAll {
  et: Float64Array;
  rain: Float64Array;
}

/** What is known of the weather of days. */
export interface WeatherEnsemble {
  /** A day in one of the weathers: as it was measured, or as that weather has it. */
  on(date: string, which: number): WeatherDay;
  /** A day in all weathers: what evaporates, m/s, and rain, metres. Not to be written into. */
  inAll(date: string): DayInAll;
  /** Whether the day was measured, so that it is the same in all. */
  measured(date: string): boolean;
}

/**
 * Weathers of a site.
 *
 * @param measured days as somebody measured them, by ISO date
 * @param indoors behind glass, where no rain falls
 */
export function weatherEnsemble(
  site: Site,
  measured: ReadonlyMap<string, WeatherDay>,
  indoors: boolean,
): WeatherEnsemble {
  const key = JSON.stringify(site);
  const months = made.get(key) ?? new Map<string, WeatherDay[]>();
  made.set(key, months);
  const month = (name: string, which: number): WeatherDay[] => {
    const of = `${name} ${which}`;
    const known = months.get(of);
    if (known) return known;
    // Each month by a seed of its own: what a day is like does not hang on where one begins to look.
    const seed = which * 1201 + Number(name.slice(0, 4)) * 12 + Number(name.slice(5));
    const days = weatherOf(site, `${name}-01`, DAYS_IN_MONTH, seed);
    months.set(of, days);
    return days;
  };
  const inside = new Map<WeatherDay, WeatherDay>();
  const placed = (day: WeatherDay): WeatherDay => {
    if (!indoors) return day;
    const known = inside.get(day) ?? roomDay(day);
    inside.set(day, known);
    return known;
  };
  const on = (date: string, which: number): WeatherDay => {
    const known = measured.get(date);
    if (known) return placed(known);
    const days = month(date.slice(0, 7), which);
    return placed(days[Number(date.slice(8)) - 1] as WeatherDay);
  };
  const place = `${key} ${indoors}`;
  const madeUp = daysMade.get(place) ?? new Map<string, DayInAll>();
  daysMade.set(place, madeUp);
  const own = new Map<string, DayInAll>();
  return {
    measured: (date) => measured.has(date),
    on,
    inAll(date) {
      // Days that were measured are this garden's own; made-up ones are the same for all that ask.
      const kept = measured.has(date) ? own : madeUp;
      const known = kept.get(date);
      if (known) return known;
      const days = Array.from({ length: WEATHERS }, (_, which) => on(date, which));
      const made = {
        et: Float64Array.from(days, ({ et }) => et),
        rain: Float64Array.from(days, ({ rain }) => rain),
      };
      kept.set(date, made);
      return made;
    },
  };
}

/** Seeded chance of one day of one planter, the same however one comes to that day. */
export const randomOnDay = (planter: number, date: string): RandomSource =>
  randomSource(hash32(date, planter));
