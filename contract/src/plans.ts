import { planterDesignSchema } from '@huerta/core/document';
import { planWishSchema, TOOL_IDS } from '@huerta/core/planning/plans';
import { CROP_IDS } from '@huerta/core/catalog';
import { z } from 'zod';
import { routes } from './route';

/** Whole plans for what somebody has and wants. Nothing of them is kept. */

/** Body of POST /api/plans. */
export const askPlansSchema = z.strictObject({
  wish: planWishSchema,
  units: z.enum(['metric', 'us']).default('metric'),
});

const plants = z.object({ crop: z.enum(CROP_IDS), count: z.int() });

const planSchema = z.object({
  title: z.string().describe('Its vessels, and what the soil stands over'),
  stands: z.string().describe('Why it stands beside the others'),
  against: z.string().nullable().describe('What speaks against it'),
  planters: z.array(
    z.object({
      count: z.int(),
      vessel: z.string(),
      bought: z.boolean(),
      built: z.string().describe('Base and wick, in words'),
      crops: z.array(plants),
      design: planterDesignSchema,
    }),
  ),
  missing: z.array(plants),
  days: z.object({ low: z.int(), short: z.int() }),
  usable: z.number().describe('m³'),
  weight: z.number().describe('kg, all of them full'),
  pressure: z.number().describe('Pa, the greatest load on the floor'),
  roots: z.number().describe('Root room over what is asked, the least'),
  cost: z.number().describe('Beyond what there is, in the book’s currency'),
  minutes: z.number().describe('At work'),
  lacks: z.array(z.enum(TOOL_IDS)),
});
export type PlanResource = z.infer<typeof planSchema>;

/** Answer to POST /api/plans. */
export const plansSchema = z.object({
  heading: z.string(),
  impossible: z.string().nullable().describe('What cannot be had, with what makes it possible'),
  currency: z.string(),
  plans: z.array(planSchema),
});
export type PlansResource = z.infer<typeof plansSchema>;

export const PLANS = routes({
  ask: {
    method: 'post',
    path: '/plans',
    about: 'Whole plans for what somebody has and wants, the best first.',
    body: askPlansSchema,
    answer: plansSchema,
    problems: ['invalid', 'too-large', 'not-json', 'too-much-work'],
  },
});
