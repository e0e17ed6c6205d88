/**
 * Water in porous media after van Genuchten (1980) with Mualem's conductivity:
 * Se = [1 + (αh)ⁿ]^(−m), m = 1 − 1/n; θ = θr + (θs − θr)·Se; K = Ks·Se^½·[1 − (1 − Se^(1/m))^m]².
 * Suction h is in metres of water, positive when drier than saturated.
 */

export interface Hydraulics {
  /** Residual and saturated water content, m³/m³. */
  readonly thetaR: number;
  readonly thetaS: number;
  /** 1/m. */
  readonly alpha: number;
  readonly n: number;
  /** m/s. */
  readonly Ks: number;
}

/** Effective saturation, 0 to 1, at suction h (metres; 0 or less is saturated). */
export function saturation(soil: Hydraulics, h: number): number {
  if (h <= 0) return 1;
  return (1 + (soil.alpha * h) ** soil.n) ** -(1 - 1 / soil.n);
}

/** Water content, m³/m³, at suction h (metres). */
export function waterContent(soil: Hydraulics, h: number): number {
  return soil.thetaR + (soil.thetaS - soil.thetaR) * saturation(soil, h);
}

/** Hydraulic conductivity, m/s, at suction h (metres). */
export function conductivity(soil: Hydraulics, h: number): number {
  const m = 1 - 1 / soil.n;
  const se = saturation(soil, h);
  return soil.Ks * Math.sqrt(se) * (1 - (1 - se ** (1 / m)) ** m) ** 2;
}

/**
 * Water that drains or is drawn out between saturation and suction h, m³/m³. This is what a soaked
 * column or flooded soil gives back.
 */
export function drainable(soil: Hydraulics, h: number): number {
  return soil.thetaS - waterContent(soil, h);
}

/** Nodes and weights of five-point Gauss–Legendre quadrature on 0 to 1. */
const GAUSS: readonly (readonly [number, number])[] = [
  [0.04691007703066802, 0.11846344252809454],
  [0.23076534494715845, 0.23931433524968324],
  [0.5, 0.28444444444444444],
  [0.7692346550528415, 0.23931433524968324],
  [0.953089922969332, 0.11846344252809454],
];

/**
 * Mean water content of a layer hanging in equilibrium above a water surface, m³/m³.
 *
 * @param low suction at the bottom of the layer, metres
 * @param high suction at the top, metres
 */
export function meanWaterContent(soil: Hydraulics, low: number, high: number): number {
  return GAUSS.reduce((sum, [t, w]) => sum + w * waterContent(soil, low + (high - low) * t), 0);
}
