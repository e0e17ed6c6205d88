import { catalogVessel, cropOf, type CropId, type VesselId } from '../../catalog';
import type { PartOf, PlanterDesign, VesselDesign } from '../schema';

/** A vessel of the catalogue as a sound, food-safe one stands in a design. */
export function vesselFrom(id: VesselId): VesselDesign {
  const { shape, wall, material } = catalogVessel(id);
  return {
    ...shape,
    wall,
    formerContents: material === 'clay' || material === 'wood' ? 'new' : 'food',
    material,
    colour: material === 'pet' ? 'clear' : 'light',
    rigid: true,
    cracked: false,
    drainHole: false,
  } as VesselDesign;
}

export const planting = (crop: CropId, count: number, foliage = cropOf(crop).foliage) => ({
  crop,
  count,
  foliage,
  spacing: cropOf(crop).spacing,
});

export const ring = (diameter: number, wall: number): PartOf<'ring'> => ({
  kind: 'ring',
  cutEnd: false,
  diameter,
  wall,
  vents: 'both',
});

export const standing = (
  what: PartOf<'standing'>['what'],
  count: number,
  diameter: number,
  wall: number,
): PartOf<'standing'> => ({ kind: 'standing', what, count, diameter, wall, vents: 'both' });

export const platform = (
  top: number,
  thickness: number,
  parts: PlanterDesign['reservoir']['parts'],
) => ({
  top,
  cover: 'platform' as const,
  thickness,
  fill: [],
  parts,
  blanket: null,
  supply: null,
});

export const filled = (
  top: number,
  fill: PlanterDesign['reservoir']['fill'],
  parts: PlanterDesign['reservoir']['parts'],
) => ({ ...platform(top, 0.003, parts), cover: 'none' as const, fill });

export const MIX = { medium: 'mix', upTo: 1 } as const;
