import { CROP_IDS, CROPS, cropOf, type CropId } from '.';

/** Kc of FAO-56 (Allen and others 1998), table 12: initial, middle and end, typed in from the table. */
const TABLE_12: Partial<Record<CropId, readonly [number, number, number]>> = {
  tomato: [0.6, 1.15, 0.8],
  pepper: [0.6, 1.05, 0.9],
  aubergine: [0.6, 1.05, 0.9],
  // On stalks or a trellis (the table's footnote 5).
  cucumber: [0.6, 1.15, 0.75],
  gherkin: [0.6, 1.15, 0.75],
  'sweet-corn': [0.3, 1.15, 1.05],
  courgette: [0.5, 0.95, 0.75],
  pumpkin: [0.5, 1, 0.8],
  watermelon: [0.4, 1, 0.75],
  melon: [0.5, 1.05, 0.75],
  bean: [0.5, 1.05, 0.9],
  pea: [0.5, 1.15, 1.1],
  'broad-bean': [0.5, 1.15, 1.1],
  'soya-bean': [0.4, 1.15, 0.5],
  chickpea: [0.4, 1, 0.35],
  peanut: [0.4, 1.15, 0.6],
  lettuce: [0.7, 1, 0.95],
  spinach: [0.7, 1, 0.95],
  cabbage: [0.7, 1.05, 0.95],
  broccoli: [0.7, 1.05, 0.95],
  'brussels-sprouts': [0.7, 1.05, 0.95],
  cauliflower: [0.7, 1.05, 0.95],
  celery: [0.7, 1.05, 1],
  carrot: [0.7, 1.05, 0.95],
  garlic: [0.7, 1, 0.7],
  onion: [0.7, 1.05, 0.75],
  'spring-onion': [0.7, 1, 1],
  radish: [0.7, 0.9, 0.85],
  beetroot: [0.5, 1.05, 0.95],
  turnip: [0.5, 1.1, 0.95],
  parsnip: [0.5, 1.05, 0.95],
  potato: [0.5, 1.15, 0.75],
  'sweet-potato': [0.5, 1.15, 0.65],
  artichoke: [0.5, 1, 0.95],
  asparagus: [0.5, 0.95, 0.3],
  mint: [0.6, 1.15, 1.1],
  strawberry: [0.4, 0.85, 0.75],
  raspberry: [0.3, 1.05, 0.5],
  grape: [0.3, 0.85, 0.45],
  'apple-tree': [0.45, 0.95, 0.7],
  'peach-tree': [0.45, 0.9, 0.65],
  'orange-tree': [0.7, 0.65, 0.7],
  'olive-tree': [0.65, 0.7, 0.7],
};

test.each(Object.entries(TABLE_12))('%s drinks as FAO-56’s table 12 says', (id, kc) => {
  const crop = cropOf(id as CropId);
  expect([crop.kcStart, crop.kc, crop.kcEnd]).toEqual(kc);
  expect(crop.kcFrom).toBe('FAO-56');
});

test('a hundred and twenty crops and more, each under a name of its own', () => {
  expect(CROP_IDS.length).toBeGreaterThanOrEqual(120);
  expect(new Set(Object.values(CROPS).map(({ name }) => name)).size).toBe(CROP_IDS.length);
});

test.each(CROP_IDS)('%s has a plant’s numbers', (id) => {
  const crop = cropOf(id);
  const inside = (value: number, least: number, most: number) => {
    expect(value).toBeGreaterThanOrEqual(least);
    expect(value).toBeLessThanOrEqual(most);
  };
  inside(crop.kcStart, 0.3, 0.75);
  inside(crop.kc, 0.6, 1.2);
  inside(crop.kcEnd, 0.25, 1.15);
  // FAO-56's shortest are radishes; seedlings for the kitchen are shorter still.
  const days = crop.stages.reduce((sum, stage) => sum + stage, 0);
  inside(days, 15, 370);
  crop.stages.forEach((stage) => inside(stage, 2, 250));
  inside(crop.roots, 0.04, 0.5);
  inside(crop.height, 0.05, 2.5);
  inside(crop.foliage, 0.03, 1.3);
  inside(crop.spacing, 0.015, crop.foliage + 1e-9);
  // People plant closer in a container than in the open.
  inside(crop.openSpacing, crop.spacing, 4);
  if (crop.sowing !== null) inside(crop.sowing, 0, 0.05);
  // Nobody sows trees, nor limes what wants acid soil.
  if (crop.habit === 'tree') expect(crop.sowing).toBeNull();
});
