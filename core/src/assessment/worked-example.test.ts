import { applyPatch, STARTING_POINTS, usualPlanted, type PlanterDesign } from '../document';
import { evaluate } from '.';

/**
 * One pail worked out with pencil and paper, so that every figure on the bench can be followed.
 *
 * A straight pail, 300 mm across inside and 400 mm deep. Platform underside at 120 mm, 4 mm thick, on
 * a split ring of 160 mm outside and 5 mm wall. Overflow of 10 mm, marked at 105 mm. One cloth of two
 * legs, 150 by 2 mm, from the floor, 60 mm spread. 32 mm pipe. Soil to 30 mm under the rim.
 */
const design: PlanterDesign = applyPatch(STARTING_POINTS[0]!.design, [
  { path: ['vessel', 'topDiameter'], value: 0.3 },
  { path: ['vessel', 'bottomDiameter'], value: 0.3 },
  { path: ['vessel', 'depth'], value: 0.4 },
  { path: ['reservoir', 'top'], value: 0.12 },
  { path: ['reservoir', 'thickness'], value: 0.004 },
  {
    path: ['reservoir', 'parts', 0],
    value: { kind: 'ring', cutEnd: false, diameter: 0.16, wall: 0.005, vents: 'both' },
  },
  {
    path: ['overflow'],
    value: { kind: 'hole', centre: 0.105, diameter: 0.01, count: 1, screened: false },
  },
  { path: ['wicks', 0, 'legs'], value: 2 },
  { path: ['wicks', 0, 'width'], value: 0.15 },
  { path: ['wicks', 0, 'thickness'], value: 0.002 },
  { path: ['wicks', 0, 'spread'], value: 0.06 },
  { path: ['soil', 'freeboard'], value: 0.03 },
  { path: ['soil', 'settlement'], value: 0.12 },
  { path: ['soil', 'mulch'], value: 'none' },
  {
    path: ['planting', 'crops'],
    value: [usualPlanted('pepper', 1, { foliage: 0.4, spacing: 0.35 })],
  },
  { path: ['place', 'etHot'], value: 0.008 / 86_400 },
  { path: ['place', 'slopeAcross'], value: 0.01 },
]);

const { planter, assessment } = evaluate(design);
const f = assessment.figures;
const litres = (cubicMetres: number) => cubicMetres * 1000;
const litresADay = (flow: number) => flow * 86_400 * 1000;

test('the lip stands at 100 mm, with 20 mm of air above it', () => {
  expect(planter.heights.invert).toBeCloseTo(0.1, 12);
  expect(f.airGap).toBeCloseTo(0.02, 12);
});

test('it holds 6.79 L: the disc less ring, tube wall and cloth', () => {
  // π/4·300² = 70 685.8 mm²; ring π/4·(160² − 150²) = 2 434.7; tube π/4·(32² − 28.8²) = 152.8;
  // cloth 2·150·2·(1 − 0.75) = 150. Over 100 mm: 6.7948 L.
  expect(litres(f.gross)).toBeCloseTo(6.7948, 3);
});

test('the soil is 17.19 L, 19.5 L loose, one bag of 20 L', () => {
  // 370 − 124 = 246 mm of 70 685.8 mm² less the tube's π/4·32² = 804.2: 17.1909 L.
  expect(f.growingDepth).toBeCloseTo(0.246, 12);
  expect(litres(f.soilVolume)).toBeCloseTo(17.1909, 3);
  expect(litres(f.looseVolume)).toBeCloseTo(17.1909 / 0.88, 3);
  expect(f.bags).toBe(1);
});

test('a hot day takes 1.17 L', () => {
  // Foliage π/4·0.4² = 0.12566 m² at (1.05 − 0.05)·8 mm·1.05 = 1.0556 L;
  // surface 0.070686 m²·0.2·8 mm·1.05 = 0.1188 L.
  expect(litresADay(f.hot.plants)).toBeCloseTo(1.0556, 3);
  expect(litresADay(f.hot.surface)).toBeCloseTo(0.1188, 3);
});

test('the cloth brings up 4.1 L a day when full, and 1.1 L with 40 mm left', () => {
  // Cotton is wet 140 mm high after an hour and 165 after a day: K = 0.75/3600·(−0.14 − 0.165·ln(1 − 140/165))
  // = 3.57e-5 m/s. A = 2·150·2 = 600 mm², bunched 0.85; lift 24 mm; path 24 + 30 = 54 mm:
  // 0.85·6e-4·3.57e-5·0.141/0.054 m³/s = 4.107 L/day.
  expect(Math.abs(litresADay(f.delivery) / 4.107 - 1)).toBeLessThan(2e-3);
  // Lift 84 mm at 40 mm: 0.081/0.114.
  const [cloth] = planter.wicks;
  expect(Math.abs(litresADay(cloth!.deliveryAt(0.04)) / 1.1178 - 1)).toBeLessThan(2e-3);
  expect(f.duty).toBeCloseTo(4.107 / 1.1744, 1);
});

test('it is filled at 15 mm, down to which the soil gets back what it lacked, after 4.9 hot days', () => {
  // 1.5731 L/day·(0.165 − L)/(L + 0.03), L = 124 mm − z. Emptied as fast as it brings up, from 100 mm to z it
  // takes 67.948/1.5731·[0.195·ln(0.141/(0.041 + z)) − (0.1 − z)] days, and 67.948/1.1744·(0.1 − z) at the
  // thirst: 1.2 times the one is the other at z = 15.2 mm. Half of the thirst would still come up at 12 mm.
  expect(Math.abs(f.usableLevel - 0.0152)).toBeLessThan(0.0006);
  expect(Math.abs(litres(f.usable) / 5.762 - 1)).toBeLessThan(0.01);
  expect(Math.abs(f.lastsHot.days / 4.906 - 1)).toBeLessThan(0.01);
  expect(litres(f.stranded) + litres(f.usable)).toBeCloseTo(6.7948, 3);
  expect(f.lastsHot.reserve).toBeGreaterThan(0.5);
});

test('no root gets past the air under the platform', () => {
  expect(f.beforeRoots).toBeNull();
});

test('full it weighs as much as its parts, over its own footprint', () => {
  const { weight } = f;
  expect(weight.dry - weight.empty).toBeCloseTo(17.1909e-3 * 180, 3);
  expect(weight.full - weight.dry).toBeGreaterThan(6.7 + 0.4 * 17.4);
  expect(weight.full - weight.dry).toBeLessThan(6.8 + 0.87 * 17.4);
  const footprint = Math.PI * (0.15 + design.vessel.wall) ** 2;
  expect(weight.pressure).toBeCloseTo((weight.full * 9.80665) / footprint, 6);
});

test('the platform is cut 298 mm across and spans 150 mm inside its ring', () => {
  expect(f.platform.length).toBeCloseTo(0.298, 12);
  expect(f.span).toBeCloseTo(0.15, 12);
});

test('ten millimetres to the metre is 3 mm from edge to edge', () => {
  expect(f.tilt.across).toBeCloseTo(0.003, 12);
});

test('out of level it holds what stands over the middle, and the shim levels it', () => {
  // The overflow is on the high side: over the middle the water is 100 + 1.5 mm deep.
  expect(f.tilt.shimAcross).toBeCloseTo(0.003, 12);
  expect(f.tilt.wettest).toBeCloseTo(0.103, 12);
  expect(litres(f.tilt.holds - f.gross)).toBeCloseTo(6.7948 * 0.015, 3);
});
