import { z } from 'zod';
import { DOCUMENT_KINDS } from './document';
import { routes, GONE } from './route';

/** The garden as one file, and its copies on this machine. */

/** Largest file that is brought back, bytes. */
export const MAX_GARDEN_BYTES = 1_000_000_000;

/** How a document of the file stands to the garden: not there, the same, or another version. */
export const RESTORE_CHANGES = ['new', 'same', 'newer', 'older'] as const;
export type RestoreChange = (typeof RESTORE_CHANGES)[number];

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
      standing: z.enum(RESTORE_CHANGES),
      updatedAt: z.iso.datetime(),
      /** When the garden's own was last changed; null where there is none. */
      hereAt: z.iso.datetime().nullable(),
    }),
  ),
  /** Marks of builds that the garden does not have, or has otherwise. */
  marks: z.int(),
  /** Entries of the log, readings of sensors, days of weather and photos that the garden does not have. */
  log: z.int(),
  readings: z.int(),
  weatherDays: z.int(),
  photos: z.int(),
  /** Files, and things in them, that are damaged or cannot be read, with why; they are left out. */
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
  /** The copies, newest first. */
  copies: z.array(
    z.object({
      /** A day, and the time for one that is not the day's own. */
      name: z.string(),
      at: z.iso.datetime(),
      /** Whether it is the day's own; else it was made before one was put back, or kept when a smaller one came. */
      daily: z.boolean(),
      bytes: z.int(),
    }),
  ),
});
export type Backups = z.infer<typeof backupsSchema>;

/** Answer to POST /api/backups/:name: the copy that holds what was there until then. */
export const putBackSchema = z.object({ before: z.string() });

/** Answer to GET /api/about. */
export const aboutSchema = z.object({
  version: z.string(),
  /** Whether this is the demo garden, which is put back as it was. */
  demo: z.boolean(),
  /** Whether the page is open on the machine itself, which alone opens doors and puts back copies. */
  home: z.boolean(),
});
export type About = z.infer<typeof aboutSchema>;

/** Only from this machine, but for taking the garden away. */
export const BACKUPS = routes({
  file: {
    method: 'get',
    path: '/garden.zip',
    about: 'The whole garden as one file.',
    file: 'application/zip',
  },
  look: {
    method: 'post',
    path: '/garden/look',
    about: 'What would come in from such a file, which is the body. Nothing changes.',
    sends: 'application/zip',
    answer: restorePreviewSchema,
    problems: ['invalid', 'too-large'],
  },
  restore: {
    method: 'post',
    path: '/garden/restore',
    about: 'Brings such a file in, beside what is there.',
    sends: 'application/zip',
    query: restoreQuerySchema,
    answer: restorePreviewSchema,
    problems: ['invalid', 'too-large'],
  },
  about: {
    method: 'get',
    path: '/about',
    about: 'Which Huerta this is, and whether it is asked from its own machine.',
    answer: aboutSchema,
  },
  days: {
    method: 'get',
    path: '/backups',
    about: 'The copies of the garden on this machine.',
    answer: backupsSchema,
  },
  putBack: {
    method: 'post',
    path: '/backups/:name',
    about: 'Puts the whole garden back as it was in a copy. What it is now is copied first.',
    answer: putBackSchema,
    problems: GONE,
  },
});
