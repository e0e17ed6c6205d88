import { readFileSync } from 'node:fs';
import { inflateSync } from 'node:zlib';

/** Sizes of the headers of both formats and of an entry for a table in each, bytes. */
const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const HEADER = 12;
const ENTRY = 16;

/**
 * The OpenType font in a WOFF 1.0 file (W3C Recommendation, 13 December 2012): its tables inflated once, where a reader
 * of WOFF would inflate them anew for each document.
 *
 * @throws Error where it is no WOFF file
 */
export function openTypeFrom(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('This is no WOFF font');
  const count = woff.readUInt16BE(12);
  const power = 2 ** Math.floor(Math.log2(count));
  const head = Buffer.alloc(HEADER + ENTRY * count);
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(count, 4);
  head.writeUInt16BE(power * ENTRY, 6);
  head.writeUInt16BE(Math.log2(power), 8);
  head.writeUInt16BE((count - power) * ENTRY, 10);
  const tables: Buffer[] = [];
  let at = head.length;
  for (let i = 0; i < count; i += 1) {
    const entry = WOFF_HEADER + WOFF_ENTRY * i;
    const [from, packed, length, checksum] = [4, 8, 12, 16].map((k) =>
      woff.readUInt32BE(entry + k),
    ) as [number, number, number, number];
    const stored = woff.subarray(from, from + packed);
    const table = packed < length ? inflateSync(stored) : stored;
    const to = HEADER + ENTRY * i;
    woff.copy(head, to, entry, entry + 4);
    head.writeUInt32BE(checksum, to + 4);
    head.writeUInt32BE(at, to + 8);
    head.writeUInt32BE(length, to + 12);
    // Each table begins on a multiple of four bytes.
    const padded = Buffer.alloc(Math.ceil(length / 4) * 4);
    table.copy(padded);
    tables.push(padded);
    at += padded.length;
  }
  return Buffer.concat([head, ...tables]);
}

const fonts = new Map<string, Buffer>();

/** A font file as OpenType, read once. */
export function fontIn(file: string): Buffer {
  const known = fonts.get(file);
  if (known) return known;
  const bytes = readFileSync(file);
  const font = file.endsWith('.woff') ? openTypeFrom(bytes) : bytes;
  fonts.set(file, font);
  return font;
}
