import { logEntrySchema } from '@huerta/core/journal';
import { z } from 'zod';
import { routes, GONE } from './route';

/** The log and the readings of sensors. */

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

/** Query of GET /api/round/log: the planters of the round, or all. */
export const tendedQuerySchema = z.object({ of: z.enum(['round', 'garden']).default('garden') });

/** Query of the log: from when on, before when, and how many at the most. */
export const logQuerySchema = z.object({
  since: z.iso.datetime().optional(),
  before: z.iso.datetime().optional(),
  most: z.coerce.number().int().min(1).max(5000).optional(),
});

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

export const LOG = routes({
  all: {
    method: 'get',
    path: '/log',
    about: 'The log of the garden, latest first, a part at a time.',
    query: logQuerySchema,
    answer: logSchema,
  },
  of: {
    method: 'get',
    path: '/planters/:id/log',
    about: 'The log of a planter, latest first, a part at a time.',
    query: logQuerySchema,
    answer: logSchema,
    problems: GONE,
  },
  tended: {
    method: 'get',
    path: '/round/log',
    about:
      'What the state of planters hangs on: the entries of a season and more, and what counts however old it is.',
    query: tendedQuerySchema,
    answer: tendedLogSchema,
  },
  tendedOf: {
    method: 'get',
    path: '/planters/:id/round/log',
    about: 'The same of one planter.',
    answer: tendedLogSchema,
    problems: GONE,
  },
  add: {
    method: 'post',
    path: '/log',
    about: 'Adds entries; one whose id is known is left as it is.',
    body: sendLogSchema,
    answer: loggedSchema,
    problems: ['invalid', 'too-large', 'not-json'],
  },
  readings: {
    method: 'post',
    path: '/planters/:id/readings',
    about: 'Takes readings of a float or a moisture sensor into the log, each once.',
    body: sendReadingsSchema,
    answer: readingsTakenSchema,
    problems: [...GONE, 'invalid', 'too-large', 'not-json'],
  },
});
