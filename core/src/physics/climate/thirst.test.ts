import { applyPatch, STARTING_POINTS, usualPlanted, type Patch } from '../../document';
import { waterDemandOn, dryingOf } from '.';

const MM_A_DAY = 1e-3 / 86_400;
const litresADay = (flow: number) => flow * 86_400 * 1000;
const on = (patch: Patch) =>
  waterDemandOn(applyPatch(STARTING_POINTS[0]!.design, patch), 5 * MM_A_DAY, 0.06);

const oneTomato: Patch = [
  {
    path: ['planting', 'crops'],
    value: [usualPlanted('tomato', 1, { foliage: 0.6, spacing: 0.45 })],
  },
  { path: ['soil', 'mulch'], value: 'none' },
];

test('a tomato of 60 cm on a day of 5 mm drinks 1.63 L', () => {
  // π/4·0.36 = 0.28274 m²; (1.15 − 0.05)·5 mm·1.05
  expect(litresADay(on(oneTomato).plants)).toBeCloseTo(0.282743 * 1.1 * 5 * 1.05, 4);
  expect(litresADay(on(oneTomato).surface)).toBeCloseTo(0.06 * 0.2 * 5 * 1.05, 6);
});

test('plants add up, a sunny wall adds a quarter, and mulch takes most of the rest', () => {
  const base = on(oneTomato);
  const two = on([...oneTomato, { path: ['planting', 'crops', 0, 'count'], value: 2 }]);
  const hot = on([...oneTomato, { path: ['place', 'spot'], value: 'wall' }]);
  const mulched = on([...oneTomato, { path: ['soil', 'mulch'], value: 'straw' }]);
  expect(two.plants).toBeCloseTo(2 * base.plants, 15);
  expect(hot.total / base.total).toBeCloseTo(1.24, 12);
  expect(mulched.surface).toBeCloseTo(0.3 * base.surface, 15);
  expect(base.total).toBe(base.plants + base.surface);
});

test('open water beside the soil dries up where leaves do not shade it', () => {
  // 0.17 m² of water in a tray of 0.24 m²; leaves over 0.06 m² of it leave three quarters lit.
  expect(litresADay(dryingOf({ area: 0.17, ground: 0.24 }, 5 * MM_A_DAY, 0.06))).toBeCloseTo(
    0.17 * 0.75 * 1.05 * 5,
    9,
  );
  const tray = STARTING_POINTS.find(({ id }) => id === 'bag-tray')!.design;
  const dry = waterDemandOn(tray, 5 * MM_A_DAY, 0.1);
  const wet = waterDemandOn(tray, 5 * MM_A_DAY, 0.1, { area: 0.17, ground: 0.24 });
  expect(dry.open).toBe(0);
  expect(wet.open).toBeGreaterThan(0);
  // It does not come up through the soil.
  expect(wet.total).toBe(dry.total);
});

test('nothing planted, only the surface gives', () => {
  const bare = on([...oneTomato, { path: ['planting', 'crops', 0, 'count'], value: 0 }]);
  expect(bare.plants).toBe(0);
  expect(bare.total).toBeGreaterThan(0);
});
