import { halfAt, WICK_KINDS, type Planter } from '../../assembly';
import type { TroublePlace } from './causes';

/** A point of the section: right of its middle, and above the inside floor. Metres. */
export interface TroublePoint {
  x: number;
  z: number;
}

/** How far above the soil something on the plants is marked, metres, and how far in from a wall, as a share. */
const ABOVE = 0.1;
const WITHIN = 0.75;

/** Where on the section of a planter a cause sits. */
export function troublePoint(planter: Planter, at: TroublePlace): TroublePoint {
  const { heights, vessel, bed } = planter;
  const plant = bed.places[0]?.x ?? 0;
  const beside = (z: number): number => -WITHIN * halfAt(planter, z);
  const wick = planter.partGroups.find(
    ({ kind, parts }) => parts.length > 0 && WICK_KINDS.includes(kind),
  )?.parts[0];
  const tube = planter.of('tube')[0]?.parts[0];
  switch (at) {
    case 'plants':
      return { x: plant, z: heights.surface + ABOVE };
    case 'surface':
      return { x: plant, z: heights.surface };
    case 'soil':
      return { x: plant, z: (heights.surface + heights.base) / 2 };
    case 'base':
      return { x: wick?.x ?? plant, z: heights.base };
    case 'wick':
      return { x: wick?.x ?? plant, z: heights.base / 2 };
    case 'water':
      return { x: beside(heights.brim / 2), z: heights.brim / 2 };
    case 'overflow': {
      const z = heights.invert ?? heights.brim;
      return { x: -vessel.halfAt(z), z };
    }
    case 'tube':
      return tube ? { x: tube.x, z: heights.rim } : { x: plant, z: heights.surface };
    case 'vessel':
      return { x: vessel.halfAt(heights.brim / 3), z: heights.brim / 3 };
  }
}
