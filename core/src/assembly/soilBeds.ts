import { catalogMix, type GrowingMix } from '../catalog';
import { dippingNeck } from '../document';
import { mixOf } from '../physics/soil';
import type { Planter } from './assemble';

/** Growing mix of one sort in its place in the beds. Heights in metres above the inside floor, settled. */
export interface SoilBed {
  part: 'lower' | 'upper';
  mix: GrowingMix;
  from: number;
  to: number;
  /** m³, of all beds together, without the pipes that go through it. */
  volume: number;
}

/**
 * The growing mix between base and surface, from below: one mix, or two where another lies on top. The
 * upper one is as deep as was asked, or as deep as there is soil.
 */
export function soilBeds(
  planter: Pick<Planter, 'design' | 'bed' | 'heights' | 'storage'>,
): SoilBed[] {
  const { design, bed, heights, storage } = planter;
  const { upper } = design.soil;
  const base = heights.base - dippingNeck(design);
  const seam = upper ? Math.max(heights.surface - upper.depth, base) : heights.surface;
  const body = (part: SoilBed['part'], mix: GrowingMix, from: number, to: number): SoilBed => {
    const whole = bed.places.length * bed.inside.volumeBetween(from - bed.floor, to - bed.floor);
    return { part, mix, from, to, volume: Math.max(whole - storage.pipesInSoil(from, to), 0) };
  };
  return [
    ...(seam > base + 1e-9 ? [body('lower', mixOf(design.soil), base, seam)] : []),
    ...(upper ? [body('upper', catalogMix(upper.medium), seam, heights.surface)] : []),
  ];
}

/** How high the mixes are wet from below over water at the base, metres of soil. */
export function wetsTo(planter: Pick<Planter, 'design' | 'bed' | 'heights' | 'storage'>): number {
  const { base } = planter.heights;
  let height = 0;
  for (const { mix, from, to } of soilBeds(planter)) {
    if (mix.reach <= from - base + 1e-9) break;
    height = Math.min(mix.reach, to - base);
    if (mix.reach < to - base) break;
  }
  return height;
}
