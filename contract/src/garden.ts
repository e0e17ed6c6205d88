import { ownCropsSchema } from '@huerta/core/document';
import { priceBookSchema } from '@huerta/core/fabrication';
import { roundPlanSchema } from '@huerta/core/journal';
import { seasonPlanSchema } from '@huerta/core/simulation/season';
import { weatherChoiceSchema } from '@huerta/core/physics/climate';
import { z } from 'zod';
import { ONLY_DOCUMENT, SAVE_MARK } from './document';

/** The documents that a garden has one of, and the plan that each planter has one of. */

/** Answer to GET and PUT /api/prices. */
export const priceBookResourceSchema = z.object({ ...ONLY_DOCUMENT, book: priceBookSchema });
export type PriceBookResource = z.infer<typeof priceBookResourceSchema>;
export const savePriceBookSchema = z.strictObject({ ...SAVE_MARK, book: priceBookSchema });

/** Answer to GET and PUT /api/weather. */
export const weatherResourceSchema = z.object({ ...ONLY_DOCUMENT, choice: weatherChoiceSchema });
export type WeatherResource = z.infer<typeof weatherResourceSchema>;
export const saveWeatherSchema = z.strictObject({ ...SAVE_MARK, choice: weatherChoiceSchema });

/** Answer to GET and PUT /api/crops. */
export const ownCropsResourceSchema = z.object({ ...ONLY_DOCUMENT, own: ownCropsSchema });
export type OwnCropsResource = z.infer<typeof ownCropsResourceSchema>;
export const saveOwnCropsSchema = z.strictObject({ ...SAVE_MARK, own: ownCropsSchema });

/** Answer to GET and PUT /api/round. */
export const roundResourceSchema = z.object({ ...ONLY_DOCUMENT, plan: roundPlanSchema });
export type RoundResource = z.infer<typeof roundResourceSchema>;
export const saveRoundSchema = z.strictObject({ ...SAVE_MARK, plan: roundPlanSchema });

/** Answer to GET and PUT /api/planters/:id/season. */
export const seasonResourceSchema = z.object({ ...ONLY_DOCUMENT, plan: seasonPlanSchema });
export type SeasonResource = z.infer<typeof seasonResourceSchema>;
/** Answer to GET /api/seasons: the plans that were ever written, by planter. */
export const seasonsSchema = z.object({
  plans: z.record(z.uuid(), z.object({ revision: z.int().min(0), plan: seasonPlanSchema })),
});
export const saveSeasonSchema = z.strictObject({ ...SAVE_MARK, plan: seasonPlanSchema });
