import { MAX_PHOTO_BYTES, PHOTOS } from '@huerta/contract';
import { useQuery } from '@tanstack/react-query';
import { pendingPhoto } from '../offline/pendingPhotos';
import { callRoute } from './client';

export const sendPhoto = (id: string, picture: Blob): Promise<{ id: string }> =>
  callRoute(PHOTOS.put, { id, body: picture });

/** What is wrong with a file that is to be a photo, or null. */
export function photoTrouble({ type, size }: Pick<File, 'type' | 'size'>): string | null {
  if (!type.startsWith('image/'))
    return 'That is no picture. Choose a photo: JPEG, PNG, WebP, or one taken now.';
  return size > MAX_PHOTO_BYTES
    ? `That picture is larger than ${MAX_PHOTO_BYTES / 1e6} MB. Choose a smaller one.`
    : null;
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
