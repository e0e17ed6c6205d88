import { Router } from 'express';
import { reportQuerySchema } from '@huerta/contract';
import type { ReportService } from '../services/reports';
import { idOf, read } from './read';

/** /api/planters/:id/assessment and /sheet: what core makes of a planter, read only. */
export function reportRoutes(reports: ReportService): Router {
  const router = Router();
  router.get('/:id/assessment', async (request, response) => {
    const { units } = read(reportQuerySchema, request.query);
    response.json(await reports.assessment(idOf(request, 'planter'), units));
  });
  router.get('/:id/sheet', async (request, response) => {
    const { units } = read(reportQuerySchema, request.query);
    response.json(await reports.sheet(idOf(request, 'planter'), units));
  });
  return router;
}
