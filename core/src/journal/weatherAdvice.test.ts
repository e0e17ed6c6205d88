import fc from 'fast-check';
import type { CropId } from '../catalog';
import { applyPatch, STARTING_POINTS, usualPlanted } from '../document';
import { daysThatCount, forecastUntil, type MeasuredDay } from '../physics/climate';
import { exposedOf, weatherAdvice, type ExposedPlanter } from './weatherAdvice';

const TODAY = '2026-05-10';
const day = (date: string, tMin: number, tMax: number, rain = 0, forecast = true): MeasuredDay => ({
  date,
  tMin,
  tMax,
  rain,
  ...(forecast ? { forecast: true as const } : {}),
});
const planter = (id: string, crop: CropId, more: Partial<ExposedPlanter> = {}): ExposedPlanter => ({
  id,
  design: applyPatch(STARTING_POINTS[0]!.design, [
    { path: ['planting', 'crops'], value: [usualPlanted(crop, 1)] },
    { path: ['place', 'rain'], value: 'open' },
  ]),
  planted: '2026-05-01',
  daysLeft: 8,
  young: false,
  ...more,
});
const about = (planters: ExposedPlanter[], days: MeasuredDay[]) =>
  weatherAdvice(planters, days, TODAY).map(({ hazard, date, planters: those }) => [
    hazard,
    date,
    those,
  ]);

test('a cold night is told for what does not bear it, on its day, and not for what does', () => {
  const both = [planter('tomato', 'tomato'), planter('kale', 'kale')];
  expect(about(both, [day('2026-05-10', 9, 20), day('2026-05-12', 1, 15)])).toEqual([
    ['frost', '2026-05-12', ['tomato']],
  ]);
  expect(about(both, [day('2026-05-10', 9, 20)])).toEqual([]);
  const inside = planter('tomato', 'tomato');
  const indoors = {
    ...inside,
    design: applyPatch(inside.design, [{ path: ['place', 'rain'], value: 'indoors' }]),
  };
  expect(about([indoors], [day('2026-05-11', -5, 5)])).toEqual([]);
  expect(about([planter('kale', 'kale')], [day('2026-05-11', -5, 5)])).toEqual([
    ['ice', '2026-05-11', ['kale']],
  ]);
});

test('heat is told for what has little water or short roots, a storm for what stands open', () => {
  const all = [
    planter('low', 'pepper', { daysLeft: 2 }),
    planter('young', 'pepper', { young: true }),
    planter('well', 'pepper'),
  ];
  expect(about(all, [day('2026-05-11', 18, 36)])).toEqual([
    ['heat', '2026-05-11', ['low', 'young']],
  ]);
  expect(about(all, [day('2026-05-13', 12, 20, 0.05)])).toEqual([
    ['storm', '2026-05-13', ['low', 'young', 'well']],
  ]);
});

test('a planter is young for its first two weeks, whether it was watered from the top lately or not', () => {
  const young = (planted: string) =>
    exposedOf(
      'a',
      STARTING_POINTS[0]!.design,
      { planted, daysLeft: { early: 3, likely: 5 } },
      TODAY,
    ).young;
  expect(['2026-05-09', '2026-04-27', '2026-04-26'].map(young)).toEqual([true, true, false]);
});

test('without a forecast last night stands for the next one; older ones and later ones say nothing', () => {
  const tomato = [planter('tomato', 'tomato')];
  const [told] = weatherAdvice(tomato, [day('2026-05-09', 1, 14, 0, false)], TODAY);
  expect([told!.hazard, told!.date, told!.forecast]).toEqual(['frost', TODAY, false]);
  expect(about(tomato, [day('2026-05-08', -1, 14, 0, false)])).toEqual([]);
  expect(about(tomato, [day('2026-05-20', -1, 14)])).toEqual([]);
});

test('whatever is expected, nothing is told of days that are over, and no hazard twice', () => {
  const anyDay = fc
    .record({
      n: fc.integer({ min: -5, max: 12 }),
      low: fc.integer({ min: -12, max: 25 }),
      rain: fc.integer({ min: 0, max: 90 }),
      forecast: fc.boolean(),
    })
    .map(({ n, low, rain, forecast }) =>
      day(
        new Date(Date.parse(TODAY) + n * 864e5).toISOString().slice(0, 10),
        low,
        low + 12,
        rain / 1000,
        forecast,
      ),
    );
  fc.assert(
    fc.property(fc.array(anyDay, { maxLength: 12 }), (days) => {
      const told = weatherAdvice([planter('a', 'tomato'), planter('b', 'kale')], days, TODAY);
      expect(new Set(told.map(({ hazard }) => hazard)).size).toBe(told.length);
      for (const { date } of told) expect(date >= TODAY).toBe(true);
      // What was expected of a day that is over counts no more; what was measured stays.
      const counted = daysThatCount(days, TODAY);
      expect(counted.every(({ date, forecast }) => !forecast || date >= TODAY)).toBe(true);
      expect(counted.filter(({ forecast }) => !forecast)).toEqual(
        days.filter(({ forecast }) => !forecast),
      );
      const until = forecastUntil(days, TODAY);
      expect(until === null || until > TODAY).toBe(true);
    }),
  );
});
