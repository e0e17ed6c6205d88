import { shapeOf } from '@huerta/core/geometry/vessels';
import { legsOf, type PlanterDesign } from '@huerta/core/document';

/** What leaves and tubes take beside and above a vessel, metres. */
const ASIDE = 0.14;
const FOLIAGE = 0.22;

/** About how wide and high a planter is when it is drawn, metres: known before it is put together. */
export function vesselSize({ vessel, planting }: PlanterDesign): { wide: number; high: number } {
  const shape = shapeOf(vessel);
  const { a, b } = shape.outlineAt(shape.depth);
  const legs = legsOf(vessel);
  const wide = 2 * Math.max(a, b) + ASIDE;
  return { wide, high: shape.depth + legs + (planting.crops.length > 0 ? FOLIAGE : 0) };
}
