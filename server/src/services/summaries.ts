import type { DesignSummary } from '@huerta/contract';
import { daysToSay, evaluate } from '@huerta/core/assessment';
import { cropIn, type LineShare, type PlanterDesign } from '@huerta/core/document';
import { section } from '@huerta/core/drawing';
import { buildSheet } from '@huerta/core/fabrication';

/** A planter in short, as its card has it. @param share what a line that it is joined to gives it */
export function summarized(design: PlanterDesign, share: LineShare | null = null): DesignSummary {
  const { planter, assessment } = evaluate(design, share);
  const { figures, findings } = assessment;
  const { bounds } = section(planter);
  const worst = findings.find(({ severity }) => severity !== 'note');
  return {
    variant: design.variant,
    place: design.place.name,
    crop: design.planting.crops
      .filter(({ count }) => count > 0)
      .map((one) => cropIn(one).name)
      .join(', '),
    usable: figures.usable,
    days: daysToSay(figures.lastsHot.days),
    worst:
      worst && worst.severity !== 'note' ? { severity: worst.severity, text: worst.text } : null,
    serious: findings.filter(({ severity }) => severity === 'danger' || severity === 'fault')
      .length,
    steps: buildSheet(planter, figures, 'metric').steps.length,
    height: bounds.top - bounds.bottom,
  };
}
