import { z } from 'zod';
import {
  CROP_IDS,
  RAIN_IDS,
  SPOT_IDS,
  SUN_IDS,
  VESSEL_IDS,
  WIND_IDS,
  type CropId,
} from '../../catalog';
import { vesselDesignSchema, type PlanterDesign } from '../../document';

/** What somebody has and wants, from which whole plans are made. Lengths in metres, volumes in m³. */

/** Tools that not everybody has, and what steps call them. */
export const TOOLS = {
  knife: { name: 'Knife and scissors', calls: /^(knife|scissors|secateurs)/i },
  drill: {
    name: 'Drill and bits',
    calls: /(twist drill|step drill|spade bit|^drill|masonry drill)/i,
  },
  'hole-saw': { name: 'Hole saws', calls: /hole saw/i },
  jigsaw: { name: 'Jigsaw', calls: /^jigsaw/i },
  saw: { name: 'Hand saw', calls: /^saw$/i },
} as const;
export type ToolId = keyof typeof TOOLS;
export const TOOL_IDS = Object.keys(TOOLS) as [ToolId, ...ToolId[]];

/** How an amount of a thing is told: pieces, metres, m² or m³. */
type MeansUnit = 'piece' | 'length' | 'area' | 'volume';

interface Means {
  name: string;
  unit: MeansUnit;
  /** Told with its outside diameter. */
  sized?: true;
  /** Goods of a shopping list that it stands for, by their ids. */
  goods: RegExp;
}

/** Things beside vessels that lie about, as people name them. */
export const MEANS = {
  pipe: { name: 'Pipe', unit: 'length', sized: true, goods: /^pipe:/ },
  'drain-pipe': { name: 'Drain pipe with slots', unit: 'length', sized: true, goods: /^drain:/ },
  bottles: { name: 'Bottles', unit: 'piece', goods: /^standing:(bottle|jug):/ },
  tubs: { name: 'Small tubs and cups', unit: 'piece', goods: /^(standing:(tub|cup):|cup$)/ },
  pots: { name: 'Small pots', unit: 'piece', goods: /^standing:pot:/ },
  crates: { name: 'Crates', unit: 'piece', goods: /^crate:/ },
  lid: { name: 'Lids or plastic sheets', unit: 'piece', goods: /^platform$/ },
  boards: { name: 'Boards', unit: 'length', goods: /^(board|panel):/ },
  cloth: { name: 'Old shirts or towels', unit: 'area', goods: /^cloth:cotton-cloth$/ },
  fabric: { name: 'Woven fabric', unit: 'area', goods: /^separator:(fabric|mesh|felt)/ },
  liner: { name: 'Pond liner', unit: 'piece', goods: /^liner:/ },
  stone: {
    name: 'Stone or rubble',
    unit: 'volume',
    goods: /^fill:(gravel|pea-gravel|rounded-rock|rubble|pumice|lava|clay)/,
  },
  sand: { name: 'Coarse sand', unit: 'volume', goods: /^fill:.*sand/ },
  mix: { name: 'Potting mix', unit: 'volume', goods: /^mix:/ },
  straw: { name: 'Straw', unit: 'volume', goods: /^straw$/ },
  hose: { name: 'Hose', unit: 'length', goods: /^hose$/ },
} as const satisfies Readonly<Record<string, Means>>;
export type MeansId = keyof typeof MEANS;
export const MEANS_IDS = Object.keys(MEANS) as [MeansId, ...MeansId[]];
export const meansOf = (id: MeansId): Means => MEANS[id];

/** What a build stands on or in, and by what water comes up, where somebody insists. */
export const BASE_SCHOOLS = {
  any: { name: 'No matter' },
  void: { name: 'Open water under a platform or fabric' },
  stone: { name: 'Stone or sand' },
  mix: { name: 'Soil down to the floor' },
} as const;
export const WICK_SCHOOLS = {
  any: { name: 'No matter' },
  cloth: { name: 'Cloth' },
  soil: { name: 'Soil, packed or all around' },
} as const;
const BASE_SCHOOL_IDS = Object.keys(BASE_SCHOOLS) as ['any', 'void', 'stone', 'mix'];
const WICK_SCHOOL_IDS = Object.keys(WICK_SCHOOLS) as ['any', 'cloth', 'soil'];

/** Most vessels of one kind, kinds of vessels, things, crops and plants of one crop. */
export const MOST_VESSELS = 12;
const MOST_KINDS = 8;
const MOST_MEANS = 40;
export const MOST_CROPS = 8;
const MOST_PLANTS = 200;
export const MOST_DAYS = 60;

const vessels = z.int().min(1).max(MOST_VESSELS);

export const planWishSchema = z.strictObject({
  vessels: z
    .array(z.strictObject({ vessel: z.enum(VESSEL_IDS), count: vessels }))
    .max(MOST_KINDS)
    .describe('Vessels there are, by usual size'),
  own: z
    .array(
      z.strictObject({
        name: z.string().trim().min(1).max(80),
        vessel: vesselDesignSchema,
        count: vessels,
      }),
    )
    .max(MOST_KINDS)
    .describe('Vessels there are, measured'),
  buys: z.boolean().describe('Whether vessels may be bought'),
  means: z
    .array(
      z.strictObject({
        what: z.enum(MEANS_IDS),
        amount: z.number().min(0.001).max(1000),
        across: z.number().min(0.01).max(0.5).nullable().describe('Outside diameter, metres'),
      }),
    )
    .max(MOST_MEANS),
  tools: z.array(z.enum(TOOL_IDS)).nullable().describe('Null where nobody said'),
  crops: z
    .array(z.strictObject({ crop: z.enum(CROP_IDS), count: z.int().min(1).max(MOST_PLANTS) }))
    .max(MOST_CROPS),
  month: z.int().min(1).max(12).describe('In which they are to be away'),
  days: z.int().min(0).max(MOST_DAYS).describe('To be away; 0 where it is no matter'),
  place: z.strictObject({
    sun: z.enum(SUN_IDS),
    wind: z.enum(WIND_IDS),
    spot: z.enum(SPOT_IDS),
    rain: z.enum(RAIN_IDS),
  }),
  floor: z
    .strictObject({ length: z.number().min(0.1).max(30), width: z.number().min(0.1).max(30) })
    .nullable()
    .describe('Room on the floor, metres'),
  floorLimit: z.number().min(100).max(1e6).nullable().describe('What the floor bears, Pa'),
  lift: z.number().min(1).max(500).describe('What they can lift, kg'),
  budget: z
    .number()
    .min(0)
    .max(100_000)
    .nullable()
    .describe('Most to spend, in the book’s currency'),
  hours: z.number().min(0).max(500).nullable().describe('Most time at work'),
  base: z.enum(BASE_SCHOOL_IDS),
  wick: z.enum(WICK_SCHOOL_IDS),
  noPlastic: z.boolean().describe('No plastic in sight'),
});
export type PlanWish = z.infer<typeof planWishSchema>;

/** What is asked where nobody has answered anything yet. @param month from 1 */
export const usualWish = (month: number): PlanWish => ({
  vessels: [],
  own: [],
  buys: true,
  means: [],
  tools: null,
  crops: [],
  month,
  days: 0,
  place: { sun: 'full', wind: 'breezy', spot: 'ground', rain: 'open' },
  floor: null,
  floorLimit: null,
  lift: 40,
  budget: null,
  hours: null,
  base: 'any',
  wick: 'any',
  noPlastic: false,
});

/** The wish that a planter answers: its vessel, what grows in it, its place and the days that it is to last. */
export function wishOf(design: PlanterDesign, month: number): PlanWish {
  const { name, vessel, bed, planting, place } = design;
  const counts = new Map<CropId, number>();
  for (const { crop, count } of planting.crops)
    if (count > 0) counts.set(crop, Math.min((counts.get(crop) ?? 0) + count, MOST_PLANTS));
  return {
    ...usualWish(month),
    own: [{ name: name.slice(0, 80), vessel, count: bed?.kind === 'nested' ? 2 : 1 }],
    crops: [...counts].slice(0, MOST_CROPS).map(([crop, count]) => ({ crop, count })),
    days: Math.min(Math.round(place.daysAway), MOST_DAYS),
    place: { sun: place.sun, wind: place.wind, spot: place.spot, rain: place.rain },
    lift: place.liftLimit,
    floorLimit: place.floorLimit,
  };
}
