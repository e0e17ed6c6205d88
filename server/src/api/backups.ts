import { Router } from 'express';
import { BACKUPS } from '@huerta/contract';
import type { Copies } from '../services/copies';
import type { GardenFileService } from '../services/gardenFile';
import { notFound } from '../services/problems';
import { FileAnswer, registerRoute } from './registerRoute';

/** The garden as one file, for any device that was let in. */
export function gardenFileRoutes(file: GardenFileService): Router {
  const router = Router();
  registerRoute(router, BACKUPS.file, async () => {
    const day = new Date().toISOString().slice(0, 10);
    return new FileAnswer(`huerta ${day}.zip`, file.take(), BACKUPS.file.file, false);
  });
  return router;
}

/** Bringing a garden file in, and the daily copies: for this machine alone. */
export function backupRoutes(file: GardenFileService, copies: Copies): Router {
  const router = Router();
  registerRoute(router, BACKUPS.look, ({ request }) => file.look(request));
  registerRoute(router, BACKUPS.restore, ({ request, query }) =>
    file.restore(request, query.different),
  );
  registerRoute(router, BACKUPS.days, () => copies.list());
  registerRoute(router, BACKUPS.putBack, async ({ request }) => {
    const put = await copies.putBack(String(request.params.name));
    if (!put) throw notFound('There is no copy of this name.');
    return put;
  });
  return router;
}
