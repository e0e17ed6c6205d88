import fc from 'fast-check';
import { applyPatch, STARTING_POINTS, type Patch } from '../design';
import { assemble, totalDelivery } from '../planter';
import { anyDesign } from '../testing/designs';
import { autonomyAt, cautiousDays, lastDropLevel, soilBuffer, usableLevel } from './autonomy';
import { figuresOf } from './figures';

const DAY = 86_400;
const litresADay = (litres: number) => litres / 1000 / DAY;
const planterOf = (id: string, patch: Patch = []) =>
  assemble(applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch));

test('without thirst it lasts for ever, without water and soil not at all', () => {
  const planter = planterOf('cloth-pail');
  expect(autonomyAt(planter, 0, 0.001).days).toBe(Infinity);
  const dry = planterOf('cloth-pail', [{ path: ['wicks'], value: [] }]);
  expect(autonomyAt(dry, litresADay(1), 0)).toEqual({ days: 0, reservoirDays: 0 });
});

test('twice the thirst is at most half the days', () => {
  fc.assert(
    fc.property(anyDesign, fc.double({ min: 0.1, max: 5, noNaN: true }), (design, litres) => {
      const planter = assemble(design);
      const once = autonomyAt(planter, litresADay(litres), 0.002);
      const twice = autonomyAt(planter, litresADay(2 * litres), 0.002);
      expect(twice.days).toBeLessThanOrEqual(once.days / 2 + 1e-9 + once.days * 0.02);
      expect(once.reservoirDays).toBeLessThanOrEqual(once.days + 1e-9);
    }),
  );
});

test('more water in the soil never shortens it', () => {
  fc.assert(
    fc.property(anyDesign, fc.double({ min: 0, max: 0.01, noNaN: true }), (design, buffer) => {
      const planter = assemble(design);
      const less = autonomyAt(planter, litresADay(1), buffer).days;
      const more = autonomyAt(planter, litresADay(1), buffer + 0.001).days;
      expect(more).toBeGreaterThan(less);
    }),
  );
});

test('doubling the reservoir does not double the days when the wick is the limit', () => {
  const weak: Patch = [
    { path: ['wicks', 0, 'legs'], value: 1 },
    { path: ['wicks', 0, 'width'], value: 0.01 },
  ];
  const low = planterOf('cloth-pail', weak);
  const high = planterOf('cloth-pail', [
    ...weak,
    { path: ['reservoir', 'top'], value: 0.17 },
    { path: ['overflow', 'centre'], value: 0.156 },
  ]);
  const gross = [low, high].map((planter) => planter.storage.volumeBelow(planter.heights.brim));
  const days = [low, high].map((planter) => autonomyAt(planter, litresADay(1.2), 0.003).days);
  expect(gross[1]! / gross[0]!).toBeGreaterThan(1.8);
  expect(days[1]! / days[0]!).toBeLessThan(1.2);
});

test('the usable level is where delivery meets demand', () => {
  fc.assert(
    fc.property(anyDesign, fc.double({ min: 0.05, max: 8, noNaN: true }), (design, litres) => {
      const planter = assemble(design);
      const demand = litresADay(litres);
      const level = usableLevel(planter, demand);
      expect(level).toBeGreaterThanOrEqual(lastDropLevel(planter) - 1e-9);
      expect(level).toBeLessThanOrEqual(planter.heights.brim + 1e-9);
      if (level < planter.heights.brim - 1e-6) {
        expect(totalDelivery(planter.wicks, level)).toBeGreaterThanOrEqual(demand * 0.999);
      }
    }),
  );
});

test('ground soil buffers less than a coir mix of the same depth', () => {
  const buffer = (medium: string) => {
    const planter = planterOf('cloth-pail', [{ path: ['soil', 'medium'], value: medium }]);
    return soilBuffer(planter, figuresOf(planter).soilVolume);
  };
  expect(buffer('ground-soil')).toBeLessThan(buffer('coir-perlite'));
});

test.each([
  [0.4, 0],
  [1.99, 1.5],
  [6.6, 6.5],
  [11.9, 11],
  [Infinity, Infinity],
])('%d days are said as %d', (days, said) => expect(cautiousDays(days)).toBe(said));
