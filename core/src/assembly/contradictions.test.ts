import fc from 'fast-check';
import {
  applyPatch,
  planterDesignSchema,
  reshape,
  SHAPES,
  STARTING_POINTS,
  vesselFrom,
  type Patch,
  type PlanterDesign,
  type VesselDesign,
  type VesselKind,
} from '../document';
import { VESSEL_IDS } from '../catalog';
import { tell } from '../units';
import { shapeOf } from '../geometry/vessels';
import { anyDesign } from '../testing/designs';
import { contradictions, vesselContradictions } from '.';

const start = (id: string): PlanterDesign =>
  STARTING_POINTS.find((point) => point.id === id)!.design;
const one = (path: (string | number)[], value: unknown): Patch => [{ path, value }];

test.each<[string, string, Patch, string, RegExp]>([
  [
    'a tank’s corner',
    'tank-crates',
    one(['vessel', 'corner'], 0.49),
    'vessel.corner',
    /more than half/,
  ],
  [
    'a cut too high',
    'lying-barrel',
    one(['vessel', 'depth'], 0.56),
    'vessel.depth',
    /no opening to plant/,
  ],
  [
    'a post on a curved floor',
    'lying-barrel',
    one(['reservoir', 'parts'], start('cup-pail').reservoir.parts),
    'reservoir.parts.0.kind',
    /floor is curved/,
  ],
  [
    'a cup on a curved floor',
    'lying-barrel',
    [...one(['wicks'], [{ kind: 'column', medium: 'mix', count: 1, diameter: 0.12, foot: 0 }])],
    'wicks.0.foot',
    /stands on its walls/,
  ],
  [
    'a neck as wide as its bottle',
    'bottle',
    one(['bed', 'neckDiameter'], 0.1),
    'bed.neckDiameter',
    /is no neck/,
  ],
  [
    'a neck in a tote',
    'tote-pipes',
    one(['bed'], start('bottle').bed),
    'bed',
    /Only a round bottle/,
  ],
  [
    'a shoulder without a body',
    'bottle',
    one(['bed', 'shoulder'], 0.18),
    'bed.shoulder',
    /takes all of/,
  ],
  [
    'a bag wider than its tray',
    'bag-tray',
    one(['bed', 'topDiameter'], 0.5),
    'bed.topDiameter',
    /does not stand in a tray/,
  ],
  [
    'one pail too many',
    'gutter-pails',
    one(['bed', 'count'], 9),
    'bed.count',
    /There is room for 6/,
  ],
  [
    'pails above their channel',
    'gutter-pails',
    one(['reservoir', 'top'], 0.3),
    'reservoir.top',
    /stand above the 110.mm deep vessel/,
  ],
  [
    'soil to the rim of a bag',
    'bag-tray',
    one(['soil', 'freeboard'], 0.28),
    'soil.freeboard',
    /leaves no room for soil/,
  ],
  [
    'a bore wider than its hole',
    'coil-barrel',
    one(['overflow', 'bore'], 0.05),
    'overflow.bore',
    /does not go into a hole/,
  ],
  [
    'rows through the rim',
    'air-barrel',
    one(['overflow', 'rows'], 8),
    'overflow.centre',
    /cut through the rim/,
  ],
  [
    'a valve above the rim',
    'gutter-pails',
    one(['reservoir', 'supply', 'level'], 0.2),
    'reservoir.supply.level',
    /let the water over the rim/,
  ],
  [
    'a layer under the one below',
    'rock-bed',
    one(['reservoir', 'fill', 1, 'upTo'], 0.5),
    'reservoir.fill.1.upTo',
    /lies on one that reaches 80%/,
  ],
  [
    'a pipe out of the base',
    'trough-pipes',
    one(['reservoir', 'parts', 0, 'diameter'], 0.2),
    'reservoir.parts.0.diameter',
    /stands out of a base/,
  ],
  [
    'a crate larger than the tank',
    'tank-crates',
    one(['reservoir', 'parts', 0, 'length'], 1.3),
    'reservoir.parts.0.length',
    /does not go into/,
  ],
  [
    'a panel wider than the barrel',
    'panel-barrel',
    one(['reservoir', 'parts', 0, 'width'], 0.7),
    'reservoir.parts.0.width',
    /700 mm across cannot stand in a vessel that is 570 mm across/,
  ],
  [
    'sticks closer than they are thick',
    'stick-pail',
    one(['reservoir', 'parts', 0, 'spacing'], 0.01),
    'reservoir.parts.0.spacing',
    /at least that far apart/,
  ],
  [
    'a wide worm tube',
    'nested-totes',
    one(['pipes', 0, 'diameter'], 0.3),
    'pipes.0.diameter',
    /more than half of a floor/,
  ],
  [
    'a cup in mix',
    'trough-pipes',
    one(['wicks'], start('cup-pail').wicks),
    'wicks.0.kind',
    /goes down to the floor is its wick/,
  ],
])('%s is refused where it stands, and says what to do', (_name, id, patch, path, sentence) => {
  const found = contradictions(applyPatch(start(id), patch));
  const at = found.map((one) => one.path.join('.'));
  expect(at).toContain(path);
  const message = found.find((one) => one.path.join('.') === path)!.message;
  expect(tell(message, 'metric').replaceAll('\u00a0', ' ')).toMatch(sentence);
  expect(tell(message, 'us')).toMatch(/[.]$/);
});

describe('odd vessels', () => {
  const base = vesselFrom('pail-20');
  const stations = (...heights: number[]) =>
    ({
      ...reshape(base, 'stations'),
      stations: heights.map((height) => ({ height, length: 0.3, width: 0.3 })),
    }) as VesselDesign;
  const poured = (...readings: [number, number][]) =>
    ({
      ...reshape(base, 'poured'),
      readings: readings.map(([volume, height]) => ({ volume, height })),
    }) as VesselDesign;
  const said = (vessel: VesselDesign) =>
    vesselContradictions(vessel).map(({ message }) => tell(message, 'metric'));

  test('sizes go up from the floor', () => {
    expect(said(stations(0, 0.2, 0.3))).toEqual([]);
    expect(said(stations(0.02, 0.3))[0]).toContain('taken at the floor');
    expect(said(stations(0, 0.2, 0.15))[0]).toContain('Sizes go up');
    expect(said(stations(0, 0.02))[0]).toContain('needs at least');
  });

  test('water only rises, and never above the rim', () => {
    expect(said(poured([0.002, 0.05], [0.008, 0.2]))).toEqual([]);
    expect(said(poured([0.002, 0.05], [0.002, 0.2]))[0]).toContain('Water only rises');
    expect(said(poured([0.002, 0.05], [0.008, 0.04]))[0]).toContain('both must be more');
    expect(said(poured([0.002, 0.05], [0.03, 0.5]))[0]).toContain('at least that deep');
  });
});

describe('another shape of about the same size', () => {
  const kinds = Object.keys(SHAPES) as VesselKind[];

  test('of any catalogue vessel can be, and holds something of the same order', () => {
    for (const id of VESSEL_IDS) {
      const before = shapeOf(vesselFrom(id));
      for (const kind of kinds) {
        const after = reshape(vesselFrom(id), kind);
        expect([id, kind, vesselContradictions(after)]).toEqual([id, kind, []]);
        const shape = shapeOf(after);
        const ratio = shape.volumeBelow(shape.depth) / before.volumeBelow(before.depth);
        expect(ratio).toBeGreaterThan(0.05);
        expect(ratio).toBeLessThan(8);
      }
    }
  });

  test('of any vessel is one that the schema takes', () => {
    fc.assert(
      fc.property(anyDesign, fc.constantFrom(...kinds), (design, kind) => {
        const changed = { ...design, vessel: reshape(design.vessel, kind) };
        expect(planterDesignSchema.safeParse(changed).error?.issues).toBeUndefined();
      }),
    );
  });

  test('back to its own is itself', () => {
    const tote = vesselFrom('tote-50');
    expect(reshape(tote, 'box')).toBe(tote);
  });
});
