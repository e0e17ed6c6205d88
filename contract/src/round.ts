import { roundPlanSchema } from '@huerta/core/journal';
import { z } from 'zod';
import { fileQuerySchema } from './build';
import { PDF } from './mediaTypes';
import { routes, SAVED } from './route';
import { ONLY_DOCUMENT, SAVE_MARK } from './document';

/** The round: order of the walk, rain tank, absences, how planters stand, and the papers for it. */

/** Answer to GET and PUT /api/round. */
export const roundResourceSchema = z.object({ ...ONLY_DOCUMENT, plan: roundPlanSchema });
export type RoundResource = z.infer<typeof roundResourceSchema>;
export const saveRoundSchema = z.strictObject({ ...SAVE_MARK, plan: roundPlanSchema });

/** Query of GET /api/round/standing. */
export const readySinceSchema = z.strictObject({
  since: z.coerce
    .number()
    .int()
    .min(0)
    .default(0)
    .describe('The `last` of an earlier answer: only what became ready since then is answered'),
});

/**
 * Answer to GET /api/round/standing: how planters stand, as far as it lies ready, each with the mark of what that hangs
 * on. Another mark than the asker's own is of another day or an older log. Asking begins the work; while there is more
 * to come the answer waits a moment for it and says so.
 */
export const readyStatesSchema = z.object({
  /** Number of the latest state here. */
  last: z.int().min(0),
  /** Whether the server is still at it. */
  working: z.boolean(),
  standing: z.array(
    z.object({
      planter: z.string(),
      mark: z.string(),
      state: z.looseObject({}).nullable().describe('Null before it is planted'),
    }),
  ),
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

export const ROUND = routes({
  get: {
    method: 'get',
    path: '/round',
    about: 'The order of the walk, the rain tank, and when nobody is at home.',
    answer: roundResourceSchema,
  },
  save: {
    method: 'put',
    path: '/round',
    about: 'Saves them over a known revision.',
    body: saveRoundSchema,
    answer: roundResourceSchema,
    problems: SAVED,
  },
  states: {
    method: 'get',
    path: '/round/standing',
    about:
      'How planters stand today: level, thirst, days left and what is due, as far as it lies ready. Waits up to 0.8 s for some more.',
    query: readySinceSchema,
    answer: readyStatesSchema,
  },
  neighbour: {
    method: 'post',
    path: '/round/neighbour.pdf',
    about: 'A sheet for whoever waters meanwhile: what, when and how much, in walking order.',
    body: neighbourSchema,
    file: PDF,
    problems: ['invalid', 'too-large', 'not-json', 'too-much-work'],
  },
  calendar: {
    method: 'get',
    path: '/calendar.ics',
    about: 'Fillings, duties, plantings, harvests and absences, for a calendar to subscribe to.',
    query: fileQuerySchema,
    file: 'text/calendar; charset=utf-8',
  },
});
