/** Atmospheric pressure as a head of water, metres (101 325 Pa over ρg). */
const ATMOSPHERE_HEAD = 101_325 / (998.2 * 9.80665);

/**
 * Depth of water inside a support that is open only at its foot, when water outside stands at
 * `level`. The air above is caught and pressed together (Boyle's law): with air height a,
 * p₀·H = (p₀ + ρg·(level − (H − a)))·a.
 *
 * @param height of the support, metres
 * @param level of the water outside, metres above the foot
 * @returns metres of water inside; a few millimetres at most in a planter
 */
export function waterUnderTrappedAir(height: number, level: number): number {
  if (level <= 0 || height <= 0) return 0;
  const b = ATMOSPHERE_HEAD + Math.min(level, height) - height;
  const air = (-b + Math.sqrt(b * b + 4 * ATMOSPHERE_HEAD * height)) / 2;
  return Math.min(height - air, level);
}
