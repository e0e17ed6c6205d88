import { planterDesignSchema } from '@huerta/core/document';
import { z } from 'zod';
import { DOCUMENT, SAVE_MARK } from './document';

/** One planter as the server keeps it. */
export const planterResourceSchema = z.object({ ...DOCUMENT, design: planterDesignSchema });
export type PlanterResource = z.infer<typeof planterResourceSchema>;

/** Body of POST /api/planters. */
export const createPlanterSchema = z.strictObject({ design: planterDesignSchema });

/** Body of PUT /api/planters/:id. With revision 0 the device made the planter, and its id. */
export const savePlanterSchema = z.strictObject({ ...SAVE_MARK, design: planterDesignSchema });
export type SavePlanter = z.infer<typeof savePlanterSchema>;

/** What this Huerta cannot read, documents and rows of other tables: kept as it is, and said by name. */
export const setAsideSchema = z.array(
  z.object({
    /** The kind of document, or the table of the row. */
    kind: z.string(),
    id: z.string(),
    name: z.string(),
    why: z.string(),
    /** Where below /api it is taken away as it is. */
    file: z.string(),
  }),
);
export type SetAside = z.infer<typeof setAsideSchema>;

/** Answer to GET /api/planters. */
export const planterListSchema = z.object({
  planters: z.array(planterResourceSchema),
  setAside: setAsideSchema.default([]),
});
export type PlanterList = z.infer<typeof planterListSchema>;

/** Planters of one round at the most. */
export const MOST_OF_A_ROUND = 120;

/** Answer to GET /api/round/planters: those that grow something, oldest first, and how many more of them there are. */
export const roundPlantersSchema = z.object({
  planters: z.array(planterResourceSchema),
  more: z.int().min(0),
});

/** Answer to GET /api/planters/:id/history: what it was before its saves, newest first. */
export const historySchema = z.object({
  revisions: z.array(
    z.object({
      revision: z.int().min(1),
      /** When that revision was written. */
      at: z.iso.datetime(),
      design: planterDesignSchema,
    }),
  ),
});
export type History = z.infer<typeof historySchema>;

/** Answer to GET /api/examples: planters to look at, which are in no garden. */
export const examplesSchema = z.object({ designs: z.array(planterDesignSchema) });

/** Largest JSON body that the server reads, bytes. */
export const MAX_BODY_BYTES = 1_000_000;
