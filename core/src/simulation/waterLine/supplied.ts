import { FIELDS, type LineContext, type LineShare, type PlanterDesign } from '../../document';
import { joinedPlanters, suppliedDesign } from './joined';
import { sharesOf } from './outlook';

/** A planter of a line as its bench, its season and its days see it: with its share of the line's water. */

/** What a line gives each of its planters, by their ids; null for one that no water reaches. */
export type LineShares = Readonly<Record<string, LineShare | null>>;

/** Lines that were worked out lately, by what they say: all of a garden ask for the same. */
const recent = new Map<string, LineShares>();
const MOST_RECENT = 8;

/** What a line gives each of its planters, so that all pages that count days say the same. */
export function lineShares({ line, designs }: LineContext): LineShares {
  const of = Object.fromEntries(
    line.members.flatMap(({ planter }) => {
      const design = designs[planter];
      return design ? [[planter, design]] : [];
    }),
  );
  const key = JSON.stringify([line, of]);
  const known = recent.get(key);
  if (known) return known;
  const joined = joinedPlanters(line, of);
  const volumes = sharesOf(line, joined, FIELDS.reservoir.supplyVolume.max);
  const made = Object.fromEntries(
    joined.map(({ member, level, kept }, i): [string, LineShare | null] => [
      member.planter,
      kept && { level, volume: volumes[i] as number },
    ]),
  );
  recent.set(key, made);
  const [oldest] = recent.keys();
  if (recent.size > MOST_RECENT && oldest !== undefined) recent.delete(oldest);
  return made;
}

/** What a planter's line gives it; null where nothing is joined to it, or no water reaches it. */
export const shareOf = (
  planter: string,
  context: LineContext | null | undefined,
): LineShare | null => (context ? (lineShares(context)[planter] ?? null) : null);

/** One planter's design as its line supplies it; as it is where nothing is joined to it. */
export function suppliedBy(
  design: PlanterDesign,
  planter: string,
  context: LineContext | null | undefined,
): PlanterDesign {
  const share = shareOf(planter, context);
  return share ? suppliedDesign(design, share) : design;
}
