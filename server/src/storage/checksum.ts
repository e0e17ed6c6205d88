import { crc32 } from 'node:zlib';

/** A short mark of a text, by which a bit that changed on the disk is found (CRC-32, ISO 3309). */
export const checksumOf = (text: string): string => crc32(text).toString(16).padStart(8, '0');
