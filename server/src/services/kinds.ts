import {
  contradictions,
  readPlanterDocument,
  vesselContradictions,
  type Contradiction,
} from '@huerta/core/assembly';
import { FIRST_PLAN, seasonPlanSchema, type SeasonPlan } from '@huerta/core/simulation/season';
import { FIRST_ROUND, roundPlanSchema, type RoundPlan } from '@huerta/core/journal';
import {
  FIRST_WEATHER,
  weatherChoiceSchema,
  type WeatherChoice,
} from '@huerta/core/physics/climate';
import { NEW_BOOK, priceBookSchema, type PriceBook } from '@huerta/core/fabrication';
import {
  NO_CROPS,
  ownCropsSchema,
  planterDesignSchema,
  vesselDesignSchema,
  type OwnCrops,
  type PlanterDesign,
  type VesselDesign,
} from '@huerta/core/document';
import { tell } from '@huerta/core/units';
import type { DocumentKind } from '@huerta/contract';
import { bySchema, type Kind } from './documents';
import type { Where } from './problems';

/** Each kind of document, in one place. */

const inWords = (found: readonly Contradiction[]): Where[] =>
  found.map(({ path, message }) => ({ path: [...path], message: tell(message, 'metric') }));

export const PLANTER: Kind<PlanterDesign> = {
  kind: 'planter',
  this: 'This planter',
  field: 'design',
  schema: planterDesignSchema,
  read(raw) {
    const reading = readPlanterDocument(raw, { impossible: 'open' });
    return reading.ok ? { ok: true, value: reading.design } : reading;
  },
  contradictions: (design) => inWords(contradictions(design)),
};

export const VESSEL: Kind<VesselDesign> = {
  kind: 'vessel',
  this: 'This vessel',
  field: 'vessel',
  schema: vesselDesignSchema,
  read: bySchema(vesselDesignSchema),
  contradictions: (vessel) => inWords(vesselContradictions(vessel)),
};

export const PRICES: Kind<PriceBook> = {
  kind: 'prices',
  this: 'The price book',
  field: 'book',
  schema: priceBookSchema,
  read: bySchema(priceBookSchema),
  first: NEW_BOOK,
};

export const WEATHER: Kind<WeatherChoice> = {
  kind: 'weather',
  this: 'The weather',
  field: 'choice',
  schema: weatherChoiceSchema,
  read: bySchema(weatherChoiceSchema),
  first: FIRST_WEATHER,
};

export const OWN_CROPS: Kind<OwnCrops> = {
  kind: 'crops',
  this: 'The list of your own crops',
  field: 'own',
  schema: ownCropsSchema,
  read: bySchema(ownCropsSchema),
  first: NO_CROPS,
};

export const ROUND: Kind<RoundPlan> = {
  kind: 'round',
  this: 'The plan of the round',
  field: 'plan',
  schema: roundPlanSchema,
  read: bySchema(roundPlanSchema),
  first: FIRST_ROUND,
};

export const SEASON: Kind<SeasonPlan> = {
  kind: 'season',
  this: 'The plan of this season',
  field: 'plan',
  schema: seasonPlanSchema,
  read: bySchema(seasonPlanSchema),
  first: FIRST_PLAN,
};

/** All kinds under their names. */
export const KINDS: Readonly<Record<DocumentKind, Kind<unknown>>> = {
  planter: PLANTER,
  vessel: VESSEL,
  prices: PRICES,
  weather: WEATHER,
  season: SEASON,
  crops: OWN_CROPS,
  round: ROUND,
};

/** The id of documents that a garden has one of. */
export const ONLY = 'garden';
