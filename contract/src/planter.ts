import { planterDesignSchema } from '@huerta/core';
import { z } from 'zod';

/** One planter as the server keeps it. */
export const planterResourceSchema = z.object({
  id: z.uuid(),
  /** Raised by one with every save; a save must name the revision that it is based on. */
  revision: z.int().min(1),
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime(),
  design: planterDesignSchema,
});
export type PlanterResource = z.infer<typeof planterResourceSchema>;

/** Body of POST /api/planters. */
export const createPlanterSchema = z.strictObject({ design: planterDesignSchema });
export type CreatePlanter = z.infer<typeof createPlanterSchema>;

/** Body of PUT /api/planters/:id. */
export const savePlanterSchema = z.strictObject({
  revision: z.int().min(1),
  design: planterDesignSchema,
});
export type SavePlanter = z.infer<typeof savePlanterSchema>;

/** Answer to GET /api/planters. */
export const planterListSchema = z.object({ planters: z.array(planterResourceSchema) });

/** Largest JSON body that the server reads, bytes. */
export const MAX_BODY_BYTES = 1_000_000;
