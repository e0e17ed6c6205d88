import {
  lineContextOf,
  waterLinesOf,
  type LineShare,
  type PlanterDesign,
  type WaterLine,
} from '@huerta/core/document';
import type { JoinedTo, RoundPlan } from '@huerta/core/journal';
import { lineShares, shareOf } from '@huerta/core/simulation/waterLine';
import type { Documents, Kept } from './documents';
import { ONLY } from './kinds';
import { summarized } from './summaries';

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

/** A planter's line, and what that gives it; null where no water reaches it. */
interface SharedWater {
  line: WaterLine;
  share: LineShare | null;
}

/** The same by a planter's id; null for one that stands alone. */
export type SharedWaterReader = (planter: string) => Promise<SharedWater | null>;

/** The planters of a line that can be read; others are left out of it. */
async function membersOf(
  { members }: WaterLine,
  planters: Documents<PlanterDesign>,
): Promise<Kept<PlanterDesign>[]> {
  const found = await Promise.allSettled(members.map(({ planter }) => planters.get(planter)));
  return found.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []));
}

const designsOf = (kept: readonly Kept<PlanterDesign>[]): Record<string, PlanterDesign> =>
  Object.fromEntries(kept.map(({ id, value }) => [id, value]));

/** Reads the line of a planter with the designs in it, and works out what that gives it. */
export function sharedWaterReader(
  planters: Documents<PlanterDesign>,
  round: Documents<RoundPlan>,
): SharedWaterReader {
  return async (planter) => {
    const [line] = waterLinesOf((await round.get(ONLY)).value.lines, planter);
    if (!line) return null;
    const designs = designsOf(await membersOf(line, planters));
    return { line, share: shareOf(planter, { line, designs }) };
  };
}

/** Summaries of joined planters that are remembered. */
const MOST = 200;

/**
 * The planters of a garden that are joined, in short: each with what its line gives it.
 *
 * @returns a reader of them, JSON by id; one whose lines cannot be read has none
 */
export function joinedSummaries(
  planters: Documents<PlanterDesign>,
  round: Documents<RoundPlan>,
): () => Promise<ReadonlyMap<string, string>> {
  const known = new Map<string, string>();
  const summaryOf = ({ id, revision, value }: Kept<PlanterDesign>, share: LineShare): string => {
    const key = [id, revision, share.level, share.volume].join();
    const summary = known.get(key) ?? JSON.stringify(summarized(value, share));
    if (known.size >= MOST) known.clear();
    known.set(key, summary);
    return summary;
  };
  return async () => {
    const made = new Map<string, string>();
    const lines = await round.get(ONLY).then(
      ({ value }) => value.lines,
      () => [],
    );
    for (const line of lines) {
      const members = await membersOf(line, planters);
      const shares = lineShares({ line, designs: designsOf(members) });
      for (const one of members) {
        const share = shares[one.id];
        if (share && !made.has(one.id)) made.set(one.id, summaryOf(one, share));
      }
    }
    return made;
  };
}
