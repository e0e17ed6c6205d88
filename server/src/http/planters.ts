import { Router } from 'express';
import { createPlanterSchema, savePlanterSchema } from '@huerta/contract';
import type { PlanterService } from '../services/planters';
import { idOf, read } from './read';

/** /api/planters: list, create, read, save, delete, restore. */
export function planterRoutes(planters: PlanterService): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json({ planters: await planters.list() });
  });

  router.post('/', async (request, response) => {
    const { design } = read(createPlanterSchema, request.body);
    const planter = await planters.create(design);
    response.status(201).location(`/api/planters/${planter.id}`).json(planter);
  });

  router.get('/:id', async (request, response) => {
    response.json(await planters.get(idOf(request, 'planter')));
  });

  router.put('/:id', async (request, response) => {
    const { revision, design } = read(savePlanterSchema, request.body);
    response.json(await planters.save(idOf(request, 'planter'), revision, design));
  });

  router.delete('/:id', async (request, response) => {
    await planters.remove(idOf(request, 'planter'));
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    response.json(await planters.restore(idOf(request, 'planter')));
  });

  return router;
}
