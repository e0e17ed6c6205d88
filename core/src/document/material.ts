import type { Patch } from './patch';
import type { VesselDesign } from './schema';

/** What a vessel is made of, with the wall that goes with it. */

type Material = VesselDesign['material'];

/** Walls that are usual for what is made so, metres. Typical. */
const WALLS: Readonly<Record<Material, number>> = {
  pe: 0.002,
  pp: 0.002,
  pet: 0.0005,
  other: 0.002,
  unknown: 0.002,
  clay: 0.012,
  metal: 0.0009,
  wood: 0.025,
  'treated-wood': 0.025,
};

/** A measured wall is kept where the other material is made as thick: within so many times. */
const ALIKE = 4;

/** What changes a vessel's material: a wall that is far from the usual one of the new gives way to that. */
export function changeMaterial({ wall }: Pick<VesselDesign, 'wall'>, material: Material): Patch {
  const usual = WALLS[material];
  const far = wall > usual * ALIKE || wall < usual / ALIKE;
  return [
    { path: ['vessel', 'material'], value: material },
    ...(far ? [{ path: ['vessel', 'wall'], value: usual }] : []),
  ];
}
