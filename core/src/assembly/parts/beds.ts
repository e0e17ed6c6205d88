import { many } from '../../units';
import { MATERIAL_DENSITY } from '../../catalog';
import type { BedDesign, PlanterDesign } from '../../document';
import { shellVolume } from '../../geometry/vessels';
import { onFloor, onSupports, onVessel } from '../joining';
import { lot, only, type Asked, type Faces, type Kind, type Lot, type Site } from '../part';
import { walls } from '../solid';

/** What holds the soil where that is not the vessel: an upper vessel, a bottle's top, pails, bags. */

type BedKind = BedDesign['kind'] & Kind;

/** A fabric bag weighs next to nothing beside a pail of the same size. */
const BAG_DENSITY = 300;

const bedOf =
  <K extends BedKind>(kind: K) =>
  ({ bed }: PlanterDesign): Asked<K>[] =>
    only<K>((bed?.kind === kind ? bed : null) as never);

function standingBeds<K extends BedKind>(kind: K, asked: Asked<K>, site: Site): Lot<K> {
  const { bed, design } = site;
  const density = kind === 'bag' ? BAG_DENSITY : MATERIAL_DENSITY[design.vessel.material];
  const count = 'count' in asked.spec ? asked.spec.count : 1;
  return lot(kind, asked, {
    wanted: count,
    pieces: bed.places.map((at, i) => ({
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

export const nested: Faces<'nested'> = {
  asked: bedOf('nested'),
  place: (asked, site) => standingBeds('nested', asked, site),
  joints: onSupports,
  name: () => 'upper vessel',
};
export const neck: Faces<'neck'> = {
  asked: bedOf('neck'),
  place: (asked, site) => standingBeds('neck', asked, site),
  joints: onVessel,
  name: () => 'upper part of the bottle',
};
export const row: Faces<'row'> = {
  asked: bedOf('row'),
  place: (asked, site) => standingBeds('row', asked, site),
  joints: onVessel,
  name: (_spec, count) => many(count, 'pail'),
};
export const bag: Faces<'bag'> = {
  asked: bedOf('bag'),
  place: (asked, site) => standingBeds('bag', asked, site),
  joints: onFloor,
  name: (_spec, count) => many(count, 'bag'),
};
