import fc from 'fast-check';
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
import {
  DESIGN_VERSION,
  FIELDS,
  type FieldSpec,
  type PlanterDesign,
  type ReservoirDesign,
  type WickDesign,
} from '../design';
import { contradictions } from '../planter';

/** Random designs for property tests: whatever the fields allow and the contradictions do not forbid. */

const between = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true });
const within = (field: FieldSpec, min = field.min, max = field.max) =>
  field.kind === 'count'
    ? fc.integer({ min, max })
    : between(Math.max(min, field.min), Math.min(max, field.max));
const oneOf = <T>(ids: readonly T[]) => fc.constantFrom(...ids);

const vessel = fc
  .record({
    kind: fc.constant('round' as const),
    topDiameter: within(FIELDS.vessel.topDiameter, 0.12, 1),
    taper: between(0.7, 1.1),
    depth: within(FIELDS.vessel.depth, 0.12, 0.9),
    wall: within(FIELDS.vessel.wall, 0.001, 0.004),
    formerContents: oneOf(FORMER_CONTENT_IDS),
    plastic: oneOf(PLASTIC_IDS),
    colour: oneOf(COLOUR_IDS),
    drainHole: fc.boolean(),
  })
  .map(({ taper, ...rest }) => ({ ...rest, bottomDiameter: rest.topDiameter * taper }));

const reservoir = (depth: number, width: number): fc.Arbitrary<ReservoirDesign> => {
  const support = {
    diameter: within(FIELDS.support.diameter, 0.02, Math.max(width * 0.8, 0.03)),
    wall: within(FIELDS.support.wall, 0.0003, 0.005),
    vents: oneOf(VENT_IDS),
  };
  const count = within(FIELDS.support.count, 1, 12);
  return fc.oneof(
    fc.record({
      kind: fc.constant('platform' as const),
      underside: between(0.02, depth * 0.75),
      thickness: within(FIELDS.platform.thickness, 0.001, 0.01),
      supports: fc.oneof(
        fc.record({ kind: fc.constant('ring' as const), ...support }),
        fc.record({ kind: fc.constant('tubs' as const), count, ...support }),
      ),
    }),
    fc.record({
      kind: fc.constant('bottles' as const),
      count,
      height: between(0.03, Math.min(Math.max(depth * 0.7, 0.04), 0.6)),
      ...support,
    }),
  );
};

const wick: fc.Arbitrary<WickDesign> = fc.oneof(
  fc.record({
    kind: fc.constant('cloth' as const),
    material: oneOf(CLOTH_IDS),
    legs: within(FIELDS.cloth.legs, 1, 8),
    width: within(FIELDS.cloth.width, 0.004, 0.12),
    thickness: within(FIELDS.cloth.thickness, 0.0005, 0.005),
    foot: between(0, 0.05),
    spread: between(0, 0.15),
    strip: fc.option(fc.constant({ hour: 0.08, day: 0.15 })),
  }),
  fc.record({
    kind: fc.constant('cup' as const),
    count: within(FIELDS.cup.count, 1, 3),
    diameter: within(FIELDS.cup.diameter, 0.03, 0.15),
    foot: between(0, 0.03),
  }),
);

/** Sound or unsound, but never contradictory. */
export const anyDesign: fc.Arbitrary<PlanterDesign> = vessel
  .chain((v) =>
    fc.record({
      format: fc.constant('huerta.planter' as const),
      version: fc.constant(DESIGN_VERSION),
      name: fc.constant('Any'),
      notes: fc.constant(''),
      vessel: fc.constant(v),
      reservoir: reservoir(v.depth, v.bottomDiameter),
      overflow: fc.option(
        fc.record({
          kind: fc.constant('hole' as const),
          centre: between(0.01, v.depth * 0.8),
          diameter: within(FIELDS.overflow.diameter, 0.003, 0.04),
          count: within(FIELDS.overflow.count, 1, 3),
          screened: fc.boolean(),
        }),
      ),
      wicks: fc.array(wick, { maxLength: 3 }),
      fillTube: fc.option(
        fc.record({
          pipe: oneOf(PIPE_IDS),
          length: between(0.1, 1.2),
          hole: between(0.01, 0.15),
          foot: oneOf(FOOT_IDS),
          cap: oneOf(CAP_IDS),
        }),
      ),
      separator: oneOf(SEPARATOR_IDS),
      soil: fc.record({
        medium: oneOf(MEDIUM_IDS),
        freeboard: between(0, 0.08),
        settlement: between(0, 0.3),
        moistened: fc.boolean(),
        mulch: oneOf(MULCH_IDS),
        bag: fc.constant(0.02),
        feed: oneOf(FEED_IDS),
        feedDose: between(0, 20),
        limeDose: oneOf([0, 0, 3]),
      }),
      planting: fc.record({
        crop: oneOf(CROP_IDS),
        count: within(FIELDS.planting.count, 0, 6),
        foliage: between(0.1, 1),
      }),
      place: fc.record({
        name: fc.constant('Roof'),
        exposure: oneOf(EXPOSURE_IDS),
        rain: oneOf(RAIN_IDS),
        etMild: within(FIELDS.place.etMild),
        etHot: within(FIELDS.place.etHot),
        daysAway: within(FIELDS.place.daysAway, 0, 30),
        liftLimit: within(FIELDS.place.liftLimit, 5, 100),
        floorLimit: fc.option(between(500, 10_000)),
        slope: oneOf([0, 0, 0.02, 0.1]),
        hose: within(FIELDS.place.hose),
        storm: within(FIELDS.place.storm),
        children: fc.boolean(),
        frost: fc.boolean(),
      }),
    }),
  )
  .filter((design) => contradictions(design).length === 0);
