import { FIELDS, type PlanterDesign, type WaterLine } from '../../document';
import { FOOT, US_GALLON, type UnitSystem } from '../../units';
import { assemble } from '../../assembly';
import { joinedPlanters, leastFloor, lipOf } from './joined';

/** What a line is begun from. */

/** Sizes that one has or buys, in the units one measures in: metres and m³. */
interface UsualSizes {
  barrel: { volume: number; diameter: number };
  /** The barrel’s outlet above the water. */
  above: number;
  /** How far the valve’s level is set under the lips. */
  under: number;
  run: number;
  port: number;
  /** What heights are measured to. */
  rule: number;
}

const INCH = 0.0254;
const SIZES: Readonly<Record<UnitSystem, UsualSizes>> = {
  metric: {
    barrel: { volume: 0.12, diameter: 0.5 },
    ...{ above: 0.4, under: 0.02, run: 1, port: 0.02, rule: 0.001 },
  },
  us: {
    barrel: { volume: 30 * US_GALLON, diameter: 20 * INCH },
    ...{ above: 16 * INCH, under: 0.75 * INCH, run: 3 * FOOT, port: 0.75 * INCH, rule: INCH / 16 },
  },
};

/** A usual barrel for a line, its outlet so high above the water that the valve works. */
export function usualBarrel(level: number, units: UnitSystem): WaterLine['supply'] {
  const { barrel, above, rule } = SIZES[units];
  return { kind: 'barrel', ...barrel, outlet: rule * Math.round((level + above) / rule) };
}

/**
 * A first line of some planters: all on the ground, or higher, so that their lips are level, the valve a little under
 * them, a barrel beside.
 */
export function usualLine(
  { id, name }: Pick<WaterLine, 'id' | 'name'>,
  planters: readonly { id: string; design: PlanterDesign }[],
  units: UnitSystem,
): WaterLine {
  const { run, port, rule, under } = SIZES[units];
  const line: WaterLine = {
    // In the schema’s order, so that it says the same when it comes back from the server.
    ...{ id, name, supply: { kind: 'none' }, level: under, layout: 'row', hose: 'mm-13' },
    members: planters.map((one) => ({ planter: one.id, floor: 0, run, port, over: false })),
  };
  const joined = joinedPlanters(
    line,
    Object.fromEntries(planters.map((one) => [one.id, one.design])),
  );
  const onRule = (metres: number): number => rule * Math.round(metres / rule);
  const highest = Math.max(...joined.map(({ lip, least }) => lip + least));
  const level = Math.max(onRule(highest - under), FIELDS.waterLine.level.min);
  return {
    ...line,
    level,
    supply: usualBarrel(level, units),
    members: line.members.map((one, i) => ({
      ...one,
      floor: onRule(highest - (joined[i]?.lip ?? 0)),
    })),
  };
}

/** Where a planter’s inside floor stands when its lip is to be so high; on the ground where that is higher. Metres. */
export function floorFor(design: PlanterDesign, lip: number): number {
  const planter = assemble({ ...design, reservoir: { ...design.reservoir, supply: null } });
  return Math.max(lip - lipOf(planter), leastFloor(planter));
}
