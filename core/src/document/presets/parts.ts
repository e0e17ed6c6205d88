import { catalogVessel, cropOf, type CropId, type VesselId } from '../../catalog';
import { usualPlanted } from '../plantingSchema';
import type { SupportOf, PlanterDesign, VesselDesign } from '../schema';

/** What is sawn on a vessel of the catalogue, and its factory plugs that come to lie under water. */
const SAWN: Partial<Record<VesselId, VesselDesign['sawing']>> = {
  'barrel-two-thirds': 'across',
  'barrel-half': 'across',
  'barrel-lying': 'lengthwise',
  'barrel-200': 'windows',
  'tank-half': 'across',
  'bottle-2': 'neck',
};
const BUNGS: Partial<Record<VesselId, number>> = { 'barrel-half': 2, 'tank-half': 1 };

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
    cracked: 'none',
    drainHole: 'none',
    sawing: SAWN[id] ?? 'none',
    bungs: BUNGS[id] ?? 0,
    ...(shape.kind === 'frame' ? { stands: false } : {}),
  } as VesselDesign;
}

export const planting = (crop: CropId, count: number, foliage = cropOf(crop).foliage) => ({
  crops: [usualPlanted(crop, count, { foliage })],
});

export const ring = (diameter: number, wall: number): SupportOf<'ring'> => ({
  kind: 'ring',
  cutEnd: false,
  diameter,
  wall,
  vents: 'both',
});

export const standing = (
  what: SupportOf<'standing'>['what'],
  count: number,
  diameter: number,
  wall: number,
): SupportOf<'standing'> => ({ kind: 'standing', what, count, diameter, wall, vents: 'both' });

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
  supply: null,
});

export const filled = (
  top: number,
  fill: PlanterDesign['reservoir']['fill'],
  parts: PlanterDesign['reservoir']['parts'],
) => ({ ...platform(top, 0.003, parts), cover: 'none' as const, fill });

export const MIX = { medium: 'mix', upTo: 1 } as const;

/** Woven fabric, turned up the wall. */
export const FABRIC = { what: 'fabric', thickness: 0.001, up: true } as const;
export const STRAW = { what: 'straw', thickness: 0.05, up: false } as const;
export const MARKER = { what: 'straw', thickness: 0.03, up: false } as const;
