import { wakeOutbox } from './pendingSaves';
import { pictureStore } from './store';
import type { PendingPhoto } from './types';

/** Photos that were taken on this device and have not reached the server yet. */
const photos = pictureStore<PendingPhoto>('photos');

export const pendingPhoto = async (id: string): Promise<Blob | null> =>
  (await photos.get(id))?.picture ?? null;
export const pendingPhotos = (): Promise<PendingPhoto[]> => photos.all();

/** Keeps a picture until the server has it. */
export async function addPendingPhoto(id: string, picture: Blob): Promise<void> {
  await photos.change(id, () => ({ id, picture }));
  wakeOutbox();
}

/** Takes away what the server has, or what a person drops. */
export const removePendingPhoto = (id: string): Promise<unknown> =>
  photos.change(id, () => undefined);
