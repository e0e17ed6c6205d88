import { figuresOf, type Figures } from '../../assessment';
import { assemble, freeWaterBelow, type Planter } from '../../assembly';
import { HOSES } from '../../catalog';
import {
  FIELDS,
  legsOf,
  type LineShare,
  type PlanterDesign,
  type WaterLine,
  type WaterLineMember,
} from '../../document';
import { headLoss } from '../../physics/pipes';

/** A line with its planters put together, each as it stands at the line's level. */

/** Designs of the planters of a garden by their ids; those of a line are looked up in it. */
export type DesignsById = Readonly<Record<string, PlanterDesign>>;

export interface JoinedPlanter {
  member: WaterLineMember;
  /** As its own design has it. */
  planter: Planter;
  /** Its inside floor above the ground where it stands on it: the wall’s thickness, and its legs. Metres. */
  least: number;
  /** Where its lip stands above its inside floor: where water runs out, or reaches the base. Metres. */
  lip: number;
  /** Where the line's water stands above its inside floor, metres; not over the lip, 0 where it stands lower. */
  level: number;
  /** With the water kept at that level, without a barrel of its own; null where none reaches it. */
  kept: { planter: Planter; figures: Figures } | null;
  /** What leaves it on a hot and on a mild day, m³/s. */
  takes: { hot: number; mild: number };
}

/** A day's thirst falls on about ten of its hours (FAO-56, hourly: nine tenths between 8 and 18). */
const PEAK = 2.4;
/** Water in a barrel of which only the level counts, m³. */
const NOTHING = 1e-6;

/** A planter's design with what its line gives it as a barrel of its own, for what follows its water day by day. */
export function suppliedDesign(design: PlanterDesign, { level, volume }: LineShare): PlanterDesign {
  const { min, max } = FIELDS.reservoir.supplyLevel;
  const supply = {
    level: Math.min(Math.max(level, min), max),
    volume: Math.max(volume, NOTHING),
    diameter: FIELDS.reservoir.supplyDiameter.min,
  };
  return { ...design, reservoir: { ...design.reservoir, supply } };
}

export const lipOf = ({ heights, vessel }: Planter): number =>
  Math.min(heights.invert ?? heights.waterRim, heights.ceiling, vessel.depth);

export const leastFloor = ({ vessel, design }: Planter): number =>
  vessel.wall + legsOf(design.vessel);

/** Where a line's water stands above the ground: at its valve; without one where the lowest lip lets it run. */
export const waterLevel = (
  { supply, level }: Pick<WaterLine, 'supply' | 'level'>,
  joined: readonly { member: WaterLineMember; lip: number }[],
): number =>
  supply.kind === 'none' ? Math.min(...joined.map(({ member, lip }) => member.floor + lip)) : level;

/** The planters of a line that there are, in its order. */
export function joinedPlanters(line: WaterLine, designs: DesignsById): JoinedPlanter[] {
  const there = line.members.flatMap((member) => {
    const design = designs[member.planter];
    if (!design) return [];
    const own = { ...design, reservoir: { ...design.reservoir, supply: null } };
    const planter = assemble(own);
    return [{ member, planter, lip: lipOf(planter), least: leastFloor(planter) }];
  });
  const stands = waterLevel(line, there);
  return there.map(({ member, planter, lip, least }) => {
    const level = Math.min(Math.max(stands - member.floor, 0), lip);
    const joined = level > member.port ? assemble(planter.design, { level, volume: 0 }) : null;
    const kept = joined && { planter: joined, figures: figuresOf(joined) };
    const { hot, mild } = (kept ?? { figures: figuresOf(planter) }).figures;
    const takes = { hot: hot.total + hot.open, mild: mild.total + mild.open };
    return { member, planter, lip, least, level, kept, takes };
  });
}

/** What runs through the hose to each planter in the middle of a hot day, and the head that it takes. */
export interface HoseFlow {
  /** m³/s */
  flow: number;
  /** Of this hose alone, and of all between the valve and its planter, metres. */
  loss: number;
  drop: number;
}

export function hoseFlows(line: WaterLine, joined: readonly JoinedPlanter[]): HoseFlow[] {
  const { bore } = HOSES[line.hose];
  const wants = joined.map(({ takes }) => PEAK * takes.hot);
  let drop = 0;
  return joined.map(({ member }, i) => {
    const beyond = line.layout === 'row' ? wants.slice(i) : [wants[i] as number];
    const flow = beyond.reduce((sum, one) => sum + one, 0);
    const loss = headLoss(flow, { length: member.run, bore });
    drop = line.layout === 'row' ? drop + loss : loss;
    return { flow, loss, drop };
  });
}

/** Water that a planter holds below a level above its inside floor, m³. */
export const heldBelow = ({ planter }: Pick<JoinedPlanter, 'planter'>, level: number): number =>
  freeWaterBelow(planter, Math.max(level, 0));
