import { vesselDesignSchema } from '@huerta/core/document';
import { z } from 'zod';
import { DOCUMENT, SAVE_MARK } from './document';

const VESSEL = { name: z.string().trim().min(1).max(80), vessel: vesselDesignSchema } as const;

/** A vessel that somebody measured, kept to be used in any planter. */
export const vesselResourceSchema = z.object({ ...DOCUMENT, ...VESSEL });
export type VesselResource = z.infer<typeof vesselResourceSchema>;

/** Body of POST /api/vessels. */
export const keepVesselSchema = z.strictObject(VESSEL);
export type KeepVessel = z.infer<typeof keepVesselSchema>;

/** Body of PUT /api/vessels/:id. */
export const saveVesselSchema = z.strictObject({ ...SAVE_MARK, ...VESSEL });

/** Answer to GET /api/vessels/:id/history: what it was before its saves, newest first. */
export const vesselHistorySchema = z.object({
  revisions: z.array(
    z.object({
      revision: z.int().min(1),
      /** When that revision was written. */
      at: z.iso.datetime(),
      vessel: vesselDesignSchema,
    }),
  ),
});

/** Answer to GET /api/vessels. */
export const vesselListSchema = z.object({ vessels: z.array(vesselResourceSchema) });
