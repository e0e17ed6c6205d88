import fc from 'fast-check';
import { evaluate } from '../assessment';
import { ingredientGood, SMALL_GOODS } from './goods';
import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { tell } from '../units';
import {
  buildSheet,
  billOf,
  goodsOf,
  mixPrice,
  NEW_BOOK,
  packsFor,
  priceBookSchema,
  shopperOf,
  shoppingFor,
  sourcingOf,
  type Shopper,
} from '.';

const start = (id: string) => STARTING_POINTS.find((one) => one.id === id)!.design;
const shopper = (id: string, patch: Patch = []): Shopper => {
  const { planter, assessment } = evaluate(applyPatch(start(id), patch));
  const { parts, cuts } = buildSheet(planter, assessment.figures, 'metric');
  return { name: id, parts, cuts, usable: assessment.figures.usable };
};
const pail = shopper('cloth-pail');
const tote = shopper('tote-pipes');

describe('packs', () => {
  const litres = (...sizes: [size: number, price: number][]) =>
    sizes.map(([size, price]) => ({ size: size / 1000, price }));
  const volume = { unit: 'volume' } as const;
  const counts = (amount: number, packs: { size: number; price: number }[]) =>
    packsFor(volume, amount, packs).map(({ size, count }) => [Math.round(size * 1000), count]);

  test('the cheapest that holds enough, and of equally dear ones the least over', () => {
    const bags = litres([10, 3.5], [20, 5.5], [50, 11]);
    expect(counts(0.017, bags)).toEqual([[20, 1]]);
    // 60 L: one of 10 and one of 50 at 14.50, not two of 50 nor three of 20.
    expect(counts(0.06, bags)).toEqual([
      [10, 1],
      [50, 1],
    ]);
    expect(counts(0.02, litres([10, 2], [20, 4], [25, 4]))).toEqual([[10, 2]]);
    expect(packsFor(volume, 0, bags)).toEqual([]);
  });

  test('never less than wanted, never dearer than any one size alone', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 900 }),
        fc.array(fc.tuple(fc.integer({ min: 1, max: 120 }), fc.integer({ min: 0, max: 40 })), {
          minLength: 1,
          maxLength: 4,
        }),
        (amount, sizes) => {
          const packs = litres(...sizes);
          const bought = packsFor(volume, amount / 1000, packs);
          const sum = (value: (one: (typeof bought)[number]) => number) =>
            bought.reduce((total, one) => total + one.count * value(one), 0);
          expect(sum(({ size }) => size)).toBeGreaterThanOrEqual(amount / 1000 - 1e-9);
          for (const { size, price } of packs) {
            const alone = Math.ceil(amount / 1000 / size - 1e-9) * price;
            expect(sum((one) => one.price)).toBeLessThanOrEqual(alone + 1e-9);
          }
        },
      ),
      { numRuns: 80 },
    );
  });
});

test('several planters share what is bought: one list costs no more than two', () => {
  const both = shoppingFor([pail, tote], NEW_BOOK, 'metric');
  const apart = [pail, tote].map((one) => shoppingFor([one], NEW_BOOK, 'metric').total);
  expect(both.total).toBeLessThanOrEqual(apart[0]! + apart[1]! + 1e-9);
  expect(both.planters.reduce((sum, { cost }) => sum + cost, 0)).toBeCloseTo(both.total, 9);
  const [first] = both.planters;
  expect(first!.perUsable).toBeCloseTo(first!.cost / pail.usable, 6);
  for (const { wanted, amounts } of both.lines) {
    expect(amounts.reduce((sum, amount) => sum + amount, 0)).toBeCloseTo(wanted, 12);
  }
});

test('what lies in the shed is used first, offcuts too', () => {
  const tube = 'pipe:mm-32';
  const book = {
    ...NEW_BOOK,
    atHand: { 'ingredient:coir': 1, cap: 1 },
    offcuts: { [tube]: [0.5] },
  };
  const { lines } = shoppingFor([pail], book, 'metric');
  const line = (id: string) => lines.find(({ good }) => good.id === id)!;
  expect(line(ingredientGood('coir').id).buy).toEqual([]);
  expect(line(SMALL_GOODS.cap.id)).toMatchObject({ wanted: 1, atHand: 1, cost: 0 });
  expect(line(tube)).toMatchObject({ buy: [], cost: 0 });
  expect(line(tube).plan!.bars).toMatchObject([{ atHand: true, length: 0.5 }]);
});

test('a mix by parts of one’s own is bought by its parts, even where ready mixes are', () => {
  const recipe = {
    parts: [
      { what: 'coir' as const, parts: 3 },
      { what: 'sand' as const, parts: 1 },
    ],
    measured: { shrinks: 0.2, reach: 0.3 },
  };
  const own = shopper('cloth-pail', [{ path: ['soil', 'recipe'], value: recipe }]);
  const { lines } = shoppingFor([own], { ...NEW_BOOK, mixing: 'ready' }, 'metric');
  const wanted = (id: string) => lines.find(({ good }) => good.id === id)!.wanted;
  const loose = own.parts.find(({ id }) => id === 'mix')!.quantity;
  expect(wanted('ingredient:coir')).toBeCloseTo((0.75 * loose) / 0.8, 9);
  // Sand is sold by weight.
  expect(wanted('fill:coarse-sand')).toBeCloseTo(((0.25 * loose) / 0.8) * 1600, 6);
  // 9.50 for 50 L of coir, 70 for a tonne of sand: (0.75 · 190 + 0.25 · 112) / 0.8 a cubic metre.
  expect(mixPrice({ ...start('cloth-pail').soil, recipe }, NEW_BOOK, 'metric')).toBeCloseTo(
    213.125,
    6,
  );
  expect(mixPrice({ ...start('cloth-pail').soil, medium: 'ground-soil' }, NEW_BOOK, 'metric')).toBe(
    0,
  );
});

test('own prices count in their currency only; ready mix is bought instead of its ingredients', () => {
  const book = priceBookSchema.parse({
    ...NEW_BOOK,
    mixing: 'ready',
    prices: { EUR: { cap: [{ size: 1, price: 2.5 }] } },
  });
  const cap = (currency: 'EUR' | 'USD') =>
    shoppingFor([pail], { ...book, currency }, 'metric').lines.find(
      ({ good }) => good.id === 'cap',
    )!;
  expect(cap('EUR')).toMatchObject({ cost: 2.5, typical: false });
  expect(cap('USD')).toMatchObject({ typical: true });
  const ids = shoppingFor([pail], book, 'metric').lines.map(({ good }) => good.id);
  expect(ids).toContain('mix:coir-perlite');
  expect(ids).not.toContain('ingredient:coir');
});

test('a price that is none is refused with a sentence', () => {
  const bad = { ...NEW_BOOK, prices: { EUR: { cap: [{ size: 0, price: -1 }] } } };
  const messages = priceBookSchema.safeParse(bad).error!.issues.map(({ message }) => message);
  expect(messages).toEqual(['A pack holds more than nothing.', 'A price is 0 or more.']);
});

test('every family has a price for each line, and a cost for each usable litre', () => {
  for (const { id, design } of STARTING_POINTS) {
    const list = shoppingFor([shopper(id)], NEW_BOOK, 'metric');
    for (const line of list.lines) {
      expect([line.good.id, Number.isFinite(line.cost), line.wanted > 0]).toEqual([
        line.good.id,
        true,
        true,
      ]);
      const bought = line.buy.reduce((sum, { size, count }) => sum + size * count, 0);
      expect(bought + line.atHand).toBeGreaterThanOrEqual(line.wanted - 1e-6);
    }
    const { assessment } = evaluate(applyPatch(design, []));
    expect(list.planters[0]!.perUsable === null).toBe(assessment.figures.usable <= 0);
  }
});

test.each(['own', 'ready'] as const)(
  'the bill with %s mixing names every part once and buys every good of the list once',
  (mixing) => {
    for (const { id } of STARTING_POINTS) {
      const one = shopper(id);
      const list = shoppingFor([one], { ...NEW_BOOK, mixing }, 'metric');
      const bill = billOf(one, list);
      expect(bill.filter(({ into }) => into === null).map((line) => line.id)).toEqual(
        one.parts.map((part) => part.id),
      );
      expect(new Set(bill.map((line) => line.id)).size).toBe(bill.length);
      const bought = bill.flatMap(({ line }) => (line ? [line] : []));
      expect(bought.map(({ good }) => good.id).sort()).toEqual(
        list.lines.map(({ good }) => good.id).sort(),
      );
      expect(bought.reduce((sum, { cost }) => sum + cost, 0)).toBeCloseTo(list.total, 9);
      for (const { sourcing, id: mix } of bill) {
        const from = bill.filter(({ into }) => into === mix);
        expect(from.length > 0).toBe(sourcing === 'mixed');
      }
    }
  },
);

test('what is dug from one’s own ground is on the bill, and never bought', () => {
  const design = start('film-bed');
  const soil = {
    ...design.soil,
    recipe: {
      parts: [
        { what: 'loam' as const, parts: 2 },
        { what: 'old-mix' as const, parts: 1 },
        { what: 'sand' as const, parts: 1 },
      ],
      measured: null,
    },
  };
  const bed = { ...design, soil };
  const list = shoppingFor([shopperOf(bed, 'metric')], NEW_BOOK, 'metric');
  const ids = list.lines.map(({ good }) => good.id);
  expect(ids).not.toContain(ingredientGood('loam').id);
  expect(ids).not.toContain(ingredientGood('old-mix').id);
  expect(ids).toContain(ingredientGood('sand').id);
  const { planter, assessment } = evaluate(bed);
  const bill = billOf(buildSheet(planter, assessment.figures, 'metric'), list);
  const come = bill
    .filter(({ into }) => into === 'mix')
    .map((one) => tell(sourcingOf(one), 'metric'));
  expect(come.slice(0, 2)).toEqual(['from your own garden', 'from your own garden']);
  expect(mixPrice(soil, NEW_BOOK, 'metric')).toBeLessThan(Infinity);
  expect(goodsOf([bed], 'metric').some(({ good }) => good.dug)).toBe(false);
});

describe('what it costs', () => {
  const vesselOf = (id: string, units: 'metric' | 'us') => {
    const { planter, assessment } = evaluate(start(id));
    const { parts } = buildSheet(planter, assessment.figures, units);
    return tell(parts.find((part) => part.id === 'vessel')!.amount, units).replace(/\u00a0/g, ' ');
  };

  test('a barrel that is sawn is looked for and paid as a whole barrel', () => {
    expect(vesselOf('cut-barrel', 'metric')).toMatch(/^200 L barrel, cut at two thirds; 14\d L/);
    expect(vesselOf('coil-barrel', 'us')).toMatch(/^55 gal barrel, cut in half; /);
    expect(vesselOf('lying-barrel', 'metric')).toMatch(/^200 L barrel, cut lengthwise; /);
    expect(vesselOf('bottle', 'metric')).toMatch(/^2 L bottle with its cap; /);
    expect(vesselOf('cloth-pail', 'metric')).not.toMatch(/cut/);
  });

  test('what people have costs nothing until they put in a price; a tree is no seedling', () => {
    const list = shoppingFor([shopper('cut-barrel')], NEW_BOOK, 'metric');
    const barrel = list.lines.find(({ good }) => good.id === 'vessel:barrel-200:used')!;
    expect([barrel.cost, barrel.typical]).toEqual([0, true]);
    const prices = { EUR: { [barrel.good.id]: [{ size: 1, price: 30 }] } };
    const paid = shoppingFor([shopper('cut-barrel')], { ...NEW_BOOK, prices }, 'metric');
    expect(paid.total - list.total).toBeCloseTo(30, 9);
    const [line] = billOf(shopper('cut-barrel'), list);
    expect(tell(sourcingOf(line!), 'metric')).toBe('usually had for nothing');
    expect(SMALL_GOODS.tree.packs[0]!.price).toBeGreaterThan(
      10 * SMALL_GOODS.plant.packs[0]!.price,
    );
  });

  test('of what is paid, what goes in is no more than that, and all of it where nothing is left over', () => {
    for (const { id } of STARTING_POINTS) {
      const { lines, total, used } = shoppingFor([shopper(id)], NEW_BOOK, 'metric');
      expect(used).toBeLessThanOrEqual(total + 1e-9);
      for (const line of lines) {
        const bought = line.buy.reduce((sum, { size, count }) => sum + size * count, 0);
        const share = bought > 0 ? Math.min((line.wanted - line.atHand) / bought, 1) : 0;
        expect([line.good.id, line.used]).toEqual([
          line.good.id,
          expect.closeTo(share * line.cost, 9),
        ]);
      }
    }
  });
});
