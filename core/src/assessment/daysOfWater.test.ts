import fc from 'fast-check';
import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { assemble, freeWaterBelow, rootWays, type Planter } from '../assembly';
import { anyDesign } from '../testing/designs';
import {
  daysOfWaterOf,
  broughtAt,
  cautiousDays,
  descentOf,
  lastDropLevel,
  soilReserve,
  type Descent,
} from './daysOfWater';

const DAY = 86_400;
const litresADay = (litres: number) => litres / 1000 / DAY;
const planterOf = (id: string, patch: Patch = []) =>
  assemble(applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch));
const lasts = (planter: Planter, litres: number, reserve: number) =>
  daysOfWaterOf(descentOf(planter, rootWays(planter)), litresADay(litres), reserve);

test('without thirst it lasts for ever, without water and soil not at all', () => {
  const planter = planterOf('cloth-pail');
  expect(lasts(planter, 0, 0.001).days).toBe(Infinity);
  const dry = planterOf('cloth-pail', [{ path: ['wicks'], value: [] }]);
  expect(lasts(dry, 1, 0)).toMatchObject({ days: 0, reserve: 0, used: 0 });
});

test('twice the thirst is at most half the days', () => {
  fc.assert(
    fc.property(anyDesign, fc.double({ min: 0.1, max: 5, noNaN: true }), (design, litres) => {
      const planter = assemble(design);
      const once = lasts(planter, litres, 0.002);
      const twice = lasts(planter, 2 * litres, 0.002);
      const whole = (one: typeof once) => one.days + one.reserve;
      expect(whole(twice)).toBeLessThanOrEqual(whole(once) / 2 + 1e-9 + whole(once) * 0.03);
    }),
  );
});

test('more water in the soil never shortens it', () => {
  fc.assert(
    fc.property(anyDesign, fc.double({ min: 0, max: 0.01, noNaN: true }), (design, reserve) => {
      const planter = assemble(design);
      const less = lasts(planter, 1, reserve);
      const more = lasts(planter, 1, reserve + 0.001);
      expect(more.days).toBeGreaterThanOrEqual(less.days - 1e-9);
      expect(more.days + more.reserve).toBeGreaterThan(less.days + less.reserve);
    }),
  );
});

test('what is used is what stands above the mark and waits in the barrel, and is drunk in those days', () => {
  fc.assert(
    fc.property(anyDesign, fc.double({ min: 0.05, max: 8, noNaN: true }), (design, litres) => {
      const planter = assemble(design);
      const { brim } = planter.heights;
      const descent = descentOf(planter, rootWays(planter));
      const { days, level, used } = lasts(planter, litres, 0.002);
      expect(level).toBeGreaterThanOrEqual(descent.levels[descent.levels.length - 1]! - 1e-9);
      expect(level).toBeLessThanOrEqual(brim + 1e-9);
      const above = freeWaterBelow(planter, brim) - freeWaterBelow(planter, level);
      expect(used).toBeLessThanOrEqual((above + descent.supply) * 1.05 + 1e-6);
      if (descent.full >= litresADay(litres)) {
        expect(days * DAY * litresADay(litres)).toBeCloseTo(used, 9);
      }
    }),
  );
});

test('down to the mark at least half of the thirst comes up', () => {
  const planter = planterOf('cloth-pail');
  for (const litres of [0.4, 0.8, 1.2]) {
    const { level } = lasts(planter, litres, 1);
    if (level > lastDropLevel(planter) + 1e-6) {
      const comes = broughtAt(planter, [], level);
      expect(comes).toBeGreaterThan(0.45 * litresADay(litres));
    }
  }
});

test('water counts as of use where a wick is a little short of the hottest day', () => {
  const planter = planterOf('cloth-pail');
  const full = descentOf(planter, []).full * DAY * 1000;
  const just = lasts(planter, 0.99 * full, 0.0015);
  const short = lasts(planter, 1.01 * full, 0.0015);
  expect(short.used).toBeGreaterThan(0.5 * just.used);
  expect(short.used).toBeGreaterThan(0.001);
});

test('doubling the reservoir does not double the days when the wick is the limit', () => {
  const weak: Patch = [
    { path: ['wicks', 0, 'legs'], value: 1 },
    { path: ['wicks', 0, 'width'], value: 0.08 },
  ];
  const low = planterOf('cloth-pail', weak);
  const high = planterOf('cloth-pail', [
    ...weak,
    { path: ['reservoir', 'top'], value: 0.17 },
    { path: ['overflow', 'centre'], value: 0.156 },
  ]);
  const gross = [low, high].map((planter) => planter.storage.volumeBelow(planter.heights.brim));
  const days = [low, high].map((planter) => lasts(planter, 1.2, 0.003).days);
  expect(gross[1]! / gross[0]!).toBeGreaterThan(1.8);
  expect(days[1]! / days[0]!).toBeLessThan(1.2);
});

test('ground soil holds less in reserve than a coir mix of the same depth', () => {
  const reserve = (medium: string) => {
    const planter = planterOf('cloth-pail', [{ path: ['soil', 'medium'], value: medium }]);
    return soilReserve(planter, litresADay(1), litresADay(3));
  };
  expect(reserve('ground-soil')).toBeLessThan(reserve('coir-perlite'));
});

test.each([
  [0, 0],
  [0.1, 0.1],
  [0.4, 0.25],
  [1.99, 1.5],
  [6.6, 6.5],
  [11.9, 11],
  [Infinity, Infinity],
])('%d days are said as %d, what is less than a half as such', (days, said) =>
  expect(cautiousDays(days)).toBe(said),
);

describe('a wick that brings more of everything', () => {
  /** A reservoir of ten litres in twenty slices, from which less comes up the lower it stands. */
  const anyDescent = fc
    .record({
      bottom: fc.double({ min: 0, max: 0.95, noNaN: true }),
      bend: fc.double({ min: 0.5, max: 3, noNaN: true }),
    })
    .map(({ bottom, bend }): Omit<Descent, 'brings' | 'full'> & { shape: number[] } => ({
      levels: Array.from({ length: 21 }, (_, i) => 0.1 * (1 - i / 20)),
      volumes: Array.from({ length: 20 }, () => 0.0005),
      supply: 0,
      shape: Array.from(
        { length: 20 },
        (_, i) => bottom + (1 - bottom) * (1 - (i + 0.5) / 20) ** bend,
      ),
    }));
  const usedOf = (
    { shape, ...descent }: Omit<Descent, 'brings' | 'full'> & { shape: number[] },
    duty: number,
    reserve: number,
  ): number => {
    const demand = litresADay(1);
    const brings = shape.map((share) => share * duty * demand);
    return daysOfWaterOf({ ...descent, brings, full: duty * demand }, demand, reserve).used;
  };

  test('makes no less of the water usable, however little it had to spare', () => {
    fc.assert(
      fc.property(
        ...[anyDescent, fc.double({ min: 0.6, max: 4, noNaN: true })],
        fc.double({ min: 0, max: 0.01, noNaN: true }),
        (descent, duty, reserve) => {
          const less = usedOf(descent, duty, reserve);
          expect(usedOf(descent, 1.05 * duty, reserve)).toBeGreaterThanOrEqual(less - 1e-5);
        },
      ),
    );
  });

  test('nowhere makes a jump of it: a hair more wick is a hair more water', () => {
    fc.assert(
      fc.property(
        ...[anyDescent, fc.double({ min: 0.6, max: 4, noNaN: true })],
        fc.double({ min: 0.001, max: 0.01, noNaN: true }),
        (descent, duty, reserve) => {
          const step = usedOf(descent, 1.002 * duty, reserve) - usedOf(descent, duty, reserve);
          // Of ten litres; a slice is half a litre.
          expect(Math.abs(step)).toBeLessThan(0.0004);
        },
      ),
    );
  });
});
