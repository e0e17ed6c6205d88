import { createHash } from 'node:crypto';
import sharp from 'sharp';

/** A picture as it is kept: upright, made smaller, without its place and camera, under its hash. */
export interface Picture {
  hash: string;
  whole: Buffer;
  small: Buffer;
  width: number;
  height: number;
}

/** Longest side of what is kept, and of what is shown in a list, pixels. */
const LONGEST = 1600;
const SMALL = 320;
/** More pixels than any camera has; a small file can pretend to have them. */
const MOST_PIXELS = 120_000_000;
const KINDS = ['jpeg', 'png', 'webp', 'heif', 'gif', 'tiff'];
const OPTIONS = { limitInputPixels: MOST_PIXELS, failOn: 'error' } as const;

const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

const smallOf = (whole: Uint8Array): Promise<Buffer> =>
  sharp(whole, OPTIONS)
    .resize(SMALL, SMALL, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 72 })
    .toBuffer();

/** Makes of what a camera took the picture that is kept. @throws where it is no picture */
export async function pictureOf(bytes: Uint8Array): Promise<Picture> {
  const { format } = await sharp(bytes, OPTIONS).metadata();
  if (!KINDS.includes(format)) throw new Error('No picture');
  // Turned by what the camera wrote, which is then left out with all else that it wrote.
  const { data: whole, info } = await sharp(bytes, OPTIONS)
    .autoOrient()
    .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 80 })
    .toBuffer({ resolveWithObject: true });
  const { width, height } = info;
  return { hash: hashOf(whole), whole, small: await smallOf(whole), width, height };
}

/** A picture that Huerta kept before stays as it is; any other is made into one. @throws where it is no picture */
export async function keptPicture(bytes: Buffer): Promise<Picture> {
  const { format, width, height, exif, orientation } = await sharp(bytes, OPTIONS).metadata();
  const asKept = format === 'jpeg' && !exif && !orientation && Math.max(width, height) <= LONGEST;
  if (!asKept) return pictureOf(bytes);
  return { hash: hashOf(bytes), whole: bytes, small: await smallOf(bytes), width, height };
}
