import type { Message } from '@huerta/core/units';
import { planterDesignSchema } from '@huerta/core/document';
import { z } from 'zod';
import { setAsideSchema, DOCUMENT } from './document';
import { routes, GONE } from './route';

/** The garden in short, as its page shows it. */

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

/** Answer to GET /api/examples: planters to look at, which are in no garden. */
export const examplesSchema = z.object({ designs: z.array(planterDesignSchema) });

export const GARDEN = routes({
  examples: {
    method: 'get',
    path: '/examples',
    about: 'The planters of the demo garden, to look at and to begin from.',
    answer: examplesSchema,
  },
  document: {
    method: 'get',
    path: '/documents/:kind/:name',
    about: 'Any document as it is kept, readable or not; ‘name’ is its id.',
    file: 'application/octet-stream',
    problems: GONE,
  },
  setAside: {
    method: 'get',
    path: '/set-aside/:n',
    about: 'A row that was found damaged and set aside, as it was.',
    file: 'application/octet-stream',
    problems: GONE,
  },
  entries: {
    method: 'get',
    path: '/garden',
    about: 'All planters in short: names, places, figures and the worst finding, oldest first.',
    answer: gardenSchema,
  },
  drawing: {
    method: 'get',
    path: '/planters/:id/drawing',
    about: 'The section of a planter as shapes in metres.',
    query: z.object({ revision: z.string().optional(), by: z.string().optional() }),
    answer: z.looseObject({ bounds: z.looseObject({}) }),
    problems: GONE,
  },
});
