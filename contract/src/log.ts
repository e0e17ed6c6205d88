import { logEntrySchema } from '@huerta/core/journal';
import { measuredDaySchema } from '@huerta/core/physics/climate';
import { z } from 'zod';
import { fileQuerySchema } from './build';

/** Answer to GET /api/log and /api/planters/:id/log: entries, latest first, and whether there are more before them. */
export const logSchema = z.object({ entries: z.array(logEntrySchema), more: z.boolean() });

/** Answer to GET /api/round/log and /api/planters/:id/round/log: entries, latest first. */
export const tendedLogSchema = z.object({ entries: z.array(logEntrySchema) });
export type LogResource = z.infer<typeof logSchema>;

/** Body of POST /api/log. Entries that are known already are left as they are. */
export const sendLogSchema = z.strictObject({ entries: z.array(logEntrySchema).min(1).max(500) });

/** Answer to it: how many were new, and which of those that were sent the server has now. */
export const loggedSchema = z.object({ came: z.int(), has: z.array(z.uuid()) });

/** Answer to POST /api/planters/:id/readings: how many were new. */
export const readingsTakenSchema = z.object({ came: z.int() });

/**
 * Answer to GET /api/round/standing: how planters stand, as far as it lies ready, each with the mark of what that hangs
 * on. Another mark than the asker's own is of another day or an older log.
 */
export const readyStatesSchema = z.object({
  standing: z.array(
    z.object({
      planter: z.string(),
      mark: z.string(),
      state: z.looseObject({}).nullable().describe('Null before it is planted'),
    }),
  ),
});

/** Query of GET /api/round/log: the planters of the round, or all. */
export const tendedQuerySchema = z.object({ of: z.enum(['round', 'garden']).default('garden') });

/** Query of the log: from when on, before when, and how many at the most. */
export const logQuerySchema = z.object({
  since: z.iso.datetime().optional(),
  before: z.iso.datetime().optional(),
  most: z.coerce.number().int().min(1).max(5000).optional(),
});

/** Body of POST /api/weather/days: days as a station tells them. Told again, a date takes the place of what was. */
export const sendDaysSchema = z.strictObject({ days: z.array(measuredDaySchema).min(1).max(400) });

/** Answer to GET /api/weather/days: oldest first. */
export const measuredDaysSchema = z.object({ days: z.array(measuredDaySchema) });

/** What a float or a moisture sensor says: the water's depth, or how the soil feels at a depth. Metres. */
const readingSchema = z
  .strictObject({
    at: z.iso.datetime({ offset: true }),
    level: z.number().min(0).max(3).optional().describe('Depth of the water, metres'),
    moisture: z
      .strictObject({ depth: z.number().min(0).max(1), feels: z.enum(['dry', 'moist', 'wet']) })
      .optional(),
  })
  .refine(({ level, moisture }) => level !== undefined || moisture !== undefined, {
    message: 'Send a level or a moisture.',
  });
export type Reading = z.infer<typeof readingSchema>;

/** Body of POST /api/planters/:id/readings. A reading that is sent again is stored once. */
export const sendReadingsSchema = z.strictObject({
  by: z.string().trim().min(1).max(40).describe('Who reads: the name of the sensor'),
  readings: z.array(readingSchema).min(1).max(500),
});

const amount = z.number().min(0).max(10);
/** Body of POST /api/round/neighbour.pdf: what a neighbour is to do, in the order of the walk. */
export const neighbourSchema = z.strictObject({
  from: z.iso.date(),
  until: z.iso.date(),
  order: z.array(z.uuid()).min(1).max(200),
  visits: z
    .array(
      z.strictObject({
        date: z.iso.date(),
        fills: z.array(z.strictObject({ id: z.uuid(), volume: amount, most: amount })).max(200),
      }),
    )
    .max(40),
  beyond: z
    .array(z.uuid())
    .max(200)
    .default([])
    .describe('Planters that no visits keep alive, also in `order`'),
  units: fileQuerySchema.shape.units,
  paper: fileQuerySchema.shape.paper,
  decimal: fileQuerySchema.shape.decimal,
});
export type Neighbour = z.infer<typeof neighbourSchema>;

/** Answer to PUT /api/photos/:id: the picture as it is kept, in pixels. */
export const photoSchema = z.object({
  id: z.uuid(),
  width: z.int(),
  height: z.int(),
  hash: z.string(),
});
export type Photo = z.infer<typeof photoSchema>;

/** Largest picture that is taken in, bytes. */
export const MAX_PHOTO_BYTES = 25_000_000;
