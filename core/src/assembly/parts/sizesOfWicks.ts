import { soilBaseHeight, type PlanterDesign, type WickDesign } from '../../document';
import { q, say } from '../../units';
import type { Vessel } from '../../geometry/vessels';
import { found, type Contradiction } from '../contradiction';

/** Measures of a wick that cannot be: its foot above the soil, or wider than the vessel. */
export function wickSizes(
  wick: WickDesign,
  index: number,
  design: PlanterDesign,
  shape: Vessel,
): Contradiction[] {
  const top = soilBaseHeight(design);
  if (wick.foot >= top - 1e-9) {
    return [
      found(
        ['wicks', index, 'foot'],
        say`The wick’s foot at ${q(wick.foot, 'length')} is not below the soil, which begins at ${q(top, 'length')}. Lower the foot.`,
      ),
    ];
  }
  if (wick.kind === 'cloth') return [];
  const floor = shape.outlineAt(shape.flat ? 0 : shape.depth);
  const narrowest = 2 * Math.min(floor.a, floor.b);
  if (wick.diameter > narrowest) {
    return [
      found(
        ['wicks', index, 'diameter'],
        say`One ${q(wick.diameter, 'length')} across does not go into a vessel that is ${q(narrowest, 'length')} across. Use a smaller one.`,
      ),
    ];
  }
  const curved = shape.outlineAt(wick.foot);
  if (!shape.flat && 2 * Math.min(curved.a, curved.b) < wick.diameter) {
    let foot = wick.foot;
    while (foot < shape.depth && 2 * shape.outlineAt(foot).b < wick.diameter) foot += 1e-3;
    return [
      found(
        ['wicks', index, 'foot'],
        say`The floor is curved: one ${q(wick.diameter, 'length')} across stands on its walls at about ${q(foot, 'length')}. Raise its foot to that, or use a thinner one.`,
      ),
    ];
  }
  return [];
}
