import type { Cloth } from '../../catalog';

/** What a cloth does with water: typical or measured. */
export interface ClothProperties {
  /** Practical reach and capillary head, metres. */
  reach: number;
  /** In-plane conductivity, m/s. */
  K: number;
}

const HOUR = 3600;
const DAY = 86_400;

/** How far beyond the day's height a capillary head is looked for. */
const FURTHER = 1.5;

/** Time that a strip takes to be wet to a height, over porosity and conductivity. m */
const climbing = (z: number, H: number): number => -z - H * Math.log1p(-z / H);

/**
 * A cloth's properties from a strip test: one end hung in water, the wet height read after an hour and
 * after a day. By Green and Ampt (1911) for upward entry, t = (φ/K)·[−z − H·ln(1 − z/H)]; the two readings
 * give the capillary head H and the conductivity K. At small z it is the square root of time (Washburn 1921).
 *
 * @param hour wet height after an hour, metres, below `day`
 * @param day wet height after a day, metres
 * @param porosity share of pores, 0 to 1
 */
export function fromStripTest(hour: number, day: number, porosity: number): ClothProperties {
  // The nearer H is to the day's height, the longer the last of it takes.
  let low = day * (1 + 1e-12);
  let high = day * FURTHER;
  for (let i = 0; i < 80; i += 1) {
    const H = (low + high) / 2;
    if (climbing(hour, H) / climbing(day, H) > HOUR / DAY) high = H;
    else low = H;
  }
  const reach = (low + high) / 2;
  return { reach, K: (porosity / HOUR) * climbing(hour, reach) };
}

/** Height to which a strip is wet after some seconds, metres: the same law, the other way round. */
export function stripHeight(
  { reach, K }: ClothProperties,
  porosity: number,
  seconds: number,
): number {
  let low = 0;
  let high = reach;
  for (let i = 0; i < 60; i += 1) {
    const z = (low + high) / 2;
    if ((porosity / K) * climbing(z, reach) < seconds) low = z;
    else high = z;
  }
  return (low + high) / 2;
}

const typical = new Map<Cloth, ClothProperties>();

/** The properties to compute with: of the measured strip where there is one, else of the catalogue's. */
export function clothProperties(
  cloth: Cloth,
  strip: { hour: number; day: number } | null = null,
): ClothProperties {
  if (strip) return fromStripTest(strip.hour, strip.day, cloth.porosity);
  const known =
    typical.get(cloth) ?? fromStripTest(cloth.strip.hour, cloth.strip.day, cloth.porosity);
  typical.set(cloth, known);
  return known;
}

/** What a cloth still carries where it is bunched through a hole and packed: a little less. Typical. */
const BUNCHED = 0.85;

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
  return (BUNCHED * area * cloth.K * (cloth.reach - lift)) / clothPath(lift, spread);
}

/**
 * Steady flow through a cloth to a soil base at a suction (metres), m³/s; below zero where the soil is wetter
 * than it would hang. A cloth that must lift higher than it reaches has run dry; it still lets water down.
 */
export function clothFlow(
  cloth: ClothProperties,
  area: number,
  lift: number,
  spread: number,
  suction: number,
): number {
  if (suction >= lift && lift >= cloth.reach) return 0;
  const pull = Math.min(suction, cloth.reach) - lift;
  return (BUNCHED * area * cloth.K * pull) / clothPath(lift, spread);
}

/** Path that water takes through a cloth: the lift, and half of what lies spread. Metres. */
const clothPath = (lift: number, spread: number): number =>
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
