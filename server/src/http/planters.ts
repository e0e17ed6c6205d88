import { Router } from 'express';
import { createPlanterSchema, savePlanterSchema } from '@huerta/contract';
import type { PlanterService } from '../services/planters';
import { idOf, read } from './read';

/** /api/planters: list, create, read, save, delete, restore. */
export function planterRoutes(planters: PlanterService): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await planters.list());
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
    const { revision, design, saveId = null, after = [] } = read(savePlanterSchema, request.body);
    const save = { revision, saveId, after };
    response.json(await planters.save(idOf(request, 'planter'), save, design));
  });

  router.get('/:id/history', async (request, response) => {
    response.json(await planters.history(idOf(request, 'planter')));
  });

  router.get('/:id/document', async (request, response) => {
    const { name, text } = await planters.document(idOf(request, 'planter'));
    // It may be no JSON: that is why it is taken away.
    response.attachment(`${name}.json`).type('application/octet-stream').send(text);
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
