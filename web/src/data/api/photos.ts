import { MAX_PHOTO_BYTES, PHOTOS } from '@huerta/contract';
import { useQuery } from '@tanstack/react-query';
import { pendingPhoto } from '../offline/pendingPhotos';
import { callRoute } from './client';

export const sendPhoto = (id: string, picture: Blob): Promise<{ id: string }> =>
  callRoute(PHOTOS.put, { id, body: picture });

/** Pictures of phones that browsers and the server cannot read. */
const HEIC = /heic|heif/i;

/** What is wrong with a file that is to be a photo, or null: it is opened once, so that none that cannot be read is noted. */
export async function photoTrouble(file: File): Promise<string | null> {
  const { type, name, size } = file;
  if (HEIC.test(type) || /\.(?:heic|heif)$/i.test(name))
    return 'That is a HEIC picture, which cannot be read here. Let the camera save JPEG (its settings may call it most compatible), or send yourself the picture as JPEG.';
  if (!type.startsWith('image/'))
    return 'That is no picture. Choose a photo: JPEG, PNG, WebP, or one taken now.';
  if (size > MAX_PHOTO_BYTES)
    return `That picture is larger than ${MAX_PHOTO_BYTES / 1e6} MB. Choose a smaller one.`;
  if (!('createImageBitmap' in globalThis)) return null;
  try {
    (await createImageBitmap(file)).close();
    return null;
  } catch {
    return 'That picture is damaged or of a kind that cannot be read. Choose another, or save it as JPEG.';
  }
}

/** Where a photo is shown from: this device while it waits, else the server. */
export function usePhoto(id: string, size: 'whole' | 'small'): string | null {
  const { data = null } = useQuery({
    queryKey: ['photo', id, size],
    queryFn: async () => {
      const waiting = await pendingPhoto(id);
      if (waiting) return URL.createObjectURL(waiting);
      return `/api/photos/${id}${size === 'small' ? '/small' : ''}`;
    },
    staleTime: Infinity,
    networkMode: 'always',
  });
  return data;
}
