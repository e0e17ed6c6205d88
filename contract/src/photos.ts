import { z } from 'zod';
import { routes, GONE } from './route';

/** Photos of the log. */

/** Answer to PUT /api/photos/:id: the picture as it is kept, in pixels. */
export const photoSchema = z.object({
  id: z.uuid(),
  width: z.int(),
  height: z.int(),
  hash: z.string(),
});
export type Photo = z.infer<typeof photoSchema>;

/** Largest picture that is taken in, bytes. */
export const MAX_PHOTO_BYTES = 25_000_000;

export const PHOTOS = routes({
  put: {
    method: 'put',
    path: '/photos/:id',
    about: 'Takes a picture in: turned upright, made smaller, without its place and camera.',
    sends: 'image/*',
    answer: photoSchema,
    problems: ['invalid', 'too-large'],
  },
  get: {
    method: 'get',
    path: '/photos/:id',
    about: 'The picture.',
    file: 'image/jpeg',
    problems: GONE,
  },
  small: {
    method: 'get',
    path: '/photos/:id/small',
    about: 'The picture, small.',
    file: 'image/jpeg',
    problems: GONE,
  },
});
