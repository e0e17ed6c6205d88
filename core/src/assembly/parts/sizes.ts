import { airCeiling, type SupportKind, type PlanterDesign } from '../../document';
import { q, say } from '../../units';
import { clearBetween, type Vessel } from '../../geometry/vessels';
import { found, type Contradiction } from '../contradiction';
import type { RequestedPart } from '../part';

/** Sizes that parts of the base have in common, and cannot have. */

/** Top of the base and the room for what stands in it. Metres. */
export function spaceFor(design: PlanterDesign, shape: Vessel) {
  const top = Math.min(airCeiling(design), design.reservoir.top, shape.depth);
  const floor = clearBetween(shape, 0, top);
  return {
    top,
    narrowest: 2 * Math.min(floor.a, floor.b),
    widest: 2 * Math.max(floor.a, floor.b),
  };
}

interface Sizes {
  /** It stands, and so needs a flat floor. */
  stands: boolean;
  /** Which field is its width, and how wide. */
  across?: readonly [field: string, metres: number];
  /** Across a hollow thing whose wall cannot fill it. */
  wall?: number;
  name: string;
}

/** A thing that is too wide for the vessel, whose wall fills it, or that stands on a curved floor. */
export function partSizes<K extends SupportKind>(
  { spec, index }: RequestedPart<K>,
  design: PlanterDesign,
  shape: Vessel,
  { stands, across, wall, name }: Sizes,
): Contradiction[] {
  const at = (key: string) => ['reservoir', 'parts', index, key];
  if (stands && !shape.flat) {
    return [
      found(
        at('kind'),
        say`The floor is curved, and what stands needs a flat one. Lay pipes or stone in it instead.`,
      ),
    ];
  }
  const list: Contradiction[] = [];
  const { narrowest } = spaceFor(design, shape);
  if (across && across[1] > narrowest + 1e-9) {
    list.push(
      found(
        at(across[0]),
        say`A ${name} ${q(across[1], 'length')} across cannot stand in a vessel that is ${q(narrowest, 'length')} across there. Use one of ${q(narrowest, 'length')} or less.`,
      ),
    );
  }
  if (wall !== undefined && 'wall' in spec && spec.wall * 2 >= wall) {
    list.push(
      found(
        at('wall'),
        say`Walls of ${q(spec.wall, 'length')} fill all of something ${q(wall, 'length')} across. Give a thinner wall.`,
      ),
    );
  }
  return list;
}
