import { z } from 'zod';
import {
  CAP_IDS,
  CLOTH_FORM_IDS,
  CLOTH_IDS,
  FEED_HOW_IDS,
  FEED_IDS,
  FILL_IDS,
  FITTING_IDS,
  FOOT_IDS,
  INGREDIENT_IDS,
  LAYER_IDS,
  MIX_IDS,
  MULCH_IDS,
  PIPE_IDS,
  PIPE_USE_IDS,
  RAIN_IDS,
  SPOT_IDS,
  SUN_IDS,
  TUBE_JOINT_IDS,
  VENT_IDS,
  WIND_IDS,
} from '../catalog';
import { FIELDS } from './fields';
import { number } from './number';
import { plantingSchema } from './plantingSchema';
import { spot, spots } from './spots';
import { PART_SCHEMAS } from './parts/supports';
import { bedSchema, vesselDesignSchema } from './vesselSchema';

/**
 * The PlanterDesign document: everything that a person decides about one planter, in SI units.
 * It is data only and is never mutated. Types, API validation, the file format and the published
 * JSON Schema all come from this one definition.
 */

/** Raised whenever the document changes shape; `migrations.ts` has a step for each. */
export const DESIGN_VERSION = 6;

const part = z.discriminatedUnion('kind', PART_SCHEMAS);

export const MAX_PARTS = 6;
export const MAX_FILLS = 3;

const reservoir = z.strictObject({
  top: number(FIELDS.reservoir.top),
  cover: z.enum(['platform', 'none']).describe('A rigid platform, or nothing rigid'),
  thickness: number(FIELDS.reservoir.thickness),
  drains: z
    .strictObject({
      count: number(FIELDS.reservoir.drains),
      diameter: number(FIELDS.reservoir.drainDiameter),
    })
    .optional()
    .describe('Holes for rain through what bears the soil; Huerta’s own where it is left out'),
  fill: z
    .array(z.strictObject({ medium: z.enum(FILL_IDS), upTo: number(FIELDS.reservoir.upTo) }))
    .max(MAX_FILLS)
    .describe('Layers that lie around the parts, from the floor up; what is left is open water'),
  parts: z.array(part).max(MAX_PARTS),
  supply: z
    .strictObject({
      level: number(FIELDS.reservoir.supplyLevel),
      volume: number(FIELDS.reservoir.supplyVolume),
      diameter: number(FIELDS.reservoir.supplyDiameter),
    })
    .nullable()
    .describe('A barrel behind a float valve that keeps the water at a level'),
});

const O = FIELDS.overflow;
const overflow = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('hole'),
    centre: number(O.centre),
    diameter: number(O.diameter),
    count: number(O.count),
    bearing: number(O.bearing),
    screened: z.boolean(),
  }),
  z.strictObject({
    kind: z.literal('fitting'),
    style: z.enum(FITTING_IDS),
    centre: number(O.centre),
    diameter: number(O.diameter),
    bore: number(O.bore),
    rise: number(O.rise),
    count: number(O.count),
    bearing: number(O.bearing),
    screened: z.boolean(),
  }),
  z.strictObject({
    kind: z.literal('rows'),
    centre: number(O.centre),
    diameter: number(O.diameter),
    count: number(O.around),
    rows: number(O.rows),
    pitch: number(O.pitch),
    bearing: number(O.bearing),
    screened: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('rim') }).describe('Over the rim of the water’s own vessel'),
]);

const clothWick = z.strictObject({
  kind: z.literal('cloth'),
  material: z.enum(CLOTH_IDS),
  legs: number(FIELDS.cloth.legs),
  width: number(FIELDS.cloth.width),
  thickness: number(FIELDS.cloth.thickness),
  foot: number(FIELDS.cloth.foot),
  spread: number(FIELDS.cloth.spread),
  form: z.enum(CLOTH_FORM_IDS),
  holes: number(FIELDS.cloth.holes),
  at: spots,
  strip: z
    .strictObject({ hour: number(FIELDS.strip.hour), day: number(FIELDS.strip.day) })
    .nullable()
    .describe('Measured strip test of this very material, or null for the typical values'),
});

const cupWick = z.strictObject({
  kind: z.literal('cup'),
  count: number(FIELDS.cup.count),
  diameter: number(FIELDS.cup.diameter),
  bottom: number(FIELDS.cup.bottom),
  rim: number(FIELDS.cup.rim),
  net: z.boolean().describe('A net pot, which needs no holes'),
  foot: number(FIELDS.cup.foot),
  at: spots,
});

const columnWick = z.strictObject({
  kind: z.literal('column'),
  medium: z.enum(FILL_IDS),
  count: number(FIELDS.column.count),
  diameter: number(FIELDS.column.diameter),
  foot: number(FIELDS.column.foot),
  at: spots,
});

const fillTube = z.strictObject({
  pipe: z.enum(PIPE_IDS),
  length: number(FIELDS.tube.length),
  hole: number(FIELDS.tube.hole),
  foot: z.enum(FOOT_IDS),
  cap: z.enum(CAP_IDS),
  run: number(FIELDS.tube.run),
  joint: z.enum(TUBE_JOINT_IDS).describe('How it meets a pipe that lies on the floor'),
  at: spot.nullable().describe('Where it stands, or null to leave it to Huerta'),
});

export const MAX_INGREDIENTS = 8;

const recipe = z.strictObject({
  parts: z
    .array(z.strictObject({ what: z.enum(INGREDIENT_IDS), parts: number(FIELDS.recipe.parts) }))
    .min(1)
    .max(MAX_INGREDIENTS),
  measured: z
    .strictObject({
      shrinks: number(FIELDS.recipe.shrinks),
      reach: number(FIELDS.recipe.reach),
    })
    .nullable()
    .describe('Measured on this very mix, or null for what its parts let expect'),
});

export const MAX_WICKS = 6;
export const MAX_PIPES = 3;
export const MAX_LAYERS = 6;

export const planterDesignSchema = z
  .strictObject({
    format: z.literal('huerta.planter').describe('Names the file format'),
    version: z.literal(DESIGN_VERSION).describe('Version of the document'),
    name: z.string().trim().min(1).max(120),
    variant: z.string().trim().max(60).describe('What sets it apart from others of its name'),
    notes: z.string().max(4000),
    vessel: vesselDesignSchema,
    bed: bedSchema.nullable().describe('What holds the soil, where it is not the vessel itself'),
    reservoir,
    overflow: overflow.nullable(),
    wicks: z.array(z.discriminatedUnion('kind', [clothWick, cupWick, columnWick])).max(MAX_WICKS),
    fillTube: fillTube.nullable(),
    pipes: z
      .array(
        z.strictObject({
          use: z.enum(PIPE_USE_IDS),
          diameter: number(FIELDS.pipe.diameter),
          capped: z.boolean(),
          fills: z.boolean().describe('A worm tube by which water is poured in too'),
          at: spot.nullable(),
        }),
      )
      .max(MAX_PIPES)
      .describe('Inspection pipes and worm tubes'),
    layers: z
      .array(
        z.strictObject({
          what: z.enum(LAYER_IDS),
          thickness: number(FIELDS.layer.thickness),
          up: z.boolean().describe('Turned up the wall'),
        }),
      )
      .max(MAX_LAYERS)
      .describe('What lies between base and roots, from below'),
    soil: z.strictObject({
      medium: z.enum(MIX_IDS),
      recipe: recipe.nullable().describe('A mix by parts of one’s own, instead of the medium'),
      upper: z
        .strictObject({ medium: z.enum(MIX_IDS), depth: number(FIELDS.soil.upper) })
        .nullable()
        .describe('Another mix on top of it, or null'),
      freeboard: number(FIELDS.soil.freeboard),
      settlement: number(FIELDS.soil.settlement),
      moistened: z.boolean().describe('The mix goes in moist and is watered in layers'),
      mulch: z.enum(MULCH_IDS),
      bag: number(FIELDS.soil.bag),
      feed: z.enum(FEED_IDS),
      feedHow: z.enum(FEED_HOW_IDS).describe('How it is given'),
      feedNitrogen: number(FIELDS.soil.feedNitrogen).describe('The first of N-P-K, as a share'),
      feedDose: number(FIELDS.soil.feedDose),
      feedLasts: number(FIELDS.soil.feedLasts),
      limeDose: number(FIELDS.soil.limeDose),
    }),
    planting: plantingSchema.describe('What grows in it'),
    place: z.strictObject({
      name: z.string().max(120),
      sun: z.enum(SUN_IDS),
      wind: z.enum(WIND_IDS),
      spot: z.enum(SPOT_IDS),
      rain: z.enum(RAIN_IDS),
      etMild: number(FIELDS.place.etMild),
      etHot: number(FIELDS.place.etHot),
      daysAway: number(FIELDS.place.daysAway),
      liftLimit: number(FIELDS.place.liftLimit),
      floorLimit: number(FIELDS.place.floorLimit).nullable(),
      slopeAcross: number(FIELDS.place.slopeAcross),
      slopeAlong: number(FIELDS.place.slopeAlong),
      falls: z.enum(['away', 'towards']).describe('From the overflow, or to it'),
      hose: number(FIELDS.place.hose),
      storm: number(FIELDS.place.storm),
      children: z.boolean().describe('Small children or animals come near it'),
      frost: z.boolean().describe('It freezes there in winter'),
    }),
  })
  .meta({
    title: 'Huerta planter design',
    description:
      'One self-watering planter. All quantities are SI; heights are from the inside floor.',
  });

export type PlanterDesign = z.infer<typeof planterDesignSchema>;
export type VesselDesign = PlanterDesign['vessel'];
export type VesselKind = VesselDesign['kind'];
export type BedDesign = NonNullable<PlanterDesign['bed']>;
export type ReservoirDesign = PlanterDesign['reservoir'];
export type LayerDesign = PlanterDesign['layers'][number];
export type SpotDesign = z.infer<typeof spot>;
export type FillLayer = ReservoirDesign['fill'][number];
export type { SupportDesign, SupportKind, SupportOf } from './parts/supports';
export type OverflowDesign = z.infer<typeof overflow>;
export type OverflowKind = OverflowDesign['kind'];
export type WickDesign = PlanterDesign['wicks'][number];
export type ClothWickDesign = z.infer<typeof clothWick>;
export type CupWickDesign = z.infer<typeof cupWick>;
export type ColumnWickDesign = z.infer<typeof columnWick>;
export type FillTubeDesign = z.infer<typeof fillTube>;
export type ExtraPipe = PlanterDesign['pipes'][number];
export type RecipeDesign = z.infer<typeof recipe>;
export type Vents = (typeof VENT_IDS)[number];

/** The document's JSON Schema, for people who write planter files by other means. */
export function planterJsonSchema(): object {
  return z.toJSONSchema(planterDesignSchema);
}
