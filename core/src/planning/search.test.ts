import { SITES } from '../catalog';
import { weatherOf } from '../physics/climate';
import { applyPatch, invertOf, STARTING_POINTS } from '../document';
import { assemble, contradictions } from '../assembly';
import { tell } from '../units';
import { NEW_BOOK, shopperOf, shoppingFor } from '../fabrication';
import { faultsOf } from '../assessment';
import { bestAt, bringsFault, candidatesOf, frontOf, meets, score, type Scored } from '.';

const design = STARTING_POINTS[0]!.design;
const weathers = [1, 2].map((seed) => weatherOf(SITES.vallesol, '2026-07-15', 30, seed));

test.each(STARTING_POINTS.map(({ id, design: from }) => [id, from] as const))(
  '%s has candidates that can exist, the design as it is among them',
  (_, from) => {
    const list = candidatesOf(from);
    expect(list.length).toBeLessThanOrEqual(181);
    expect(list[0]!.patch).toEqual([]);
    // What grows in it is what it is for.
    expect(list.map(({ patch }) => applyPatch(from, patch).planting)).toEqual(
      list.map(() => from.planting),
    );
    for (const { patch, lip } of list) {
      const changed = applyPatch(from, patch);
      expect(contradictions(changed)).toEqual([]);
      expect(invertOf(changed)).toBe(lip);
    }
    // There is something to choose from: of a handful some can be built as they are.
    const known = faultsOf(from);
    const handful = list.slice(1).filter((_one, i, all) => i % Math.ceil(all.length / 12) === 0);
    expect(handful.some((one) => !bringsFault(from, one, known))).toBe(true);
  },
);

test('a base that crates are too high for is offered with the saw cut that it takes', () => {
  const totes = STARTING_POINTS.find(({ id }) => id === 'nested-totes')!.design;
  const { ceiling } = assemble(totes).heights;
  const lower = candidatesOf(totes).filter(({ base }) => base < ceiling - 0.005);
  expect(lower.length).toBeGreaterThan(10);
  for (const { base, patch, besides } of lower) {
    expect(besides.map((words) => tell(words, 'metric').replaceAll('\u00a0', ' '))).toEqual([
      `Cut the crates down to ${Math.round(base * 1000)} mm`,
    ]);
    expect(applyPatch(totes, patch).reservoir.parts).toContainEqual(
      expect.objectContaining({ cut: true }),
    );
  }
});

test('more water lasts longer and leaves the roots less; the front holds no point that another beats', () => {
  const all = candidatesOf(design).filter((_, i) => i % 9 === 0);
  const points = all.map((one) => score(design, one, weathers, '2026-05-01'));
  const front = frontOf(points);
  expect(front.length).toBeGreaterThan(1);
  expect(front.length).toBeLessThan(points.length);
  front.forEach((one, i) => {
    const next = front[i + 1];
    if (next) expect(one.days).toBeGreaterThanOrEqual(next.days);
    expect(one.faults).toBe(0);
  });
  const deep = points.reduce((a, b) => (b.roots < a.roots ? b : a));
  const shallow = points.reduce((a, b) => (b.roots > a.roots ? b : a));
  expect(deep.days).toBeGreaterThan(shallow.days);
});

test('what brings a fault is told before it is lived through, and is never on the front', () => {
  const known = faultsOf(design);
  const all = candidatesOf(design).filter((_, i) => i % 7 === 0);
  const bad = all.filter((one) => bringsFault(design, one, known));
  expect(bad.length).toBeGreaterThan(0);
  expect(bad.length).toBeLessThan(all.length);
  // The design as it is brings nothing that it has not.
  expect(bringsFault(design, all[0]!, known)).toBe(false);
  const points = all.map((one) =>
    score(design, one, weathers.slice(0, 1), '2026-05-01', undefined, known),
  );
  points.forEach((point, i) => expect([i, point.faults > 0]).toEqual([i, bad.includes(all[i]!)]));
  const sound = points.filter((_, i) => !bad.includes(all[i]!));
  expect(frontOf(sound)).toEqual(frontOf(points));
});

test('a candidate costs what its own shopping list says, in the packs of the shelf it is bought from', () => {
  const [one] = candidatesOf(design);
  const costs = (['metric', 'us'] as const).map((units) => {
    const shop = { book: NEW_BOOK, units };
    const { cost } = score(design, one!, weathers.slice(0, 1), '2026-05-01', shop);
    const own = shopperOf(applyPatch(design, one!.patch), units);
    expect(cost).toBe(shoppingFor([own], NEW_BOOK, units).total);
    return cost;
  });
  expect(costs[0]).not.toBe(costs[1]);
});

test('of designs that give the same one is shown, and each is named by what it is best at', () => {
  const made = (days: number, roots: number, weight: number, cost: number): Scored => ({
    ...{
      patch: [{ path: ['name'], value: '' }],
      base: 0.1,
      lip: 0.08,
      wick: 1,
      mix: '',
      besides: [],
      faults: 0,
    },
    ...{ days, roots, weight, cost },
  });
  const long = made(12, 0.2, 30, 40);
  const deep = made(6, 0.3, 28, 44);
  const light = made(5, 0.25, 20, 38);
  const front = frontOf([long, { ...long, lip: 0.09 }, deep, light, { ...light, mix: 'other' }]);
  expect(front.map(({ days }) => days)).toEqual([12, 6, 5]);
  expect(front.map((one) => bestAt(one, front))).toEqual([
    'lasts longest',
    'most root room',
    'lightest, cheapest',
  ]);
  const now = { ...deep, roots: 0.2, patch: [] };
  expect(bestAt(now, [...front, now])).toBe('as it is now');
});

test('wishes', () => {
  const one = { days: 9, roots: 0.24, weight: 20, cost: 40 } as Scored;
  expect(meets(one, { days: 9, roots: 0.24, weight: 20, cost: 40 })).toBe(true);
  expect(meets(one, { days: 10, roots: 0.24, weight: 20, cost: 40 })).toBe(false);
});
