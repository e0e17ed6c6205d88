import { createHash } from 'node:crypto';
import { DOCUMENT_KINDS, type DocumentKind } from '@huerta/contract';
import { z } from 'zod';
import { problem, type ProblemError } from '../problems';

/**
 * The whole garden as one file: a zip with each document as JSON, what each was before its saves, the log and what
 * sensors told in parts, photos, the marks of builds, rows that are damaged as they are, and a manifest with checksums.
 */

/** Version 1 had the whole log in one part, with readings among it. */
export const VERSION = 2;
export const MANIFEST = 'manifest.json';
/** Entries of the log, or readings, in one part. */
export const ROWS_A_PART = 5000;

/** What a file may be unpacked to, and how many files it may hold; said when it holds more. */
export const LIMITS = {
  unpackedBytes: 2_000_000_000,
  files: 300_000,
  /** One file of JSON; the log of version 1 was one. */
  jsonBytes: 64_000_000,
  oldLogBytes: 400_000_000,
  photoBytes: 25_000_000,
} as const;

const SINGLE: ReadonlySet<DocumentKind> = new Set(['prices', 'weather', 'crops', 'round']);

/** One document of the file. What is under an id that its kind cannot have does not come in. */
export const listedSchema = z
  .object({
    kind: z.enum(DOCUMENT_KINDS),
    id: z.string().max(60),
    name: z.string().max(200),
    revision: z.int().min(1),
    createdAt: z.iso.datetime(),
    updatedAt: z.iso.datetime(),
    deletedAt: z.iso.datetime().nullable(),
    path: z.string(),
    history: z.array(
      z.object({ revision: z.int().min(1), createdAt: z.iso.datetime(), path: z.string() }),
    ),
  })
  .refine(({ kind, id }) => (SINGLE.has(kind) ? id === 'garden' : z.uuid().safeParse(id).success), {
    path: ['id'],
    message: 'There is no such id.',
  });
export type Listed = z.infer<typeof listedSchema>;

/** The manifest. Its documents are looked at one by one, so that one that is wrong does not hold up the others. */
export const manifestSchema = z.object({
  format: z.literal('huerta.garden'),
  version: z.int().min(1),
  madeAt: z.iso.datetime(),
  documents: z.array(z.unknown()),
  damaged: z
    .array(z.object({ path: z.string(), name: z.string(), why: z.string() }))
    .default([])
    .describe('Rows that could not be read when the file was made, as they were'),
  files: z.record(z.string(), z.object({ sha256: z.string(), bytes: z.int() })),
});
export type Manifest = z.infer<typeof manifestSchema>;

export const sha256 = (bytes: Uint8Array): string =>
  createHash('sha256').update(bytes).digest('hex');

/** Why a file is not taken. */
export const refuseFile = (why: string): ProblemError =>
  problem('invalid', 400, 'Cannot be read', why);

export function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
