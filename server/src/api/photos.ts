import express, { Router } from 'express';
import { MAX_PHOTO_BYTES, PHOTOS } from '@huerta/contract';
import type { PhotoService } from '../services/photos';
import { problem } from '../services/problems';
import { FileAnswer, registerRoute } from './registerRoute';

/** Photos, taken in as the bytes of a picture. */
export function photoRoutes(photos: PhotoService): Router {
  const router = Router();
  router.use('/photos', express.raw({ type: () => true, limit: MAX_PHOTO_BYTES }));
  registerRoute(router, PHOTOS.put, ({ id, request: { body } }) => {
    if (!(body instanceof Uint8Array) || body.length === 0)
      throw problem('invalid', 400, 'No picture', 'Send the picture itself.');
    return photos.put(id, body);
  });
  const shown = async (id: string, size: 'whole' | 'small') =>
    new FileAnswer(`${id}.jpg`, await photos.get(id, size), PHOTOS.get.file, true);
  registerRoute(router, PHOTOS.get, ({ id }) => shown(id, 'whole'));
  registerRoute(router, PHOTOS.small, ({ id }) => shown(id, 'small'));
  return router;
}
