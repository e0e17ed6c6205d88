import { DECIMAL_MARK_IDS, wordsIn, type UnitSystem } from '@huerta/core/units';
import { goodsOf, NEW_BOOK, packsIn, type Good, type PriceBook } from '@huerta/core/fabrication';
import { STARTING_POINTS } from '@huerta/core/document';
import { draftOf, readDraft, withGood, type GoodDraft } from './draft';

/** What the price book's fields show reads back as what the book has, however numbers are written. */

const designs = STARTING_POINTS.map(({ design }) => design);
const systems: readonly UnitSystem[] = ['metric', 'us'];
const ways = systems.flatMap((units) => DECIMAL_MARK_IDS.map((mark) => [units, mark] as const));

const read = (good: Good, draft: GoodDraft, units: UnitSystem) => {
  const reading = readDraft(good, draft, units);
  if (!reading.ok) throw new Error(`${good.id}: ${JSON.stringify(reading.errors)}`);
  return reading;
};

describe.each(ways)('in %s with a decimal %s', (units, mark) => {
  const words = wordsIn(units, mark);
  const goods = goodsOf(designs, units).map(({ good }) => good);

  test('every good’s packs and prices read back as they are', () => {
    expect(goods.length).toBeGreaterThan(40);
    for (const good of goods) {
      const { packs } = packsIn(NEW_BOOK, good, units);
      const reading = read(good, draftOf(good, NEW_BOOK, words), units);
      reading.packs.forEach(({ size, price }, i) => {
        expect([good.id, Math.abs(size / packs[i]!.size - 1) < 0.01]).toEqual([good.id, true]);
        expect(price).toBeCloseTo(packs[i]!.price, 2);
      });
      // Untouched, nothing is kept as one's own.
      const kept = withGood(NEW_BOOK, good, reading, units);
      expect(kept.prices[kept.currency]?.[good.id]).toBeUndefined();
      expect([kept.offcuts, kept.atHand]).toEqual([NEW_BOOK.offcuts, NEW_BOOK.atHand]);
    }
  });

  test('offcuts and what is at hand stay what they are', () => {
    const pipe = goods.find(({ unit }) => unit === 'length')!;
    const book: PriceBook = {
      ...NEW_BOOK,
      offcuts: { [pipe.id]: [0.35, 0.4826, 1.225] },
      atHand: { [pipe.id]: 1.5 },
    };
    const draft = draftOf(pipe, book, words);
    if (mark === 'comma') expect(draft.packs[0]!.price).toMatch(/^\d+,\d\d$/);
    const reading = read(pipe, draft, units);
    expect(reading.offcuts).toHaveLength(3);
    reading.offcuts.forEach((one, i) =>
      // To the sixteenth of an inch or the millimetre that is shown.
      expect(Math.abs(one - book.offcuts[pipe.id]![i]!)).toBeLessThan(0.0009),
    );
  });
});

test.each([
  ['80 cm; 2 ft', [0.8, 0.6096]],
  ['80 cm, 2 ft', [0.8, 0.6096]],
  ['0,8 m; 1,25 m', [0.8, 1.25]],
  ['1,25 m', [1.25]],
  ['', []],
])('offcuts typed as ‘%s’ are %p', (offcuts, lengths) => {
  const good = goodsOf(designs, 'metric').find(({ good: { unit } }) => unit === 'length')!.good;
  const reading = read(good, { ...draftOf(good, NEW_BOOK, wordsIn('metric')), offcuts }, 'metric');
  expect(reading.offcuts).toHaveLength(lengths.length);
  reading.offcuts.forEach((one, i) => expect(one).toBeCloseTo(lengths[i]!, 9));
});

test('a price that is none is said at its own field, and nothing else is wrong', () => {
  const good = goodsOf(designs, 'metric')[0]!.good;
  const draft = draftOf(good, NEW_BOOK, wordsIn('metric'));
  for (const price of ['', 'four', '-1', '1e9']) {
    const wrong = readDraft(good, { ...draft, packs: [{ ...draft.packs[0]!, price }] }, 'metric');
    expect(wrong).toEqual({ ok: false, errors: { 'price 0': expect.any(String) } });
  }
});
