import { vesselDesignSchema } from '@huerta/core';
import { z } from 'zod';

/** A vessel that somebody measured, kept to be used in any planter. */
export const vesselResourceSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  createdAt: z.iso.datetime(),
  vessel: vesselDesignSchema,
});
export type VesselResource = z.infer<typeof vesselResourceSchema>;

/** Body of POST /api/vessels and PUT /api/vessels/:id. */
export const keepVesselSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  vessel: vesselDesignSchema,
});
export type KeepVessel = z.infer<typeof keepVesselSchema>;

/** Answer to GET /api/vessels. */
export const vesselListSchema = z.object({ vessels: z.array(vesselResourceSchema) });
