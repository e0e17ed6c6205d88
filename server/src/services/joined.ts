import { lineContextOf, type PlanterDesign } from '@huerta/core/document';
import type { JoinedTo, RoundPlan } from '@huerta/core/journal';
import type { Kept } from './documents';

/** The line that each planter of a garden is joined to, by its id; null for one that stands alone. */
export function joinedIn(
  { lines }: Pick<RoundPlan, 'lines'>,
  planters: readonly Kept<PlanterDesign>[],
): (planter: string) => JoinedTo | null {
  const designs = new Map(planters.map(({ id, value }) => [id, value]));
  return (planter) => {
    const context = lineContextOf(lines, planter, (id) => designs.get(id));
    return context && { ...context, planter };
  };
}
