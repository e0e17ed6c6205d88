import { Router, type Request } from 'express';
import { createPlanterSchema, savePlanterSchema } from '@huerta/contract';
import { z } from 'zod';
import type { PlanterService } from '../services/planters';
import { invalid, notFound } from '../services/problems';

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
    response.json(await planters.get(idOf(request)));
  });

  router.put('/:id', async (request, response) => {
    const { revision, design } = read(savePlanterSchema, request.body);
    response.json(await planters.save(idOf(request), revision, design));
  });

  router.delete('/:id', async (request, response) => {
    await planters.remove(idOf(request));
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    response.json(await planters.restore(idOf(request)));
  });

  return router;
}

function idOf(request: Request): string {
  const id = z.uuid().safeParse(request.params.id);
  if (!id.success) throw notFound('There is no planter at this address.');
  return id.data;
}

function read<T>(schema: z.ZodType<T>, body: unknown): T {
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  throw invalid(
    parsed.error.issues.map(({ path, message }) => ({
      path: path.map((key) => (typeof key === 'number' ? key : String(key))),
      message,
    })),
  );
}
