import { wakeOutbox } from './pendingSaves';
import { shelfOfPictures, type WaitingPhoto } from './store';

/** Photos that were taken on this device and have not reached the server yet. */
const photos = shelfOfPictures<WaitingPhoto>('photos');

export const waitingPhoto = async (id: string): Promise<Blob | null> =>
  (await photos.get(id))?.picture ?? null;
export const waitingPhotos = (): Promise<WaitingPhoto[]> => photos.all();

/** Keeps a picture until the server has it. */
export async function keepPhoto(id: string, picture: Blob): Promise<void> {
  await photos.change(id, () => ({ id, picture }));
  wakeOutbox();
}

/** Takes away what the server has, or what a person drops. */
export const photoSent = (id: string): Promise<unknown> => photos.change(id, () => undefined);
