import type { Cloth } from '../catalog';

/** What a cloth does with water: typical or measured. */
export interface ClothProperties {
  /** Practical reach and capillary head, metres. */
  reach: number;
  /** In-plane conductivity, m/s. */
  K: number;
}

const HOUR = 3600;

/**
 * A cloth's properties from a strip test: one end hung in water, the wet height read after an hour
 * and after a day. The day's height is the capillary head; the hour's gives the conductivity by
 * Green and Ampt (1911) for upward entry: t = (φ/K)·[−h − H·ln(1 − h/H)].
 *
 * @param hour wet height after an hour, metres, below `day`
 * @param day wet height after a day, metres
 * @param porosity share of pores, 0 to 1
 */
export function fromStripTest(hour: number, day: number, porosity: number): ClothProperties {
  return { reach: day, K: (porosity / HOUR) * (-hour - day * Math.log(1 - hour / day)) };
}

/** The properties to compute with: the measured strip where there is one, else the catalogue's. */
export function clothProperties(
  cloth: Cloth,
  strip: { hour: number; day: number } | null,
): ClothProperties {
  return strip ? fromStripTest(strip.hour, strip.day, cloth.porosity) : cloth;
}

/** Shortest path that water takes through a cloth, metres; keeps the formula finite at no lift. */
const SHORTEST_PATH = 0.01;

/**
 * Steady delivery of cloth or rope: Q = A·K·(h_c − L)/ℓ, Darcy's law with a fixed capillary head.
 *
 * @param area cross-section of all legs together, m²
 * @param lift height of the cloth's top above the water, metres
 * @param spread length lying on the platform, metres; half of it adds to the path
 * @returns m³/s, 0 when the lift is beyond the reach
 */
export function clothDelivery(
  cloth: ClothProperties,
  area: number,
  lift: number,
  spread: number,
): number {
  if (lift >= cloth.reach) return 0;
  return (area * cloth.K * (cloth.reach - lift)) / clothPath(lift, spread);
}

/** Path that water takes through a cloth: the lift, and half of what lies spread. Metres. */
export const clothPath = (lift: number, spread: number): number =>
  Math.max(lift + spread / 2, SHORTEST_PATH);

/**
 * Height to which a pore of given radius raises water: Jurin's law, h = 2γ·cosθ/(ρ·g·r).
 *
 * @param radius metres
 * @param contactAngle radians
 * @returns metres, for water at 20 °C
 */
export function jurinHeight(radius: number, contactAngle = 0): number {
  return (2 * 0.0728 * Math.cos(contactAngle)) / (998.2 * 9.80665 * radius);
}
