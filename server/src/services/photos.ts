import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Photo } from '@huerta/contract';
import type { Database } from '../storage/database';
import { pictureOf } from './pictures';
import { notFound, problem } from './problems';

/** Photos of the garden: turned upright, made smaller, without their place and camera, as files under their hash. */
export interface PhotoService {
  /** Takes a picture in under the device's id; one that is known is left as it is. @throws ProblemError */
  put(id: string, bytes: Uint8Array): Promise<Photo>;
  /** @throws ProblemError where there is none */
  get(id: string, size: 'whole' | 'small'): Promise<Buffer>;
  all(): Promise<Photo[]>;
}

const noPicture = () =>
  problem(
    'invalid',
    400,
    'No picture',
    'This is not a picture that can be read. Choose a photo: JPEG, PNG, WebP, or one taken now.',
  );

export function photoService(
  { photos, file }: Pick<Database, 'photos' | 'file'>,
  now: () => Date = () => new Date(),
): PhotoService {
  const folder = join(dirname(file), 'photos');
  const pathOf = (hash: string, size: 'whole' | 'small') =>
    join(folder, `${hash}${size === 'small' ? '.small' : ''}.jpg`);
  /** Whole or not at all, whatever happens meanwhile. */
  const keep = async (path: string, bytes: Buffer, id: string): Promise<void> => {
    const half = `${path}.${id}`;
    try {
      await writeFile(half, bytes);
      await rename(half, path);
    } catch (error) {
      await rm(half, { force: true });
      throw error;
    }
  };
  return {
    async put(id, bytes) {
      const known = await photos.find(id);
      if (known) return known;
      const { hash, whole, small, width, height } = await pictureOf(bytes).catch(() => {
        throw noPicture();
      });
      await mkdir(folder, { recursive: true });
      await keep(pathOf(hash, 'whole'), whole, id);
      await keep(pathOf(hash, 'small'), small, id);
      const photo = { id, hash, width, height };
      await photos.add(photo, now().toISOString());
      return photo;
    },
    async get(id, size) {
      const found = await photos.find(id);
      if (!found) throw notFound('There is no such photo.');
      try {
        return await readFile(pathOf(found.hash, size));
      } catch {
        throw notFound('The file of this photo is not there any more.');
      }
    },
    all: () => photos.all(),
  };
}
