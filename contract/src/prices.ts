import { priceBookSchema } from '@huerta/core/fabrication';
import { z } from 'zod';
import { routes, SAVED } from './route';
import { ONLY_DOCUMENT, SAVE_MARK } from './document';

/** The price book: one document of the garden. */

/** Answer to GET and PUT /api/prices. */
export const priceBookResourceSchema = z.object({ ...ONLY_DOCUMENT, book: priceBookSchema });
export type PriceBookResource = z.infer<typeof priceBookResourceSchema>;
export const savePriceBookSchema = z.strictObject({ ...SAVE_MARK, book: priceBookSchema });

export const PRICES = routes({
  get: {
    method: 'get',
    path: '/prices',
    about: 'The price book.',
    answer: priceBookResourceSchema,
  },
  save: {
    method: 'put',
    path: '/prices',
    about: 'Saves the price book over a known revision.',
    body: savePriceBookSchema,
    answer: priceBookResourceSchema,
    problems: SAVED,
  },
});
