import { cropOf, MULCHES, RAIN, SPOT, SUN, WIND } from '../catalog';
import type { PlanterDesign } from '../design';

/** Part of a crop coefficient that is the soil's own evaporation (FAO-56, table 17: Kcb ≈ Kc − 0.05). */
const SOIL_PART_OF_KC = 0.05;

/** A day's water, m³/s. */
export interface Demand {
  /** What the plants drink. */
  plants: number;
  /** What leaves from the soil surface. */
  surface: number;
  total: number;
}

/** How much thirstier than a field a place is: sun, wind, what it stands on, and cover. */
export function exposureOf({ sun, wind, spot, rain }: PlanterDesign['place']): number {
  return SUN[sun].factor * WIND[wind].factor * SPOT[spot].factor * RAIN[rain].factor;
}

/**
 * Water that leaves a planter on a day of given reference evapotranspiration, by FAO-56's crop
 * coefficients (Allen and others 1998): grown plants over the ground their foliage covers, plus
 * evaporation from the surface, both multiplied by the exposure of the place.
 *
 * @param et reference evapotranspiration, m/s of water depth
 * @param surfaceArea soil surface, m²
 */
export function demandOn(design: PlanterDesign, et: number, surfaceArea: number): Demand {
  const { planting, place, soil } = design;
  const exposure = exposureOf(place);
  const foliage = planting.count * (Math.PI / 4) * planting.foliage ** 2;
  const plants = (cropOf(planting.crop).kc - SOIL_PART_OF_KC) * et * foliage * exposure;
  const surface = MULCHES[soil.mulch].evaporation * et * surfaceArea * exposure;
  return { plants, surface, total: plants + surface };
}
