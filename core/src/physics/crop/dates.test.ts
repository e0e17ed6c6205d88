import { CROP_DATES, CROP_IDS, CROPS, cropOf, datesOf, type CropId } from '../../catalog';
import { ownFrom, usualPlanted, type Planted } from '../../document';
import { behind, firstHarvest, growthOf, lastPick, standsFor } from '.';

type Range = readonly [least: number, most: number];

/**
 * Days to market maturity, typed in from Knott’s Handbook for Vegetable Growers (Maynard and Hochmuth 2007): from seed
 * where a row has a number first, from transplants where it has one second.
 */
const KNOTT: Partial<Record<CropId, readonly [seed: Range | null, plant: Range | null]>> = {
  bean: [[46, 60], null],
  'climbing-bean': [[58, 75], null],
  beetroot: [[56, 70], null],
  broccoli: [null, [55, 78]],
  'brussels-sprouts': [null, [90, 100]],
  cabbage: [null, [70, 120]],
  carrot: [[50, 95], null],
  cauliflower: [null, [50, 125]],
  celeriac: [null, [110, 110]],
  celery: [null, [90, 125]],
  chard: [[50, 60], null],
  chervil: [[60, 60], null],
  'chinese-cabbage': [[70, 80], null],
  chives: [[90, 90], null],
  collard: [[70, 85], null],
  'sweet-corn': [[64, 95], null],
  'lambs-lettuce': [[60, 60], null],
  gherkin: [[48, 58], null],
  cucumber: [[55, 72], null],
  aubergine: [null, [50, 80]],
  endive: [[85, 100], null],
  fennel: [[100, 100], null],
  kale: [[55, 65], null],
  kohlrabi: [[50, 60], null],
  leek: [[120, 150], null],
  lettuce: [[55, 85], null],
  'cos-lettuce': [[70, 75], null],
  'cut-lettuce': [[40, 50], null],
  melon: [[85, 95], null],
  okra: [[50, 60], null],
  onion: [[90, 150], null],
  'spring-onion': [[45, 60], null],
  parsley: [[70, 80], null],
  parsnip: [[100, 130], null],
  pea: [[56, 75], null],
  pepper: [null, [65, 80]],
  chilli: [null, [60, 80]],
  potato: [null, [90, 120]],
  pumpkin: [[100, 120], null],
  radish: [[22, 30], null],
  daikon: [[50, 60], null],
  sorrel: [[60, 60], null],
  spinach: [[37, 45], null],
  courgette: [[40, 50], null],
  'round-squash': [[40, 50], null],
  squash: [[85, 110], null],
  tomato: [null, [60, 90]],
  'cherry-tomato': [null, [60, 90]],
  'plum-tomato': [null, [60, 90]],
  turnip: [[40, 75], null],
  watermelon: [[75, 95], null],
};

test.each(Object.entries(KNOTT))('%s bears when the handbook says', (id, [seed, plant]) => {
  const { seed: sown, plant: set } = datesOf(id as CropId);
  for (const [range, days] of [
    [seed, sown],
    [plant, set],
  ] as const) {
    if (!range) continue;
    expect(days).toBeGreaterThanOrEqual(range[0]);
    expect(days).toBeLessThanOrEqual(range[1]);
  }
});

/** Whole growing periods of FAO-56 (Allen and others 1998), table 11: the shortest and the longest of its rows. */
const TABLE_11: Partial<Record<CropId, Range>> = {
  broccoli: [135, 135],
  cabbage: [165, 165],
  carrot: [100, 200],
  cauliflower: [140, 140],
  celery: [125, 210],
  lettuce: [75, 140],
  onion: [150, 210],
  'spring-onion': [70, 180],
  spinach: [60, 100],
  radish: [35, 40],
  aubergine: [130, 140],
  pepper: [125, 210],
  tomato: [135, 180],
  melon: [120, 160],
  cucumber: [105, 130],
  pumpkin: [100, 120],
  squash: [100, 120],
  courgette: [90, 100],
  watermelon: [80, 110],
  beetroot: [70, 90],
  potato: [105, 165],
  'sweet-potato': [125, 150],
  bean: [75, 90],
  'broad-bean': [90, 235],
  pea: [90, 110],
  'sweet-corn': [80, 110],
};

test.each(Object.entries(TABLE_11))(
  '%s grows for as long as the paper’s table 11 has it',
  (id, range) => {
    const all = cropOf(id as CropId).stages.reduce((sum, days) => sum + days, 0);
    expect(all).toBeGreaterThanOrEqual(range[0]);
    expect(all).toBeLessThanOrEqual(range[1]);
  },
);

const STARTS = ['seed', 'raised', 'bought'] as const;

test.each(CROP_IDS)(
  '%s bears before it is over, however it begins, and no sooner from seed',
  (id) => {
    const { seed, plant, life } = datesOf(id);
    expect(seed !== null || plant !== null).toBe(true);
    const firsts = STARTS.map((start) => firstHarvest(usualPlanted(id, 1, { start })));
    const [sown, raised, bought] = firsts as [number, number, number];
    for (const start of STARTS) {
      const one = usualPlanted(id, 1, { start });
      expect(firstHarvest(one)).toBeLessThan(lastPick(one));
      expect(lastPick(one)).toBeLessThanOrEqual(standsFor(one));
    }
    expect(sown).toBeGreaterThanOrEqual(bought);
    expect(raised).toBeGreaterThanOrEqual(bought);
    if (seed !== null && plant !== null && life?.first !== 2 && life?.first !== 3)
      expect(new Set(firsts).size).toBe(3);
  },
);

test('sown in its place it is young for longer, then grows as a bought one does', () => {
  const bought = usualPlanted('tomato', 1);
  const sown: Planted = { ...bought, start: 'seed' };
  expect(behind(sown)).toBe(50);
  expect(growthOf(sown, 40).stage).toBe('young');
  expect(growthOf(sown, 50 + 80)).toEqual(growthOf(bought, 80));
});

test('a crop of one’s own bears in its own time', () => {
  const own = { ...ownFrom('tomato', 'Late one'), stages: [60, 80, 90, 60] as never };
  expect(firstHarvest({ crop: 'tomato', own, start: 'bought' })).toBe(140);
});

test('other names lead to one crop only, and are no other crop’s name', () => {
  const names = Object.values(CROPS).map(({ name }) => name.toLowerCase());
  const others = Object.entries(CROP_DATES).flatMap(([id, { names: also }]) =>
    also.filter((name) => name !== 'citrus').map((name) => ({ id, name })),
  );
  expect(new Set(others.map(({ name }) => name)).size).toBe(others.length);
  for (const { id, name } of others) {
    const same = names.indexOf(name);
    if (same >= 0) expect(CROP_IDS[same]).toBe(id);
  }
});
