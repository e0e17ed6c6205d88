import { STARTING_POINTS } from '../document';
import { SMALL_GOODS } from './goods';
import { NEW_BOOK, packsIn } from './priceBook';
import { shoppingFor } from './shopping';
import { goodsOf, shopperOf } from './goodsOfDesign';

const designs = STARTING_POINTS.map(({ design }) => design);

test.each(['metric', 'us'] as const)(
  'the price book has every good that a shopping list asks for, once, with a pack to buy: %s',
  (units) => {
    const goods = goodsOf(designs, units);
    const ids = goods.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const asked = shoppingFor(
      designs.map((design) => shopperOf(design, units)),
      NEW_BOOK,
      units,
    ).lines.map(({ good }) => good.id);
    expect(asked.filter((id) => !ids.includes(id))).toEqual([]);
    for (const good of goods) {
      const { packs } = packsIn(NEW_BOOK, good, units);
      expect([good.id, packs.every(({ size, price }) => size > 0 && price >= 0)]).toEqual([
        good.id,
        true,
      ]);
    }
  },
);

test('a garden without planters still has the usual small goods; a variant goes by both its names', () => {
  expect(goodsOf([], 'metric')).toEqual(Object.values(SMALL_GOODS));
  const design = { ...designs[0]!, name: 'Basil', variant: 'deeper' };
  expect(shopperOf(design, 'us').name).toBe('Basil, deeper');
});
