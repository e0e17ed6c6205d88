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

/** As many saves as a device remembers whose answers it has not had. */
export const MAX_UNANSWERED = 50;

/** Body of PUT /api/planters/:id. */
export const savePlanterSchema = z.strictObject({
  revision: z.int().min(1),
  design: planterDesignSchema,
  /** An id of this save, made by the device, so that it is known when it is sent again. */
  saveId: z.uuid().optional(),
  /** The device's own saves that this one follows, whose answers it may not have had. */
  after: z.array(z.uuid()).max(MAX_UNANSWERED).optional(),
});
export type SavePlanter = z.infer<typeof savePlanterSchema>;

/** Answer to GET /api/planters. */
export const planterListSchema = z.object({
  planters: z.array(planterResourceSchema),
  /** Planters that this Huerta cannot read: kept as they are, and said by name. */
  setAside: z.array(z.object({ id: z.uuid(), name: z.string(), why: z.string() })).default([]),
});
export type PlanterList = z.infer<typeof planterListSchema>;

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

/** Largest JSON body that the server reads, bytes. */
export const MAX_BODY_BYTES = 1_000_000;
