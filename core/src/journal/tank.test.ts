import fc from 'fast-check';
import { SITES } from '../catalog';
import { dayAfter, weatherOf, type WeatherDay } from '../physics/climate';
import { inOrder, roundPlanSchema } from './plan';
import { rainTankSchema, usualTank } from './rainTank';
import { tankDays, tankOutlook } from './tank';

const rainy = (rains: readonly number[]): WeatherDay[] =>
  rains.map((rain, i) => ({
    date: dayAfter('2026-07-01', i),
    tMin: 15,
    tMax: 28,
    rain,
    et: 0.005,
  }));
const TANK = { size: 1, roof: 20, firstFlush: 0.01, water: 0.2, seen: '2026-07-01' };

test('ten millimetres on twenty square metres fill 160 litres: 0.85 of 200, less ten of the first flush', () => {
  const [day] = tankDays(TANK, rainy([0.01]), () => 0);
  expect(day!.caught).toBeCloseTo(0.16, 9);
  expect(day!.water).toBeCloseTo(0.36, 9);
});

test('the first flush is let away once for each rain, however many days that lasts', () => {
  const [, second, , fourth] = tankDays(TANK, rainy([0.01, 0.01, 0, 0.01]), () => 0);
  expect(second!.caught).toBeCloseTo(0.17, 9);
  expect(fourth!.caught).toBeCloseTo(0.16, 9);
});

test('what is taken is what is there, and what a full tank cannot hold runs over', () => {
  const [dry, full] = tankDays(TANK, rainy([0, 0.1]), (date) => (date === '2026-07-01' ? 0.5 : 0));
  expect(dry).toMatchObject({ drawn: 0.2, water: 0 });
  expect(dry!.short).toBeCloseTo(0.3, 9);
  expect(full!.water).toBe(1);
  expect(full!.spilled).toBeCloseTo(0.69, 9);
});

test('no water is made or lost, whatever falls and is taken', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(
          fc.double({ min: 0, max: 0.15, noNaN: true }),
          fc.double({ min: 0, max: 2, noNaN: true }),
        ),
      ),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (days, water) => {
        const wanted = new Map(days.map(([, take], i) => [dayAfter('2026-07-01', i), take]));
        const run = tankDays(
          { ...TANK, water },
          rainy(days.map(([rain]) => rain)),
          (date) => wanted.get(date) ?? 0,
        );
        const sum = run.reduce((all, day) => all + day.caught - day.spilled - day.drawn, water);
        expect(run.at(-1)?.water ?? water).toBeCloseTo(sum, 9);
        for (const day of run) {
          expect(day.water).toBeGreaterThanOrEqual(-1e-12);
          expect(day.water).toBeLessThanOrEqual(TANK.size + 1e-12);
        }
      },
    ),
  );
});

test('it warns of the day on which it runs dry, earlier the more is drunk', () => {
  const ahead = [1, 2, 3].map((seed) => weatherOf(SITES.vallesol, '2026-07-15', 60, seed));
  const dry = (daily: number) =>
    tankOutlook(
      { ...TANK, water: 1 },
      ahead.map(() => []),
      new Map(),
      ahead,
      daily,
    ).dry.likely;
  expect(dry(0.1)! < dry(0.05)!).toBe(true);
  expect(dry(1e-5)).toBeNull();
});

test('what was filled since somebody looked is gone from it', () => {
  const was = [rainy([0, 0, 0.01])];
  const seen = tankOutlook(TANK, was, new Map([['2026-07-02', 0.05]]), [], 0.01);
  expect(seen.water).toBeCloseTo(0.2 - 0.05 + 0.16, 9);
  expect(seen).toMatchObject({ drawn: 0.05, caught: expect.closeTo(0.16, 9) });
});

test('the walk keeps its order, and what is new comes last', () => {
  const ids = ['a', 'b', 'c', 'd'].map((id) => ({ id }));
  expect(inOrder(ids, ['c', 'a']).map(({ id }) => id)).toEqual(['c', 'a', 'b', 'd']);
});

test('a plan says at the field what it does not take', () => {
  expect(rainTankSchema.safeParse(usualTank('2026-07-15')).success).toBe(true);
  const plan = (until: string) =>
    roundPlanSchema.safeParse({ order: [], tank: null, away: { from: '2026-07-20', until } });
  expect(plan('2026-08-01').success).toBe(true);
  expect(plan('2026-07-20').error?.issues[0]).toMatchObject({ path: ['away', 'until'] });
  expect(plan('2027-07-20').error?.issues[0]?.message).toContain('90 days');
});
