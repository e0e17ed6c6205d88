import { Router } from 'express';
import { keepVesselSchema } from '@huerta/contract';
import type { VesselService } from '../services/vessels';
import { idOf, read } from './read';

/** /api/vessels: list, keep, change, delete, restore. */
export function vesselRoutes(vessels: VesselService): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json({ vessels: await vessels.list() });
  });

  router.post('/', async (request, response) => {
    const vessel = await vessels.create(read(keepVesselSchema, request.body));
    response.status(201).location(`/api/vessels/${vessel.id}`).json(vessel);
  });

  router.put('/:id', async (request, response) => {
    const kept = read(keepVesselSchema, request.body);
    response.json(await vessels.save(idOf(request, 'vessel'), kept));
  });

  router.delete('/:id', async (request, response) => {
    await vessels.remove(idOf(request, 'vessel'));
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    response.json(await vessels.restore(idOf(request, 'vessel')));
  });

  return router;
}
