import fc from 'fast-check';
import { AGGREGATES, grainOf, PIPES, catalogMix, type HydraulicMaterial } from '../catalog';
import { dippingNeck, STARTING_POINTS, type PlanterDesign } from '../document';
import { assemble, type PartGroup, type Planter } from '../assembly';
import { drainable, mixOf, waterContent } from '../physics/soil';
import { anyDesign } from '../testing/designs';
import { holds } from '../geometry/vessels';
import { figuresOf } from './figures';

/**
 * Litres and weight got in another way, for every planter: points are thrown into a box round vessel and beds, and
 * each is asked what is there, one by one. Shares no formula of a volume with the figures.
 */

type Piece = PartGroup['parts'][number];

/** Additive recurrence of three directions (Roberts 2018), even in space and always the same. */
const STEPS = [0.8191725133961645, 0.6710436067037893, 0.5497004779019703] as const;
const WATER = 998;
/** Suction at which what is loose has given what it stores, metres. */
const GIVEN_UP = 0.5;

/** What is at a point: wall or air, open water where water stands, or something loose. */
type At =
  | 'none'
  | { open: number }
  | { matter: HydraulicMaterial; part: 'mix' | 'upper' | 'stone'; share?: number };

const UPRIGHT: readonly string[] = ['tube', 'inspection', 'worm'];
const BEDS: readonly string[] = [
  'sticks',
  'nested',
  'neck',
  'row',
  'bag',
  'vessel',
  'fill',
  'layer',
];

/** What a point can be asked of a planter. */
function asker(planter: Planter): (x: number, y: number, z: number) => At {
  const { design, vessel, bed, heights, partGroups } = planter;
  const mix = mixOf(design.soil);
  const { upper, freeboard } = design.soil;
  const dips = dippingNeck(design);
  const base = heights.base - dips;
  const surface = heights.rim - freeboard;
  const seam = upper ? Math.max(surface - upper.depth, base) : surface;
  const sticks = partGroups.filter((group) => group.kind === 'sticks');
  const left = sticks.reduce(
    (share, { spec }) =>
      share * (1 - Math.min(((Math.PI / 4) * spec.diameter) / spec.spacing, 0.95)),
    1,
  );
  const wooded = sticks[0]?.height ?? 0;
  const things = partGroups
    .filter(({ kind }) => !BEDS.includes(kind))
    .flatMap((group) => group.parts.map((piece): [PartGroup, Piece] => [group, piece]));
  const inBore = (group: PartGroup, share: number): At => {
    if (group.kind === 'cup') return { matter: mix, part: 'mix' };
    if (group.kind !== 'column') return { open: share };
    const { medium } = group.spec;
    return medium === 'mix'
      ? { matter: mix, part: 'mix' }
      : { matter: AGGREGATES[medium], part: 'stone' };
  };
  const soilAt = (z: number): At =>
    z > surface
      ? 'none'
      : z > seam && upper
        ? { matter: catalogMix(upper.medium), part: 'upper' }
        : { matter: mix, part: 'mix' };
  return (x, y, z) => {
    for (const [group, piece] of things) {
      const { body, bore } = piece;
      if (UPRIGHT.includes(group.kind) && piece.foot.form === 'disc') {
        // Some go on above the water's vessel, where nothing asks for their bodies.
        const away = Math.hypot(x - piece.x, y - piece.y);
        if (z < piece.from || z > piece.to || away > piece.foot.r) continue;
        const thick =
          group.kind === 'tube'
            ? (PIPES[group.spec.pipe].outside - PIPES[group.spec.pipe].inside) / 2
            : 0.003;
        return away <= piece.foot.r - thick ? { open: 1 } : 'none';
      }
      if (!body?.holds(x, y, z)) continue;
      return bore?.solid.holds(x, y, z) ? inBore(group, bore.share) : 'none';
    }
    if (bed.separate) {
      for (const place of bed.places) {
        const up = z - bed.floor;
        const outer = bed.inside.outlineAt(Math.min(Math.max(up, 0), bed.inside.depth));
        if (up > bed.inside.depth) continue;
        if (up >= 0 && holds(outer, x - place.x, y - place.y)) return soilAt(z);
        const wall = { a: outer.a + bed.wall, b: outer.b + bed.wall, c: outer.c + bed.wall };
        if (up >= -bed.wall && holds(wall, x - place.x, y - place.y)) return 'none';
      }
    }
    if (z > vessel.depth || !holds(vessel.outlineAt(z), x, y)) return 'none';
    if (!bed.separate && z > heights.base) return soilAt(z);
    if (z > heights.ceiling) {
      if (bed.separate) return { open: 1 };
      const grain = partGroups.find(
        (group) =>
          group.kind === 'layer' && group.parts.some(({ from, to }) => z > from && z <= to),
      );
      const what = grain?.kind === 'layer' ? grainOf(grain.spec.what) : null;
      return what ? { matter: what, part: 'stone' } : 'none';
    }
    const layer = design.reservoir.fill.find(
      ({ upTo }) => z <= upTo * Math.min(design.reservoir.top, heights.ceiling, vessel.depth),
    );
    const share = z <= wooded ? left : 1;
    if (!layer) return { open: share };
    return layer.medium === 'mix'
      ? { matter: mix, part: 'mix', share }
      : { matter: AGGREGATES[layer.medium], part: 'stone', share };
  };
}

/** Water to be had up to the brim, m³, and what all loose things and the water weigh, kg. */
function counted(planter: Planter, points: number) {
  const { vessel, bed, heights } = planter;
  const { brim } = heights;
  const outline = vessel.outlineAt(vessel.depth);
  const wide = (along: 'a' | 'b', at: 'x' | 'y'): number =>
    Math.max(
      ...vessel.bends.map((z) => vessel.outlineAt(z)[along]),
      outline[along],
      ...bed.places.map(
        (place) =>
          Math.abs(place[at]) +
          Math.max(...bed.inside.bends.map((z) => bed.inside.outlineAt(z)[along])) +
          bed.wall,
      ),
    );
  const [a, b] = [wide('a', 'x'), wide('b', 'y')];
  const top = Math.max(heights.rim, heights.waterRim);
  const split = Math.min(Math.max(heights.brim, 0.005), top / 2);
  const ask = asker(planter);
  const known = new Map<HydraulicMaterial, { had: number; hangs: Map<number, number> }>();
  let [free, mass, mix, stone] = [0, 0, 0, 0];
  for (let i = 1; i <= points; i += 1) {
    const x = (2 * ((i * STEPS[0]) % 1) - 1) * a;
    const y = (2 * ((i * STEPS[1]) % 1) - 1) * b;
    // As many below the base as above it.
    const low = i % 2 === 0;
    const up = (i * STEPS[2]) % 1;
    const z = low ? up * split : split + up * (top - split);
    const each = (8 * a * b * (low ? split : top - split)) / points;
    const at = ask(x, y, z);
    if (at === 'none') continue;
    if ('open' in at) {
      if (z > brim) continue;
      free += at.open * each;
      mass += at.open * each * WATER;
      continue;
    }
    const { matter, part, share = 1 } = at;
    const here = share * each;
    if (part === 'stone') stone += here;
    else mix += here;
    const held = known.get(matter) ?? { had: drainable(matter, GIVEN_UP), hangs: new Map() };
    known.set(matter, held);
    if (z <= brim) free += held.had * here;
    const over = Math.max(Math.round((z - brim) * 500) / 500, 0);
    const wet = held.hangs.get(over) ?? waterContent(matter, over);
    held.hangs.set(over, wet);
    mass += (matter.dryDensity + wet * WATER) * here;
  }
  return { free, mass, mix, stone };
}

const designOf = (id: string): PlanterDesign =>
  STARTING_POINTS.find((point) => point.id === id)!.design;

/** Cloth is thinner than any lattice, and air that is caught is nowhere to be seen. */
const withoutCloth = (design: PlanterDesign): PlanterDesign => ({
  ...design,
  wicks: design.wicks.filter(({ kind }) => kind !== 'cloth'),
  reservoir: {
    ...design.reservoir,
    parts: design.reservoir.parts.map((part) =>
      'vents' in part ? { ...part, vents: 'both' } : part,
    ),
  },
});

/** Where they differ, points are counted four times as finely, to tell an error from chance. */
const POINTS = 60_000;
/** Litres agree within this share of what there is, weights within that. */
const LITRES = 0.005;
const WEIGHT = 0.01;

/** Figures beside what was counted, each with how far they are apart as a share of what is allowed. */
function apart(design: PlanterDesign, points = POINTS): string[] {
  const planter = assemble(design);
  const { aggregates, soilVolume, weight } = figuresOf(planter);
  const there = counted(planter, points);
  const stone = aggregates.reduce((sum, { volume }) => sum + volume, 0);
  const free = planter.storage.volumeBelow(planter.heights.brim);
  const all = there.mix + there.stone + there.free;
  const compared: [string, number, number, number][] = [
    ['water', free, there.free, LITRES * Math.max(there.free, 0.1 * all)],
    ['mix', soilVolume, there.mix, LITRES * all],
    ['stone', stone, there.stone, LITRES * all],
    ['weight', weight.full - weight.empty, there.mass, WEIGHT * there.mass],
  ];
  const wrong = compared.filter(([, is, was, most]) => Math.abs(is - was) > most);
  if (wrong.length > 0 && points < 8 * POINTS) return apart(design, 4 * points);
  return wrong.map(([what, is, was]) => `${what}: ${is} reckoned, ${was} counted`);
}

test.each(STARTING_POINTS.map((point) => [point.title, point] as const))(
  '%s: water, mix and stone agree within 0.5 percent with what is counted, the weight within 1',
  (_title, { design }) => expect(apart(withoutCloth(design))).toEqual([]),
);

/** Whether nothing stands where a pail or bag stands: there is no telling then what is there. */
function clearOfBeds({ bed, partGroups, heights }: Planter): boolean {
  if (!bed.separate || bed.places.length === 0) return bed.places.length > 0;
  const reach = bed.inside.halfAt(bed.inside.depth) + bed.wall;
  const wide = Math.max(reach, bed.inside.halfAt(0) + bed.wall);
  return partGroups
    .filter(({ kind }) => !BEDS.includes(kind))
    .flatMap(({ parts }) => parts)
    .filter(({ to }) => to > bed.floor - bed.wall || to > heights.base)
    .every(
      ({ x, y, foot }) =>
        foot.form === 'disc' &&
        bed.places.every((at) => Math.hypot(at.x - x, at.y - y) > wide + foot.r),
    );
}

const IN_ROWS: readonly (string | undefined)[] = ['row', 'bag'];

test('any design: the same, in rows, bags and bottles too', () => {
  fc.assert(
    fc.property(
      // Poured vessels have their litres from the pour, not from an outline.
      anyDesign
        .filter(({ vessel }) => vessel.kind !== 'poured')
        .map(withoutCloth)
        .filter((design) => !IN_ROWS.includes(design.bed?.kind) || clearOfBeds(assemble(design))),
      (design) => expect(apart(design)).toEqual([]),
    ),
    { numRuns: 60, seed: 20_261_130, endOnFailure: true },
  );
});

test.each([
  [
    'a fill tube',
    (tray: PlanterDesign) => ({ ...tray, fillTube: designOf('tote-pipes').fillTube }),
  ],
  [
    'a pipe',
    (tray: PlanterDesign) => ({
      ...tray,
      pipes: [{ use: 'inspection', diameter: 0.05, capped: true, fills: false, at: null }],
    }),
  ],
  [
    'pots',
    (tray: PlanterDesign) => {
      const pots = { kind: 'standing', what: 'pot', count: 2, diameter: 0.08, wall: 0.002 };
      return { ...tray, reservoir: { ...tray.reservoir, parts: [{ ...pots, vents: 'both' }] } };
    },
  ],
  [
    'stone',
    (tray: PlanterDesign) => ({
      ...tray,
      reservoir: { ...tray.reservoir, fill: [{ medium: 'gravel', upTo: 0.5 }] },
    }),
  ],
])('bags in a tray with %s among them', (_what, change) => {
  const design = change(designOf('bag-tray')) as PlanterDesign;
  expect(clearOfBeds(assemble(design))).toBe(true);
  expect(apart(design)).toEqual([]);
});
