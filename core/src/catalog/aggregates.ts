import type { HydraulicMaterial, GrowingMix } from './mixes';
import { SHEETS, SHEET_IDS, type SheetId } from './words';

/**
 * Stone, sand and chip for the base of a planter.
 *
 * Porosity is `thetaS`, what never drains `thetaR`. Sand is after Carsel and Parrish (1988), made a
 * little tighter for a washed coarse sand; fine sand is the class mean of Schaap, Leij and van Genuchten (2001);
 * medium sand lies between the two; silt is their class mean too. The rest are typical values, marked as such on screen.
 *
 * Reach is how high water rises by the size of the grains after Lohman (1972, USGS Professional Paper 708):
 * very coarse sand 65 mm, coarse sand 135 mm, medium sand 246 mm, fine sand 428 mm, silt 1,055 mm, fine gravel of 2 to
 * 5 mm 25 mm, and less as the inverse of the size beyond, so 12 mm in pea gravel of 8 mm, 6 mm in stone of 14 mm. Rubble and chip are porous themselves; theirs are typical.
 */

export interface Aggregate extends HydraulicMaterial {
  /** How it is drawn. */
  grain: 'stone' | 'sand' | 'chip';
  /** Sharp edges that go through a liner. */
  angular: boolean;
  /** Rots and shrinks. */
  rots: boolean;
}

const CM_PER_DAY = 0.01 / 86_400;

export const AGGREGATES = {
  'coarse-sand': {
    name: 'Coarse sand',
    thetaR: 0.06,
    thetaS: 0.36,
    alpha: 14.5,
    n: 2.68,
    Ks: 712.8 * CM_PER_DAY,
    reach: 0.135,
    dryDensity: 1600,
    grain: 'sand',
    angular: false,
    rots: false,
  },
  'medium-sand': {
    name: 'Medium sand, as for mortar',
    thetaR: 0.055,
    thetaS: 0.37,
    alpha: 7.5,
    n: 2.9,
    Ks: 680 * CM_PER_DAY,
    reach: 0.246,
    dryDensity: 1600,
    grain: 'sand',
    angular: false,
    rots: false,
  },
  'fine-sand': {
    name: 'Fine sand, as for play',
    thetaR: 0.053,
    thetaS: 0.375,
    alpha: 3.52,
    n: 3.18,
    Ks: 643 * CM_PER_DAY,
    reach: 0.428,
    dryDensity: 1580,
    grain: 'sand',
    angular: false,
    rots: false,
  },
  grit: {
    name: 'Grit of 1 to 2 mm',
    thetaR: 0.05,
    thetaS: 0.36,
    alpha: 30,
    n: 3,
    Ks: 2800 * CM_PER_DAY,
    reach: 0.065,
    dryDensity: 1600,
    grain: 'sand',
    angular: false,
    rots: false,
  },
  silt: {
    name: 'Silt, as a river leaves it',
    thetaR: 0.05,
    thetaS: 0.489,
    alpha: 0.658,
    n: 1.679,
    Ks: 43.75 * CM_PER_DAY,
    reach: 1.055,
    dryDensity: 1350,
    grain: 'sand',
    angular: false,
    rots: false,
  },
  'pea-gravel': {
    name: 'Pea gravel',
    thetaR: 0.03,
    thetaS: 0.37,
    alpha: 55,
    n: 3.2,
    Ks: 2e5 * CM_PER_DAY,
    reach: 0.012,
    dryDensity: 1600,
    grain: 'stone',
    angular: false,
    rots: false,
  },
  gravel: {
    name: 'Rounded gravel',
    thetaR: 0.02,
    thetaS: 0.4,
    alpha: 100,
    n: 4,
    Ks: 1e6 * CM_PER_DAY,
    reach: 0.006,
    dryDensity: 1550,
    grain: 'stone',
    angular: false,
    rots: false,
  },
  'crushed-stone': {
    name: 'Crushed stone',
    thetaR: 0.02,
    thetaS: 0.45,
    alpha: 90,
    n: 3.8,
    Ks: 1e6 * CM_PER_DAY,
    reach: 0.006,
    dryDensity: 1500,
    grain: 'stone',
    angular: true,
    rots: false,
  },
  'rounded-rock': {
    name: 'Large rounded rock',
    thetaR: 0.01,
    thetaS: 0.42,
    alpha: 200,
    n: 4,
    Ks: 5e6 * CM_PER_DAY,
    reach: 0.002,
    dryDensity: 1580,
    grain: 'stone',
    angular: false,
    rots: false,
  },
  rubble: {
    name: 'Broken pot and brick',
    thetaR: 0.06,
    thetaS: 0.45,
    alpha: 45,
    n: 2.6,
    Ks: 3e5 * CM_PER_DAY,
    reach: 0.012,
    dryDensity: 1250,
    grain: 'stone',
    angular: true,
    rots: false,
  },
  'wood-chip': {
    name: 'Wood chip',
    thetaR: 0.14,
    thetaS: 0.55,
    alpha: 30,
    n: 2,
    Ks: 3e4 * CM_PER_DAY,
    reach: 0.04,
    dryDensity: 320,
    grain: 'chip',
    angular: false,
    rots: true,
  },
} as const satisfies Record<string, Aggregate>;

export type AggregateId = keyof typeof AGGREGATES;
export const AGGREGATE_IDS = Object.keys(AGGREGATES) as [AggregateId, ...AggregateId[]];

/** What can lie in the base: the growing mix itself, or an aggregate. */
export type FillId = 'mix' | AggregateId;
export const FILL_IDS = ['mix', ...AGGREGATE_IDS] as [FillId, ...FillId[]];
export const FILLS: Readonly<Record<FillId, { name: string }>> = {
  mix: { name: 'The growing mix' },
  ...AGGREGATES,
};

/** The medium of a fill, given the planter's mix. */
export function fillMaterial(fill: FillId, mix: GrowingMix): HydraulicMaterial {
  return fill === 'mix' ? mix : AGGREGATES[fill];
}

/** The aggregate of a fill, or null for the mix. */
export const aggregateOf = (fill: FillId): Aggregate | null =>
  fill === 'mix' ? null : AGGREGATES[fill];

/** What can lie between water and roots: a sheet, straw, or a loose layer of sand or stone. */
export type LayerId = SheetId | AggregateId;
export const LAYER_IDS = [...SHEET_IDS, ...AGGREGATE_IDS] as [LayerId, ...LayerId[]];
export const LAYERS: Readonly<Record<LayerId, { name: string }>> = { ...SHEETS, ...AGGREGATES };

/** The sand or stone of a layer, or null for a sheet or straw, which take no height of their own. */
export const grainOf = (layer: LayerId): Aggregate | null =>
  layer in AGGREGATES ? AGGREGATES[layer as AggregateId] : null;
