import { z } from 'zod';

/** The rain tank, as the garden keeps it. */

const DAY = z.iso.date({ error: 'Choose a day.' });

export const rainTankSchema = z.strictObject({
  size: z.number().min(0.01).max(100).describe('m³'),
  roof: z.number().min(0).max(2000).describe('Ground that the roof covers, m²'),
  firstFlush: z.number().min(0).max(1).describe('Let away at the beginning of each rain, m³'),
  water: z.number().min(0).max(100).describe('What was in it when somebody looked, m³'),
  seen: DAY.describe('When that was, in the morning'),
});
export type RainTank = z.infer<typeof rainTankSchema>;

/** A usual tank, to begin from. */
export const usualTank = (today: string): RainTank => ({
  size: 1,
  roof: 20,
  firstFlush: 0.01,
  water: 0.5,
  seen: today,
});
