/**
 * Growing mixes and soils: what they hold, how they conduct and what they weigh.
 *
 * Hydraulic values are van Genuchten–Mualem parameters (van Genuchten 1980). The loam is from
 * Carsel and Parrish (1988); growing mixes vary widely, and the values here are typical.
 */

/** What anything that soil, base or column is filled with does with water. */
export interface HydraulicMaterial {
  name: string;
  /** Residual and saturated water content, m³/m³; what is not pores is solid. */
  thetaR: number;
  thetaS: number;
  /** Inverse of the air-entry suction, 1/m, and the shape n. */
  alpha: number;
  n: number;
  /** Saturated conductivity, m/s. */
  Ks: number;
  /** How high it practically lifts water, metres. */
  reach: number;
  /** Dry bulk density, kg/m³. */
  dryDensity: number;
}

export interface GrowingMix extends HydraulicMaterial {
  /** Share of the loose height that is lost when it is first watered, 0 to 1. */
  settles: number;
  /** False where practice says not to use it as the wicking mix without an eye on it. */
  wicks: boolean;
  /** Why not: it packs tight over water, it slumps and draws away from the wick, or water hardly rises in it. */
  weakness?: MixWeakness;
}

export type MixWeakness = 'packs' | 'slumps' | 'open';

const CM_PER_DAY = 0.01 / 86_400;

export const MIXES = {
  'coir-perlite': {
    name: 'Coir mix with perlite',
    thetaR: 0.11,
    thetaS: 0.87,
    alpha: 10,
    n: 1.5,
    Ks: 500 * CM_PER_DAY,
    reach: 0.32,
    dryDensity: 180,
    settles: 0.12,
    wicks: true,
  },
  'peat-perlite': {
    name: 'Peat mix with perlite',
    thetaR: 0.12,
    thetaS: 0.88,
    alpha: 10.4,
    n: 1.48,
    Ks: 400 * CM_PER_DAY,
    reach: 0.35,
    dryDensity: 200,
    settles: 0.14,
    wicks: true,
  },
  'compost-mix': {
    name: 'Compost-rich bed mix',
    thetaR: 0.12,
    thetaS: 0.75,
    alpha: 6,
    n: 1.45,
    Ks: 100 * CM_PER_DAY,
    reach: 0.3,
    dryDensity: 400,
    settles: 0.16,
    wicks: true,
  },
  compost: {
    name: 'Plain compost',
    thetaR: 0.14,
    thetaS: 0.68,
    alpha: 9,
    n: 1.3,
    Ks: 60 * CM_PER_DAY,
    reach: 0.16,
    dryDensity: 450,
    settles: 0.2,
    wicks: false,
    weakness: 'slumps',
  },
  'ground-soil': {
    name: 'Soil from the ground',
    thetaR: 0.078,
    thetaS: 0.43,
    alpha: 3.6,
    n: 1.56,
    Ks: 24.96 * CM_PER_DAY,
    reach: 0.25,
    dryDensity: 1300,
    settles: 0.12,
    wicks: false,
    weakness: 'packs',
  },
} as const satisfies Record<string, GrowingMix>;

export type MixId = keyof typeof MIXES;
export const MIX_IDS = Object.keys(MIXES) as [MixId, ...MixId[]];

/** The medium, widened to the interface so that optional fields can be read. */
export const catalogMix = (id: MixId): GrowingMix => MIXES[id];
