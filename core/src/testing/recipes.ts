import fc from 'fast-check';
import { INGREDIENT_IDS } from '../catalog';
import type { RecipeDesign } from '../document';

/** Random recipes for property tests. */
export const anyRecipe: fc.Arbitrary<RecipeDesign> = fc.record({
  parts: fc.array(
    fc.record({
      what: fc.constantFrom(...INGREDIENT_IDS),
      parts: fc.double({ min: 0.1, max: 20, noNaN: true }),
    }),
    { minLength: 1, maxLength: 6 },
  ),
  measured: fc.option(
    fc.record({
      shrinks: fc.double({ min: 0, max: 0.3, noNaN: true }),
      reach: fc.double({ min: 0.02, max: 0.6, noNaN: true }),
    }),
  ),
});
