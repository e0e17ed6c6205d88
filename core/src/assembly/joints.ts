import type { Planter } from './assemble';
import { KIND_FACES, PLACING } from './parts';
import type { Join, Joint, Kind } from './part';

/** Kinds that keep the water's room open and bear what lies over it. */
export const BEARERS: readonly Kind[] = PLACING.filter((kind) => KIND_FACES[kind].bears);

/** Those of them that bear a sheet as well as soil. */
export const SHEET_BEARERS: readonly Kind[] = BEARERS.filter(
  (kind) => KIND_FACES[kind].bears === 'sheet',
);

/** All joints of a planter. */
export function jointsOf({ lots, heights }: Pick<Planter, 'lots' | 'heights'>): Joint[] {
  const together = { lots, heights, bears: ({ kind }: { kind: Kind }) => KIND_FACES[kind].bears };
  return lots.flatMap((lot) =>
    (KIND_FACES[lot.kind].joints as unknown as Join<Kind>)(lot, together),
  );
}
