import type { AssessmentReport, SheetReport } from '@huerta/contract';
import { billOf, buildSheet } from '@huerta/core/fabrication';
import { evaluate, reportOf, SHOWN } from '@huerta/core/assessment';
import { tell, writeQuantity, type UnitSystem } from '@huerta/core/units';
import type { PlanterDesign } from '@huerta/core/document';
import type { Documents } from './documents';
import type { SharedWaterReader } from './joined';

/** What core makes of a planter, as plain JSON. */
export interface ReportService {
  assessment(id: string, units: UnitSystem): Promise<AssessmentReport>;
  sheet(id: string, units: UnitSystem): Promise<SheetReport>;
}

export function reportService(
  planters: Documents<PlanterDesign>,
  sharedWater: SharedWaterReader,
): ReportService {
  return {
    async assessment(id, units) {
      const { revision, value: design } = await planters.get(id);
      const { figures, findings } = evaluate(design, (await sharedWater(id))?.share).assessment;
      return {
        id,
        revision,
        name: design.name,
        figures: reportOf(figures, SHOWN.all).map(({ id: figure, label, kind, value, none }) => ({
          id: figure,
          label,
          kind,
          // What is without end, as the days of a planter that nothing drinks from, is no number in JSON.
          value: value !== null && Number.isFinite(value) ? value : null,
          text: value === null ? none : writeQuantity(value, kind, units),
        })),
        findings: findings.map(({ id: finding, severity, panel, text, remedies }) => ({
          id: finding,
          severity,
          room: panel,
          text: tell(text, units),
          remedies: remedies.map(({ label }) => tell(label, units)),
        })),
      };
    },

    async sheet(id, units) {
      const { revision, value: design } = await planters.get(id);
      const { planter, assessment } = evaluate(design);
      const sheet = buildSheet(planter, assessment.figures, units);
      return {
        id,
        revision,
        name: design.name,
        parts: billOf(sheet, null).map(({ id: part, what, amount, use, into }) => ({
          id: part,
          what: tell(what, units),
          amount: tell(amount, units),
          use,
          into,
        })),
        holes: sheet.holes.map(({ part, count, bit, tool, where, why }) => ({
          part,
          count,
          diameter: bit,
          tool,
          where: tell(where, units),
          why: tell(why, units),
        })),
        cuts: sheet.cuts.flatMap(({ good, pieces }) =>
          pieces.map(({ label, count, length }) => ({
            from: tell(good.name, units),
            piece: label,
            count,
            length,
          })),
        ),
        steps: sheet.steps.map(
          ({ id: step, title, minutes, practised, waits, doing, checks, cautions }) => ({
            id: step,
            title,
            minutes,
            practised,
            waits,
            doing: doing.map((words) => tell(words, units)),
            checks: checks.map(({ must, mend }) => ({
              must: tell(must, units),
              mend: tell(mend, units),
            })),
            cautions: cautions.map(({ text }) => text),
          }),
        ),
      };
    },
  };
}
