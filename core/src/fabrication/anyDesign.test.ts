import fc from 'fast-check';
import { evaluate } from '../assessment';
import { assemble, bunchHole } from '../assembly';
import { tell } from '../units';
import { anyDesign } from '../testing/designs';
import { platformSheetOf } from './platform';
import { buildSheet, NEW_BOOK, PAPER_IDS, shoppingFor, tilesOf } from '.';

/** Whatever a person may have designed has a sheet that is whole. */
const sheetOf = (design: Parameters<typeof evaluate>[0], units: 'metric' | 'us') => {
  const { planter, assessment } = evaluate(design);
  const sheet = buildSheet(planter, assessment.figures, units);
  return { planter, usable: assessment.figures.usable, ...sheet };
};

test('every part, hole, cut and flat piece of any design has just one step', () => {
  fc.assert(
    fc.property(anyDesign, fc.constantFrom('metric' as const, 'us' as const), (design, units) => {
      const sheet = sheetOf(design, units);
      const named = (pick: (step: (typeof sheet.steps)[number]) => readonly string[]) =>
        sheet.steps.flatMap(pick).sort();
      expect(named(({ parts }) => parts)).toEqual(sheet.parts.map(({ id }) => id).sort());
      expect(named(({ holes }) => holes)).toEqual(sheet.holes.map(({ id }) => id).sort());
      expect(named(({ sheets }) => sheets)).toEqual(sheet.sheets.map(({ id }) => id).sort());
      for (const { doing, checks, measures, minutes } of sheet.steps) {
        expect(minutes).toBeGreaterThan(0);
        for (const words of [...doing, ...checks.flatMap(({ must, mend }) => [must, mend])]) {
          expect(tell(words, units)).not.toMatch(/undefined|NaN|∞|\[object/);
        }
        for (const { planned, min, max } of measures) {
          expect(planned).toBeGreaterThanOrEqual(min - 1e-9);
          expect(planned).toBeLessThanOrEqual(max + 1e-9);
        }
      }
    }),
    { numRuns: 60 },
  );
});

test('the shopping list of any design covers what it takes, and costs what its lines cost', () => {
  fc.assert(
    fc.property(anyDesign, anyDesign, (one, other) => {
      const shoppers = [one, other].map((design, i) => ({
        name: `${i}`,
        ...sheetOf(design, 'metric'),
      }));
      const list = shoppingFor(shoppers, NEW_BOOK, 'metric');
      expect(list.lines.reduce((sum, { cost }) => sum + cost, 0)).toBeCloseTo(list.total, 6);
      for (const { good, wanted, atHand, buy, plan, amounts } of list.lines) {
        const bought = buy.reduce((sum, { size, count }) => sum + size * count, 0);
        const short =
          plan?.tooLong.reduce((sum, { length, count }) => sum + length * count, 0) ?? 0;
        expect([good.id, bought + atHand + short >= wanted - 1e-6]).toEqual([good.id, true]);
        expect(amounts.every((amount) => amount >= 0 && Number.isFinite(amount))).toBe(true);
      }
    }),
    { numRuns: 30 },
  );
});

test('templates of any design have sound numbers and fit on their sheets of paper', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      for (const template of sheetOf(design, 'metric').templates) {
        for (const shape of template.shapes) {
          const numbers =
            shape.kind === 'path'
              ? shape.points.flat()
              : [shape.x, shape.y, shape.kind === 'circle' ? shape.r : shape.size];
          expect(numbers.every(Number.isFinite)).toBe(true);
        }
        for (const paper of PAPER_IDS) {
          const tiles = tilesOf(template, paper);
          expect(tiles.length).toBeGreaterThan(0);
          for (const { at, window, width, height } of tiles) {
            expect(at.x + window.width).toBeLessThan(width);
            expect(at.y + window.height).toBeLessThan(height);
          }
        }
      }
    }),
    { numRuns: 40 },
  );
});

test.each(['metric', 'us'] as const)(
  'any design, %s: the wick room and the sheet name the same drill for a bunch',
  (set) => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const planter = assemble(design);
        const deck = platformSheetOf(planter, set);
        for (const hole of deck?.holes ?? [])
          if (hole.group?.kind === 'cloth') expect(hole.bit).toBe(bunchHole(hole.group.spec, set));
      }),
      { numRuns: 150 },
    );
  },
);
