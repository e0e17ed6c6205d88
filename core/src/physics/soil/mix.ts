import { catalogMix, RECIPES, type GrowingMix, type MixId, type RecipePart } from '../../catalog';
import type { Patch, PlanterDesign } from '../../document';
import { mixFrom, shrinkageOf } from './mixing';

/** The growing mix of a design: one of the catalogue, or by parts of one's own. */

type SoilDesign = PlanterDesign['soil'];

const made = new WeakMap<NonNullable<SoilDesign['recipe']>, GrowingMix>();

/** The mix of a design; the same object for the same recipe. */
export function mixOf({ medium, recipe }: SoilDesign): GrowingMix {
  if (!recipe) return catalogMix(medium);
  const known = made.get(recipe);
  if (known) return known;
  const mix = mixFrom(recipe.parts, recipe.measured);
  made.set(recipe, mix);
  return mix;
}

/** What a mix is made of, and what it loses on mixing; null where it is one thing. */
export function recipeOf({
  medium,
  recipe,
}: SoilDesign): { parts: readonly RecipePart[]; shrinks: number } | null {
  const parts = recipe?.parts ?? RECIPES[medium];
  if (!parts) return null;
  return { parts, shrinks: recipe?.measured?.shrinks ?? shrinkageOf(parts) };
}

/** Takes a mix of the catalogue instead, with room for how it settles. */
export const takeMix = (soil: SoilDesign, medium: MixId): Patch => [
  { path: ['soil', 'medium'], value: medium },
  { path: ['soil', 'recipe'], value: null },
  {
    path: ['soil', 'settlement'],
    value: Math.max(soil.settlement, catalogMix(medium).settles),
  },
];
