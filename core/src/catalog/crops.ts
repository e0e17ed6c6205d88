/**
 * Plants of a kitchen garden and a patio. Kc and stage lengths are those of FAO Irrigation and Drainage Paper 56
 * (Allen and others 1998), tables 11 and 12, taking the paper's row for a plant or its group's value; where neither
 * fits, Kc is typical and says so. Room, heights and sowing depths are typical; designs can change them.
 */

/** How a plant grows, which is how it is drawn and what holds it up. */
export const HABITS = {
  upright: { name: 'Upright' },
  bushy: { name: 'Bushy' },
  climbing: { name: 'Climbing' },
  trailing: { name: 'Trailing' },
  rosette: { name: 'Low, leaves from the middle' },
  grassy: { name: 'Grassy' },
  root: { name: 'Root' },
  tree: { name: 'Small tree' },
} as const;
export type Habit = keyof typeof HABITS;
export const HABIT_IDS = Object.keys(HABITS) as [Habit, ...Habit[]];

/** Soil that it likes. */
export const LIKES = {
  acid: { name: 'Acid soil, no lime' },
  lime: { name: 'Lime' },
  either: { name: 'Neither in particular' },
} as const;
export const LIKES_IDS = Object.keys(LIKES) as ['acid', 'lime', 'either'];

/** What its roots put up with. */
export const WET_FEET = {
  even: { name: 'Evenly moist' },
  wet: { name: 'Wet feet are fine' },
  dry: { name: 'Rather dry' },
} as const;
export const WET_FEET_IDS = Object.keys(WET_FEET) as ['even', 'wet', 'dry'];

/** What cold it bears. `night`: the coldest night that does it no harm, °C. Typical. */
export const FROSTS = {
  tender: { name: 'No frost', night: 3 },
  half: { name: 'A light frost', night: -2 },
  hardy: { name: 'Frost', night: -8 },
} as const;
export const FROST_IDS = Object.keys(FROSTS) as ['tender', 'half', 'hardy'];

export interface Crop {
  name: string;
  /** Mid-season crop coefficient, and those of the beginning and the end. */
  kc: number;
  kcStart: number;
  kcEnd: number;
  /** Where they are from: the paper's row or group, or typical. */
  kcFrom: 'FAO-56' | 'typical';
  /** Days of the initial, development, middle and late stages. */
  stages: readonly [number, number, number, number];
  /** Growing depth the roots ask for in a container, metres. */
  roots: number;
  /** Diameter of one grown plant's foliage, metres. */
  foliage: number;
  /** Distance from plant to plant in a well fed and watered container, and in open ground. Metres. */
  spacing: number;
  openSpacing: number;
  /** Height of a grown plant, metres. */
  height: number;
  habit: Habit;
  /** What it likes: acid soil (so no lime), lime, or neither in particular. */
  likes: keyof typeof LIKES;
  feet: keyof typeof WET_FEET;
  frost: keyof typeof FROSTS;
  /** How deep seed goes, metres; 0 where it lies on top and wants light; null where it is not sown. */
  sowing: number | null;
}

type Kc = readonly [start: number, middle: number, end: number];
/** Roots, foliage across, spacing in a container and in the open, and height, centimetres. */
type Room = readonly [
  roots: number,
  foliage: number,
  spacing: number,
  open: number,
  height: number,
];
type More = Partial<Pick<Crop, 'likes' | 'feet' | 'kcFrom'>>;

/** @param sow millimetres, null where it is not sown */
const crop = (
  name: string,
  [kcStart, kc, kcEnd]: Kc,
  stages: Crop['stages'],
  [roots, foliage, spacing, open, height]: Room,
  habit: Habit,
  sow: number | null,
  frost: Crop['frost'],
  { likes = 'either', feet = 'even', kcFrom = 'FAO-56' }: More = {},
): Crop => ({
  name,
  kc,
  kcStart,
  kcEnd,
  kcFrom,
  stages,
  roots: roots / 100,
  foliage: foliage / 100,
  spacing: spacing / 100,
  openSpacing: open / 100,
  height: height / 100,
  habit,
  likes,
  feet,
  frost,
  sowing: sow === null ? null : sow / 1000,
});

/** The paper's groups, for crops without a row of their own. */
const SMALL_VEGETABLE: Kc = [0.7, 1.05, 0.95];
const LEAF: Kc = [0.7, 1, 0.95];
const SOLANUM: Kc = [0.6, 1.05, 0.9];
const HERB: Kc = [0.6, 1.05, 0.95];

// prettier-ignore
export const CROPS = {
  tomato: crop('Tomato', [0.6, 1.15, 0.8], [30, 40, 45, 30], [28, 60, 45, 60, 170], 'upright', 8, 'tender', { likes: 'lime' }),
  'cherry-tomato': crop('Cherry tomato', [0.6, 1.15, 0.8], [30, 40, 45, 30], [25, 50, 40, 50, 160], 'upright', 8, 'tender', { likes: 'lime' }),
  pepper: crop('Sweet pepper', [0.6, 1.05, 0.9], [30, 35, 40, 20], [24, 45, 35, 45, 65], 'upright', 8, 'tender', { likes: 'lime' }),
  chilli: crop('Chilli', [0.6, 1.05, 0.9], [30, 35, 40, 20], [20, 40, 30, 40, 55], 'bushy', 8, 'tender'),
  aubergine: crop('Aubergine', SOLANUM, [30, 40, 40, 20], [28, 55, 45, 60, 75], 'upright', 8, 'tender'),
  cucumber: crop('Cucumber', [0.6, 1.15, 0.75], [20, 30, 40, 15], [25, 60, 40, 50, 180], 'climbing', 15, 'tender'),
  courgette: crop('Courgette', [0.5, 0.95, 0.75], [25, 35, 25, 15], [28, 80, 70, 90, 60], 'bushy', 20, 'tender'),
  pumpkin: crop('Pumpkin', [0.5, 1, 0.8], [25, 35, 35, 25], [30, 100, 100, 150, 45], 'trailing', 25, 'tender'),
  melon: crop('Melon', [0.5, 1.05, 0.75], [25, 35, 40, 20], [28, 70, 60, 90, 40], 'trailing', 15, 'tender', { likes: 'lime' }),
  bean: crop('Bush bean', [0.5, 1.05, 0.9], [20, 30, 30, 10], [20, 30, 15, 20, 45], 'bushy', 30, 'tender', { likes: 'lime' }),
  'climbing-bean': crop('Climbing bean', [0.5, 1.15, 0.9], [20, 30, 35, 15], [25, 35, 20, 25, 210], 'climbing', 40, 'tender', { likes: 'lime' }),
  pea: crop('Pea', [0.5, 1.15, 1.1], [20, 30, 35, 15], [20, 25, 8, 10, 90], 'climbing', 40, 'hardy', { likes: 'lime' }),
  'broad-bean': crop('Broad bean', [0.5, 1.15, 1.1], [20, 30, 40, 20], [25, 30, 18, 22, 100], 'upright', 50, 'hardy', { likes: 'lime' }),
  lettuce: crop('Lettuce', LEAF, [20, 30, 15, 10], [15, 25, 20, 28, 22], 'rosette', 3, 'half', { likes: 'lime', }),
  spinach: crop('Spinach', LEAF, [20, 20, 20, 5], [16, 20, 12, 20, 25], 'rosette', 15, 'hardy', { likes: 'lime', }),
  chard: crop('Chard', SMALL_VEGETABLE, [20, 30, 50, 15], [22, 35, 20, 30, 50], 'rosette', 15, 'half', { likes: 'lime' }),
  kale: crop('Kale', SMALL_VEGETABLE, [30, 40, 60, 20], [22, 40, 35, 50, 65], 'upright', 12, 'hardy', { likes: 'lime' }),
  cabbage: crop('Cabbage', SMALL_VEGETABLE, [40, 60, 50, 15], [26, 50, 40, 50, 40], 'rosette', 12, 'hardy', { likes: 'lime' }),
  broccoli: crop('Broccoli', SMALL_VEGETABLE, [35, 45, 40, 15], [26, 50, 40, 55, 65], 'upright', 12, 'half', { likes: 'lime' }),
  cauliflower: crop('Cauliflower', SMALL_VEGETABLE, [35, 50, 40, 15], [26, 50, 45, 60, 55], 'upright', 12, 'half', { likes: 'lime' }),
  'pak-choi': crop('Pak choi', SMALL_VEGETABLE, [15, 20, 20, 5], [16, 22, 18, 25, 30], 'rosette', 10, 'half'),
  rocket: crop('Rocket', LEAF, [10, 15, 20, 5], [12, 15, 8, 15, 22], 'rosette', 5, 'half'),
  endive: crop('Endive', LEAF, [20, 30, 20, 10], [16, 28, 25, 30, 25], 'rosette', 8, 'half'),
  celery: crop('Celery', [0.7, 1.05, 1], [25, 40, 95, 20], [22, 30, 22, 30, 45], 'upright', 2, 'half', { feet: 'wet' }),
  fennel: crop('Bulb fennel', SMALL_VEGETABLE, [20, 30, 40, 10], [22, 30, 22, 30, 60], 'upright', 10, 'half'),
  carrot: crop('Carrot', [0.7, 1.05, 0.95], [30, 40, 60, 20], [24, 12, 6, 8, 30], 'root', 8, 'half'),
  radish: crop('Radish', [0.7, 0.9, 0.85], [5, 10, 15, 5], [12, 10, 5, 6, 18], 'root', 12, 'half'),
  beetroot: crop('Beetroot', [0.5, 1.05, 0.95], [15, 25, 20, 10], [20, 18, 10, 13, 35], 'root', 20, 'half', { likes: 'lime' }),
  turnip: crop('Turnip', [0.5, 1.1, 0.95], [15, 25, 20, 10], [18, 20, 12, 15, 35], 'root', 12, 'half', { likes: 'lime' }),
  onion: crop('Onion', [0.7, 1.05, 0.75], [15, 25, 70, 40], [18, 15, 10, 12, 40], 'grassy', 12, 'hardy', { likes: 'lime' }),
  'spring-onion': crop('Spring onion', [0.7, 1, 1], [25, 30, 10, 5], [12, 8, 4, 5, 35], 'grassy', 10, 'hardy', { likes: 'lime' }),
  garlic: crop('Garlic', [0.7, 1, 0.7], [40, 80, 90, 45], [18, 14, 10, 15, 50], 'grassy', null, 'hardy', { likes: 'lime', feet: 'dry' }),
  leek: crop('Leek', SMALL_VEGETABLE, [25, 40, 60, 20], [25, 18, 12, 16, 60], 'grassy', 12, 'hardy', { likes: 'lime' }),
  potato: crop('Potato', [0.5, 1.15, 0.75], [25, 30, 45, 30], [28, 45, 30, 35, 65], 'bushy', null, 'tender', { likes: 'acid' }),
  'sweet-potato': crop('Sweet potato', [0.5, 1.15, 0.65], [20, 30, 60, 40], [28, 50, 35, 40, 35], 'trailing', null, 'tender', { likes: 'acid' }),
  'sweet-corn': crop('Sweet corn', [0.3, 1.15, 1.05], [20, 25, 25, 10], [28, 40, 30, 40, 190], 'grassy', 30, 'tender'),
  okra: crop('Okra', SOLANUM, [20, 30, 40, 20], [26, 45, 35, 45, 130], 'upright', 15, 'tender'),
  strawberry: crop('Strawberry', [0.4, 0.85, 0.75], [30, 30, 60, 30], [16, 28, 22, 35, 22], 'rosette', null, 'hardy', { likes: 'acid' }),
  artichoke: crop('Artichoke', [0.5, 1, 0.95], [40, 40, 250, 30], [38, 100, 90, 110, 120], 'rosette', 15, 'half'),
  basil: crop('Basil', HERB, [20, 25, 40, 15], [16, 25, 20, 30, 45], 'bushy', 3, 'tender', { kcFrom: 'typical', }),
  parsley: crop('Parsley', HERB, [20, 25, 60, 15], [18, 25, 18, 25, 35], 'rosette', 8, 'hardy', { kcFrom: 'typical', }),
  coriander: crop('Coriander', HERB, [15, 20, 25, 10], [16, 18, 10, 15, 45], 'upright', 12, 'half', { kcFrom: 'typical' }),
  chives: crop('Chives', HERB, [20, 25, 90, 20], [14, 18, 15, 22, 30], 'grassy', 6, 'hardy', { kcFrom: 'typical', }),
  mint: crop('Mint', [0.6, 1.15, 1.1], [20, 25, 90, 20], [15, 35, 30, 45, 50], 'bushy', null, 'hardy', { feet: 'wet' }),
  oregano: crop('Oregano', [0.5, 0.8, 0.75], [25, 30, 90, 20], [16, 30, 25, 35, 40], 'bushy', 1, 'hardy', { likes: 'lime', feet: 'dry', kcFrom: 'typical' }),
  thyme: crop('Thyme', [0.5, 0.75, 0.7], [25, 30, 90, 20], [15, 25, 22, 30, 25], 'bushy', 1, 'hardy', { likes: 'lime', feet: 'dry', kcFrom: 'typical' }),
  sage: crop('Sage', [0.5, 0.8, 0.75], [25, 30, 90, 20], [22, 40, 35, 50, 55], 'bushy', 6, 'hardy', { likes: 'lime', feet: 'dry', kcFrom: 'typical' }),
  rosemary: crop('Rosemary', [0.5, 0.75, 0.7], [30, 30, 120, 20], [25, 45, 40, 70, 80], 'bushy', 2, 'half', { likes: 'lime', feet: 'dry', kcFrom: 'typical' }),
  marigold: crop('Marigold', HERB, [15, 25, 60, 15], [15, 25, 20, 25, 30], 'bushy', 6, 'tender', { kcFrom: 'typical', }),
  blueberry: crop('Blueberry', [0.3, 1.05, 0.5], [20, 50, 75, 60], [28, 60, 60, 120, 90], 'bushy', null, 'hardy', { likes: 'acid', feet: 'wet' }),
  'plum-tomato': crop('Plum tomato', [0.6, 1.15, 0.8], [30, 40, 45, 30], [28, 55, 45, 60, 150], 'upright', 8, 'tender', { likes: 'lime' }),
  'bush-tomato': crop('Bush tomato', [0.6, 1.15, 0.8], [25, 35, 40, 25], [20, 45, 40, 50, 50], 'bushy', 8, 'tender', { likes: 'lime' }),
  tomatillo: crop('Tomatillo', SOLANUM, [30, 35, 50, 20], [26, 60, 55, 80, 90], 'bushy', 8, 'tender', { kcFrom: 'typical' }),
  physalis: crop('Cape gooseberry', SOLANUM, [30, 45, 60, 30], [25, 60, 55, 80, 100], 'bushy', 6, 'tender', { kcFrom: 'typical' }),
  'frying-pepper': crop('Frying pepper', [0.6, 1.05, 0.9], [30, 35, 50, 20], [22, 45, 35, 45, 60], 'upright', 8, 'tender', { likes: 'lime' }),
  watermelon: crop('Watermelon', [0.4, 1, 0.75], [20, 30, 30, 30], [30, 90, 80, 120, 40], 'trailing', 20, 'tender'),
  squash: crop('Winter squash', [0.5, 1, 0.8], [25, 35, 35, 25], [30, 100, 90, 140, 45], 'trailing', 25, 'tender'),
  'round-squash': crop('Summer squash', [0.5, 0.95, 0.75], [25, 35, 25, 15], [28, 70, 65, 90, 55], 'bushy', 20, 'tender'),
  gherkin: crop('Gherkin', [0.6, 1.15, 0.75], [20, 30, 40, 15], [24, 50, 40, 50, 150], 'climbing', 15, 'tender'),
  'runner-bean': crop('Runner bean', [0.5, 1.15, 0.9], [20, 30, 45, 15], [26, 40, 22, 28, 240], 'climbing', 50, 'tender', { likes: 'lime' }),
  'yardlong-bean': crop('Yardlong bean', [0.4, 1.05, 0.6], [20, 30, 35, 20], [25, 35, 20, 30, 220], 'climbing', 30, 'tender'),
  'soya-bean': crop('Soya bean', [0.4, 1.15, 0.5], [20, 30, 45, 20], [25, 30, 12, 20, 60], 'bushy', 30, 'tender'),
  chickpea: crop('Chickpea', [0.4, 1, 0.35], [20, 30, 40, 20], [25, 25, 12, 20, 45], 'bushy', 40, 'half', { feet: 'dry' }),
  peanut: crop('Peanut', [0.4, 1.15, 0.6], [25, 35, 45, 25], [25, 35, 20, 30, 40], 'bushy', 40, 'tender', { likes: 'lime' }),
  'sugar-pea': crop('Sugar pea', [0.5, 1.15, 1.1], [20, 30, 35, 15], [20, 25, 8, 10, 120], 'climbing', 40, 'hardy', { likes: 'lime' }),
  asparagus: crop('Asparagus', [0.5, 0.95, 0.3], [50, 30, 100, 50], [40, 50, 40, 50, 130], 'grassy', 20, 'hardy', { likes: 'lime' }),
  'brussels-sprouts': crop('Brussels sprouts', SMALL_VEGETABLE, [40, 60, 60, 20], [28, 50, 45, 65, 80], 'upright', 12, 'hardy', { likes: 'lime' }),
  kohlrabi: crop('Kohlrabi', SMALL_VEGETABLE, [20, 25, 20, 10], [18, 28, 20, 28, 35], 'rosette', 12, 'half', { likes: 'lime' }),
  tatsoi: crop('Tatsoi', SMALL_VEGETABLE, [15, 20, 20, 5], [14, 22, 16, 22, 15], 'rosette', 8, 'hardy'),
  mizuna: crop('Mizuna', SMALL_VEGETABLE, [12, 18, 25, 5], [14, 25, 16, 22, 28], 'rosette', 6, 'hardy'),
  'mustard-greens': crop('Mustard greens', SMALL_VEGETABLE, [15, 20, 25, 5], [16, 28, 20, 28, 35], 'rosette', 6, 'half'),
  collard: crop('Collard', SMALL_VEGETABLE, [30, 40, 70, 20], [25, 50, 40, 55, 75], 'upright', 12, 'hardy', { likes: 'lime' }),
  'chinese-cabbage': crop('Chinese cabbage', SMALL_VEGETABLE, [20, 30, 20, 10], [20, 35, 30, 38, 35], 'rosette', 10, 'half', { likes: 'lime' }),
  'lambs-lettuce': crop('Lamb’s lettuce', LEAF, [20, 30, 25, 5], [10, 12, 8, 10, 10], 'rosette', 8, 'hardy'),
  radicchio: crop('Radicchio', LEAF, [25, 35, 30, 10], [18, 28, 25, 30, 25], 'rosette', 8, 'hardy'),
  'cos-lettuce': crop('Cos lettuce', LEAF, [20, 30, 20, 10], [18, 25, 22, 30, 32], 'rosette', 3, 'half', { likes: 'lime' }),
  'cut-lettuce': crop('Cut-and-come-again lettuce', LEAF, [15, 20, 35, 5], [12, 15, 10, 15, 18], 'rosette', 3, 'half', { likes: 'lime' }),
  'land-cress': crop('Land cress', LEAF, [15, 25, 35, 10], [14, 20, 15, 20, 18], 'rosette', 6, 'hardy'),
  watercress: crop('Watercress', [0.7, 1.05, 1], [15, 20, 60, 10], [10, 25, 12, 15, 20], 'trailing', 1, 'half', { feet: 'wet', kcFrom: 'typical' }),
  'garden-cress': crop('Garden cress', LEAF, [4, 5, 6, 2], [5, 4, 2, 3, 8], 'grassy', 0, 'half'),
  purslane: crop('Purslane', LEAF, [12, 18, 30, 5], [12, 22, 12, 18, 20], 'trailing', 0, 'tender', { feet: 'dry', }),
  'nz-spinach': crop('New Zealand spinach', LEAF, [20, 25, 70, 10], [18, 50, 40, 50, 30], 'trailing', 15, 'tender'),
  'leaf-amaranth': crop('Leaf amaranth', LEAF, [15, 25, 30, 10], [20, 30, 20, 30, 60], 'upright', 3, 'tender'),
  sorrel: crop('Sorrel', LEAF, [20, 25, 120, 20], [20, 30, 25, 32, 35], 'rosette', 6, 'hardy', { likes: 'acid', }),
  swede: crop('Swede', [0.5, 1.1, 0.95], [25, 35, 50, 15], [24, 35, 22, 28, 40], 'root', 12, 'hardy', { likes: 'lime' }),
  parsnip: crop('Parsnip', [0.5, 1.05, 0.95], [30, 45, 60, 25], [32, 25, 12, 16, 40], 'root', 15, 'hardy', { likes: 'lime' }),
  celeriac: crop('Celeriac', [0.7, 1.05, 1], [30, 50, 80, 20], [25, 35, 28, 35, 45], 'root', 2, 'half', { feet: 'wet' }),
  daikon: crop('Daikon', [0.7, 0.9, 0.85], [10, 20, 25, 10], [32, 28, 14, 18, 40], 'root', 15, 'half'),
  'kohl-turnip': crop('Salad turnip', [0.5, 1.1, 0.95], [12, 18, 12, 5], [14, 16, 9, 12, 28], 'root', 10, 'half', { likes: 'lime' }),
  shallot: crop('Shallot', [0.7, 1.05, 0.75], [20, 25, 50, 25], [16, 18, 14, 18, 35], 'grassy', null, 'hardy', { likes: 'lime' }),
  'jerusalem-artichoke': crop('Jerusalem artichoke', [0.5, 1.05, 0.75], [25, 40, 70, 40], [30, 50, 35, 45, 220], 'upright', null, 'hardy', { kcFrom: 'typical' }),
  ginger: crop('Ginger', [0.6, 1.05, 0.7], [40, 60, 90, 40], [24, 35, 22, 30, 80], 'grassy', null, 'tender', { kcFrom: 'typical' }),
  turmeric: crop('Turmeric', [0.6, 1.05, 0.7], [40, 60, 90, 40], [25, 40, 25, 35, 90], 'grassy', null, 'tender', { kcFrom: 'typical' }),
  taro: crop('Taro', [0.6, 1.1, 1], [40, 60, 90, 40], [28, 70, 45, 60, 100], 'rosette', null, 'tender', { feet: 'wet', kcFrom: 'typical' }),
  rhubarb: crop('Rhubarb', SMALL_VEGETABLE, [30, 40, 90, 40], [35, 90, 80, 100, 70], 'rosette', null, 'hardy', { likes: 'acid', kcFrom: 'typical' }),
  sunflower: crop('Sunflower', [0.35, 1.1, 0.35], [25, 35, 45, 25], [28, 40, 30, 40, 180], 'upright', 25, 'half', { kcFrom: 'typical' }),
  lemongrass: crop('Lemongrass', [0.5, 1, 0.95], [30, 50, 120, 30], [24, 60, 45, 70, 100], 'grassy', null, 'tender', { kcFrom: 'typical' }),
  dill: crop('Dill', HERB, [15, 20, 25, 10], [18, 22, 12, 18, 70], 'upright', 5, 'half', { kcFrom: 'typical', }),
  'herb-fennel': crop('Herb fennel', HERB, [25, 35, 90, 20], [28, 40, 35, 50, 140], 'upright', 8, 'hardy', { kcFrom: 'typical' }),
  chervil: crop('Chervil', HERB, [15, 20, 25, 10], [14, 20, 12, 18, 35], 'rosette', 4, 'half', { kcFrom: 'typical', }),
  tarragon: crop('Tarragon', HERB, [25, 30, 100, 20], [20, 35, 30, 45, 70], 'bushy', null, 'hardy', { feet: 'dry', kcFrom: 'typical' }),
  marjoram: crop('Marjoram', [0.5, 0.8, 0.75], [25, 30, 90, 20], [15, 25, 20, 28, 35], 'bushy', 2, 'half', { likes: 'lime', feet: 'dry', kcFrom: 'typical' }),
  savory: crop('Summer savory', [0.5, 0.8, 0.75], [20, 25, 50, 15], [15, 22, 15, 22, 30], 'bushy', 1, 'half', { feet: 'dry', kcFrom: 'typical' }),
  'lemon-balm': crop('Lemon balm', HERB, [25, 30, 100, 20], [18, 40, 35, 50, 60], 'bushy', 2, 'hardy', { kcFrom: 'typical' }),
  lavender: crop('Lavender', [0.4, 0.7, 0.6], [30, 30, 120, 30], [24, 45, 38, 55, 60], 'bushy', 3, 'hardy', { likes: 'lime', feet: 'dry', kcFrom: 'typical' }),
  bay: crop('Bay', [0.65, 0.7, 0.7], [60, 90, 120, 60], [30, 50, 50, 120, 120], 'tree', null, 'half', { kcFrom: 'typical' }),
  stevia: crop('Stevia', HERB, [25, 30, 80, 20], [18, 30, 25, 40, 55], 'bushy', 1, 'tender', { kcFrom: 'typical', }),
  lovage: crop('Lovage', HERB, [25, 40, 100, 30], [30, 60, 55, 70, 140], 'upright', 10, 'hardy', { kcFrom: 'typical', }),
  borage: crop('Borage', HERB, [15, 25, 45, 15], [22, 40, 30, 40, 65], 'bushy', 10, 'half', { kcFrom: 'typical', }),
  chamomile: crop('Chamomile', HERB, [20, 25, 50, 15], [14, 20, 14, 20, 35], 'bushy', 0, 'hardy', { kcFrom: 'typical', }),
  'lemon-verbena': crop('Lemon verbena', HERB, [30, 40, 100, 30], [24, 50, 45, 80, 110], 'bushy', null, 'tender', { kcFrom: 'typical' }),
  'thai-basil': crop('Thai basil', HERB, [20, 25, 45, 15], [16, 28, 20, 30, 45], 'bushy', 3, 'tender', { kcFrom: 'typical' }),
  nasturtium: crop('Nasturtium', HERB, [12, 20, 70, 15], [15, 40, 25, 30, 30], 'trailing', 15, 'tender', { kcFrom: 'typical' }),
  calendula: crop('Calendula', HERB, [15, 25, 60, 15], [15, 25, 20, 28, 40], 'bushy', 10, 'hardy', { kcFrom: 'typical', }),
  petunia: crop('Petunia', HERB, [25, 30, 90, 20], [15, 35, 25, 30, 30], 'trailing', 0, 'tender', { kcFrom: 'typical', }),
  pelargonium: crop('Pelargonium', [0.5, 0.85, 0.8], [25, 30, 110, 20], [16, 35, 28, 35, 40], 'bushy', 5, 'tender', { feet: 'dry' }),
  pansy: crop('Pansy', HERB, [25, 30, 90, 15], [12, 20, 15, 20, 18], 'rosette', 5, 'hardy', { kcFrom: 'typical', }),
  zinnia: crop('Zinnia', HERB, [20, 25, 60, 15], [18, 28, 22, 30, 60], 'upright', 6, 'tender', { kcFrom: 'typical', }),
  snapdragon: crop('Snapdragon', HERB, [25, 30, 60, 15], [15, 22, 18, 25, 50], 'upright', 0, 'half', { kcFrom: 'typical' }),
  cosmos: crop('Cosmos', HERB, [20, 30, 60, 20], [18, 35, 28, 40, 100], 'upright', 6, 'tender', { kcFrom: 'typical', }),
  'sweet-pea': crop('Sweet pea', [0.5, 1.1, 0.9], [25, 35, 45, 15], [24, 30, 15, 20, 180], 'climbing', 20, 'hardy', { likes: 'lime', kcFrom: 'typical' }),
  begonia: crop('Begonia', HERB, [25, 35, 100, 20], [14, 25, 20, 25, 28], 'bushy', 0, 'tender', { kcFrom: 'typical', }),
  'alpine-strawberry': crop('Alpine strawberry', [0.4, 0.85, 0.75], [30, 30, 90, 30], [13, 22, 18, 28, 20], 'rosette', 1, 'hardy', { likes: 'acid' }),
  raspberry: crop('Raspberry', [0.3, 1.05, 0.5], [20, 50, 75, 60], [28, 50, 40, 50, 150], 'upright', null, 'hardy', { likes: 'acid' }),
  blackberry: crop('Blackberry', [0.3, 1.05, 0.5], [20, 50, 75, 60], [32, 90, 90, 200, 180], 'climbing', null, 'hardy', { likes: 'acid' }),
  currant: crop('Currant', [0.3, 1.05, 0.5], [20, 50, 75, 60], [30, 80, 80, 130, 120], 'bushy', null, 'hardy'),
  gooseberry: crop('Gooseberry', [0.3, 1.05, 0.5], [20, 50, 75, 60], [28, 75, 75, 120, 100], 'bushy', null, 'hardy'),
  grape: crop('Grape vine', [0.3, 0.85, 0.45], [20, 50, 75, 60], [40, 120, 120, 180, 200], 'climbing', null, 'hardy'),
  fig: crop('Dwarf fig', [0.45, 0.95, 0.7], [30, 60, 120, 60], [40, 110, 110, 250, 180], 'tree', null, 'half', { kcFrom: 'typical' }),
  'lemon-tree': crop('Lemon tree', [0.7, 0.65, 0.7], [60, 90, 120, 95], [40, 90, 90, 250, 180], 'tree', null, 'tender'),
  'orange-tree': crop('Orange tree', [0.7, 0.65, 0.7], [60, 90, 120, 95], [40, 90, 90, 300, 180], 'tree', null, 'tender'),
  'apple-tree': crop('Dwarf apple', [0.45, 0.95, 0.7], [20, 70, 90, 30], [45, 110, 110, 200, 200], 'tree', null, 'hardy'),
  'peach-tree': crop('Dwarf peach', [0.45, 0.9, 0.65], [20, 70, 90, 30], [40, 90, 90, 180, 150], 'tree', null, 'hardy'),
  pomegranate: crop('Dwarf pomegranate', [0.45, 0.8, 0.65], [30, 60, 120, 60], [35, 80, 80, 200, 120], 'tree', null, 'half', { feet: 'dry', kcFrom: 'typical' }),
  'olive-tree': crop('Olive tree', [0.65, 0.7, 0.7], [30, 90, 60, 90], [40, 90, 90, 400, 180], 'tree', null, 'half', { likes: 'lime', feet: 'dry' }),
} as const satisfies Record<string, Crop>;

export type CropId = keyof typeof CROPS;
export const CROP_IDS = Object.keys(CROPS) as [CropId, ...CropId[]];
export const cropOf = (id: CropId): Crop => CROPS[id];
