import fc from 'fast-check';
import { logEntry } from '../testing/entries';
import type { EntryBody } from './entry';
import { logYears, sameTime } from './yearly';

const filled = (volume: number | null): EntryBody => ({
  ...{ kind: 'filled', where: 'tube', ran: true },
  volume,
});
const picked = (what: string, mass: number | null, count: number | null = null): EntryBody => ({
  ...{ kind: 'harvested', what, mass, count },
});
const log = [
  logEntry(1, '2025-06-10', filled(0.01)),
  logEntry(2, '2025-08-01', filled(null)),
  logEntry(3, '2025-09-20', picked('courgettes', 1.5)),
  logEntry(4, '2025-11-02', filled(0.004)),
  logEntry(5, '2026-06-12', filled(0.012)),
  logEntry(6, '2026-06-13', { kind: 'rain', depth: 0.008 }),
  logEntry(7, '2026-07-01', picked('zucchini', 0.5)),
  logEntry(8, '2026-07-02', picked('Courgette', 0.25, 2)),
  logEntry(9, '2026-07-03', picked('old bean', null, 7)),
  logEntry(10, '2026-07-03', { kind: 'fed', what: '5-5-5', mass: 0.03 }),
];

test('years as a reader adds them up, a crop under all its names in one line', () => {
  const [now, before] = logYears(log, 'north');
  expect(now).toMatchObject({
    ...{ name: '2026', from: '2026-01-01', fillings: 1, unmeasured: 0, water: 0.012, rain: 0.008 },
    ...{ fed: 0.03, mass: 0.75, perKilogram: 0.016 },
  });
  expect(now!.picked).toEqual([
    { what: 'Courgette', mass: 0.75, count: 2 },
    { what: 'old bean', mass: 0, count: 7 },
  ]);
  expect(now!.months[5]).toBe(0.012);
  expect(before).toMatchObject({ name: '2025', fillings: 3, unmeasured: 1, mass: 1.5 });
  expect(before!.water).toBeCloseTo(0.014, 12);
});

test('the same time of the year before leaves out what came after that day', () => {
  const [now, before] = logYears(log, 'north');
  const same = sameTime(log, before!, now!, '2026-08-01');
  expect(same).toMatchObject({ name: '2025', fillings: 2, unmeasured: 1, water: 0.01, mass: 0 });
  expect(sameTime(log, before!, now!, '2026-12-31')).toEqual(before);
});

test('south of the equator a summer is one year', () => {
  const summer = [
    logEntry(1, '2025-12-20', filled(0.01)),
    logEntry(2, '2026-01-10', filled(0.02)),
    logEntry(3, '2026-07-01', filled(0.04)),
  ];
  const years = logYears(summer, 'south');
  expect(years.map(({ name, water }) => [name, water])).toEqual([
    ['2026/27', 0.04],
    ['2025/26', 0.03],
  ]);
  expect(years[1]!.months[5]).toBe(0.01);
  expect(years[1]!.months[6]).toBe(0.02);
});

test('nothing is lost between years: all water and harvest of a log is in one of them', () => {
  const day = fc
    .integer({ min: 0, max: 1400 })
    .map((n) => new Date(Date.UTC(2023, 0, 1 + n)).toISOString().slice(0, 10));
  const one = fc.tuple(day, fc.integer({ min: 0, max: 50 }), fc.boolean());
  const entries = fc
    .array(one)
    .map((all) =>
      all.map(([date, n, pick], i) =>
        logEntry(i, date, pick ? picked('kale', n) : filled(n / 1000)),
      ),
    );
  fc.assert(
    fc.property(entries, fc.constantFrom('north' as const, 'south' as const), (all, where) => {
      const years = logYears(all, where);
      const sum = (of: (year: (typeof years)[number]) => number) =>
        years.reduce((total, year) => total + of(year), 0);
      const asked = (kind: EntryBody['kind']) => all.filter(({ did }) => did.kind === kind).length;
      expect(sum(({ fillings }) => fillings)).toBe(asked('filled'));
      expect(sum(({ water }) => water)).toBeCloseTo(
        all.reduce((t, { did }) => t + (did.kind === 'filled' ? (did.volume ?? 0) : 0), 0),
        9,
      );
      expect(sum(({ mass }) => mass)).toBeCloseTo(
        all.reduce((t, { did }) => t + (did.kind === 'harvested' ? (did.mass ?? 0) : 0), 0),
        9,
      );
      for (const { months, water } of years)
        expect(months.reduce((t, one) => t + one, 0)).toBeCloseTo(water, 9);
    }),
  );
});
