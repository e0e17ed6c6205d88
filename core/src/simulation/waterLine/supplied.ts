import { FIELDS, type LineContext, type PlanterDesign } from '../../document';
import { joinedPlanters, suppliedDesign, type DesignsById } from './joined';
import { sharesOf } from './outlook';

/** A planter of a line as its season and its days see it: behind a valve, with its share of the line's water. */

/** Lines that were worked out lately, by what they say: all of a garden ask for the same. */
const recent = new Map<string, DesignsById>();
const MOST_RECENT = 8;

/**
 * The designs of a line's planters with the share of its water that comes to each, so that all pages that count days
 * say the same. One that no water reaches is as it was.
 */
export function suppliedDesigns({ line, designs }: LineContext): DesignsById {
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
  const shares = sharesOf(line, joined, FIELDS.reservoir.supplyVolume.max);
  const made = Object.fromEntries(
    joined.map(({ member, planter, level, kept }, i): [string, PlanterDesign] => [
      member.planter,
      kept
        ? suppliedDesign(planter.design, level, shares[i] as number)
        : (of[member.planter] as PlanterDesign),
    ]),
  );
  recent.set(key, made);
  const [oldest] = recent.keys();
  if (recent.size > MOST_RECENT && oldest !== undefined) recent.delete(oldest);
  return made;
}

/** One planter's design as its line supplies it; as it is where nothing is joined to it. */
export const suppliedBy = (
  design: PlanterDesign,
  planter: string,
  context: LineContext | null | undefined,
): PlanterDesign => (context ? (suppliedDesigns(context)[planter] ?? design) : design);
