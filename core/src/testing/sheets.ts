import { evaluate } from '../assessment';
import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import type { UnitSystem } from '../units';
import { buildSheet } from '../fabrication';

/** Sheets of starting points with changes, for tests. */

export const designOf = (id: string, patch: Patch = []) =>
  applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch);
export const sheetOf = (id: string, units: UnitSystem = 'metric', patch: Patch = []) => {
  const { planter, assessment } = evaluate(designOf(id, patch));
  return { planter, ...buildSheet(planter, assessment.figures, units) };
};
/** With spaces that may break. */
export const plain = (text: string) => text.replaceAll('\u00a0', ' ');
