import {
  applyPatch,
  baseChanges,
  fillsFloor,
  type BaseId,
  type SupportDesign,
  type Patch,
  type PlanterDesign,
} from '../document';
import { assemble, type Planter } from './assemble';
import { contradictions } from './contradictions';
import { boxesOf, type PartGroup } from './part';

/** A base of another sort, of a size that is sold and has room. */

interface Tried {
  patch: Patch;
  planter: Planter;
  parts: PartGroup[];
}

/**
 * The patch that changes the base to a usual one of another sort: in the first usual size of which all have
 * room, or else most; and where the floor is filled with them, in the size that leaves least of it open. No more
 * are asked for than have room. Where none has, one is asked for, and the judge says so.
 */
export function changeBase(design: PlanterDesign, base: BaseId): Patch {
  const changes = baseChanges(design, base);
  const tried = changes.flatMap((patch): Tried[] => {
    const changed = applyPatch(design, patch);
    if (contradictions(changed).length > 0) return [];
    const planter = assemble(changed);
    const parts = planter.partGroups.filter(({ kind, index }) =>
      isPart(planter.design, kind, index),
    );
    return [{ patch, planter, parts }];
  });
  const fills = fillsFloor(base);
  const best = most(tried, fills ? covered : stand, fills ? 'last' : 'first');
  return best ? [...best.patch, ...asManyAsStand(best)] : (changes.at(-1) ?? []);
}

const isPart = ({ reservoir }: PlanterDesign, kind: string, index: number): boolean =>
  reservoir.parts[index]?.kind === kind;

/** The first of those of which something is the most; one end of the list where there is nothing of it. */
function most(
  list: readonly Tried[],
  of: (one: Tried) => number,
  otherwise: 'first' | 'last',
): Tried | null {
  const [first, ...others] = list;
  if (!first) return null;
  const best = others.reduce((top, one) => (of(one) > of(top) + 1e-9 ? one : top), first);
  return of(best) > 0 || otherwise === 'first' ? best : (list.at(-1) ?? first);
}

/** Share of what is asked for that stands. */
const stand = ({ parts }: Tried): number =>
  parts.reduce((least, { parts, wanted }) => Math.min(least, parts.length / wanted), 1);

/** Floor under what stands on it, m². */
const covered = ({ parts }: Tried): number =>
  parts.flatMap(boxesOf).reduce((sum, { a, b }) => sum + 4 * a * b, 0);

function asManyAsStand({ parts, planter }: Tried): Patch {
  return parts.flatMap(({ index, parts, wanted }): Patch => {
    const part = planter.design.reservoir.parts[index] as SupportDesign;
    return 'count' in part && parts.length < wanted
      ? [{ path: ['reservoir', 'parts', index, 'count'], value: Math.max(parts.length, 1) }]
      : [];
  });
}
