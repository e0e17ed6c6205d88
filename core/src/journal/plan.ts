import { z } from 'zod';
import { MOST_WATER_LINES, waterLineSchema } from '../document';
import { rainTankSchema } from './rainTank';

/** What a garden's round hangs on besides its planters: the walk, the tank, and when nobody is at home. */

const DAY = z.iso.date({ error: 'Choose a day.' });
/** Longest absence, days. */
export const MOST_AWAY = 90;

export const absenceSchema = z
  .strictObject({ from: DAY, until: DAY })
  .refine(({ from, until }) => from < until, {
    message: 'Come back after the day on which you leave.',
    path: ['until'],
  })
  .refine(({ from, until }) => Date.parse(until) - Date.parse(from) <= MOST_AWAY * 86_400_000, {
    message: `An absence of more than ${MOST_AWAY} days is not looked at. Choose an earlier day.`,
    path: ['until'],
  });
export type GardenAbsence = z.infer<typeof absenceSchema>;

export const roundPlanSchema = z.strictObject({
  order: z.array(z.uuid()).max(5000).describe('Planters in the order of the walk'),
  tank: rainTankSchema.nullable(),
  away: absenceSchema.nullable(),
  lines: z
    .array(waterLineSchema)
    .max(MOST_WATER_LINES)
    .default([])
    .describe('Planters that are joined into one water'),
});
export type RoundPlan = z.infer<typeof roundPlanSchema>;

export const FIRST_ROUND: RoundPlan = { order: [], tank: null, away: null, lines: [] };

/** Things in the order of the walk; those that have no place in it yet come last, as they are. */
export function inOrder<T extends { id: string }>(
  things: readonly T[],
  order: readonly string[],
): T[] {
  const place = new Map(order.map((id, i) => [id, i]));
  return [...things].sort(
    (a, b) => (place.get(a.id) ?? order.length) - (place.get(b.id) ?? order.length),
  );
}
