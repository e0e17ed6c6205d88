import { z } from 'zod';
import { DOCUMENT_KINDS } from './document';

/** One file of the whole garden, taken away and brought back. */

/** Largest file that is brought back, bytes. */
export const MAX_GARDEN_BYTES = 200_000_000;

/** How a document of the file stands to the garden: not there, the same, or another version. */
export const STANDINGS = ['new', 'same', 'newer', 'older'] as const;
export type Standing = (typeof STANDINGS)[number];

/** What becomes of documents that the garden has in another version. */
export const DIFFERENT = ['keep', 'take', 'both'] as const;
export type Different = (typeof DIFFERENT)[number];

/** Answer to POST /api/garden/look and /api/garden/restore. */
export const restorePreviewSchema = z.object({
  madeAt: z.iso.datetime(),
  /** What is in the file, in the order of the garden. */
  documents: z.array(
    z.object({
      kind: z.enum(DOCUMENT_KINDS),
      id: z.string(),
      name: z.string(),
      standing: z.enum(STANDINGS),
      updatedAt: z.iso.datetime(),
      /** When the garden's own was last changed; null where there is none. */
      hereAt: z.iso.datetime().nullable(),
    }),
  ),
  /** Marks of builds that the garden does not have, or has otherwise. */
  marks: z.int(),
  /** Files that are damaged or cannot be read, with why; they are left out. */
  leftOut: z.array(z.object({ path: z.string(), why: z.string() })),
  /** How many documents came in; null for a look. */
  came: z.int().nullable(),
});
export type RestorePreview = z.infer<typeof restorePreviewSchema>;

/** Query of POST /api/garden/restore. */
export const restoreQuerySchema = z.object({ different: z.enum(DIFFERENT).default('keep') });

/** Answer to GET /api/backups. */
export const backupsSchema = z.object({
  /** Where the garden and its copies lie on this machine. */
  folder: z.string(),
  /** The days of which there is a copy, newest first. */
  days: z.array(z.object({ day: z.iso.date(), bytes: z.int() })),
});
export type Backups = z.infer<typeof backupsSchema>;

/** Answer to GET /api/about. */
export const aboutSchema = z.object({
  version: z.string(),
  /** Whether this is the demo garden, which is put back as it was. */
  demo: z.boolean(),
  /** Whether the page is open on the machine itself, which alone opens doors and puts back copies. */
  home: z.boolean(),
});
export type About = z.infer<typeof aboutSchema>;
