import { useMemo } from 'react';
import type { LineShare, PlanterDesign, WaterLine } from '@huerta/core/document';
import type { LineShares } from '@huerta/core/simulation/waterLine';
import type { PlanterResource } from '@huerta/contract';
import type { UnitSystem } from '@huerta/core/units';
import type { LineAsked, LineShown } from './lineTask';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';
import { useJoined } from './waterLines';
import { runInWorker } from './workerPool';

/** What a line of joined planters comes to; nothing is asked before all of it is there. */
export const useLine = (asked: LineAsked | null): Known<LineShown> =>
  useWorkerQuery<LineShown>({
    key: asked && [
      'line',
      JSON.stringify([asked.line, asked.others, asked.units]),
      idOf(asked.designs),
      asked.book && idOf(asked.book),
    ],
    broke: 'The joined planters could not be worked out. Load the page again to try once more.',
    ask: (signal) => runInWorker(signal, (work) => work.line(asked as LineAsked)),
  });

/** A first line of some planters, their lips level. */
export const askUsualLine = (
  named: Pick<WaterLine, 'id' | 'name'>,
  planters: readonly { id: string; design: PlanterDesign }[],
  units: UnitSystem,
): Promise<WaterLine> =>
  runInWorker(new AbortController().signal, (work) => work.usualLine(named, planters, units));

/** How high a planter’s inside floor stands, metres above the ground, when its lip is to be so high. */
export const askFloor = (design: PlanterDesign, lip: number): Promise<number> =>
  runInWorker(new AbortController().signal, (work) => work.floorFor(design, lip));

/** What is known of a planter's part of its line's water. */
export interface PlanterShare {
  line: WaterLine;
  /** Null where no water of the line reaches it. */
  share: LineShare | null;
}

/**
 * What the lines of some planters give them.
 *
 * @param planters the same array as long as nothing of them changes
 * @returns by their ids, null for one that stands alone; null as a whole until all is known
 */
export function useLineShares(
  planters: readonly Pick<PlanterResource, 'id' | 'design'>[],
): Readonly<Record<string, PlanterShare | null>> | null {
  const joinedTo = useJoined(planters);
  const contexts = planters.flatMap(({ id }) => joinedTo?.(id) ?? []);
  const { value, current } = useWorkerQuery<LineShares[]>({
    key: contexts.length > 0 ? ['shares', ...contexts.map(idOf)] : null,
    broke: 'What joined planters share could not be worked out. Load the page again.',
    ask: (signal) =>
      Promise.all(contexts.map((one) => runInWorker(signal, (work) => work.lineShares(one)))),
  });
  const known = joinedTo !== null && (contexts.length === 0 || current);
  return useMemo(() => {
    if (!known) return null;
    const shares = (id: string) => value?.find((one) => id in one)?.[id] ?? null;
    return Object.fromEntries(
      planters.map(({ id }) => {
        const context = joinedTo(id);
        return [id, context && { line: context.line, share: shares(id) }];
      }),
    );
    // What is worked out for other lines is not looked at: ids are looked up in their own.
  }, [known, value, planters, joinedTo]);
}

/** The same of one planter; null for one that stands alone, and until it is known. */
export function useLineShare(planter: Pick<PlanterResource, 'id' | 'design'>): LineShare | null {
  const planters = useMemo(() => [planter], [planter]);
  return useLineShares(planters)?.[planter.id]?.share ?? null;
}
