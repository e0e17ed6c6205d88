import { z } from 'zod';

/** What all kinds of document have in common: planters, vessels, price book, weather, season plans. */

/** The kinds, each under its name. */
export const DOCUMENT_KINDS = [
  'planter',
  'vessel',
  'prices',
  'weather',
  'season',
  'crops',
  'round',
] as const;
export type DocumentKind = (typeof DOCUMENT_KINDS)[number];

/** As many saves as a device remembers whose answers it has not had. */
export const MAX_UNANSWERED = 50;

/** How a save says what it is based on. Beside it stands what is saved. */
export const SAVE_MARK = {
  /** The revision that it was made from; 0 for a document that was never written. */
  revision: z.int().min(0),
  /** An id of this save, made by the device, so that it is known when it is sent again. */
  saveId: z.uuid().optional(),
  /** The device's own saves that this one follows, whose answers it may not have had. */
  after: z.array(z.uuid()).max(MAX_UNANSWERED).optional(),
} as const;

/** A document that there are many of. Its revision is raised by one with every save. */
export const DOCUMENT = {
  id: z.uuid(),
  revision: z.int().min(1),
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime(),
} as const;

/** A document that there is one of, at its address; revision 0 before it is first written. */
export const ONLY_DOCUMENT = {
  revision: z.int().min(0),
  updatedAt: z.iso.datetime().nullable(),
} as const;

/** What this Huerta cannot read, documents and rows of other tables: kept as it is, and said by name. */
export const setAsideSchema = z.array(
  z.object({
    /** The kind of document, or the table of the row. */
    kind: z.string(),
    id: z.string(),
    name: z.string(),
    why: z.string(),
    /** Where below /api it is taken away as it is. */
    file: z.string(),
  }),
);
export type SetAside = z.infer<typeof setAsideSchema>;

/** Largest JSON body that the server reads, bytes. */
export const MAX_BODY_BYTES = 1_000_000;
