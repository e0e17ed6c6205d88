import { z } from 'zod';
import {
  CAP_IDS,
  CLOTH_IDS,
  COLOUR_IDS,
  CROP_IDS,
  EXPOSURE_IDS,
  FEED_IDS,
  FOOT_IDS,
  FORMER_CONTENT_IDS,
  MEDIUM_IDS,
  MULCH_IDS,
  PIPE_IDS,
  PLASTIC_IDS,
  RAIN_IDS,
  SEPARATOR_IDS,
  VENT_IDS,
} from '../catalog';
import { FIELDS, type FieldSpec } from './fields';

/**
 * The PlanterDesign document: everything that a person decides about one planter, in SI units.
 * It is data only and is never mutated. Types, API validation, the file format and the published
 * JSON Schema all come from this one definition.
 */

/** Raised whenever the document changes shape; `migrations.ts` has a step for each. */
export const DESIGN_VERSION = 1;

const UNIT_OF: Partial<Record<FieldSpec['kind'], string>> = {
  length: 'm',
  span: 'm',
  volume: 'm³',
  mass: 'kg',
  flow: 'm³/s',
  evaporation: 'm/s of water depth',
  rainfall: 'm/s of water depth',
  pressure: 'Pa',
  dose: 'kg/m³',
  slope: 'm/m',
  share: '0 to 1',
  days: 'days',
};

function number(field: FieldSpec) {
  const unit = UNIT_OF[field.kind];
  const description = unit ? `${field.label} (${unit})` : field.label;
  const base = field.kind === 'count' ? z.int() : z.number();
  return base.min(field.min).max(field.max).describe(description);
}

const vents = z.enum(VENT_IDS);

const ringSupport = z.strictObject({
  kind: z.literal('ring'),
  diameter: number(FIELDS.support.diameter),
  wall: number(FIELDS.support.wall),
  vents,
});

const tubSupport = z.strictObject({
  kind: z.literal('tubs'),
  count: number(FIELDS.support.count),
  diameter: number(FIELDS.support.diameter),
  wall: number(FIELDS.support.wall),
  vents,
});

const platformBuild = z.strictObject({
  kind: z.literal('platform'),
  underside: number(FIELDS.platform.underside),
  thickness: number(FIELDS.platform.thickness),
  supports: z.discriminatedUnion('kind', [ringSupport, tubSupport]),
});

const bottleBuild = z.strictObject({
  kind: z.literal('bottles'),
  count: number(FIELDS.support.count),
  diameter: number(FIELDS.support.diameter),
  height: number(FIELDS.support.height),
  wall: number(FIELDS.support.wall),
  vents,
});

const overflow = z.strictObject({
  kind: z.literal('hole'),
  centre: number(FIELDS.overflow.centre),
  diameter: number(FIELDS.overflow.diameter),
  count: number(FIELDS.overflow.count),
  screened: z.boolean(),
});

const clothWick = z.strictObject({
  kind: z.literal('cloth'),
  material: z.enum(CLOTH_IDS),
  legs: number(FIELDS.cloth.legs),
  width: number(FIELDS.cloth.width),
  thickness: number(FIELDS.cloth.thickness),
  foot: number(FIELDS.cloth.foot),
  spread: number(FIELDS.cloth.spread),
  strip: z
    .strictObject({ hour: number(FIELDS.strip.hour), day: number(FIELDS.strip.day) })
    .nullable()
    .describe('Measured strip test of this very material, or null for the typical values'),
});

const cupWick = z.strictObject({
  kind: z.literal('cup'),
  count: number(FIELDS.cup.count),
  diameter: number(FIELDS.cup.diameter),
  foot: number(FIELDS.cup.foot),
});

const fillTube = z.strictObject({
  pipe: z.enum(PIPE_IDS),
  length: number(FIELDS.tube.length),
  hole: number(FIELDS.tube.hole),
  foot: z.enum(FOOT_IDS),
  cap: z.enum(CAP_IDS),
});

export const MAX_WICKS = 6;

export const planterDesignSchema = z
  .strictObject({
    format: z.literal('huerta.planter').describe('Names the file format'),
    version: z.literal(DESIGN_VERSION).describe('Version of the document'),
    name: z.string().trim().min(1).max(120),
    notes: z.string().max(4000),
    vessel: z.strictObject({
      kind: z.literal('round'),
      topDiameter: number(FIELDS.vessel.topDiameter),
      bottomDiameter: number(FIELDS.vessel.bottomDiameter),
      depth: number(FIELDS.vessel.depth),
      wall: number(FIELDS.vessel.wall),
      formerContents: z.enum(FORMER_CONTENT_IDS),
      plastic: z.enum(PLASTIC_IDS),
      colour: z.enum(COLOUR_IDS),
      drainHole: z.boolean().describe('An old hole in the floor that is not patched yet'),
    }),
    reservoir: z.discriminatedUnion('kind', [platformBuild, bottleBuild]),
    overflow: overflow.nullable(),
    wicks: z.array(z.discriminatedUnion('kind', [clothWick, cupWick])).max(MAX_WICKS),
    fillTube: fillTube.nullable(),
    separator: z.enum(SEPARATOR_IDS),
    soil: z.strictObject({
      medium: z.enum(MEDIUM_IDS),
      freeboard: number(FIELDS.soil.freeboard),
      settlement: number(FIELDS.soil.settlement),
      moistened: z.boolean().describe('The mix goes in moist and is watered in layers'),
      mulch: z.enum(MULCH_IDS),
      bag: number(FIELDS.soil.bag),
      feed: z.enum(FEED_IDS),
      feedDose: number(FIELDS.soil.feedDose),
      limeDose: number(FIELDS.soil.limeDose),
    }),
    planting: z.strictObject({
      crop: z.enum(CROP_IDS),
      count: number(FIELDS.planting.count),
      foliage: number(FIELDS.planting.foliage),
    }),
    place: z.strictObject({
      name: z.string().max(120),
      exposure: z.enum(EXPOSURE_IDS),
      rain: z.enum(RAIN_IDS),
      etMild: number(FIELDS.place.etMild),
      etHot: number(FIELDS.place.etHot),
      daysAway: number(FIELDS.place.daysAway),
      liftLimit: number(FIELDS.place.liftLimit),
      floorLimit: number(FIELDS.place.floorLimit).nullable(),
      slope: number(FIELDS.place.slope),
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
export type ReservoirDesign = PlanterDesign['reservoir'];
export type PlatformBuild = z.infer<typeof platformBuild>;
export type SupportDesign = PlatformBuild['supports'];
export type BottleBuild = z.infer<typeof bottleBuild>;
export type OverflowDesign = z.infer<typeof overflow>;
export type WickDesign = PlanterDesign['wicks'][number];
export type ClothWickDesign = z.infer<typeof clothWick>;
export type CupWickDesign = z.infer<typeof cupWick>;
export type FillTubeDesign = z.infer<typeof fillTube>;
export type Vents = z.infer<typeof vents>;

/** The document's JSON Schema, for people who write planter files by other means. */
export function planterJsonSchema(): object {
  return z.toJSONSchema(planterDesignSchema);
}
