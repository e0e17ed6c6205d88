import { Router } from 'express';
import { weatherChoiceSchema } from '@huerta/core';
import type { WeatherService } from '../services/weather';
import { read } from './read';

/** /api/weather: the garden's choice of weather, read and saved. */
export function weatherRoutes(weather: WeatherService): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await weather.get());
  });

  router.put('/', async (request, response) => {
    response.json(await weather.save(read(weatherChoiceSchema, request.body)));
  });

  return router;
}
