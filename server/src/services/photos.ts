import { createHash } from 'node:crypto';
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Photo } from '@huerta/contract';
import sharp from 'sharp';
import type { Database } from '../store/database';
import { notFound, problem } from './problems';

/** Photos of the garden: turned upright, made smaller, without their place and camera, as files under their hash. */
export interface PhotoService {
  /** Takes a picture in under the device's id; one that is known is left as it is. @throws ProblemError */
  put(id: string, bytes: Uint8Array): Promise<Photo>;
  /** @throws ProblemError where there is none */
  get(id: string, size: 'whole' | 'small'): Promise<Buffer>;
  all(): Promise<Photo[]>;
}

/** Longest side of what is kept, and of what is shown in a list, pixels. */
const LONGEST = 1600;
const SMALL = 320;
/** More pixels than any camera has; a small file can pretend to have them. */
const MOST_PIXELS = 120_000_000;
const KINDS = ['jpeg', 'png', 'webp', 'heif', 'gif', 'tiff'];

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
    await writeFile(`${path}.${id}`, bytes);
    await rename(`${path}.${id}`, path);
  };
  return {
    async put(id, bytes) {
      const known = await photos.find(id);
      if (known) return known;
      const { whole, small, width, height } = await pictureOf(bytes);
      const hash = createHash('sha256').update(whole).digest('hex');
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

async function pictureOf(bytes: Uint8Array) {
  const options = { limitInputPixels: MOST_PIXELS, failOn: 'error' } as const;
  try {
    const { format } = await sharp(bytes, options).metadata();
    if (!KINDS.includes(format)) throw noPicture();
    // Turned by what the camera wrote, which is then left out with all else that it wrote.
    const upright = sharp(bytes, options).autoOrient();
    const { data: whole, info } = await upright
      .clone()
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 80 })
      .toBuffer({ resolveWithObject: true });
    const small = await sharp(whole)
      .resize(SMALL, SMALL, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 72 })
      .toBuffer();
    return { whole, small, width: info.width, height: info.height };
  } catch {
    throw noPicture();
  }
}
