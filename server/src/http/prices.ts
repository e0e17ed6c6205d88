import { Router } from 'express';
import { savePriceBookSchema } from '@huerta/contract';
import type { PriceService } from '../services/prices';
import { read } from './read';

/** /api/prices: the one price book, read and saved. */
export function priceRoutes(prices: PriceService): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await prices.get());
  });

  router.put('/', async (request, response) => {
    const { revision, book } = read(savePriceBookSchema, request.body);
    response.json(await prices.save(revision, book));
  });

  return router;
}
