import { AGGREGATES } from './aggregates';
import { MIXES, type HydraulicMaterial, type MixId } from './mixes';

/**
 * What growing mixes are made of, loose as it comes out of the bag. Values are typical and stand for
 * one of many: the same word on a bag means other things in other places. Hydraulic values are van
 * Genuchten–Mualem parameters; those of loam and sandy soil are from Carsel and Parrish (1988).
 */
export interface IngredientMatter extends HydraulicMaterial {
  /** Share of the loose height that is lost when it is first watered. */
  settles: number;
  /** Open grains that make room for air, fine stuff that holds water, or ground that packs. */
  body: 'open' | 'fine' | 'ground';
  /** Goes on rotting: slumps and draws away from the wick where there is too much of it. */
  rots: boolean;
}

const CM_PER_DAY = 0.01 / 86_400;

const matter = (
  name: string,
  [thetaR, thetaS, alpha, n, Ks]: readonly [number, number, number, number, number],
  [reach, dryDensity, settles]: readonly [number, number, number],
  body: IngredientMatter['body'],
  rots = false,
): IngredientMatter => ({
  name,
  thetaR,
  thetaS,
  alpha,
  n,
  Ks: Ks * CM_PER_DAY,
  reach,
  dryDensity,
  settles,
  body,
  rots,
});

const { compost, 'ground-soil': loam } = MIXES;
const { 'coarse-sand': sand } = AGGREGATES;

export const INGREDIENTS = {
  coir: matter('Coir, loosened', [0.1, 0.91, 9, 1.53, 450], [0.36, 90, 0.12], 'fine'),
  peat: matter('Peat, loosened', [0.12, 0.92, 10, 1.5, 330], [0.4, 110, 0.15], 'fine'),
  perlite: matter('Perlite', [0.14, 0.85, 35, 1.6, 4000], [0.2, 100, 0.03], 'open'),
  vermiculite: matter('Vermiculite', [0.2, 0.82, 15, 1.5, 900], [0.26, 120, 0.1], 'fine'),
  pumice: matter('Pumice, fine', [0.18, 0.68, 45, 1.7, 8000], [0.1, 600, 0.02], 'open'),
  compost: {
    ...compost,
    name: 'Compost, sieved',
    // What makes plain compost a poor wick is that it slumps; held up by other stuff it lifts well.
    reach: 0.25,
    body: 'fine',
    rots: true,
  },
  castings: matter('Worm castings', [0.16, 0.72, 8, 1.35, 60], [0.2, 480, 0.18], 'fine', true),
  'leaf-mould': matter('Leaf mould', [0.13, 0.84, 14, 1.4, 300], [0.2, 230, 0.2], 'fine', true),
  bark: matter('Composted bark, fine', [0.14, 0.82, 30, 1.45, 1500], [0.12, 230, 0.1], 'open'),
  hulls: matter('Rice hulls', [0.07, 0.9, 90, 1.8, 12_000], [0.04, 110, 0.08], 'open'),
  sand: { ...sand, settles: 0.03, body: 'open', rots: false },
  loam: { ...loam, name: 'Garden loam, sieved', body: 'ground', rots: false },
  'sandy-soil': matter(
    'Sandy garden soil, sieved',
    [0.065, 0.41, 7.5, 1.89, 106.1],
    [0.2, 1350, 0.1],
    'ground',
  ),
  'old-mix': matter('Old bed mix, loosened', [0.12, 0.7, 5.5, 1.42, 60], [0.27, 480, 0.12], 'fine'),
  'farm-compost': matter(
    'Farm compost, sieved',
    [0.15, 0.66, 8, 1.32, 50],
    [0.22, 520, 0.18],
    'fine',
    true,
  ),
} as const satisfies Record<string, IngredientMatter>;

export type IngredientId = keyof typeof INGREDIENTS;
export const INGREDIENT_IDS = Object.keys(INGREDIENTS) as [IngredientId, ...IngredientId[]];

/** An ingredient, widened to the interface. */
export const ingredientOf = (id: IngredientId): IngredientMatter => INGREDIENTS[id];

/** Its name within a sentence. */
export const ingredientWord = (id: IngredientId): string =>
  (INGREDIENTS[id].name.split(',')[0] as string).toLowerCase();

/** So many parts by volume of an ingredient. */
export interface RecipePart {
  what: IngredientId;
  parts: number;
}

const of = (...parts: readonly (readonly [IngredientId, number])[]): readonly RecipePart[] =>
  parts.map(([what, count]) => ({ what, parts: count }));

/** The usual recipes of the mixes, by parts; soil from the ground and plain compost have none. */
export const RECIPES: Readonly<Partial<Record<MixId, readonly RecipePart[]>>> = {
  'coir-perlite': of(['coir', 3], ['perlite', 1], ['compost', 1], ['hulls', 1]),
  'peat-perlite': of(['peat', 3], ['perlite', 1], ['compost', 1], ['hulls', 1]),
  'compost-mix': of(['compost', 3], ['coir', 3], ['perlite', 0.5], ['sand', 0.5]),
};
