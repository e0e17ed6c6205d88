import type { PlanterResource } from '@huerta/contract';
import { SITES } from '@huerta/core/catalog';
import { applyPatch, STARTING_POINTS, usualPlanted } from '@huerta/core/document';
import { dayAfter, daysBetween } from '@huerta/core/physics/climate';
import fc from 'fast-check';
import { frostsAlong, joined, onStrip } from '../../ui/year/strip';
import { gardenYear, growingOf, nextJob, pickedOf, thirstiest, yearRow } from './yearRows';

const TODAY = '2026-07-15';
const rowOf = (...crops: ReturnType<typeof usualPlanted>[]) => {
  const design = applyPatch(STARTING_POINTS[0]!.design, [
    { path: ['planting', 'crops'], value: crops },
  ]);
  const plan = { planted: '2026-04-01' } as never;
  return yearRow({ id: 'a', design } as PlanterResource, plan, [], SITES.vallesol as never, TODAY);
};

test.each([
  [38, '2026-07-15', 0, '2026-01-01', 365, '2026'],
  [38, '2027-12-31', 1, '2028-01-01', 366, '2028'],
  [-38, '2026-07-15', 0, '2026-07-01', 365, '2026/27'],
  [-38, '2026-06-30', 0, '2025-07-01', 365, '2025/26'],
  [-38, '2026-06-30', -1, '2024-07-01', 365, '2024/25'],
])(
  'at %s°, on %s, %s years on: the year has its summer in the middle',
  (latitude, day, later, from, days, name) => {
    expect(gardenYear(latitude, day, later)).toEqual({ from, days, name });
  },
);

test('spans are joined where they touch, and together cover what each covers and nothing else', () => {
  const span = fc
    .tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 90 }))
    .map(([from, long]) => ({
      from: dayAfter('2026-01-01', from),
      to: dayAfter('2026-01-01', from + long),
    }));
  fc.assert(
    fc.property(fc.array(span, { maxLength: 6 }), (spans) => {
      const all = joined(spans);
      const covers = (some: typeof spans, date: string) =>
        some.some(({ from, to }) => date >= from && date < to);
      for (let day = 0; day < 400; day += 1) {
        const date = dayAfter('2026-01-01', day);
        expect(covers(all, date)).toBe(covers(spans, date));
      }
      expect(all.every((one, i) => i === 0 || one.from > all[i - 1]!.to)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('frost comes in each winter that the strip shows', () => {
  const strip = { from: '2026-03-01', days: 750 };
  const frosts = frostsAlong(strip, { from: '2026-03-20', to: '2026-11-20' });
  expect(frosts).toEqual([
    { from: '2025-11-20', to: '2026-03-20' },
    { from: '2026-11-20', to: '2027-03-20' },
    { from: '2027-11-20', to: '2028-03-20' },
  ]);
});

test('leaves lie where something grows, cut to the year, and are as thick as what is drunk', () => {
  const { year } = rowOf(
    usualPlanted('lettuce', 2, { stays: 40 }),
    usualPlanted('lettuce', 2, { from: 90, stays: 400 }),
  );
  const strip = gardenYear(38, TODAY);
  const values = Array.from({ length: 74 }, (_, i) => i / 1000);
  const leaves = growingOf(year, strip, { step: 5, values, most: 0.1 });
  expect(leaves.map(({ from, to }) => [from, to])).toEqual([
    ['2026-04-01', '2026-05-11'],
    ['2026-06-30', '2027-01-01'],
  ]);
  const [first] = leaves[0]!.shape!;
  expect(first).toBeCloseTo(daysBetween('2026-01-01', '2026-04-01') / 5 / 100, 1);
  expect(pickedOf(year, strip).every((span) => onStrip(strip, span))).toBe(true);
});

test('the next job is the first that is still to come, and none once all is over', () => {
  const row = rowOf(
    { ...usualPlanted('lettuce', 2, { stays: 40 }), start: 'bought' },
    { ...usualPlanted('radish', 9, { from: 120 }), start: 'seed' },
  );
  expect(nextJob(row, '2026-03-20')).toEqual({ date: '2026-04-01', does: 'plant' });
  expect(nextJob(row, TODAY)).toEqual({ date: '2026-07-30', does: 'sow' });
  expect(nextJob(row, '2026-07-31')?.does).toBe('pick from');
  expect(nextJob(row, '2027-07-31')).toBeNull();
});

test('the thirstiest month is that with the most a day, of days within the year alone', () => {
  const strip = gardenYear(38, TODAY);
  const values = Array.from({ length: 75 }, (_, i) =>
    dayAfter(strip.from, i * 5).slice(5, 7) === '08' ? 0.02 : i * 5 < strip.days ? 0.01 : 9,
  );
  expect(thirstiest(strip, 5, values)).toEqual({ month: 7, daily: 0.02 });
  expect(thirstiest(strip, 5, [0, 0])).toBeNull();
});
