import type { PlanterResource } from '@huerta/contract';
import { pendingSaves } from '../offline/pendingSaves';
import { LaterError } from '../offline/refusalErrors';
import type { PendingSave } from '../offline/types';

/**
 * Planters as this device left them: what was changed here and is not on the server yet stands above what the server has,
 * on every page. What the server refused as a clash is for the person to choose, and is left out.
 */

/** Times that a planter is asked for again because it was saved in between. */
const TRIES = 3;

const counts = (kept: PendingSave): kept is PendingSave<'planter'> =>
  kept.kind === 'planter' && !kept.clash;

/** What waits of planters on this device, the newest of each. */
export async function pendingPlanters(): Promise<ReadonlyMap<string, PendingSave<'planter'>>> {
  const kept = (await pendingSaves.all()).filter(counts);
  return new Map(kept.reverse().map((one) => [one.id, one]));
}

const newest = async (id: string): Promise<PendingSave<'planter'> | null> =>
  (await pendingPlanters()).get(id) ?? null;

/** A planter that waits on this device, as the server would tell it. */
export const asResource = ({ id, base, body, at }: PendingSave<'planter'>): PlanterResource => ({
  id,
  revision: base,
  createdAt: new Date(at).toISOString(),
  updatedAt: new Date(at).toISOString(),
  design: body.design,
});

/**
 * One planter as this device left it.
 *
 * @param fetch asks the server
 * @throws what `fetch` throws, where nothing of the planter waits here
 */
export async function planterWithPending(
  id: string,
  fetch: (id: string) => Promise<PlanterResource>,
): Promise<PlanterResource> {
  for (let tried = 1; ; tried += 1) {
    const before = await newest(id);
    let there: PlanterResource;
    try {
      there = await fetch(id);
    } catch (error) {
      const here = before ?? (await newest(id));
      if (here && (error instanceof LaterError || here.base === 0)) return asResource(here);
      throw error;
    }
    const after = await newest(id);
    if (after) return { ...there, design: after.body.design };
    // It was saved while the server was asked: what it told may be from before that.
    if (!before || there.revision > before.base || tried >= TRIES) return there;
  }
}

/** Planters of a list as this device left them. */
export async function listWithPending<P extends PlanterResource>(
  planters: readonly P[],
): Promise<P[]> {
  const kept = await pendingPlanters();
  return planters.map((one) => {
    const here = kept.get(one.id);
    return here ? { ...one, design: here.body.design } : one;
  });
}
