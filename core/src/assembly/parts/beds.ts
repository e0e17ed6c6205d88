import { plural } from '../../units';
import { MATERIAL_DENSITY } from '../../catalog';
import type { BedDesign, PlanterDesign } from '../../document';
import { shellVolume } from '../../geometry/vessels';
import { onFloor, onSupports, onVessel } from '../joining';
import {
  partGroup,
  singleRequest,
  type RequestedPart,
  type PartDefinition,
  type PartKind,
  type PartGroup,
  type PlacementSite,
} from '../part';
import { walls } from '../solid';

/** What holds the soil where that is not the vessel: an upper vessel, a bottle's top, pails, bags. */

type BedKind = BedDesign['kind'] & PartKind;

/** A fabric bag weighs next to nothing beside a pail of the same size. */
const BAG_DENSITY = 300;

const bedOf =
  <K extends BedKind>(kind: K) =>
  ({ bed }: PlanterDesign): RequestedPart<K>[] =>
    singleRequest<K>((bed?.kind === kind ? bed : null) as never);

function standingBeds<K extends BedKind>(
  kind: K,
  asked: RequestedPart<K>,
  site: PlacementSite,
): PartGroup<K> {
  const { bed, design } = site;
  const density = kind === 'bag' ? BAG_DENSITY : MATERIAL_DENSITY[design.vessel.material];
  const count = 'count' in asked.spec ? asked.spec.count : 1;
  return partGroup(kind, asked, {
    wanted: count,
    parts: bed.places.map((at, i) => ({
      id: `${kind}-${i}`,
      ...at,
      from: bed.floor - bed.wall,
      to: bed.floor + bed.inside.depth,
      // Bags stand on the tray's floor, in the way of all else; the others stand above or in the vessel.
      foot:
        kind === 'bag'
          ? {
              form: 'disc',
              r: Math.max(bed.inside.halfAt(0), bed.inside.halfAt(bed.inside.depth)) + bed.wall,
            }
          : { form: 'none' },
      body: walls(bed.inside, bed.wall, at, bed.floor),
      bore: null,
    })),
    height: bed.floor + bed.inside.depth,
    mass: bed.places.length * shellVolume(bed.inside) * density,
  });
}

export const nested: PartDefinition<'nested'> = {
  asked: bedOf('nested'),
  place: (asked, site) => standingBeds('nested', asked, site),
  joints: onSupports,
  name: () => 'upper vessel',
};
export const neck: PartDefinition<'neck'> = {
  asked: bedOf('neck'),
  place: (asked, site) => standingBeds('neck', asked, site),
  joints: onVessel,
  name: () => 'upper part of the bottle',
};
export const row: PartDefinition<'row'> = {
  asked: bedOf('row'),
  place: (asked, site) => standingBeds('row', asked, site),
  // On the bearers beside the channel, or on the channel's own rim.
  joints(group, { partGroups }) {
    const carried = partGroups.find(({ kind, parts }) => kind === 'bearers' && parts.length > 0);
    return carried ? [{ kind: 'rests-on', a: group.id, b: carried.id }] : onVessel(group);
  },
  name: (_spec, count) => plural(count, 'pail'),
};
export const bag: PartDefinition<'bag'> = {
  asked: bedOf('bag'),
  place: (asked, site) => standingBeds('bag', asked, site),
  joints: onFloor,
  name: (_spec, count) => plural(count, 'bag'),
};
