import type { CropId } from './crops';

/**
 * When crops bear, how long they live, and what else they are called. Days to the first harvest in a mild season:
 * for vegetables after Knott’s Handbook for Vegetable Growers (Maynard and Hochmuth, 5th edition, 2007, times from
 * seed and from transplants to market maturity), held against the growing periods of FAO-56’s table 11; herbs,
 * flowers and woody plants are typical. Autumn and short days take longer.
 */

/** What a gardener calls them together. */
export const CROP_GROUPS = {
  fruiting: { name: 'Tomatoes, peppers, squash' },
  salad: { name: 'Salad and leaves' },
  cabbage: { name: 'Cabbages' },
  root: { name: 'Roots and tubers' },
  onion: { name: 'Onions' },
  pod: { name: 'Peas, beans and corn' },
  herb: { name: 'Herbs' },
  flower: { name: 'Flowers' },
  perennial: { name: 'Perennial vegetables' },
  berry: { name: 'Berries' },
  tree: { name: 'Vines and trees' },
} as const;
export type CropGroup = keyof typeof CROP_GROUPS;
export const CROP_GROUP_IDS = Object.keys(CROP_GROUPS) as CropGroup[];

/** How long what stays for years lives. */
export interface Life {
  /** The year of the first harvest, 1 for that of planting. */
  first: 1 | 2 | 3;
  /** Years that it bears well in a planter. */
  years: number;
  /** Leaves go in winter, or the whole top. */
  rests: boolean;
}

export interface CropDates {
  group: CropGroup;
  /** Days from seed sown in its place to the first harvest; null where it is not sown there. */
  seed: number | null;
  /**
   * Days from a young plant, set, tuber or cutting set out to the first harvest; null where it is sown in its place.
   * Where it bears in a later year: days after the anniversary of planting.
   */
  plant: number | null;
  life: Life | null;
  /** What else it is called, here or there. */
  names: readonly string[];
}

const dates =
  (group: CropGroup, life: Life | null = null) =>
  (seed: number | null, plant: number | null, ...names: string[]): CropDates => ({
    ...{ group, seed, plant, life, names },
  });

const lives = (first: Life['first'], years: number, rests = true): Life => ({
  first,
  years,
  rests,
});

const fruiting = dates('fruiting');
const salad = dates('salad');
const cabbage = dates('cabbage');
const root = dates('root');
const onion = dates('onion');
const pod = dates('pod');
const herb = dates('herb');
const flower = dates('flower');
const evergreenHerb = dates('herb', lives(1, 5, false));
const restingHerb = dates('herb', lives(1, 4));

// prettier-ignore
export const CROP_DATES = {
  tomato: fruiting(120, 70, 'slicing tomato', 'beefsteak tomato'),
  'cherry-tomato': fruiting(112, 62, 'cocktail tomato'),
  'plum-tomato': fruiting(122, 72, 'paste tomato', 'roma tomato', 'sauce tomato'),
  'bush-tomato': fruiting(108, 58, 'determinate tomato', 'patio tomato', 'dwarf tomato'),
  tomatillo: fruiting(115, 70, 'husk tomato'),
  physalis: fruiting(130, 85, 'physalis', 'ground cherry', 'goldenberry', 'husk cherry'),
  pepper: fruiting(130, 72, 'bell pepper', 'capsicum', 'paprika'),
  'frying-pepper': fruiting(125, 68, 'banana pepper', 'cubanelle', 'shishito', 'padron'),
  chilli: fruiting(135, 75, 'chili', 'chile', 'hot pepper', 'jalapeno', 'cayenne'),
  aubergine: fruiting(130, 72, 'eggplant', 'brinjal'),
  okra: fruiting(58, 48, 'ladies’ fingers', 'gumbo'),
  cucumber: fruiting(62, 45, 'slicing cucumber'),
  gherkin: fruiting(54, 40, 'pickling cucumber', 'cornichon'),
  courgette: fruiting(50, 38, 'zucchini', 'marrow'),
  'round-squash': fruiting(50, 38, 'pattypan', 'crookneck', 'yellow squash'),
  squash: fruiting(100, 85, 'butternut', 'acorn squash', 'hubbard', 'kabocha'),
  pumpkin: fruiting(105, 90, 'jack-o’-lantern'),
  melon: fruiting(88, 72, 'cantaloupe', 'muskmelon', 'honeydew', 'rockmelon'),
  watermelon: fruiting(85, 72),
  bean: pod(55, 45, 'dwarf bean', 'green bean', 'snap bean', 'string bean', 'french bean'),
  'climbing-bean': pod(64, 54, 'pole bean', 'climbing french bean'),
  'runner-bean': pod(75, 60, 'scarlet runner'),
  'yardlong-bean': pod(70, null, 'asparagus bean', 'snake bean'),
  'soya-bean': pod(85, null, 'soybean', 'edamame'),
  chickpea: pod(100, null, 'garbanzo'),
  peanut: pod(120, null, 'groundnut'),
  pea: pod(65, 55, 'garden pea', 'shelling pea', 'english pea'),
  'sugar-pea': pod(62, 52, 'snow pea', 'sugar snap', 'mangetout'),
  'broad-bean': pod(95, 80, 'fava', 'faba bean', 'field bean'),
  'sweet-corn': pod(78, 64, 'corn', 'maize', 'corn on the cob'),
  lettuce: salad(65, 45, 'butterhead', 'head lettuce', 'iceberg', 'crisphead'),
  'cos-lettuce': salad(70, 48, 'romaine'),
  'cut-lettuce': salad(42, 28, 'leaf lettuce', 'loose-leaf', 'lollo', 'oak leaf', 'mesclun'),
  spinach: salad(42, 30),
  'nz-spinach': salad(60, 45, 'tetragonia'),
  chard: salad(55, 40, 'swiss chard', 'silverbeet', 'leaf beet', 'perpetual spinach'),
  rocket: salad(38, 26, 'arugula', 'roquette', 'rucola'),
  endive: salad(85, 60, 'escarole', 'frisée'),
  radicchio: salad(85, 62, 'chicory', 'red chicory'),
  'lambs-lettuce': salad(60, 45, 'mâche', 'mache', 'corn salad'),
  'land-cress': salad(50, 38, 'upland cress', 'american cress'),
  watercress: salad(55, 38),
  'garden-cress': salad(12, null, 'cress', 'peppergrass'),
  purslane: salad(45, 32, 'pigweed salad'),
  'leaf-amaranth': salad(42, 30, 'callaloo', 'chinese spinach'),
  sorrel: dates('salad', lives(1, 5))(60, 35, 'dock'),
  celery: salad(150, 100, 'stalk celery'),
  fennel: salad(100, 72, 'florence fennel', 'finocchio'),
  'pak-choi': cabbage(48, 32, 'bok choy', 'pak choy'),
  tatsoi: cabbage(45, 30, 'rosette pak choi'),
  mizuna: cabbage(40, 28, 'japanese mustard'),
  'mustard-greens': cabbage(42, 30, 'mustard', 'leaf mustard'),
  kale: cabbage(60, 45, 'borecole', 'curly kale', 'cavolo nero', 'lacinato'),
  collard: cabbage(75, 58, 'collards', 'collard greens'),
  cabbage: cabbage(110, 75, 'white cabbage', 'red cabbage', 'savoy'),
  'chinese-cabbage': cabbage(75, 52, 'napa cabbage', 'wombok'),
  broccoli: cabbage(95, 65, 'calabrese', 'sprouting broccoli'),
  cauliflower: cabbage(100, 68),
  'brussels-sprouts': cabbage(140, 100, 'sprouts', 'brussel sprouts'),
  kohlrabi: cabbage(55, 40),
  carrot: root(70, null, 'baby carrot'),
  radish: root(26, null, 'red radish'),
  daikon: root(55, null, 'mooli', 'winter radish'),
  beetroot: root(58, 45, 'beet', 'beets', 'red beet'),
  turnip: root(50, null),
  'kohl-turnip': root(38, null, 'hakurei', 'salad turnip'),
  swede: root(95, null, 'rutabaga', 'neep', 'yellow turnip'),
  parsnip: root(115, null),
  celeriac: root(155, 110, 'celery root', 'root celery'),
  potato: root(null, 95, 'spud', 'new potato'),
  'sweet-potato': root(null, 110, 'kumara', 'batata'),
  'jerusalem-artichoke': root(null, 130, 'sunchoke', 'topinambur'),
  ginger: root(null, 210),
  turmeric: root(null, 220),
  taro: root(null, 200, 'eddo', 'dasheen'),
  onion: onion(120, 100, 'bulb onion', 'onion sets'),
  'spring-onion': onion(60, 42, 'scallion', 'green onion', 'salad onion', 'bunching onion'),
  garlic: onion(null, 240),
  shallot: onion(null, 100, 'eschalot'),
  leek: onion(140, 110),
  basil: herb(60, 30, 'sweet basil', 'genovese'),
  'thai-basil': herb(60, 30),
  parsley: herb(75, 35),
  coriander: herb(45, 30, 'cilantro'),
  dill: herb(45, 30),
  chervil: herb(60, 40),
  savory: herb(65, 40),
  borage: herb(55, 35),
  chamomile: herb(65, 45),
  stevia: herb(100, 50, 'sweetleaf'),
  marjoram: herb(75, 35, 'sweet marjoram'),
  chives: restingHerb(90, 30),
  mint: restingHerb(90, 30, 'spearmint', 'peppermint'),
  oregano: restingHerb(90, 35, 'wild marjoram'),
  tarragon: restingHerb(null, 45, 'french tarragon'),
  'lemon-balm': restingHerb(80, 35, 'balm'),
  lovage: restingHerb(90, 45),
  'herb-fennel': restingHerb(75, 45, 'bronze fennel'),
  'lemon-verbena': restingHerb(null, 50, 'verbena'),
  thyme: evergreenHerb(95, 35),
  sage: evergreenHerb(85, 35),
  rosemary: evergreenHerb(180, 45),
  lavender: evergreenHerb(200, 70),
  lemongrass: evergreenHerb(130, 75),
  bay: dates('herb', lives(1, 20, false))(null, 60, 'laurel', 'bay leaf', 'bay laurel'),
  marigold: flower(55, 25, 'tagetes', 'french marigold'),
  nasturtium: flower(52, 30),
  calendula: flower(55, 30, 'pot marigold'),
  petunia: flower(90, 20),
  pelargonium: flower(110, 20, 'geranium'),
  pansy: flower(90, 20, 'viola'),
  zinnia: flower(65, 35),
  snapdragon: flower(100, 45, 'antirrhinum'),
  cosmos: flower(65, 40),
  'sweet-pea': flower(85, 55, 'lathyrus'),
  begonia: flower(120, 20),
  sunflower: flower(70, 55),
  asparagus: dates('perennial', lives(3, 12))(null, 0),
  rhubarb: dates('perennial', lives(2, 10))(null, 0, 'pie plant'),
  artichoke: dates('perennial', lives(2, 5))(null, 20, 'globe artichoke', 'cardoon'),
  strawberry: dates('berry', lives(1, 4))(null, 65),
  'alpine-strawberry': dates('berry', lives(1, 3))(130, 60, 'wild strawberry', 'wood strawberry'),
  raspberry: dates('berry', lives(2, 10))(null, 65),
  blackberry: dates('berry', lives(2, 12))(null, 85, 'bramble', 'loganberry', 'tayberry'),
  blueberry: dates('berry', lives(2, 15))(null, 65, 'highbush blueberry'),
  currant: dates('berry', lives(2, 12))(null, 55, 'redcurrant', 'blackcurrant', 'white currant'),
  gooseberry: dates('berry', lives(2, 12))(null, 50),
  grape: dates('tree', lives(3, 20))(null, 130, 'vine', 'table grape'),
  fig: dates('tree', lives(2, 15))(null, 110),
  'lemon-tree': dates('tree', lives(2, 20, false))(null, 200, 'citrus'),
  'orange-tree': dates('tree', lives(3, 20, false))(null, 220, 'citrus', 'mandarin', 'kumquat'),
  'apple-tree': dates('tree', lives(3, 15))(null, 130, 'apple', 'cordon apple'),
  'peach-tree': dates('tree', lives(3, 12))(null, 90, 'peach', 'nectarine'),
  pomegranate: dates('tree', lives(3, 15))(null, 150),
  'olive-tree': dates('tree', lives(3, 20, false))(null, 170, 'olive'),
} as const satisfies Record<CropId, CropDates>;

export const datesOf = (id: CropId): CropDates => CROP_DATES[id];
