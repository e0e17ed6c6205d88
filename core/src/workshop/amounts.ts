import type { Figures } from '../assess';
import { CROPS, cropOf, FEED_DOSES, ingredientOf, type IngredientId } from '../catalog';
import { ingredientGood, mixGood, type Good } from './goods';
import type { PlanterDesign } from '../design';
import { q, say, type Message } from '../quantity';
import { recipeOf } from '../soil';
import { packsIn, type PriceBook } from './priceBook';

/** One ingredient of the mix. */
export interface Ingredient {
  id: IngredientId;
  parts: number;
  /** Loose, before mixing. m³ */
  volume: number;
  /** The same in the unit that it is sold in: m³, or kilograms for sand. */
  amount: number;
}

/**
 * What the mix is made of, by parts. Small particles fall between large ones, so the ingredients
 * together are more than the loose mix, and that is more than what is left once it has settled.
 *
 * @param loose mix to fill in, m³
 * @returns null where the mix has no recipe
 */
export function ingredientsOf(
  { soil }: Pick<PlanterDesign, 'soil'>,
  loose: number,
): Ingredient[] | null {
  const recipe = recipeOf(soil);
  if (!recipe) return null;
  const whole = recipe.parts.reduce((sum, { parts }) => sum + parts, 0);
  const before = loose / (1 - recipe.shrinks);
  return recipe.parts.map(({ what, parts }) => {
    const volume = (before * parts) / whole;
    const byWeight = ingredientGood(what).unit === 'mass';
    return {
      id: what,
      parts,
      volume,
      amount: byWeight ? volume * ingredientOf(what).dryDensity : volume,
    };
  });
}

/**
 * What a cubic metre of loose mix costs by its parts, each at the best unit price in the book; the price
 * of the ready mix where it has no recipe.
 */
export function mixPrice(soil: PlanterDesign['soil'], book: PriceBook): number {
  const best = (good: Good): number =>
    Math.min(...packsIn(book, good).packs.map(({ size, price }) => price / size));
  const cubicMetre = ingredientsOf({ soil }, 1);
  if (!cubicMetre) return best(mixGood(soil.medium));
  return cubicMetre.reduce((sum, { id, amount }) => sum + amount * best(ingredientGood(id)), 0);
}

/** Feed and lime for the soil of a planter. Kilograms. */
export interface Feeding {
  feed: { kind: 'organic' | 'synthetic'; mass: number; text: Message } | null;
  lime: { mass: number; text: Message } | null;
  /** What to know before either is bought. */
  says: Message[];
}

/** Usual dose of lime in a mix whose crop likes it, kilograms per cubic metre. Typical. */
const USUAL_LIME = 3;

/** Works out feed and lime by soil volume and crop. */
export function feedingOf({ soil, planting }: PlanterDesign, { soilVolume }: Figures): Feeding {
  const crop = cropOf(planting.crop);
  const name = CROPS[planting.crop].name.toLowerCase();
  const says: Message[] = [];
  const dosed = soil.feed === 'organic' || soil.feed === 'synthetic';
  const mass = dosed ? soil.feedDose * soilVolume : 0;
  if (!dosed || mass === 0) {
    const { organic, synthetic } = FEED_DOSES;
    says.push(
      say`No granules are chosen. The usual dose here is ${q(organic * soilVolume, 'dash')} of organic or ${q(synthetic * soilVolume, 'dash')} of synthetic ones, in a strip away from the stems. Never synthetic ones at the organic rate.`,
    );
  }
  if (soil.feed === 'liquid') {
    says.push(
      say`Liquid feed in standing water brings algae, smell and salt: weak, and flush twice a season.`,
    );
  }
  const lime = soil.limeDose * soilVolume;
  if (crop.likes === 'acid') {
    says.push(
      say`No lime: ${name} wants acid soil${lime > 0 ? ', so the lime in this design is left out' : ''}.`,
    );
  } else if (crop.likes === 'lime' && lime === 0) {
    says.push(
      say`${crop.name} likes lime: usually ${q(USUAL_LIME * soilVolume, 'dash')} for this soil. Not for blueberries, strawberries or potatoes.`,
    );
  }
  const rate = dosed ? say`${q(mass, 'dash')}, ${q(soil.feedDose, 'dose')} of mix` : say``;
  return {
    feed:
      mass > 0
        ? { kind: soil.feed === 'organic' ? 'organic' : 'synthetic', mass, text: rate }
        : null,
    lime:
      lime > 0 && crop.likes !== 'acid'
        ? { mass: lime, text: say`${q(lime, 'dash')}, ${q(soil.limeDose, 'dose')} of mix` }
        : null,
    says,
  };
}
