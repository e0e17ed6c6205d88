import fc from 'fast-check';
import {
  CAP_IDS,
  CLOTH_FORM_IDS,
  CLOTH_IDS,
  CRATE_IDS,
  FEED_HOW_IDS,
  FEED_IDS,
  FILL_IDS,
  FITTING_IDS,
  FOOT_IDS,
  LAYER_IDS,
  MIX_IDS,
  MULCH_IDS,
  PIPE_IDS,
  PIPE_USE_IDS,
  RAIN_IDS,
  RUN_IDS,
  SPOT_IDS,
  STANDING_IDS,
  SUN_IDS,
  TUBE_JOINT_IDS,
  VENT_IDS,
  WIND_IDS,
} from '../catalog';
import {
  depthOf,
  DESIGN_VERSION,
  FIELDS,
  leastWidth,
  type BedDesign,
  type FillLayer,
  type OverflowDesign,
  type SupportDesign,
  type PlanterDesign,
  type ReservoirDesign,
  type VesselDesign,
  type WickDesign,
} from '../document';
import { contradictions } from '../assembly';
import { between, just, oneOf, within } from './arbitrary';
import { anyPlanted } from './plantings';
import { anyRecipe } from './recipes';
import { anyVessel } from './vessels';

/** Random designs for property tests: whatever the fields allow and the contradictions do not forbid. */

const spot = fc.record({ x: between(-0.3, 0.3), y: between(-0.3, 0.3) });
const spots = fc.option(fc.array(spot, { minLength: 1, maxLength: 3 }), { freq: 1 });

const part = (vessel: VesselDesign): fc.Arbitrary<SupportDesign> => {
  const width = leastWidth(vessel);
  const support = {
    diameter: between(0.02, Math.max(width * 0.8, 0.03)),
    wall: between(0.0003, 0.004),
    vents: oneOf(VENT_IDS),
  };
  const lying = fc.record({
    kind: just('lying'),
    lay: oneOf(RUN_IDS),
    count: fc.integer({ min: 1, max: 5 }),
    diameter: between(0.02, Math.max(width * 0.4, 0.03)),
    wall: between(0.0005, 0.004),
    sock: fc.boolean(),
    stiff: fc.boolean(),
    length: oneOf([0, 0, 0.2]),
  });
  const sticks = fc.record({
    kind: just('sticks'),
    diameter: between(0.004, 0.03),
    spacing: between(0.03, 0.1),
  });
  if (vessel.kind === 'lying') return fc.oneof(lying, sticks);
  return fc.oneof(
    fc.record({ kind: just('ring'), cutEnd: fc.boolean(), ...support }),
    fc.record({
      kind: just('standing'),
      what: oneOf(STANDING_IDS),
      count: fc.integer({ min: 1, max: 12 }),
      ...support,
    }),
    lying,
    fc.record({
      kind: just('crates'),
      what: oneOf(CRATE_IDS),
      count: fc.integer({ min: 1, max: 9 }),
      length: between(0.02, width * 0.9),
      width: between(0.02, width * 0.6),
      height: between(0.03, 0.4),
      voids: between(0.85, 1),
      cut: fc.boolean(),
      at: spots,
    }),
    fc.record({
      kind: just('arch'),
      width: between(0.03, width * 0.9),
      wall: between(0.001, 0.005),
      own: fc.boolean(),
      vents: oneOf(VENT_IDS),
    }),
    sticks,
  );
};

const bed = (vessel: VesselDesign): fc.Arbitrary<BedDesign | null> => {
  const width = leastWidth(vessel);
  const depth = depthOf(vessel);
  const pail = {
    topDiameter: between(0.04, width * 0.4),
    bottomDiameter: between(0.04, width * 0.4),
    depth: between(0.15, 0.5),
    wall: between(0.001, 0.004),
    count: fc.integer({ min: 1, max: 3 }),
  };
  const some: fc.Arbitrary<BedDesign>[] = [
    fc.record({ kind: just('row'), ...pail }),
    fc.record({ kind: just('bag'), ...pail }),
  ];
  if (vessel.kind === 'round') {
    some.push(fc.record({ kind: just('nested') }));
    some.push(
      fc.record({
        kind: just('neck'),
        neckDiameter: between(0.02, width * 0.4),
        shoulder: between(0.01, depth * 0.4),
        depth: between(depth * 0.5, depth),
      }),
    );
  }
  return fc.oneof(
    { weight: 4, arbitrary: fc.constant(null) },
    { weight: 1, arbitrary: fc.oneof(...some) },
  );
};

const fill: fc.Arbitrary<FillLayer[]> = fc.oneof(
  { weight: 3, arbitrary: fc.constant<FillLayer[]>([]) },
  { weight: 3, arbitrary: fc.constant<FillLayer[]>([{ medium: 'mix', upTo: 1 }]) },
  {
    weight: 3,
    arbitrary: fc.record({ medium: oneOf(FILL_IDS), upTo: oneOf([0.5, 1]) }).map((one) => [one]),
  },
  {
    weight: 2,
    arbitrary: fc
      .tuple(oneOf(FILL_IDS), oneOf(FILL_IDS), between(0.2, 0.9))
      .map(([low, high, to]) => [
        { medium: low, upTo: to },
        { medium: high, upTo: 1 },
      ]),
  },
);

/** Holes for rain of one's own: none, a few large ones or many small ones. */
export const drains = fc.record({
  count: fc.integer({ min: 0, max: 60 }),
  diameter: between(0.003, 0.05),
});

const reservoir = (vessel: VesselDesign): fc.Arbitrary<ReservoirDesign> => {
  const depth = depthOf(vessel);
  return fc.record({
    top: between(0.02, depth * 0.75),
    cover: oneOf(['platform', 'none'] as const),
    thickness: between(0.001, 0.01),
    fill,
    parts: fc.array(part(vessel), { maxLength: 2 }),
    supply: fc.option(
      fc.record({
        level: between(0.01, depth * 0.5),
        volume: between(0.01, 0.2),
        diameter: between(0.2, 0.6),
      }),
      { freq: 12 },
    ),
  });
};

const overflow = (depth: number): fc.Arbitrary<OverflowDesign | null> => {
  const hole = {
    centre: between(0.03, depth * 0.8),
    diameter: between(0.003, 0.04),
    bearing: oneOf([0, 0, 1.2, Math.PI]),
    screened: fc.boolean(),
  };
  const count = fc.integer({ min: 1, max: 3 });
  return fc.option(
    fc.oneof(
      { weight: 4, arbitrary: fc.record({ kind: just('hole'), count, ...hole }) },
      {
        weight: 2,
        arbitrary: fc.record({
          kind: just('fitting'),
          style: oneOf(FITTING_IDS),
          bore: between(0.002, 0.02),
          rise: oneOf([0, 0, 0.015]),
          count,
          ...hole,
        }),
      },
      {
        weight: 1,
        arbitrary: fc.record({
          kind: just('rows'),
          rows: fc.integer({ min: 1, max: 3 }),
          pitch: between(0.01, 0.1),
          ...hole,
          count: fc.integer({ min: 1, max: 12 }),
        }),
      },
      { weight: 1, arbitrary: fc.record({ kind: just('rim') }) },
    ),
  );
};

const wick: fc.Arbitrary<WickDesign> = fc.oneof(
  fc.record({
    kind: just('cloth'),
    material: oneOf(CLOTH_IDS),
    legs: within(FIELDS.cloth.legs, 1, 8),
    width: between(0.004, 0.12),
    thickness: between(0.0005, 0.005),
    foot: between(0, 0.05),
    spread: between(0, 0.15),
    form: oneOf(CLOTH_FORM_IDS),
    holes: fc.integer({ min: 1, max: 4 }),
    at: spots,
    strip: fc.option(fc.constant({ hour: 0.08, day: 0.15 })),
  }),
  fc.record({
    kind: just('cup'),
    count: within(FIELDS.cup.count, 1, 3),
    diameter: between(0.06, 0.15),
    bottom: between(0.03, 0.06),
    rim: between(0.16, 0.2),
    net: fc.boolean(),
    foot: between(0, 0.03),
    at: spots,
  }),
  fc.record({
    kind: just('column'),
    medium: oneOf(FILL_IDS),
    count: within(FIELDS.column.count, 1, 4),
    diameter: between(0.02, 0.15),
    foot: between(0, 0.03),
    at: spots,
  }),
);

/** Sound or unsound, but never contradictory. */
export const anyDesign: fc.Arbitrary<PlanterDesign> = anyVessel
  .chain((vessel) =>
    fc.record({
      format: just('huerta.planter'),
      version: fc.constant(DESIGN_VERSION),
      name: fc.constant('Any'),
      variant: oneOf(['', 'deeper']),
      notes: fc.constant(''),
      vessel: fc.constant(vessel),
      bed: bed(vessel),
      reservoir: reservoir(vessel),
      overflow: overflow(depthOf(vessel)),
      wicks: fc.array(wick, { maxLength: 3 }),
      fillTube: fc.option(
        fc.record({
          pipe: oneOf(PIPE_IDS),
          length: between(0.1, 1.2),
          hole: between(0.01, 0.15),
          foot: oneOf(FOOT_IDS),
          cap: oneOf(CAP_IDS),
          run: oneOf([0, 0, 0.2]),
          joint: oneOf(TUBE_JOINT_IDS),
          at: fc.option(spot, { freq: 1 }),
        }),
      ),
      pipes: fc.array(
        fc.record({
          use: oneOf(PIPE_USE_IDS),
          diameter: between(0.03, 0.12),
          capped: fc.boolean(),
          fills: fc.boolean(),
          at: fc.option(spot, { freq: 1 }),
        }),
        { maxLength: 1 },
      ),
      layers: fc.array(
        fc.record({
          what: oneOf(LAYER_IDS),
          thickness: between(0.001, 0.03),
          up: fc.boolean(),
        }),
        { maxLength: 3 },
      ),
      soil: fc.record({
        medium: oneOf(MIX_IDS),
        recipe: fc.option(anyRecipe, { freq: 1 }),
        upper: fc.option(fc.record({ medium: oneOf(MIX_IDS), depth: between(0.02, 0.2) }), {
          freq: 1,
        }),
        freeboard: between(0, 0.08),
        settlement: between(0, 0.3),
        moistened: fc.boolean(),
        mulch: oneOf(MULCH_IDS),
        bag: fc.constant(0.02),
        feed: oneOf(FEED_IDS),
        feedHow: oneOf(FEED_HOW_IDS),
        feedNitrogen: oneOf([0, 0.05, 0.12]),
        feedLasts: fc.integer({ min: 0, max: 120 }),
        feedDose: between(0, 20),
        limeDose: oneOf([0, 0, 3]),
      }),
      planting: fc.record({ crops: fc.array(anyPlanted, { minLength: 0, maxLength: 4 }) }),
      place: fc.record({
        name: fc.constant('Roof'),
        sun: oneOf(SUN_IDS),
        wind: oneOf(WIND_IDS),
        spot: oneOf(SPOT_IDS),
        rain: oneOf(RAIN_IDS),
        etMild: within(FIELDS.place.etMild),
        etHot: within(FIELDS.place.etHot),
        daysAway: between(0, 30),
        liftLimit: between(5, 100),
        floorLimit: fc.option(between(500, 10_000)),
        slopeAcross: oneOf([0, 0, 0.02, 0.1]),
        slopeAlong: oneOf([0, 0, 0.01]),
        falls: oneOf(['away', 'towards'] as const),
        hose: within(FIELDS.place.hose),
        storm: within(FIELDS.place.storm),
        children: fc.boolean(),
        frost: fc.boolean(),
      }),
    }),
  )
  // As it comes out of a file: records of fast-check may be without a prototype, on which comparing breaks.
  .map((design) => JSON.parse(JSON.stringify(design)) as PlanterDesign)
  .filter((design) => contradictions(design).length === 0);
