import { z } from 'zod';
import { plantingLength } from '../../physics/crop';
import type { PlantingDesign } from '../../document';

/** What the gardener means to do in a season: when it is planted, who fills it, and what is given by hand. */

/** Most days between fillings, and most that is given at once, m³. */
export const MOST_EVERY = 60;
export const MOST_GIVEN = 5;
export const MOST_WATERINGS = 120;

const day = z.iso.date({ error: 'Choose a day.' });

const watering = z.discriminatedUnion('where', [
  z.strictObject({
    where: z.literal('tube'),
    date: day,
    volume: z
      .number()
      .min(1e-5)
      .max(MOST_GIVEN)
      .nullable()
      .describe('m³, or null until the overflow runs; what there is no room for is not given'),
  }),
  z.strictObject({
    where: z.literal('top'),
    date: day,
    volume: z.number().min(1e-5).max(MOST_GIVEN).describe('m³'),
  }),
]);
/** Water given by hand on the morning of a day. */
export type Watering = z.infer<typeof watering>;

const filling = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('when-low') }),
  z.strictObject({ kind: z.literal('every'), days: z.int().min(1).max(MOST_EVERY) }),
  z.strictObject({ kind: z.literal('never') }),
]);
/** How the gardener fills: when the dip stick reads low, every so many days, or not at all. */
export type Filling = z.infer<typeof filling>;

export const seasonPlanSchema = z.strictObject({
  planted: day.nullable().describe('Or null for the usual day of the next season'),
  filling,
  waterings: z.array(watering).max(MOST_WATERINGS),
});
export type SeasonPlan = z.infer<typeof seasonPlanSchema>;

/** The plan of a planter for which nobody has made one. */
export const FIRST_PLAN: SeasonPlan = {
  planted: null,
  filling: { kind: 'when-low' },
  waterings: [],
};

/** Shortest and longest season that is looked at, days. */
const SHORTEST = 60;
const LONGEST = 240;

/** Days of a planter's season: until its last planting is over, within what is looked at. */
export const seasonDays = (planting: PlantingDesign): number =>
  Math.min(Math.max(plantingLength(planting), SHORTEST), LONGEST);

/**
 * The day on which a planter is planted: as planned, or the usual one.
 *
 * @param today ISO date; @param latitude degrees
 */
export const plantedOn = (
  planned: string | null,
  planting: PlantingDesign,
  today: string,
  latitude: number,
): string => planned ?? usualPlanting(today, latitude, seasonDays(planting));

/**
 * The usual day of planting, 1 May in the north and 1 November in the south, of the season that is under
 * way or else of the next one.
 *
 * @param today ISO date; @param latitude degrees; @param length of the season, days
 */
export function usualPlanting(today: string, latitude: number, length: number): string {
  const day = latitude < 0 ? '11-01' : '05-01';
  const year = Number(today.slice(0, 4));
  const over = (from: string): boolean =>
    Date.parse(today) - Date.parse(from) >= length * 86_400_000;
  const years = [year - 1, year, year + 1].map((one) => `${one}-${day}`);
  return years.find((from) => !over(from)) ?? `${year + 1}-${day}`;
}
