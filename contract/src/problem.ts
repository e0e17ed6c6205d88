import { z } from 'zod';

/** What can go wrong, as the last part of a problem's type. */
export const PROBLEM_KINDS = [
  'invalid',
  'contradiction',
  'not-found',
  'conflict',
  'too-large',
  'not-json',
  'foreign-host',
  'foreign-page',
  'not-let-in',
  'too-many',
  'too-much-work',
  'garden-damaged',
  'internal',
] as const;
export type ProblemKind = (typeof PROBLEM_KINDS)[number];

/** An `application/problem+json` answer (RFC 9457). */
export const problemSchema = z.object({
  type: z.string(),
  kind: z.enum(PROBLEM_KINDS),
  title: z.string(),
  status: z.int(),
  /** A sentence that says what happened and what to do. */
  detail: z.string(),
  /** For invalid input: where, and what is wrong there. */
  errors: z
    .array(z.object({ path: z.array(z.union([z.string(), z.number()])), message: z.string() }))
    .optional(),
  /** For a conflict: the document as it stands on the server, to be read by the schema of its kind. */
  current: z.looseObject({ revision: z.int().min(0) }).optional(),
});
export type Problem = z.infer<typeof problemSchema>;
