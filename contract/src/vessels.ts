import { vesselDesignSchema } from '@huerta/core/document';
import { z } from 'zod';
import { routes, GONE, SAVED } from './route';
import { DOCUMENT, SAVE_MARK } from './document';

/** Vessels that somebody measured, kept to be used in any planter. */

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

export const VESSELS = routes({
  list: {
    method: 'get',
    path: '/vessels',
    about: 'Vessels that were measured and kept, oldest first.',
    answer: vesselListSchema,
  },
  create: {
    method: 'post',
    path: '/vessels',
    about: 'Keeps a vessel.',
    body: keepVesselSchema,
    answer: vesselResourceSchema,
    status: 201,
    problems: SAVED,
  },
  save: {
    method: 'put',
    path: '/vessels/:id',
    about: 'Saves a vessel over a known revision.',
    body: saveVesselSchema,
    answer: vesselResourceSchema,
    problems: [...GONE, ...SAVED],
  },
  history: {
    method: 'get',
    path: '/vessels/:id/history',
    about: 'What it was before its saves, newest first.',
    answer: vesselHistorySchema,
    problems: GONE,
  },
  remove: {
    method: 'delete',
    path: '/vessels/:id',
    about: 'Deletes it; this can be undone.',
    status: 204,
    problems: GONE,
  },
  restore: {
    method: 'post',
    path: '/vessels/:id/restore',
    about: 'Takes a deletion back.',
    answer: vesselResourceSchema,
    problems: GONE,
  },
});
