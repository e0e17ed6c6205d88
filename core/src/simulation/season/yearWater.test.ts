import fc from 'fast-check';
import { assemble, openWater, surfaceArea } from '../../assembly';
import { SITES } from '../../catalog';
import { applyPatch, STARTING_POINTS, usualPlanted } from '../../document';
import { averageDay, dayAfter, daysBetween, waterDemandOn, weatherOf } from '../../physics/climate';
import { growthOn } from '../../physics/crop';
import { thirstShapes, yearDemand } from '.';

const { vallesol } = SITES;
const DAY = 86_400;
const pail = (...crops: ReturnType<typeof usualPlanted>[]) =>
  applyPatch(STARTING_POINTS[0]!.design, [{ path: ['planting', 'crops'], value: crops }]);

test.each(Object.entries(SITES))('%s: the average day is the mean of many years', (_id, site) => {
  const wrong: string[] = [];
  for (const date of ['2026-01-10', '2026-04-12', '2026-07-15', '2026-10-05']) {
    const days = Array.from({ length: 60 }, (_, seed) => weatherOf(site, date, 9, seed)).flat();
    const mean = days.reduce((sum, { et }) => sum + et, 0) / days.length;
    const { et } = averageDay(site, dayAfter(date, 4));
    // Nights and wet days bend the equation a little.
    if (Math.abs(et - mean) > 0.06 * mean + 0.15e-3 / DAY)
      wrong.push(`${date}: ${et * DAY * 1000} beside ${mean * DAY * 1000} mm`);
  }
  expect(wrong).toEqual([]);
});

test('what a planter takes in a year is its demand in average weather, and nothing where nothing grows', () => {
  const design = pail({ ...usualPlanted('lettuce', 2), from: 10, stays: 50 });
  const planter = assemble(design);
  const [planted, from] = ['2026-04-01', '2026-01-01'];
  const days = yearDemand(planter, planted, vallesol, { from, step: 1, count: 365 });
  const first = daysBetween(from, planted) + 10;
  expect(days.slice(0, first).every((one) => one === 0)).toBe(true);
  expect(days.slice(first, first + 50).every((one) => one > 0)).toBe(true);
  expect(days.slice(first + 50).every((one) => one === 0)).toBe(true);
  const date = dayAfter(planted, 40);
  const { total } = waterDemandOn(
    design,
    averageDay(vallesol, date).et,
    surfaceArea(planter),
    openWater(planter),
    growthOn(design.planting, 40),
  );
  expect(days[first + 30]).toBeCloseTo(total * DAY, 12);
});

test('a planting’s shape is its own thirst: the thirstiest reaches one, all lie between nothing and that', () => {
  fc.assert(
    fc.property(
      fc.subarray(['lettuce', 'basil', 'tomato', 'radish', 'strawberry'] as const, {
        minLength: 1,
      }),
      fc.integer({ min: 1, max: 12 }),
      (crops, month) => {
        const planted = `2026-${String(month).padStart(2, '0')}-01`;
        const shapes = thirstShapes(
          pail(...crops.map((crop) => usualPlanted(crop, 1))),
          planted,
          vallesol,
          24,
        );
        expect(shapes).toHaveLength(crops.length);
        expect(Math.max(...shapes.flat())).toBeCloseTo(1, 12);
        expect(Math.min(...shapes.flat())).toBeGreaterThanOrEqual(0);
      },
    ),
    { numRuns: 40 },
  );
});
