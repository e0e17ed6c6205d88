import { z } from 'zod';

/** What core makes of a planter, for other programs to read. Numbers are SI, words in the asked units. */

const quantity = z.object({ value: z.number().nullable(), text: z.string() });

/** Query of a report: the units of its words. */
export const reportQuerySchema = z.object({ units: z.enum(['metric', 'us']).default('metric') });

/** Answer to GET /api/planters/:id/assessment. */
export const assessmentReportSchema = z.object({
  id: z.uuid(),
  revision: z.int().min(1),
  name: z.string(),
  figures: z.array(quantity.extend({ id: z.string(), label: z.string(), kind: z.string() })),
  findings: z.array(
    z.object({
      id: z.string(),
      severity: z.enum(['danger', 'fault', 'watch', 'note']),
      room: z.string(),
      text: z.string(),
      remedies: z.array(z.string()),
    }),
  ),
});
export type AssessmentReport = z.infer<typeof assessmentReportSchema>;

/** Answer to GET /api/planters/:id/sheet. Lengths in metres. */
export const sheetReportSchema = z.object({
  id: z.uuid(),
  revision: z.int().min(1),
  name: z.string(),
  parts: z.array(
    z.object({
      id: z.string(),
      what: z.string(),
      amount: z.string(),
      use: z.string(),
      /** The part that it is mixed into, or null. */
      into: z.string().nullable(),
    }),
  ),
  holes: z.array(
    z.object({
      part: z.string(),
      count: z.int(),
      diameter: z.number(),
      tool: z.string(),
      where: z.string(),
      why: z.string(),
    }),
  ),
  cuts: z.array(
    z.object({ from: z.string(), piece: z.string(), count: z.int(), length: z.number() }),
  ),
  steps: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      minutes: z.number(),
      doing: z.array(z.string()),
      checks: z.array(z.object({ must: z.string(), mend: z.string() })),
      cautions: z.array(z.string()),
    }),
  ),
});
export type SheetReport = z.infer<typeof sheetReportSchema>;
