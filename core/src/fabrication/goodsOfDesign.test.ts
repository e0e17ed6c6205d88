import { STARTING_POINTS } from '../document';
import { say } from '../units';
import { ingredientGood, SMALL_GOODS } from './goods';
import { NEW_BOOK, packsIn } from './priceBook';
import { shoppingFor } from './shopping';
import { goodsOf, shopperOf } from './goodsOfDesign';
import { GOOD_SHELVES, shelfOf } from './goodShelves';

const designs = STARTING_POINTS.map(({ design }) => design);

test.each(['metric', 'us'] as const)(
  'the price book has every good that a shopping list asks for, once, with a pack to buy: %s',
  (units) => {
    const goods = goodsOf(designs, units).map(({ good }) => good);
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
  expect(goodsOf([], 'metric')).toEqual(
    Object.values(SMALL_GOODS).map((good) => ({ good, users: [] })),
  );
  const design = { ...designs[0]!, name: 'Basil', variant: 'deeper' };
  expect(shopperOf(design, 'us').name).toBe('Basil, deeper');
});

test('each good stands on a shelf by its kind, each kind on one, and names who takes it', () => {
  const kinds = Object.values(GOOD_SHELVES).flatMap((shelf): readonly string[] => shelf.kinds);
  expect(new Set(kinds).size).toBe(kinds.length);
  const goods = goodsOf(designs, 'metric');
  expect(
    goods.map(({ good }) => good.id.split(':')[0]!).filter((kind) => !kinds.includes(kind)),
  ).toEqual([]);
  for (const { good } of goods)
    expect(GOOD_SHELVES[shelfOf(good)].kinds as readonly string[]).toContain(good.id.split(':')[0]);
  const takes = (design: (typeof designs)[number]) =>
    shopperOf(design, 'metric').parts.flatMap(({ good, ingredients }) => [
      ...(good ? [good.id] : []),
      ...(ingredients ?? []).map(({ id }) => ingredientGood(id).id),
    ]);
  const wrong = designs
    .filter(({ name }) => designs.filter((one) => one.name === name).length === 1)
    .flatMap((design) => {
      const ids = takes(design);
      return goods
        .filter(({ good, users }) => users.includes(design.name) !== ids.includes(good.id))
        .map(({ good }) => `${design.name}: ${good.id}`);
    });
  expect(wrong).toEqual([]);
});

test('what hoses take that join planters is among the goods, under their name', () => {
  const hose = { ...SMALL_GOODS.hoseClip, id: 'hose-tee:13' };
  const parts = [{ id: 'tee', what: 'Tee', amount: say`1`, use: '', good: hose, quantity: 1 }];
  const goods = goodsOf([], 'metric', [{ name: 'Row 1', parts, cuts: [], usable: 0 }]);
  expect(goods.find(({ good }) => good.id === hose.id)?.users).toEqual(['Row 1']);
  expect(shelfOf(hose)).toBe('pipes');
});
