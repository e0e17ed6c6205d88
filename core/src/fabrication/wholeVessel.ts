import { catalogVessel, vesselName, type VesselId } from '../catalog';
import type { PlanterDesign } from '../document';
import { q, say, type Message, type UnitSystem } from '../units';

/** What a vessel that is sawn was before: that is what one looks for and pays. */

type Vessel = PlanterDesign['vessel'];

/** Vessels of the catalogue that are sold whole, by what is sawn off them. */
const WHOLE: readonly VesselId[] = ['drum-60', 'barrel-120', 'barrel-200', 'pail-20', 'pail-25'];
const BOTTLES: readonly VesselId[] = ['bottle-1', 'bottle-2', 'bottle-5', 'bottle-19'];
const TANKS: readonly VesselId[] = ['tank-half'];
/** A vessel this much off in width is another one, as a share. */
const SAME = 0.04;
const near = (one: number, other: number): boolean => Math.abs(one / other - 1) < SAME;

/** Usual cuts by the share of the whole that stays. */
const CUTS: readonly (readonly [share: number, words: string])[] = [
  [1 / 3, 'at a third'],
  [1 / 2, 'in half'],
  [2 / 3, 'at two thirds'],
];
/** A cut this near to a usual one goes by its name, as a share of the whole. */
const CLOSE = 0.04;

export interface WholeVessel {
  id: VesselId;
  /** As it is called, with where it is cut. */
  name: Message;
}

/** Its name in the catalogue without what is done to it. */
const bare = (id: VesselId, units: UnitSystem): string =>
  vesselName(id, units).replace(/, .*$/, '');

const cutAt = (share: number, depth: number): Message => {
  const usual = CUTS.find(([one]) => Math.abs(one - share) < CLOSE);
  return usual ? say`cut ${usual[1]}` : say`cut at ${q(depth, 'length')}`;
};

/** The outside of a whole vessel of the catalogue, for one that is cut across. */
function cutAcross(vessel: Vessel, units: UnitSystem): WholeVessel | null {
  if (vessel.kind === 'box') {
    const id = TANKS.find((one) => {
      const { shape } = catalogVessel(one);
      return shape.kind === 'box' && near(vessel.topLength, shape.topLength);
    });
    return id ? { id, name: say`${bare(id, units)}, cut at ${q(vessel.depth, 'length')}` } : null;
  }
  if (vessel.kind !== 'round') return null;
  for (const id of WHOLE) {
    const { shape } = catalogVessel(id);
    if (shape.kind !== 'round' || !near(vessel.topDiameter, shape.topDiameter)) continue;
    if (shape.depth <= vessel.depth) continue;
    return {
      id,
      name: say`${bare(id, units)}, ${cutAt(vessel.depth / shape.depth, vessel.depth)}`,
    };
  }
  return null;
}

/**
 * What a sawn vessel was whole.
 *
 * @returns null where nothing is sawn, or the catalogue has no whole one of this width
 */
export function wholeVessel(vessel: Vessel, units: UnitSystem): WholeVessel | null {
  switch (vessel.sawing) {
    case 'none':
    case 'windows':
      return null;
    case 'across':
      return cutAcross(vessel, units);
    case 'lengthwise': {
      if (vessel.kind !== 'lying') return null;
      const id = WHOLE.find((one) => {
        const { shape } = catalogVessel(one);
        return shape.kind === 'round' && near(vessel.diameter, shape.topDiameter);
      });
      return id ? { id, name: say`${bare(id, units)}, cut lengthwise` } : null;
    }
    case 'neck': {
      if (vessel.kind !== 'round') return null;
      const id = BOTTLES.find((one) => {
        const { shape } = catalogVessel(one);
        return shape.kind === 'round' && near(vessel.topDiameter, shape.topDiameter);
      });
      return id ? { id, name: say`${bare(id, units)} with its cap` } : null;
    }
  }
}
