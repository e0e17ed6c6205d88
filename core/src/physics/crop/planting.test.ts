import fc from 'fast-check';
import { CROP_IDS, cropOf } from '../../catalog';
import { cropIn, ownFrom, usualPlanted, type Planted } from '../../document';
import { anyPlanted } from '../../testing/plantings';
import { deepestRoots, growthOn, peakOf, rootLimit, rootsOn, stageIn } from '.';

const planting = (...crops: Planted[]) => ({ crops });

test.each(CROP_IDS)('%s follows FAO-56’s figure 34 at the ends of its stages', (id) => {
  const crop = cropOf(id);
  const [young, growing, grown, ripening] = crop.stages;
  const kcOn = (day: number) => stageIn(crop, day).kc;
  expect(kcOn(0)).toBeCloseTo(crop.kcStart, 12);
  expect(kcOn(young)).toBeCloseTo(crop.kcStart, 12);
  expect(kcOn(young + growing / 2)).toBeCloseTo((crop.kcStart + crop.kc) / 2, 12);
  expect(kcOn(young + growing)).toBeCloseTo(crop.kc, 12);
  expect(kcOn(young + growing + grown)).toBeCloseTo(crop.kc, 12);
  expect(kcOn(young + growing + grown + ripening / 2)).toBeCloseTo((crop.kc + crop.kcEnd) / 2, 12);
  expect(kcOn(young + growing + grown + ripening)).toBeCloseTo(crop.kcEnd, 12);
});

test('what a list asks is the sum of what its members ask, on any day', () => {
  fc.assert(
    fc.property(
      fc.array(anyPlanted, { maxLength: 8 }),
      fc.integer({ min: 0, max: 400 }),
      (crops, day) => {
        const all = growthOn({ crops }, day);
        const each = crops.map((one) => growthOn(planting(one), day));
        const sum = (of: (one: (typeof each)[number]) => number) =>
          each.reduce((total, one) => total + of(one), 0);
        expect(all.thirst).toBeCloseTo(
          sum(({ thirst }) => thirst),
          9,
        );
        expect(all.foliage).toBeCloseTo(
          sum(({ foliage }) => foliage),
          9,
        );
      },
    ),
  );
});

test('one crop from the first day on is at its peak what it was before there were lists', () => {
  for (const id of CROP_IDS) {
    const crop = cropOf(id);
    // Some, such as oranges, drink less when grown than when young, but have fewer leaves then.
    const { growth } = peakOf(planting(usualPlanted(id, 3)));
    const leaves = 3 * (Math.PI / 4) * crop.foliage ** 2;
    expect(growth.foliage).toBeCloseTo(leaves, 9);
    expect(growth.thirst).toBeCloseTo((crop.kc - 0.05) * leaves, 9);
  }
});

test('after a crop is cleared the ground is bare until the next, whose roots begin anew', () => {
  const list = planting(
    usualPlanted('lettuce', 1, { stays: 50 }),
    usualPlanted('pepper', 1, { from: 60 }),
  );
  expect(growthOn(list, 49).foliage).toBeGreaterThan(0);
  expect(growthOn(list, 50)).toMatchObject({ foliage: 0, thirst: 0 });
  expect(growthOn(list, 59).foliage).toBe(0);
  expect(growthOn(list, 60).foliage).toBeGreaterThan(0);
  expect(rootsOn(list, 49)).toEqual({ limit: rootLimit(cropOf('lettuce')), days: 49 });
  expect(rootsOn(list, 55)).toEqual({ limit: 0, days: 0 });
  expect(rootsOn(list, 65)).toEqual({ limit: rootLimit(cropOf('pepper')), days: 5 });
  expect(deepestRoots(list)).toBe(rootLimit(cropOf('pepper')));
  // Together they are thirstiest when the pepper is grown: the lettuce is long gone.
  expect(peakOf(list).day).toBeGreaterThanOrEqual(60);
});

test('two that overlap are thirstiest while both stand there', () => {
  const list = planting(
    usualPlanted('lettuce', 6, { stays: 80 }),
    usualPlanted('pepper', 2, { from: 0, stays: 100 }),
  );
  const { day, growth } = peakOf(list);
  expect(day).toBeLessThan(80);
  for (let on = 0; on < 130; on += 1) {
    expect(growthOn(list, on).thirst).toBeLessThanOrEqual(growth.thirst * 1.02);
  }
});

test('a crop of one’s own is what it was made from, but for what is changed', () => {
  const own = { ...ownFrom('tomato', 'Aunt’s tomato'), roots: 0.4, kc: 1.2 };
  const crop = cropIn(usualPlanted('tomato', 1, {}, own));
  expect(crop).toMatchObject({
    ...cropOf('tomato'),
    name: 'Aunt’s tomato',
    roots: 0.4,
    kc: 1.2,
    kcFrom: 'typical',
  });
});

test('no day of any planting is thirstier by a hundredth than the one that is said to be the thirstiest', () => {
  fc.assert(
    fc.property(fc.array(anyPlanted, { minLength: 1, maxLength: 6 }), (crops) => {
      const list = planting(...crops);
      const { growth } = peakOf(list);
      const thirstier = Array.from({ length: 500 }, (_, day) => day).filter(
        (day) => !(growthOn(list, day).thirst <= 1.01 * growth.thirst),
      );
      expect(thirstier).toEqual([]);
    }),
    { numRuns: 200, seed: 20_261_130 },
  );
});

test('a plum tomato that is cleared early over beans counts on its last day', () => {
  const tomato = usualPlanted('plum-tomato', 1, { stays: 60 });
  const bean = usualPlanted('bean', 6, { from: 20 });
  const list = planting(tomato, bean);
  expect(peakOf(list).growth.thirst).toBeGreaterThanOrEqual(growthOn(list, 59).thirst);
});
