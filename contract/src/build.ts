import { DECIMAL_MARK_IDS } from '@huerta/core/units';
import { PAPER_IDS, progressEntrySchema } from '@huerta/core/fabrication';
import { z } from 'zod';

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
