import type { Months, Site } from '../../catalog';
import { referenceEt } from './et0';
import { randomSource } from '../../numerics/random';

/** A day's weather. */
export interface WeatherDay {
  /** ISO date. */
  date: string;
  tMin: number;
  tMax: number;
  /** Rain of the day, metres. */
  rain: number;
  /** Reference evapotranspiration, m/s as a mean over the day. */
  et: number;
}

const DAY_MS = 86_400_000;
const DAYS_A_YEAR = 365.25;
const DAYS_A_MONTH = DAYS_A_YEAR / 12;

/** The date so many days after another. */
export const dayAfter = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);

/** Whole days from one date to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);

/** 1 for the first of January. */
export const dayOfYear = (date: string): number =>
  daysBetween(`${date.slice(0, 4)}-01-01`, date) + 1;

/** A monthly normal on a day, in a straight line from mid-month to mid-month. */
export function normalOn(months: Months, day: number): number {
  const at = ((day - 1) / DAYS_A_YEAR) * 12 - 0.5;
  const low = Math.floor(at);
  const value = (i: number): number => months[((i % 12) + 12) % 12] as number;
  return value(low) + (value(low + 1) - value(low)) * (at - low);
}

/** How much likelier rain is after rain: correlation of wet days with the day before. Typical. */
const PERSISTS = 0.3;
/** Shape of the gamma law of a wet day's rain: many light ones, few heavy. Typical. */
const SHAPE = 0.75;
/** Spread of a day's mean temperature about the normal, °C, and its memory from day to day. */
const SPREAD = 2.8;
const MEMORY = 0.65;
/** Spread of nights about their normal, as a share of that of days. */
const NIGHTS = 0.8;

/**
 * How likely the night of a day of the year is as cold as a temperature or colder, in the weather that is made up for
 * a site: nights are normal about their monthly normals.
 *
 * @param day of the year, from 1; @param degrees °C
 * @returns 0 to 1 (Abramowitz and Stegun 1964, 26.2.17, to 1e-7)
 */
export function coldChance(site: Pick<Site, 'tMin'>, day: number, degrees: number): number {
  const z = (degrees - normalOn(site.tMin, day)) / (SPREAD * NIGHTS);
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

/**
 * A day as it is in the mean of many years at a site: its normals, with rain and sun spread over wet and dry days alike.
 *
 * @param date ISO date
 */
export function averageDay(site: Site, date: string): WeatherDay {
  const day = dayOfYear(date);
  const [tMin, tMax] = [normalOn(site.tMin, day), normalOn(site.tMax, day)];
  const humidity = { mean: normalOn(site.humidity, day) };
  const air = {
    tMin,
    tMax,
    humidity,
    wind: normalOn(site.wind, day),
    sun: normalOn(site.sun, day),
  };
  const rain = normalOn(site.rain, day) / 1000 / DAYS_A_MONTH;
  return { date, tMin, tMax, rain, et: referenceEt(air, groundOf(site), day) };
}

const groundOf = ({ latitude, altitude, coastal }: Site) => ({
  latitude: (latitude * Math.PI) / 180,
  altitude,
  coastal,
});

/** How much cooler the afternoon of a wet day is, and its sun as a share of a dry day's. */
const WET_COOLER = 2.4;
const WET_SUN = 0.45;
/** A wet day has at least this much rain, metres. */
const LEAST_RAIN = 2e-4;

/**
 * Daily weather of a made-up site: wet and dry days by a two-state Markov chain, gamma amounts of
 * rain, temperatures by first-order autoregression about the normals, cooler and duller on wet days
 * (Richardson 1981). The normals hold in the mean; the same seed gives the same days.
 */
export function weatherOf(site: Site, from: string, days: number, seed: number): WeatherDay[] {
  const luck = randomSource(seed * 7919 + 17);
  const spot = groundOf(site);
  let wet = luck.uniform() < normalOn(site.wetDays, dayOfYear(from)) / DAYS_A_MONTH;
  let warm = luck.normal();
  return Array.from({ length: days }, (_, i): WeatherDay => {
    const date = dayAfter(from, i);
    const day = dayOfYear(date);
    const share = Math.min(Math.max(normalOn(site.wetDays, day) / DAYS_A_MONTH, 0.005), 0.95);
    wet = luck.uniform() < (wet ? share + PERSISTS * (1 - share) : share * (1 - PERSISTS));
    const each = normalOn(site.rain, day) / 1000 / (share * DAYS_A_MONTH);
    const rain = wet ? Math.max(luck.gamma(SHAPE, each / SHAPE), LEAST_RAIN) : 0;
    warm = MEMORY * warm + Math.sqrt(1 - MEMORY ** 2) * luck.normal();
    // What wet days lose, dry days have more, so that the month keeps its mean.
    const cooler = (wet ? share - 1 : share) * WET_COOLER;
    const sunny = normalOn(site.sun, day) / (1 - share * (1 - WET_SUN));
    const tMin = normalOn(site.tMin, day) + SPREAD * NIGHTS * warm;
    const tMax = Math.max(normalOn(site.tMax, day) + SPREAD * warm + cooler, tMin + 1);
    const humidity = Math.min(
      normalOn(site.humidity, day) + (wet ? 1 - share : -share) * 0.12,
      0.98,
    );
    const et = referenceEt(
      {
        tMin,
        tMax,
        humidity: { mean: Math.max(humidity, 0.1) },
        wind: normalOn(site.wind, day),
        sun: Math.min(sunny * (wet ? WET_SUN : 1), 0.95),
      },
      spot,
      day,
    );
    return { date, tMin, tMax, rain, et };
  });
}
