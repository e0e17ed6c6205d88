import fc from 'fast-check';
import {
  INGREDIENTS,
  MIXES,
  RECIPES,
  type MixId,
  type MixWeakness,
  type RecipePart,
} from '../../catalog';
import { anyRecipe } from '../../testing/recipes';
import { conductivity, mixFrom, mixOf, shrinkageOf, waterContent } from '.';

const parts = (...list: [RecipePart['what'], number][]): RecipePart[] =>
  list.map(([what, count]) => ({ what, parts: count }));

test.each([
  [0.5, 'Mix of 3 coir, ½ perlite'],
  [1.25, 'Mix of 3 coir, 1¼ perlite'],
  [0.75, 'Mix of 3 coir, ¾ perlite'],
  [2, 'Mix of 3 coir, 2 perlite'],
  [0.4, 'Mix of 3 coir, 0.4 perlite'],
])('%s parts are named as one measures them: %s', (count, name) => {
  expect(mixFrom(parts(['coir', 3], ['perlite', count]), null).name).toBe(name);
});

test('three of coir and one of perlite, worked out by hand', () => {
  const recipe = parts(['coir', 3], ['perlite', 1]);
  // A quarter of it is open: 0.05 + 0.1 · 4 · 0.25 · 0.75.
  expect(shrinkageOf(recipe)).toBeCloseTo(0.125, 12);
  const mix = mixFrom(recipe, null);
  // Solids stay: (0.75 · 0.09 + 0.25 · 0.15) / 0.875 = 0.12.
  expect(mix.thetaS).toBeCloseTo(0.88, 12);
  // So does the mass: (0.75 · 90 + 0.25 · 100) / 0.875.
  expect(mix.dryDensity).toBeCloseTo(105.714, 3);
  // √√(450³ · 4000) = 777.0 cm a day, by Kozeny and Carman from 0.895 to 0.88 pores.
  const packing = 0.88 ** 3 / 0.12 ** 2 / (0.895 ** 3 / 0.105 ** 2);
  expect((mix.Ks * 86_400 * 100) / packing).toBeCloseTo(777.0, 0);
  // Three quarters fine carry all but a sixteenth of the way from 0.36 to 0.2.
  expect(mix.reach).toBeCloseTo(0.35, 12);
  expect(mix.name).toBe('Mix of 3 coir, 1 perlite');
});

test('one ingredient alone is what it is', () => {
  const mix = mixFrom(parts(['peat', 2]), null);
  const { peat } = INGREDIENTS;
  for (const h of [0.05, 0.3, 1, 10]) {
    expect(waterContent(mix, h)).toBeCloseTo(waterContent(peat, h), 3);
    expect(conductivity(mix, h) / conductivity(peat, h)).toBeCloseTo(1, 1);
  }
  expect([mix.reach, mix.settles, mix.wicks]).toEqual([peat.reach, peat.settles, true]);
});

test('the usual recipes come out like the mixes that they are recipes of', () => {
  for (const id of Object.keys(RECIPES) as MixId[]) {
    const known = MIXES[id];
    const mix = mixFrom(RECIPES[id] ?? [], null);
    for (const h of [0.05, 0.1, 0.3, 1, 5]) {
      expect(Math.abs(waterContent(mix, h) - waterContent(known, h))).toBeLessThan(0.07);
    }
    expect(mix.Ks / known.Ks).toBeGreaterThan(0.5);
    expect(mix.Ks / known.Ks).toBeLessThan(2);
    expect(Math.abs(mix.reach - known.reach)).toBeLessThan(0.06);
    expect(mix.wicks).toBe(true);
  }
});

test('any recipe: no solids or mass are lost, and the curve falls from its pores to what stays', () => {
  fc.assert(
    fc.property(anyRecipe, (recipe) => {
      const mix = mixFrom(recipe.parts, recipe.measured);
      const shrinks = recipe.measured?.shrinks ?? shrinkageOf(recipe.parts);
      const whole = recipe.parts.reduce((sum, { parts: n }) => sum + n, 0);
      const mass = recipe.parts.reduce(
        (sum, { what, parts: n }) => sum + (n / whole) * INGREDIENTS[what].dryDensity,
        0,
      );
      expect(mix.dryDensity * (1 - shrinks)).toBeCloseTo(mass, 6);
      expect(mix.thetaS).toBeLessThan(1);
      expect(mix.thetaR).toBeLessThan(mix.thetaS);
      expect(mix.n).toBeGreaterThan(1);
      expect(waterContent(mix, 0.01)).toBeGreaterThan(waterContent(mix, 3));
      expect(conductivity(mix, 3)).toBeGreaterThan(0);
      expect(mix.wicks).toBe(mix.weakness === undefined);
    }),
    { numRuns: 60 },
  );
});

test('a mix says why it does not wick, and what was measured counts', () => {
  const said = (...list: Parameters<typeof parts>): MixWeakness | undefined =>
    mixFrom(parts(...list), null).weakness;
  expect(said(['compost', 3], ['coir', 1])).toBe('slumps');
  expect(said(['loam', 2], ['coir', 3])).toBe('packs');
  expect(said(['perlite', 3], ['coir', 1])).toBe('open');
  expect(said(['coir', 3], ['perlite', 1])).toBeUndefined();
  const measured = { shrinks: 0.2, reach: 0.22 };
  const mix = mixFrom(parts(['coir', 3], ['perlite', 1]), measured);
  expect(mix.reach).toBe(0.22);
  expect(mix.thetaS).toBeCloseTo(1 - 0.105 / 0.8, 12);
});

test('a recipe of one’s own takes the place of the medium, and is mixed once', () => {
  const soil = { medium: 'compost-mix', recipe: null } as unknown as Parameters<typeof mixOf>[0];
  expect(mixOf(soil)).toBe(MIXES['compost-mix']);
  const own = { ...soil, recipe: { parts: parts(['coir', 1]), measured: null } };
  expect(mixOf(own)).toBe(mixOf({ ...own, freeboard: 0.1 }));
  expect(mixOf(own).name).toBe('Mix of 1 coir');
});

test.each(Object.keys(RECIPES) as MixId[])(
  '%s and its own recipe: density, water and air at 10 cm within five in a hundred',
  (id) => {
    const [mix, own] = [MIXES[id], mixFrom(RECIPES[id] ?? [], null)];
    const near = (a: number, b: number): void => expect(Math.abs(a / b - 1)).toBeLessThan(0.05);
    near(own.dryDensity, mix.dryDensity);
    near(waterContent(own, 0.1), waterContent(mix, 0.1));
    near(own.thetaS - waterContent(own, 0.1), mix.thetaS - waterContent(mix, 0.1));
  },
);
