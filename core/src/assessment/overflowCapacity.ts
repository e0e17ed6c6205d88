import { baseStyle } from '../document';
import type { Planter } from '../assembly';
import { outletFlow, outletOf } from '../physics/overflow';

/**
 * What the overflow carries before water gets into the soil, m³/s.
 *
 * @returns null where it has none, or where water stands in the soil anyway
 */
export function overflowCapacity({ design, heights, vessel }: Planter): number | null {
  const { overflow } = design;
  if (!overflow || heights.invert === null || heights.invert > heights.ceiling) return null;
  if (baseStyle(design) === 'bag') return null;
  const outlet = outletOf(overflow, vessel.perimeterAt(heights.waterRim));
  return outletFlow(outlet, heights.base - heights.invert);
}
