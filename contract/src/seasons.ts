import { seasonPlanSchema } from '@huerta/core/simulation/season';
import { z } from 'zod';
import { routes, GONE, SAVED } from './route';
import { ONLY_DOCUMENT, SAVE_MARK } from './document';

/** Plans of seasons, one a planter. */

/** Answer to GET and PUT /api/planters/:id/season. */
export const seasonResourceSchema = z.object({ ...ONLY_DOCUMENT, plan: seasonPlanSchema });
export type SeasonResource = z.infer<typeof seasonResourceSchema>;

/** Answer to GET /api/seasons: the plans that were ever written, by planter. */
export const seasonsSchema = z.object({
  plans: z.record(z.uuid(), z.object({ revision: z.int().min(0), plan: seasonPlanSchema })),
});
export const saveSeasonSchema = z.strictObject({ ...SAVE_MARK, plan: seasonPlanSchema });

export const SEASONS = routes({
  all: {
    method: 'get',
    path: '/seasons',
    about: 'The plans of all planters that have one.',
    answer: seasonsSchema,
  },
  get: {
    method: 'get',
    path: '/planters/:id/season',
    about: 'What is meant to be done in a planter’s season.',
    answer: seasonResourceSchema,
    problems: GONE,
  },
  save: {
    method: 'put',
    path: '/planters/:id/season',
    about: 'Saves the plan of a season over a known revision.',
    body: saveSeasonSchema,
    answer: seasonResourceSchema,
    problems: [...GONE, ...SAVED],
  },
});
