import { measuredDaySchema, weatherChoiceSchema } from '@huerta/core/physics/climate';
import { z } from 'zod';
import { routes, SAVED } from './route';
import { ONLY_DOCUMENT, SAVE_MARK } from './document';

/** Which weather the garden has, and the days that were measured. */

/** Answer to GET and PUT /api/weather. */
export const weatherResourceSchema = z.object({ ...ONLY_DOCUMENT, choice: weatherChoiceSchema });
export type WeatherResource = z.infer<typeof weatherResourceSchema>;
export const saveWeatherSchema = z.strictObject({ ...SAVE_MARK, choice: weatherChoiceSchema });

/** Body of POST /api/weather/days: days as a station tells them. Told again, a date takes the place of what was. */
export const sendDaysSchema = z.strictObject({ days: z.array(measuredDaySchema).min(1).max(400) });

/** Answer to GET /api/weather/days: oldest first. */
export const measuredDaysSchema = z.object({ days: z.array(measuredDaySchema) });

export const WEATHER = routes({
  get: {
    method: 'get',
    path: '/weather',
    about: 'Which weather the garden has.',
    answer: weatherResourceSchema,
  },
  save: {
    method: 'put',
    path: '/weather',
    about: 'Saves the choice of weather over a known revision.',
    body: saveWeatherSchema,
    answer: weatherResourceSchema,
    problems: SAVED,
  },
  days: {
    method: 'get',
    path: '/weather/days',
    about: 'The weather that was, as it was told, oldest first.',
    answer: measuredDaysSchema,
  },
  tellDays: {
    method: 'post',
    path: '/weather/days',
    about:
      'Tells days of weather: °C, metres of rain. A date that is told again is replaced; a forecast never replaces what was measured.',
    body: sendDaysSchema,
    answer: measuredDaysSchema,
    problems: ['invalid', 'too-large', 'not-json'],
  },
});
