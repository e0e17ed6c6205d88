import type { Figures } from '../assessment';
import { FEED_DOSES, FEEDS, ingredientOf, LIME_DENSITY, type IngredientId } from '../catalog';
import { ingredientGood, mixGood, type Good } from './goods';
import { cropIn, type PlanterDesign } from '../document';
import { q, say, type Message, type UnitSystem } from '../units';
import { recipeOf } from '../physics/soil';
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
export function mixPrice(soil: PlanterDesign['soil'], book: PriceBook, units: UnitSystem): number {
  const best = (good: Good): number =>
    good.dug
      ? 0
      : Math.min(...packsIn(book, good, units).packs.map(({ size, price }) => price / size));
  const cubicMetre = ingredientsOf({ soil }, 1);
  if (!cubicMetre) return best(mixGood(soil.medium));
  return cubicMetre.reduce((sum, { id, amount }) => sum + amount * best(ingredientGood(id)), 0);
}

/** Feed and lime for the soil of a planter. Kilograms. */
export interface Feeding {
  feed: { kind: Fed; mass: number; text: Message } | null;
  lime: { mass: number; text: Message } | null;
  /** What to know before either is bought. */
  says: Message[];
}

/** What is given by weight. */
type Fed = keyof typeof FEED_DOSES;
const isFed = (feed: string): feed is Fed => feed in FEED_DOSES;

/** Usual dose of lime in a mix whose crop likes it, kilograms per cubic metre. Typical. */
const USUAL_LIME = 3;

/** Works out feed and lime by soil volume and crops. */
export function feedingOf({ soil, planting }: PlanterDesign, { soilVolume }: Figures): Feeding {
  const crops = planting.crops.map(cropIn);
  const acid = crops.find(({ likes }) => likes === 'acid');
  const fond = crops.find(({ likes }) => likes === 'lime');
  const says: Message[] = [];
  const { feed } = soil;
  const mass = isFed(feed) ? soil.feedDose * soilVolume : 0;
  if (feed === 'none' || (isFed(feed) && mass === 0)) {
    const { organic, synthetic } = FEED_DOSES;
    says.push(
      say`No granules are chosen. The usual dose here is ${scooped(organic * soilVolume, FEEDS.organic.density)} of organic or ${scooped(synthetic * soilVolume, FEEDS.synthetic.density)} of synthetic ones, in a strip away from the stems. Never synthetic ones at the organic rate.`,
    );
  }
  if (feed === 'in-mix')
    says.push(say`The mix is fed already: give nothing more until its bag says so.`);
  if (soil.feedHow === 'tube' && (feed === 'liquid' || mass > 0))
    says.push(
      say`Liquid feed in standing water brings algae, smell and salt: weak, and flush twice a season.`,
    );
  const lime = soil.limeDose * soilVolume;
  if (acid) {
    says.push(
      say`No lime: ${acid.name.toLowerCase()} wants acid soil${lime > 0 ? ', so the lime in this design is left out' : ''}.`,
    );
  } else if (fond && lime === 0) {
    says.push(
      say`${fond.name} likes lime: usually ${scooped(USUAL_LIME * soilVolume, LIME_DENSITY)} for this soil, dolomitic, never hydrated. Not for blueberries, strawberries or potatoes.`,
    );
  }
  return {
    feed:
      isFed(feed) && mass > LEAST
        ? { kind: feed, mass, text: scooped(mass, FEEDS[feed].density) }
        : null,
    lime: lime > LEAST && !acid ? { mass: lime, text: scooped(lime, LIME_DENSITY) } : null,
    says,
  };
}

/** Less than this nobody weighs, kg. */
const LEAST = 5e-4;
/** A mass by weight and as it is scooped, by its bulk density (kg/m³). */
const scooped = (mass: number, density: number): Message =>
  say`${q(mass, mass < LARGE ? 'dash' : 'mass')} (${q(twoDigits(mass / density), 'scoop')})`;
/** From here on an amount is weighed in kilograms or pounds. */
const LARGE = 1;
/** Nobody scoops more exactly than to two digits. */
const twoDigits = (value: number): number => Number(value.toPrecision(2));
