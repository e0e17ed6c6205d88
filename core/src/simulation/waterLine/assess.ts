import { HOSES } from '../../catalog';
import type { WaterLine } from '../../document';
import { secondsToFollow, valveFlow } from '../../physics/pipes';
import {
  heldBelow,
  hoseFlows,
  joinedPlanters,
  waterLevel,
  type DesignsById,
  type HoseFlow,
  type JoinedPlanter,
} from './joined';
import { daysOfLine, type LineDays } from './outlook';

/** What a line of planters on one water comes to: litres, heights, flows and days. */

/** Opening of a usual float valve, metres across. Typical. */
const SEAT = 0.006;
/** A difference of levels, and what is left of it when one counts as following, metres. */
const APART = 0.02;
const TOGETHER = 0.002;
/** A slice of water over which its area is taken, metres. */
const SLICE = 0.005;

/** One planter of a line. */
export interface LinePlanter extends HoseFlow {
  joined: JoinedPlanter;
  /** At the line's level, and of that what its wicks can use, m³. */
  holds: number;
  usable: number;
}

export interface LineAssessment {
  line: WaterLine;
  planters: LinePlanter[];
  /** Where the water stands above the ground, metres. */
  level: number;
  /** In all reservoirs, m³, and what leaves all on a hot and a mild day, m³/s. */
  holds: number;
  takes: { hot: number; mild: number };
  days: { hot: LineDays; mild: LineDays };
  /** What the valve lets in with a barrel that is all but empty, m³/s; null without one. */
  valve: number | null;
  /** Until levels that stand 2 cm apart stand together, in the slowest pair of neighbours, seconds. */
  follows: number;
  /** If one leaks: water that is lost from the others, m³, and until the barrel is empty, seconds (null without one). */
  leak: { others: number; barrel: number | null };
}

const areaOf = (one: JoinedPlanter): number =>
  Math.max(
    (heldBelow(one, one.level) - heldBelow(one, one.level - SLICE)) /
      Math.min(SLICE, Math.max(one.level, 1e-6)),
    1e-4,
  );

/** The slowest pair of neighbours; in a star two hoses lie between any two. */
function slowest(line: WaterLine, joined: readonly JoinedPlanter[]): number {
  const { bore } = HOSES[line.hose];
  const fed = joined.filter(({ kept }) => kept !== null);
  let most = 0;
  for (let i = 1; i < fed.length; i += 1) {
    const [a, b] = [fed[i - 1] as JoinedPlanter, fed[i] as JoinedPlanter];
    const length = line.layout === 'row' ? b.member.run : a.member.run + b.member.run;
    most = Math.max(
      most,
      secondsToFollow(APART, TOGETHER, [areaOf(a), areaOf(b)], { length, bore }),
    );
  }
  return most;
}

/** The hose before the valve: that to the first planter. */
const barrelHose = ({ hose, members }: WaterLine) => ({
  length: members[0]?.run ?? 1,
  bore: HOSES[hose].bore,
});

/**
 * Works a line out.
 *
 * @param designs of a garden's planters, by id; those that are no longer there are left out
 */
export function assessLine(line: WaterLine, designs: DesignsById): LineAssessment {
  const joined = joinedPlanters(line, designs);
  const flows = hoseFlows(line, joined);
  const level = joined.length > 0 ? waterLevel(line, joined) : 0;
  const sum = (of: (one: JoinedPlanter) => number): number =>
    joined.reduce((total, one) => total + of(one), 0);
  const { supply } = line;
  const valve =
    supply.kind === 'barrel' ? valveFlow(supply.outlet - level, SEAT, barrelHose(line)) : null;
  const days = (of: 'hot' | 'mild'): LineDays =>
    daysOfLine(
      line,
      joined,
      joined.map(({ takes }) => takes[of]),
    );
  const above = (one: JoinedPlanter): number =>
    Math.max(heldBelow(one, one.level) - heldBelow(one, one.member.port), 0);
  const largest = Math.max(...joined.map(above), 0);
  return {
    line,
    level,
    planters: joined.map((one, i) => ({
      joined: one,
      holds: heldBelow(one, one.level),
      usable: one.kept?.figures.usable ?? 0,
      ...(flows[i] as HoseFlow),
    })),
    holds: sum((one) => heldBelow(one, one.level)),
    takes: { hot: sum(({ takes }) => takes.hot), mild: sum(({ takes }) => takes.mild) },
    days: { hot: days('hot'), mild: days('mild') },
    valve,
    follows: slowest(line, joined),
    leak: {
      // The one that leaks is the one whose loss hurts the others most: any but the largest.
      others: sum(above) - (joined.length > 1 ? Math.min(...joined.map(above), largest) : largest),
      barrel:
        supply.kind === 'barrel' && valve !== null && valve > 0 ? supply.volume / valve : null,
    },
  };
}
