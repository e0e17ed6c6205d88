/** Amounts of mix: loose litres to buy for a settled volume, and whole bags. */

/**
 * Loose mix to buy so that `settled` cubic metres remain after the first watering.
 *
 * @param settled volume to fill, m³
 * @param settlement share of the loose volume that is lost, 0 to below 1
 */
export function looseVolume(settled: number, settlement: number): number {
  return settled / (1 - settlement);
}

/** Whole bags that hold at least `volume`; both in m³. */
export function bagsFor(volume: number, bag: number): number {
  return Math.ceil(volume / bag - 1e-9);
}
