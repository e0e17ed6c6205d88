import { z } from 'zod';
import { isZone } from './zone';
import { SITE_IDS, SITES, type Months, type Site } from '../../catalog';

/** Which weather a garden has: a made-up place, normals of one's own, or days of one's own. */

const months = (min: number, max: number) =>
  z
    .array(z.number().min(min).max(max))
    .length(12)
    .transform((list) => list as unknown as Months);

/** Up to the polar circle: beyond it a day's sun cannot be told by the formulas used. Degrees. */
export const POLAR = 66;

const siteSchema = z.strictObject({
  name: z.string().min(1).max(120),
  latitude: z.number().min(-POLAR).max(POLAR),
  altitude: z.number().min(-400).max(5000),
  coastal: z.boolean(),
  tMin: months(-60, 45),
  tMax: months(-50, 58),
  rain: months(0, 2000),
  wetDays: months(0, 31),
  humidity: months(0, 1),
  wind: months(0, 30),
  sun: months(0, 1),
});

/** Ten years and more. */
export const MOST_DAYS = 4000;
const daySchema = z.strictObject({
  date: z.iso.date(),
  tMin: z.number().min(-70).max(60),
  tMax: z.number().min(-70).max(60),
  rain: z.number().min(0).max(1),
  et: z.number().min(0).max(1e-6),
});

/** A day as a station or another program tells it: °C, metres of rain, and evapotranspiration (m/s) where it knows it. */
export const measuredDaySchema = z
  .strictObject({
    date: z.iso.date({ error: 'A day is written as 2026-07-15.' }),
    tMin: z.number().min(-70).max(60),
    tMax: z.number().min(-70).max(60),
    rain: z.number().min(0).max(1),
    et: z.number().min(0).max(1e-6).optional(),
    forecast: z
      .literal(true)
      .optional()
      .describe('Expected and not measured: it counts until the day is over'),
  })
  .refine(({ tMin, tMax }) => tMin <= tMax, {
    message: 'The night is warmer than the day: see which is which.',
    path: ['tMin'],
  });
export type MeasuredDay = z.infer<typeof measuredDaySchema>;

/** Days that count on a day: what was only expected of days that are over was never seen by anybody. @param today ISO date */
export const daysThatCount = (days: readonly MeasuredDay[], today: string): MeasuredDay[] =>
  days.filter(({ date, forecast }) => !forecast || date >= today);

/** The last day of a forecast, ISO date; null where none reaches beyond today. */
export const forecastUntil = (days: readonly MeasuredDay[], today: string): string | null =>
  days.reduce<string | null>(
    (last, { date, forecast }) =>
      forecast && date > today && (last === null || date > last) ? date : last,
    null,
  );

export const weatherChoiceSchema = z
  .strictObject({
    site: z.enum([...SITE_IDS, 'own-normals', 'own-days']),
    normals: siteSchema.nullable(),
    days: z
      .strictObject({
        name: z.string().min(1).max(200),
        days: z.array(daySchema).min(1).max(MOST_DAYS, 'More than ten years of days.'),
      })
      .nullable(),
    zone: z
      .string()
      .refine(isZone, { error: 'No time zone has this name. Choose one of the list.' })
      .nullable()
      .optional()
      .describe('The time zone of the garden, as the IANA names it; null while nobody has said'),
  })
  .refine(({ site, normals }) => site !== 'own-normals' || normals !== null, {
    message: 'There are no monthly averages of your own yet.',
    path: ['normals'],
  })
  .refine(({ site, days }) => site !== 'own-days' || days !== null, {
    message: 'There are no days of your own yet.',
    path: ['days'],
  });
export type WeatherChoice = z.infer<typeof weatherChoiceSchema>;

/** The weather of a garden that has chosen none. */
export const FIRST_WEATHER: WeatherChoice = { site: 'vallesol', normals: null, days: null };

/** The site whose normals count: the chosen one, or that of one's own normals; the made-up hill town for days alone. */
export function siteOf({ site, normals }: Pick<WeatherChoice, 'site' | 'normals'>): Site {
  if (site === 'own-normals' && normals) return normals;
  return site === 'own-normals' || site === 'own-days' ? SITES.vallesol : SITES[site];
}
