import type { PlanterResource } from '@huerta/contract';
import { lineContextOf, type LineContext, type WaterLine } from '@huerta/core/document';
import type { JoinedTo } from '@huerta/core/journal';
import { useMemo } from 'react';
import { usePlantersOf } from '../data/api/planters';
import { useRoundPlan } from '../data/api/round';

const NO_LINES: readonly WaterLine[] = [];
const NOBODY: readonly PlanterResource[] = [];

/** The line that a planter is joined to, by its id; null for one that stands alone. */
export type JoinedById = (planter: string) => JoinedTo | null;

/**
 * The lines that some planters are joined to. Others of their lines are fetched with their designs.
 *
 * @returns null until that is known; where it cannot be fetched, as if all stood alone
 */
export function useJoined(
  planters: readonly Pick<PlanterResource, 'id' | 'design'>[],
): JoinedById | null {
  const round = useRoundPlan();
  const lines = round.data?.lines ?? NO_LINES;
  const missing = useMemo(() => {
    const here = new Set(planters.map(({ id }) => id));
    const joined = lines.filter(({ members }) => members.some((one) => here.has(one.planter)));
    const ids = joined.flatMap(({ members }) => members.map((one) => one.planter));
    return [...new Set(ids)].filter((id) => !here.has(id));
  }, [lines, planters]);
  const others = usePlantersOf(missing);
  const known = (round.data ?? round.error) && (others.data ?? others.error);
  const rest = others.data ?? NOBODY;
  return useMemo(() => {
    if (!known) return null;
    const designs = new Map([...planters, ...rest].map(({ id, design }) => [id, design]));
    const contexts = new Map<string, JoinedTo>();
    for (const { id } of planters) {
      const context = lineContextOf(lines, id, (one) => designs.get(one));
      if (context) contexts.set(id, { ...context, planter: id });
    }
    return (id) => contexts.get(id) ?? null;
  }, [known, lines, planters, rest]);
}

/** The lines of a garden whose planters are all among some, with their designs. */
export function useLinesAmong(
  planters: readonly Pick<PlanterResource, 'id' | 'design'>[],
): readonly LineContext[] {
  const lines = useRoundPlan().data?.lines ?? NO_LINES;
  return useMemo(() => {
    const designs = Object.fromEntries(planters.map(({ id, design }) => [id, design]));
    return lines
      .filter(({ members }) => members.every(({ planter }) => designs[planter]))
      .map((line) => ({ line, designs }));
  }, [lines, planters]);
}
