import { ownCropsSchema } from '@huerta/core/document';
import { z } from 'zod';
import { routes, SAVED } from './route';
import { ONLY_DOCUMENT, SAVE_MARK } from './document';

/** Crops of one’s own: one document of the garden. */

/** Answer to GET and PUT /api/crops. */
export const ownCropsResourceSchema = z.object({ ...ONLY_DOCUMENT, own: ownCropsSchema });
export type OwnCropsResource = z.infer<typeof ownCropsResourceSchema>;
export const saveOwnCropsSchema = z.strictObject({ ...SAVE_MARK, own: ownCropsSchema });

export const CROPS_OF_ONES_OWN = routes({
  get: {
    method: 'get',
    path: '/crops',
    about: 'The crops of one’s own that the garden keeps.',
    answer: ownCropsResourceSchema,
  },
  save: {
    method: 'put',
    path: '/crops',
    about: 'Saves the crops of one’s own over a known revision.',
    body: saveOwnCropsSchema,
    answer: ownCropsResourceSchema,
    problems: SAVED,
  },
});
