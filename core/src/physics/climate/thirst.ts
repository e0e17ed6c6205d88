import { MULCHES, RAIN, SPOT, SUN, WIND } from '../../catalog';
import { peakOf, type Growth } from '../crop';
import type { PlanterDesign } from '../../document';

/** A day's water, m³/s. */
export interface WaterDemand {
  /** What the plants drink. */
  plants: number;
  /** What leaves from the soil surface. */
  surface: number;
  /** Both: what must come up through the soil. */
  total: number;
  /** What dries up from open water beside the soil. */
  open: number;
}

/** Open water that lies beside the soil, and the ground that plants can shade. m² */
export interface OpenWater {
  area: number;
  ground: number;
}

/** Coefficient of shallow open water (FAO-56, table 12), and the share that the thickest leaves leave. */
const OPEN_KC = 1.05;
const LEAST_LIT = 0.1;

/**
 * What dries up from open water beside the soil, m³/s. Leaves shade it: only the part of the ground that
 * they leave open counts, as for the exposed soil in FAO-56's dual coefficient (its equation 75).
 *
 * @param et m/s of water depth; @param foliage ground that leaves cover, m²
 */
export function dryingOf({ area, ground }: OpenWater, et: number, foliage: number): number {
  const lit = ground > 0 ? Math.max(1 - foliage / ground, LEAST_LIT) : 1;
  return OPEN_KC * et * area * lit;
}

const NO_WATER: OpenWater = { area: 0, ground: 0 };

/** How much thirstier than a field a place is: sun, wind, what it stands on, and cover. */
export function exposureOf({ sun, wind, spot, rain }: PlanterDesign['place']): number {
  return SUN[sun].factor * WIND[wind].factor * SPOT[spot].factor * RAIN[rain].factor;
}

/**
 * Water that leaves a planter on a day of given reference evapotranspiration, by FAO-56's crop
 * coefficients (Allen and others 1998): plants over the ground their foliage covers, plus evaporation
 * from the surface, both multiplied by the exposure of the place. One function for bench and season.
 *
 * @param et reference evapotranspiration, m/s of water depth
 * @param surfaceArea soil surface, m²
 * @param growth how far the plants are; as thirsty as they get by default
 */
export function waterDemandOn(
  design: PlanterDesign,
  et: number,
  surfaceArea: number,
  openWater: OpenWater = NO_WATER,
  { thirst, foliage }: Pick<Growth, 'thirst' | 'foliage'> = peakOf(design.planting).growth,
): WaterDemand {
  const { place, soil } = design;
  const exposure = exposureOf(place);
  const plants = thirst * et * exposure;
  const surface = MULCHES[soil.mulch].evaporation * et * surfaceArea * exposure;
  const open = dryingOf(openWater, et, foliage) * exposure;
  return { plants, surface, total: plants + surface, open };
}
