import type { Planter } from './assemble';
import { PART_DEFINITIONS, PLACING_ORDER } from './parts';
import type { JointsOf, Joint, PartKind } from './part';

/** Kinds of parts that lift the water. */
export const WICK_KINDS: readonly PartKind[] = ['cloth', 'cup', 'column'];

/** Kinds that keep the water's room open and bear what lies over it. */
export const BEARERS: readonly PartKind[] = PLACING_ORDER.filter(
  (kind) => PART_DEFINITIONS[kind].bears,
);

/** Those of them that bear a sheet as well as soil. */
export const SHEET_BEARERS: readonly PartKind[] = BEARERS.filter(
  (kind) => PART_DEFINITIONS[kind].bears === 'sheet',
);

/** All joints of a planter. */
export function jointsOf({
  partGroups,
  heights,
}: Pick<Planter, 'partGroups' | 'heights'>): Joint[] {
  const together = {
    partGroups,
    heights,
    bears: ({ kind }: { kind: PartKind }) => PART_DEFINITIONS[kind].bears,
  };
  return partGroups.flatMap((group) =>
    (PART_DEFINITIONS[group.kind].joints as unknown as JointsOf<PartKind>)(group, together),
  );
}
