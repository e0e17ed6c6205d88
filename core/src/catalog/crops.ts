/**
 * Kitchen-garden plants. Kc and stage lengths are those of FAO Irrigation and Drainage Paper 56
 * (Allen and others 1998), tables 11 and 12, taking the paper's group value where it has no row of
 * its own. Root room, spacing and foliage are typical for plants in containers; designs can change them.
 */

export interface Crop {
  name: string;
  /** Mid-season crop coefficient, and those of the beginning and the end. */
  kc: number;
  kcStart: number;
  kcEnd: number;
  /** Days of the initial, development, middle and late stages. */
  stages: readonly [number, number, number, number];
  /** Growing depth the roots ask for in a container, metres. */
  roots: number;
  /** Diameter of one grown plant's foliage, metres. */
  foliage: number;
  /** Usual distance from plant to plant, metres. */
  spacing: number;
  /** What it likes: acid soil (so no lime), lime, or neither in particular. */
  likes: 'acid' | 'lime' | 'either';
}

type Kc = readonly [start: number, middle: number, end: number];
/** Roots, foliage across and spacing, centimetres. */
type Room = readonly [roots: number, foliage: number, spacing: number];

const crop = (
  name: string,
  [kcStart, kc, kcEnd]: Kc,
  stages: Crop['stages'],
  [roots, foliage, spacing]: Room,
  likes: Crop['likes'] = 'either',
): Crop => ({
  name,
  kc,
  kcStart,
  kcEnd,
  stages,
  roots: roots / 100,
  foliage: foliage / 100,
  spacing: spacing / 100,
  likes,
});

/** The paper's groups, for crops without a row of their own. */
const SMALL_VEGETABLE: Kc = [0.7, 1.05, 0.95];
const LEAF: Kc = [0.7, 1, 0.95];
const SOLANUM: Kc = [0.6, 1.05, 0.9];
const HERB: Kc = [0.6, 1.05, 0.95];

export const CROPS = {
  tomato: crop('Tomato', [0.6, 1.15, 0.8], [30, 40, 45, 30], [28, 60, 45], 'lime'),
  'cherry-tomato': crop('Cherry tomato', [0.6, 1.15, 0.8], [30, 40, 45, 30], [25, 50, 40], 'lime'),
  pepper: crop('Sweet pepper', [0.6, 1.05, 0.9], [30, 35, 40, 20], [24, 45, 35], 'lime'),
  chilli: crop('Chilli', [0.6, 1.05, 0.9], [30, 35, 40, 20], [20, 40, 30]),
  aubergine: crop('Aubergine', SOLANUM, [30, 40, 40, 20], [28, 55, 45]),
  cucumber: crop('Cucumber', [0.6, 1, 0.75], [20, 30, 40, 15], [25, 60, 40]),
  courgette: crop('Courgette', [0.5, 0.95, 0.75], [25, 35, 25, 15], [28, 80, 70]),
  pumpkin: crop('Pumpkin', [0.5, 1, 0.8], [20, 30, 30, 20], [30, 100, 100]),
  melon: crop('Melon', [0.5, 1.05, 0.75], [25, 35, 40, 20], [28, 70, 60], 'lime'),
  bean: crop('Bush bean', [0.5, 1.05, 0.9], [20, 30, 30, 10], [20, 30, 15], 'lime'),
  'climbing-bean': crop('Climbing bean', [0.5, 1.15, 0.9], [20, 30, 35, 15], [25, 35, 20], 'lime'),
  pea: crop('Pea', [0.5, 1.15, 1.1], [20, 30, 35, 15], [20, 25, 8], 'lime'),
  'broad-bean': crop('Broad bean', [0.5, 1.15, 1.1], [15, 25, 35, 15], [25, 30, 18], 'lime'),
  lettuce: crop('Lettuce', LEAF, [20, 30, 15, 10], [15, 25, 20], 'lime'),
  spinach: crop('Spinach', LEAF, [20, 20, 20, 5], [16, 20, 12], 'lime'),
  chard: crop('Chard', SMALL_VEGETABLE, [20, 30, 50, 15], [22, 35, 20], 'lime'),
  kale: crop('Kale', SMALL_VEGETABLE, [30, 40, 60, 20], [22, 40, 35], 'lime'),
  cabbage: crop('Cabbage', SMALL_VEGETABLE, [40, 60, 50, 15], [26, 50, 40], 'lime'),
  broccoli: crop('Broccoli', SMALL_VEGETABLE, [35, 45, 40, 15], [26, 50, 40], 'lime'),
  cauliflower: crop('Cauliflower', SMALL_VEGETABLE, [35, 50, 40, 15], [26, 50, 45], 'lime'),
  'pak-choi': crop('Pak choi', SMALL_VEGETABLE, [15, 20, 20, 5], [16, 22, 18]),
  rocket: crop('Rocket', LEAF, [10, 15, 20, 5], [12, 15, 8]),
  endive: crop('Endive', LEAF, [20, 30, 20, 10], [16, 28, 25]),
  celery: crop('Celery', [0.7, 1.05, 1], [25, 40, 95, 20], [22, 30, 22]),
  fennel: crop('Bulb fennel', SMALL_VEGETABLE, [20, 30, 40, 10], [22, 30, 22]),
  carrot: crop('Carrot', [0.7, 1.05, 0.95], [30, 40, 60, 20], [24, 12, 6]),
  radish: crop('Radish', [0.7, 0.9, 0.85], [5, 10, 15, 5], [12, 10, 5]),
  beetroot: crop('Beetroot', [0.5, 1.05, 0.95], [15, 25, 20, 10], [20, 18, 10], 'lime'),
  turnip: crop('Turnip', [0.5, 1.1, 0.95], [15, 25, 20, 10], [18, 20, 12], 'lime'),
  onion: crop('Onion', [0.7, 1.05, 0.75], [15, 25, 70, 40], [18, 15, 10], 'lime'),
  'spring-onion': crop('Spring onion', [0.7, 1, 1], [25, 30, 10, 5], [12, 8, 4], 'lime'),
  garlic: crop('Garlic', [0.7, 1, 0.7], [20, 30, 60, 30], [18, 14, 10], 'lime'),
  leek: crop('Leek', SMALL_VEGETABLE, [25, 40, 60, 20], [25, 18, 12], 'lime'),
  potato: crop('Potato', [0.5, 1.15, 0.75], [25, 30, 45, 30], [28, 45, 30], 'acid'),
  'sweet-potato': crop('Sweet potato', [0.5, 1.15, 0.65], [20, 30, 60, 40], [28, 50, 35], 'acid'),
  'sweet-corn': crop('Sweet corn', [0.7, 1.15, 1.05], [20, 25, 25, 10], [28, 40, 30]),
  okra: crop('Okra', SOLANUM, [20, 30, 40, 20], [26, 45, 35]),
  strawberry: crop('Strawberry', [0.4, 0.85, 0.75], [30, 30, 60, 30], [16, 28, 22], 'acid'),
  artichoke: crop('Artichoke', [0.5, 1, 0.95], [40, 40, 250, 30], [38, 100, 90]),
  basil: crop('Basil', HERB, [20, 25, 40, 15], [16, 25, 20]),
  parsley: crop('Parsley', HERB, [20, 25, 60, 15], [18, 25, 18]),
  coriander: crop('Coriander', HERB, [15, 20, 25, 10], [16, 18, 10]),
  chives: crop('Chives', HERB, [20, 25, 90, 20], [14, 18, 15]),
  mint: crop('Mint', [0.6, 1.15, 1.1], [20, 25, 90, 20], [15, 35, 30]),
  oregano: crop('Oregano', [0.5, 0.8, 0.75], [25, 30, 90, 20], [16, 30, 25], 'lime'),
  thyme: crop('Thyme', [0.5, 0.75, 0.7], [25, 30, 90, 20], [15, 25, 22], 'lime'),
  sage: crop('Sage', [0.5, 0.8, 0.75], [25, 30, 90, 20], [22, 40, 35], 'lime'),
  rosemary: crop('Rosemary', [0.5, 0.75, 0.7], [30, 30, 120, 20], [25, 45, 40], 'lime'),
  marigold: crop('Marigold', HERB, [15, 25, 60, 15], [15, 25, 20]),
  blueberry: crop('Blueberry', [0.3, 1.05, 0.5], [20, 50, 75, 60], [28, 60, 60], 'acid'),
} as const satisfies Record<string, Crop>;

export type CropId = keyof typeof CROPS;
export const CROP_IDS = Object.keys(CROPS) as [CropId, ...CropId[]];
export const cropOf = (id: CropId): Crop => CROPS[id];
