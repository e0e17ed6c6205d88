import { z } from 'zod';
import {
  CROP_IDS,
  cropOf,
  datesOf,
  FROST_IDS,
  HABIT_IDS,
  LIKES_IDS,
  STARTS,
  START_IDS,
  SUPPORT_IDS,
  WET_FEET_IDS,
  type Crop,
  type CropId,
} from '../catalog';
import { FIELDS } from './fields';
import { number } from './number';
import { spot } from './spots';

/** What grows in a planter: a list of plantings, each with its days from the planter's first on. */

const C = FIELDS.crop;
const days = number(C.stage);

/** A crop of one's own: all that the catalogue says of one. */
export const ownCropSchema = z.strictObject({
  name: z.string().trim().min(1).max(60),
  like: z.enum(CROP_IDS).describe('The crop of the catalogue that it was made from'),
  kcStart: number(C.kc),
  kc: number(C.kc),
  kcEnd: number(C.kc),
  stages: z.tuple([days, days, days, days]),
  roots: number(C.roots),
  foliage: number(FIELDS.planting.foliage),
  spacing: number(FIELDS.planting.spacing),
  openSpacing: number(C.openSpacing),
  height: number(C.height),
  habit: z.enum(HABIT_IDS),
  likes: z.enum(LIKES_IDS),
  feet: z.enum(WET_FEET_IDS),
  frost: z.enum(FROST_IDS),
  sowing: number(C.sowing).nullable(),
});
export type OwnCrop = z.infer<typeof ownCropSchema>;

/** The crops of one's own that a garden keeps, each under a name of its own. */
export const ownCropsSchema = z.strictObject({
  crops: z
    .array(ownCropSchema)
    .max(200)
    .refine((crops) => new Set(crops.map(({ name }) => name)).size === crops.length, {
      message: 'Two crops have the same name: give one another.',
    }),
});
export type OwnCrops = z.infer<typeof ownCropsSchema>;
export const NO_CROPS: OwnCrops = { crops: [] };

/** Most plantings of one planter, and places of one that are kept by hand. */
export const MAX_PLANTINGS = 12;
const MAX_PLANTS = 400;
/** Longest that a plan looks ahead, days. */
export const LONGEST_PLAN = 730;

const plantedSchema = z.strictObject({
  crop: z.enum(CROP_IDS),
  own: ownCropSchema.nullable().describe('A crop of one’s own, instead of the catalogue’s'),
  count: number(FIELDS.planting.count),
  foliage: number(FIELDS.planting.foliage),
  spacing: number(FIELDS.planting.spacing),
  start: z.enum(START_IDS).describe(
    `How it comes into the planter: ${Object.values(STARTS)
      .map(({ name }) => name.toLowerCase())
      .join(', ')}`,
  ),
  from: number(FIELDS.planting.from).describe('Days after the planter’s first day'),
  stays: number(FIELDS.planting.stays)
    .nullable()
    .describe('Days until it is cleared; null leaves it to the end'),
  bed: z
    .int()
    .min(0)
    .max(99)
    .nullable()
    .describe('Which bed of a row it stands in, from 0; null spreads it over all'),
  places: z
    .array(spot)
    .max(MAX_PLANTS)
    .nullable()
    .describe('Where they stand, or null to leave it to Huerta'),
  support: z.enum(SUPPORT_IDS),
});
export type Planted = z.infer<typeof plantedSchema>;

export const plantingSchema = z.strictObject({
  crops: z.array(plantedSchema).max(MAX_PLANTINGS),
  rootsADay: number(FIELDS.planting.rootsADay)
    .optional()
    .describe('What roots grow down in warm soil, metres a day; the usual where it is left out'),
});
export type PlantingDesign = z.infer<typeof plantingSchema>;

/** The crop of a planting, of the catalogue or one's own. */
export const cropIn = ({ crop, own }: Pick<Planted, 'crop' | 'own'>): Crop =>
  own ? { ...own, kcFrom: 'typical' } : cropOf(crop);

/** How a crop usually comes in: sown where it is never planted, else bought. */
export const usualStart = (crop: CropId): Planted['start'] =>
  datesOf(crop).plant === null ? 'seed' : 'bought';

/** A planting of a crop as it is usual: from the first day to the end. */
export function usualPlanted(
  crop: CropId,
  count: number,
  other: Partial<Planted> = {},
  own: OwnCrop | null = null,
): Planted {
  const { foliage, spacing } = own ?? cropOf(crop);
  return {
    crop,
    own,
    count,
    foliage,
    spacing,
    start: 'bought',
    from: 0,
    stays: null,
    bed: null,
    places: null,
    support: 'none',
    ...other,
  };
}

/** A crop of one's own as near to one of the catalogue as can be. */
export function ownFrom(like: CropId, name: string): OwnCrop {
  const { kcFrom: _from, stages, ...crop } = cropOf(like);
  return { ...crop, stages: [...stages], name, like };
}
