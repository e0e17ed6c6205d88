import { Router } from 'express';
import { seasonPlanSchema } from '@huerta/core';
import type { SeasonService } from '../services/seasons';
import { idOf, read } from './read';

/** /api/planters/:id/season: what is meant to be done in a planter's season, read and saved. */
export function seasonRoutes(seasons: SeasonService): Router {
  const router = Router();

  router.get('/:id/season', async (request, response) => {
    response.json(await seasons.get(idOf(request, 'planter')));
  });

  router.put('/:id/season', async (request, response) => {
    const plan = read(seasonPlanSchema, request.body);
    response.json(await seasons.save(idOf(request, 'planter'), plan));
  });

  return router;
}
