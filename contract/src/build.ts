import { PAPER_IDS, progressEntrySchema } from '@huerta/core/fabrication';
import { DECIMAL_MARK_IDS } from '@huerta/core/units';
import { z } from 'zod';
import { PDF, CSV } from './mediaTypes';
import { routes, GONE } from './route';

/** Builds: marks of progress, and the files of a build sheet. */

/** How far a planter's build has come: answer to GET and PATCH /api/planters/:id/progress. */
export const progressSchema = z.object({ entries: z.array(progressEntrySchema) });
export type ProgressResource = z.infer<typeof progressSchema>;

/** Body of PATCH /api/planters/:id/progress: what was ticked, measured or noted. */
export const sendProgressSchema = z.strictObject({
  entries: z.array(progressEntrySchema).min(1).max(300),
});

/** Query of the files of a build sheet. */
export const fileQuerySchema = z.object({
  units: z.enum(['metric', 'us']).default('metric'),
  paper: z.enum(PAPER_IDS).default('a4'),
  decimal: z
    .enum(DECIMAL_MARK_IDS)
    .optional()
    .describe('How numbers are written; with a point by itself'),
});
export type FileQuery = z.infer<typeof fileQuerySchema>;

/** Query of the label: the address under which Huerta is open, and the day that is written on it. */
export const labelQuerySchema = fileQuerySchema.extend({
  at: z
    .url({ protocol: /^https?$/, error: 'The address begins with http:// or https://.' })
    .max(200),
  day: z.iso.date({ error: 'A day is written as 2026-05-01.' }),
});
export type LabelQuery = z.infer<typeof labelQuerySchema>;

/** Query of a picture in the round. */
export const roundQuerySchema = z.object({
  turn: z.coerce
    .number()
    .min(-360)
    .max(360)
    .default(0)
    .describe('Degrees that it is turned from its usual view; of the whole planter only'),
  units: z.enum(['metric', 'us']).default('metric'),
  step: z.string().max(40).optional().describe('A step of its build sheet; the whole without one'),
  width: z.coerce.number().int().min(64).max(2000).default(640).describe('Pixels at most'),
});
export type RoundQuery = z.infer<typeof roundQuerySchema>;

export const BUILD = routes({
  progress: {
    method: 'get',
    path: '/planters/:id/progress',
    about: 'How far its build has come.',
    answer: progressSchema,
    problems: GONE,
  },
  mark: {
    method: 'patch',
    path: '/planters/:id/progress',
    about: 'Takes marks in; of two for one key the later holds.',
    body: sendProgressSchema,
    answer: progressSchema,
    problems: [...GONE, 'invalid', 'too-large', 'not-json'],
  },
  sheetPdf: {
    method: 'get',
    path: '/planters/:id/build/sheet.pdf',
    about: 'The build sheet on paper.',
    query: fileQuerySchema,
    file: PDF,
    problems: GONE,
  },
  bookletPdf: {
    method: 'get',
    path: '/planters/:id/build/booklet.pdf',
    about: 'Its build in pictures, step by step.',
    query: fileQuerySchema,
    file: PDF,
    problems: GONE,
  },
  templatesPdf: {
    method: 'get',
    path: '/planters/:id/build/templates.pdf',
    about: 'Its templates at full size, over as many sheets as they need.',
    query: fileQuerySchema,
    file: PDF,
    problems: [...GONE, 'too-much-work'],
  },
  labelPdf: {
    method: 'get',
    path: '/planters/:id/build/label.pdf',
    about: 'Its label, with a code that opens it.',
    query: labelQuerySchema,
    file: PDF,
    problems: GONE,
  },
  partsCsv: {
    method: 'get',
    path: '/planters/:id/build/parts.csv',
    about: 'Its bill of materials.',
    query: fileQuerySchema,
    file: CSV,
    problems: GONE,
  },
  cutsCsv: {
    method: 'get',
    path: '/planters/:id/build/cuts.csv',
    about: 'Its cut list.',
    query: fileQuerySchema,
    file: CSV,
    problems: GONE,
  },
  round: {
    method: 'get',
    path: '/planters/:id/round.svg',
    about: 'The planter in the round, or one step of its build.',
    query: roundQuerySchema,
    file: 'image/svg+xml',
    problems: GONE,
  },
  roundGlb: {
    method: 'get',
    path: '/planters/:id/round.glb',
    about:
      'The planter as a solid: glTF 2.0 in one piece, metres, each group of parts under its name.',
    file: 'model/gltf-binary',
    problems: GONE,
  },
  template: {
    method: 'get',
    path: '/planters/:id/build/templates/:file',
    about: 'One template, as SVG or DXF by the end of its name.',
    query: fileQuerySchema,
    file: 'image/svg+xml',
    problems: GONE,
  },
});
