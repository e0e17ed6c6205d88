/**
 * Kitchen-garden plants. Kc is the mid-season crop coefficient of FAO Irrigation and Drainage
 * Paper 56 (Allen and others 1998), table 12, taking the paper's group value where it has no row of
 * its own. Root room and foliage are typical for plants in containers, and every design can change them.
 */

export interface Crop {
  name: string;
  /** Mid-season crop coefficient. */
  kc: number;
  /** Growing depth the roots ask for in a container, metres. */
  roots: number;
  /** Diameter of one grown plant's foliage, metres. */
  foliage: number;
  /** Plants want acid soil, so no lime. */
  acid?: boolean;
}

export const CROPS = {
  tomato: { name: 'Tomato', kc: 1.15, roots: 0.28, foliage: 0.6 },
  pepper: { name: 'Sweet pepper', kc: 1.05, roots: 0.24, foliage: 0.45 },
  chilli: { name: 'Chilli', kc: 1.05, roots: 0.2, foliage: 0.4 },
  aubergine: { name: 'Aubergine', kc: 1.05, roots: 0.28, foliage: 0.55 },
  cucumber: { name: 'Cucumber', kc: 1, roots: 0.25, foliage: 0.6 },
  courgette: { name: 'Courgette', kc: 0.95, roots: 0.28, foliage: 0.8 },
  bean: { name: 'Bush bean', kc: 1.05, roots: 0.2, foliage: 0.3 },
  lettuce: { name: 'Lettuce', kc: 1, roots: 0.15, foliage: 0.25 },
  spinach: { name: 'Spinach', kc: 1, roots: 0.16, foliage: 0.2 },
  chard: { name: 'Chard', kc: 1.05, roots: 0.22, foliage: 0.35 },
  kale: { name: 'Kale', kc: 1.05, roots: 0.22, foliage: 0.4 },
  strawberry: { name: 'Strawberry', kc: 0.85, roots: 0.16, foliage: 0.28 },
  basil: { name: 'Basil', kc: 1.05, roots: 0.16, foliage: 0.25 },
  parsley: { name: 'Parsley', kc: 1.05, roots: 0.18, foliage: 0.25 },
  mint: { name: 'Mint', kc: 1.15, roots: 0.15, foliage: 0.35 },
  carrot: { name: 'Carrot', kc: 1.05, roots: 0.24, foliage: 0.12 },
  radish: { name: 'Radish', kc: 0.9, roots: 0.12, foliage: 0.1 },
  potato: { name: 'Potato', kc: 1.15, roots: 0.28, foliage: 0.45, acid: true },
  blueberry: { name: 'Blueberry', kc: 1.05, roots: 0.28, foliage: 0.6, acid: true },
} as const satisfies Record<string, Crop>;

export type CropId = keyof typeof CROPS;
export const CROP_IDS = Object.keys(CROPS) as [CropId, ...CropId[]];
export const cropOf = (id: CropId): Crop => CROPS[id];
