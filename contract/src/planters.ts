import { planterDesignSchema } from '@huerta/core/document';
import { z } from 'zod';
import { setAsideSchema, DOCUMENT, SAVE_MARK } from './document';
import { routes, GONE, SAVED } from './route';

/** Planters: the designs of a garden, and what core makes of each. */

/** One planter as the server keeps it. */
export const planterResourceSchema = z.object({ ...DOCUMENT, design: planterDesignSchema });
export type PlanterResource = z.infer<typeof planterResourceSchema>;

/** Body of POST /api/planters. */
export const createPlanterSchema = z.strictObject({ design: planterDesignSchema });

/** Body of PUT /api/planters/:id. With revision 0 the device made the planter, and its id. */
export const savePlanterSchema = z.strictObject({ ...SAVE_MARK, design: planterDesignSchema });
export type SavePlanter = z.infer<typeof savePlanterSchema>;

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
const quantity = z.object({ value: z.number().nullable(), text: z.string() });

/** Query of a report: the units of its words. */
export const reportQuerySchema = z.object({ units: z.enum(['metric', 'us']).default('metric') });

/** Answer to GET /api/planters/:id/assessment. */
export const assessmentReportSchema = z.object({
  id: z.uuid(),
  revision: z.int().min(1),
  name: z.string(),
  figures: z.array(quantity.extend({ id: z.string(), label: z.string(), kind: z.string() })),
  findings: z.array(
    z.object({
      id: z.string(),
      severity: z.enum(['danger', 'fault', 'watch', 'note']),
      room: z.string(),
      text: z.string(),
      remedies: z.array(z.string()),
    }),
  ),
});
export type AssessmentReport = z.infer<typeof assessmentReportSchema>;

/** Answer to GET /api/planters/:id/sheet. Lengths in metres. */
export const sheetReportSchema = z.object({
  id: z.uuid(),
  revision: z.int().min(1),
  name: z.string(),
  parts: z.array(
    z.object({
      id: z.string(),
      what: z.string(),
      amount: z.string(),
      use: z.string(),
      /** The part that it is mixed into, or null. */
      into: z.string().nullable(),
    }),
  ),
  holes: z.array(
    z.object({
      part: z.string(),
      count: z.int(),
      diameter: z.number(),
      tool: z.string(),
      where: z.string(),
      why: z.string(),
    }),
  ),
  cuts: z.array(
    z.object({ from: z.string(), piece: z.string(), count: z.int(), length: z.number() }),
  ),
  steps: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      minutes: z.number(),
      practised: z.number(),
      waits: z.number(),
      doing: z.array(z.string()),
      checks: z.array(z.object({ must: z.string(), mend: z.string() })),
      cautions: z.array(z.string()),
    }),
  ),
});
export type SheetReport = z.infer<typeof sheetReportSchema>;

export const PLANTERS = routes({
  list: {
    method: 'get',
    path: '/planters',
    about: 'All planters with their designs, oldest first, and what cannot be read.',
    answer: planterListSchema,
  },
  round: {
    method: 'get',
    path: '/round/planters',
    about: 'The planters of the round: those that grow something.',
    answer: roundPlantersSchema,
  },
  create: {
    method: 'post',
    path: '/planters',
    about: 'Puts a new planter into the garden.',
    body: createPlanterSchema,
    answer: planterResourceSchema,
    status: 201,
    problems: SAVED,
  },
  get: {
    method: 'get',
    path: '/planters/:id',
    about: 'One planter.',
    answer: planterResourceSchema,
    problems: GONE,
  },
  save: {
    method: 'put',
    path: '/planters/:id',
    about: 'Saves over a known revision; with revision 0 the id is the device’s own.',
    body: savePlanterSchema,
    answer: planterResourceSchema,
    problems: [...GONE, ...SAVED],
  },
  history: {
    method: 'get',
    path: '/planters/:id/history',
    about: 'What it was before its saves, newest first.',
    answer: historySchema,
    problems: GONE,
  },
  remove: {
    method: 'delete',
    path: '/planters/:id',
    about: 'Deletes it; this can be undone.',
    status: 204,
    problems: GONE,
  },
  restore: {
    method: 'post',
    path: '/planters/:id/restore',
    about: 'Takes a deletion back.',
    answer: planterResourceSchema,
    problems: GONE,
  },
  assessment: {
    method: 'get',
    path: '/planters/:id/assessment',
    about: 'What core makes of it: figures in SI and words, findings with their remedies.',
    query: reportQuerySchema,
    answer: assessmentReportSchema,
    problems: GONE,
  },
  sheet: {
    method: 'get',
    path: '/planters/:id/sheet',
    about: 'Parts, holes, cuts and steps of its build sheet. Lengths in metres.',
    query: reportQuerySchema,
    answer: sheetReportSchema,
    problems: GONE,
  },
});
