import fc from 'fast-check';
import { AGGREGATES, type FillId } from '../catalog';
import { grainsIn, STARTING_POINTS, type PlanterDesign } from '../document';
import { mixOf, drainable } from '../physics/soil';
import { anyDesign } from '../testing/designs';
import { holds } from '../geometry/vessels';
import { assemble, pour, type PartGroup, type Planter } from '.';

type Piece = PartGroup['parts'][number];

/**
 * Litres got in another way: points are thrown into the vessel, and each is asked which of the bodies it
 * hit, one by one. Shares no volume formula with the closed forms of the kinds.
 */

const POINTS = 40_000;
/** Where they differ by more than this share, points are counted four times as finely, to tell an error from chance. */
const DOUBTFUL = 0.003;
/** Additive recurrence on the plastic number, even in the plane and always the same; heights in turn. */
const STEPS = [0.7548776662466927, 0.5698402909980532] as const;

/** Points of a slice, which only pieces that reach into it can hold. */
const SLICE = 400;
/** What a point counts, at which height; sorted into the heights that are asked for. */
function counted(planter: Planter, heights: readonly number[], points: number): number[] {
  const { vessel, design } = planter;
  const top = heights[heights.length - 1]!;
  const sums = heights.map(() => 0);
  const bodies = planter.partGroups.filter(
    ({ kind, outerBelow }) => outerBelow(vessel.depth) > 0 && kind !== 'sticks',
  );
  const left = planter
    .of('sticks')
    .reduce(
      (share, { spec }) =>
        share * (1 - Math.min(((Math.PI / 4) * spec.diameter) / spec.spacing, 0.95)),
      1,
    );
  const wooded = planter.of('sticks')[0]?.height ?? 0;
  const inFill = sharesOf(design);
  let near: Piece[] = [];
  for (let i = 1; i <= points; i += 1) {
    const [u, v] = [(i * STEPS[0]) % 1, (i * STEPS[1]) % 1];
    const z = ((i - 0.5) / points) * top;
    if (i % SLICE === 1) {
      const until = ((i + SLICE) / points) * top;
      near = bodies.flatMap(({ parts }) =>
        parts.filter(({ from, to }) => from <= until && to >= z),
      );
    }
    const { a, b } = vessel.outlineAt(z);
    const [x, y] = [(2 * u - 1) * a, (2 * v - 1) * b];
    const share = shareAt(planter, near, inFill, x, y, z, z <= wooded ? left : 1);
    if (share === 0) continue;
    const first = heights.findIndex((height) => z <= height);
    sums[first] = sums[first]! + share * 4 * a * b;
  }
  let sum = 0;
  const whole = sums.map((one) => ((sum += one) * top) / points);
  return whole;
}

/** Cloth is thinner than any lattice: these designs are counted without. */
const withoutCloth = (design: PlanterDesign): PlanterDesign => ({
  ...design,
  wicks: design.wicks.filter(({ kind }) => kind !== 'cloth'),
});

/** What of a fill is water to be had, each worked out once. */
function sharesOf({ soil }: PlanterDesign): (medium: FillId) => number {
  const known = new Map<FillId, number>();
  return (medium) => {
    const share =
      known.get(medium) ?? drainable(medium === 'mix' ? mixOf(soil) : AGGREGATES[medium], 0.5);
    known.set(medium, share);
    return share;
  };
}

/** Share of a point that is water to be had. */
function shareAt(
  { design, vessel, bed }: Planter,
  near: readonly Piece[],
  inFill: (medium: FillId) => number,
  x: number,
  y: number,
  z: number,
  open: number,
): number {
  if (!holds(vessel.outlineAt(z), x, y)) return 0;
  for (const { body, bore } of near) {
    if (!body?.holds(x, y, z)) continue;
    return bore?.solid.holds(x, y, z) ? bore.share : 0;
  }
  if (bed.separate) {
    for (const place of bed.places) {
      const up = z - bed.floor;
      const outer = bed.inside.outlineAt(up);
      if (up >= 0 && holds(outer, x - place.x, y - place.y)) return inFill('mix');
      const wall = { a: outer.a + bed.wall, b: outer.b + bed.wall, c: outer.c + bed.wall };
      if (up >= -bed.wall && holds(wall, x - place.x, y - place.y)) return 0;
    }
  }
  const top = design.bed?.kind === 'bag' ? vessel.depth : design.reservoir.top;
  const layer = design.reservoir.fill.find(
    ({ upTo }) => z <= upTo * Math.min(design.reservoir.top, top),
  );
  return (layer ? inFill(layer.medium) : 1) * open;
}

/** Up to the brim in five heights. */
const fifths = (planter: Planter): number[] =>
  [0.2, 0.4, 0.6, 0.8, 1].map((share) => share * planter.heights.brim);

/** The largest difference at the five heights, as a share of what there is at the brim. */
function worst(planter: Planter, points = POINTS): number {
  const heights = fifths(planter);
  const whole = planter.storage.volumeBelow(planter.heights.brim);
  const most = Math.max(
    ...counted(planter, heights, points).map(
      (litres, i) =>
        Math.abs(planter.storage.volumeBelow(heights[i]!) - litres) / Math.max(whole, 1e-6),
    ),
  );
  return most > DOUBTFUL && points === POINTS ? worst(planter, 4 * POINTS) : most;
}

test.each(STARTING_POINTS.map((point) => [point.title, point] as const))(
  '%s: litres at five heights agree within 0.5 percent, and are what the pour shows',
  (_title, { design }) => {
    const planter = assemble(withoutCloth(design));
    expect(worst(planter)).toBeLessThan(0.005);
    const full = planter.storage.volumeBelow(planter.heights.brim);
    expect(pour(planter, full).level).toBeCloseTo(planter.heights.brim, 9);
    expect(pour(planter, full * 0.5).kept).toBeCloseTo(full * 0.5, 12);
  },
);

/** With everything open to the water, so that no air is caught, and a brim to count up to. */
const open = (design: PlanterDesign): PlanterDesign => ({
  ...withoutCloth(design),
  reservoir: {
    ...design.reservoir,
    parts: design.reservoir.parts.map((part) =>
      'vents' in part ? { ...part, vents: 'both' } : part,
    ),
  },
});

test('any design: litres at five heights agree within 0.5 percent of the reservoir', () => {
  fc.assert(
    fc.property(
      anyDesign.map(open).filter((design) => {
        const { heights, vessel } = assemble(design);
        // Nothing stands in a tray beside its bags.
        const { reservoir, wicks, pipes, fillTube } = design;
        const { parts, fill } = reservoir;
        const bare = parts.length + fill.length + wicks.length + pipes.length === 0 && !fillTube;
        if (design.bed?.kind === 'bag' && !bare) return false;
        if (design.bed?.kind === 'row' && parts.length > 0) return false;
        // A bottle's upper part is as wide as its base.
        if (design.bed?.kind === 'neck') return false;
        // Poured vessels have their litres from the pour, not from an outline.
        return heights.brim > 0.03 && vessel.flat && design.vessel.kind !== 'poured';
      }),
      (design) => expect(worst(assemble(design))).toBeLessThan(0.005),
    ),
    { numRuns: 200, seed: 20_261_126 },
  );
});

test('crossed sticks take out π/4·d/s of the space that cup and tube leave them', () => {
  const design = STARTING_POINTS.find(({ id }) => id === 'stick-pail')!.design;
  const bare = assemble({ ...design, wicks: [], fillTube: null });
  const share = ((Math.PI / 4) * 0.014) / 0.045;
  const { storage, vessel } = bare;
  expect(storage.volumeBelow(0.06)).toBeCloseTo(vessel.volumeBelow(0.06) * (1 - share), 12);
});

test('sand and stone that lie on the base take no more room than they have', () => {
  const tank = STARTING_POINTS.find(({ id }) => id === 'tank-crates')!.design;
  expect(grainsIn(tank).map(({ what }) => what)).toEqual(['coarse-sand']);
  const planter = assemble(tank);
  expect(planter.heights.base).toBeCloseTo(0.15, 9);
});
