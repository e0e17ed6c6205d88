import type { Message } from '@huerta/core/units';
import { z } from 'zod';
import { DOCUMENT } from './document';
import { setAsideSchema } from './planter';

/** A sentence with quantities still in SI, as core tells it. */
const message = z.array(
  z.union([z.string(), z.object({ value: z.number(), kind: z.string() })]),
) as unknown as z.ZodType<Message>;

/** What is worked out from a design once, and kept with it. */
export const designSummarySchema = z.object({
  variant: z.string(),
  place: z.string(),
  /** Name of what grows in it, or none. */
  crop: z.string(),
  /** Litres to use, cubic metres. */
  usable: z.number(),
  /** Days between refills when hot, on the safe side; null when nothing drinks from it. */
  days: z.number().nullable(),
  worst: z.object({ severity: z.enum(['danger', 'fault', 'watch']), text: message }).nullable(),
  /** How many are faults or worse. */
  serious: z.int(),
  /** Steps of its build sheet. */
  steps: z.int(),
  /** Height of its drawing, metres. */
  height: z.number(),
});
export type DesignSummary = z.infer<typeof designSummarySchema>;

/** One planter as the garden shows it. */
export const planterSummarySchema = z.object({
  ...DOCUMENT,
  name: z.string(),
  summary: designSummarySchema,
  /** Steps of its build that are done. */
  done: z.int(),
});
export type PlanterSummary = z.infer<typeof planterSummarySchema>;

/** Answer to GET /api/garden. */
export const gardenSchema = z.object({
  /** Whose drawings are asked for: changes with every Huerta. */
  by: z.string(),
  entries: z.array(planterSummarySchema),
  setAside: setAsideSchema,
});
export type Garden = z.infer<typeof gardenSchema>;
