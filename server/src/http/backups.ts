import express, { Router } from 'express';
import { BACKUPS, MAX_GARDEN_BYTES } from '@huerta/contract';
import type { Copies } from '../services/copies';
import type { GardenFileService } from '../services/gardenFile';
import { notFound, problem } from '../services/problems';
import { FileAnswer, serve } from './serve';

/** Reads a garden file, which is far larger than any document. */
const zip = express.raw({ type: () => true, limit: MAX_GARDEN_BYTES });

/** The garden as one file, for any device that was let in. */
export function gardenFileRoutes(file: GardenFileService): Router {
  const router = Router();
  serve(router, BACKUPS.file, async () => {
    const day = new Date().toISOString().slice(0, 10);
    return new FileAnswer(`huerta ${day}.zip`, await file.take(), BACKUPS.file.file, false);
  });
  return router;
}

/** Bringing a garden file in, and the daily copies: for this machine alone. */
export function backupRoutes(file: GardenFileService, copies: Copies): Router {
  const router = Router();
  const bytesOf = (body: unknown): Uint8Array => {
    if (body instanceof Uint8Array) return body;
    throw problem('invalid', 400, 'Cannot be read', 'Send the garden file itself.');
  };
  router.use(['/garden/look', '/garden/restore'], zip);
  serve(router, BACKUPS.look, ({ request }) => file.look(bytesOf(request.body)));
  serve(router, BACKUPS.restore, ({ request, query }) =>
    file.restore(bytesOf(request.body), query.different),
  );
  serve(router, BACKUPS.days, () => copies.list());
  serve(router, BACKUPS.putBack, async ({ request }) => {
    const day = String(request.params.day);
    if (!(await copies.putBack(day))) throw notFound('There is no copy of this day.');
  });
  return router;
}
