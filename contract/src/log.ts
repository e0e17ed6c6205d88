import { logEntrySchema, measuredDaySchema } from '@huerta/core';
import { z } from 'zod';

/** Answer to GET /api/log and /api/planters/:id/log: entries, latest first. */
export const logSchema = z.object({ entries: z.array(logEntrySchema) });
export type LogResource = z.infer<typeof logSchema>;

/** Body of POST /api/log. Entries that are known already are left as they are. */
export const sendLogSchema = z.strictObject({ entries: z.array(logEntrySchema).min(1).max(500) });

/** Answer to it: how many were new. */
export const loggedSchema = z.object({ came: z.int() });

/** Query of the log: from when on, and how many at the most. */
export const logQuerySchema = z.object({
  since: z.iso.datetime().optional(),
  most: z.coerce.number().int().min(1).max(20_000).optional(),
});

/** Body of POST /api/weather/days: days as a station tells them. Told again, a date takes the place of what was. */
export const sendDaysSchema = z.strictObject({ days: z.array(measuredDaySchema).min(1).max(400) });

/** Answer to GET /api/weather/days: oldest first. */
export const measuredDaysSchema = z.object({ days: z.array(measuredDaySchema) });
