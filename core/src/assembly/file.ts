import { z } from 'zod';
import { tell } from '../units';
import { contradictions } from './contradictions';
import {
  DESIGN_VERSION,
  migrate,
  planterDesignSchema,
  type AnyDocument,
  type PlanterDesign,
} from '../document';

/** The most that a planter file may hold, bytes. Real ones are about 2 kB. */
export const MAX_FILE_BYTES = 1_000_000;

export type FileReading = { ok: true; design: PlanterDesign } | { ok: false; message: string };

/** The planter as the text of a planter file (JSON, see docs/planter-file.md). */
export function writePlanterFile(design: PlanterDesign): string {
  return `${JSON.stringify(design, null, 2)}\n`;
}

/**
 * Reads the text of a planter file. Files of earlier versions are brought up to date; damaged,
 * foreign and later ones are refused with a sentence that says why.
 */
export function readPlanterFile(text: string): FileReading {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refuse(
      'This is not a whole planter file: it breaks off or holds something other than JSON. Export the planter again and use that file.',
    );
  }
  return readPlanterDocument(raw);
}

/**
 * The same for a document that has been parsed already, such as one from the database.
 *
 * @param impossible whether one whose measures contradict each other is refused, as a file is, or opened, as
 *   what was kept before a rule became stricter
 */
export function readPlanterDocument(
  raw: unknown,
  { impossible = 'refuse' }: { impossible?: 'refuse' | 'open' } = {},
): FileReading {
  const head = z
    .looseObject({ format: z.literal('huerta.planter'), version: z.int().min(1) })
    .safeParse(raw);
  if (!head.success) {
    return refuse(
      'This file is not from Huerta: it does not say that it is a planter. Choose a file that was exported from the garden.',
    );
  }
  if (head.data.version > DESIGN_VERSION) {
    return refuse(
      `This planter was saved by a later Huerta (file version ${head.data.version}, this one reads up to ${DESIGN_VERSION}). Update Huerta, then import it again.`,
    );
  }
  const parsed = planterDesignSchema.safeParse(migrate(head.data as AnyDocument));
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    const where = issue?.path.join(', ') || 'the file';
    return refuse(
      `This planter file is damaged at ‘${where}’: ${issue?.message ?? 'unreadable'}. Export the planter again, or mend that entry.`,
    );
  }
  const found = impossible === 'refuse' ? contradictions(parsed.data)[0] : undefined;
  if (found) {
    return refuse(`This planter cannot exist as written. ${tell(found.message, 'metric')}`);
  }
  return { ok: true, design: parsed.data };
}

const refuse = (message: string): FileReading => ({ ok: false, message });
