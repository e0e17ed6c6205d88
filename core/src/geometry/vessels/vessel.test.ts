import fc from 'fast-check';
import { STARTING_POINTS, vesselFrom, type VesselDesign } from '../../document';
import { VESSEL_IDS } from '../../catalog';
import { anyDesign } from '../../testing/designs';
import {
  areaOf,
  grown,
  holds,
  holdsCircle,
  lyingCylinder,
  outlinePoints,
  perimeterOf,
  reachAt,
  shapeOf,
  shellVolume,
  stacked,
  type Outline,
} from './';
import { monotoneCurve } from '../../numerics';

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyOutline: fc.Arbitrary<Outline> = fc
  .tuple(size(0.02, 2), size(0.02, 1), size(0, 1))
  .map(([a, b, share]) => ({ a, b, c: share * Math.min(a, b) }));
const circle = (radius: number): Outline => ({ a: radius, b: radius, c: radius });
const pail = STARTING_POINTS[0]!.design.vessel;

describe('outlines', () => {
  test('circle, square and stadium have the areas and perimeters of the books', () => {
    expect(areaOf(circle(0.2))).toBeCloseTo(Math.PI * 0.04, 12);
    expect(perimeterOf(circle(0.2))).toBeCloseTo(0.4 * Math.PI, 12);
    expect(areaOf({ a: 0.3, b: 0.1, c: 0 })).toBeCloseTo(0.12, 12);
    const stadium = { a: 0.6, b: 0.3, c: 0.3 };
    expect(areaOf(stadium)).toBeCloseTo(0.6 * 0.6 + Math.PI * 0.09, 12);
    expect(perimeterOf(stadium)).toBeCloseTo(1.2 + 0.6 * Math.PI, 12);
  });

  test('area is what a count of points finds inside, and the polygon encloses it', () => {
    fc.assert(
      fc.property(anyOutline, (outline) => {
        const n = 150;
        let inside = 0;
        let agreed = 0;
        for (let i = 0; i < n; i += 1) {
          for (let j = 0; j < n; j += 1) {
            const [x, y] = [
              ((i + 0.5) / n - 0.5) * 2 * outline.a,
              ((j + 0.5) / n - 0.5) * 2 * outline.b,
            ];
            const held = holds(outline, x, y);
            if (held) inside += 1;
            if (held === Math.abs(y) <= reachAt(outline, x) + 1e-9) agreed += 1;
          }
        }
        const counted = (inside / n / n) * 4 * outline.a * outline.b;
        expect(Math.abs(counted / areaOf(outline) - 1)).toBeLessThan(0.015);
        expect(agreed).toBe(n * n);
        for (const [x, y] of outlinePoints(outline)) {
          expect(holds(grown(outline, 1e-9), x, y)).toBe(true);
        }
      }),
      { numRuns: 8 },
    );
  });

  test('a circle is held when its whole edge is', () => {
    fc.assert(
      fc.property(anyOutline, size(0.01, 0.5), size(-1, 1), size(-1, 1), (outline, r, x, y) => {
        if (!holdsCircle(outline, x, y, r)) return;
        for (let i = 0; i < 24; i += 1) {
          const angle = (i * Math.PI) / 12;
          const edge = [x + r * Math.cos(angle), y + r * Math.sin(angle)] as const;
          expect(holds(grown(outline, 1e-9), ...edge)).toBe(true);
        }
      }),
    );
  });
});

describe('volumes', () => {
  test('a tapered pail is the cone frustum of the formula, to 1e-9', () => {
    const [r0, r1, h] = [0.131, 0.1475, 0.368];
    const frustum = ((Math.PI * h) / 3) * (r0 * r0 + r0 * r1 + r1 * r1);
    expect(Math.abs(shapeOf(pail).volumeBelow(h) / frustum - 1)).toBeLessThan(1e-9);
  });

  test('a straight one is a cylinder, a pointed one a cone, a box its three sides', () => {
    const upright = stacked(
      [
        { z: 0, ...circle(0.131) },
        { z: 0.3, ...circle(0.131) },
      ],
      0.002,
    );
    expect(upright.volumeBelow(0.1)).toBeCloseTo(Math.PI * 0.131 ** 2 * 0.1, 12);
    const cone = stacked(
      [
        { z: 0, ...circle(0) },
        { z: 0.3, ...circle(0.1) },
      ],
      0.002,
    );
    expect(cone.volumeBelow(0.3)).toBeCloseTo((Math.PI * 0.1 ** 2 * 0.3) / 3, 12);
    const bed = vesselFrom('bed-large');
    expect(shapeOf(bed).volumeBelow(0.6)).toBeCloseTo(2.4 * 1.2 * 0.6, 12);
  });

  test('a pyramid of a tote agrees with the prismatoid formula', () => {
    const tote = shapeOf({ ...vesselFrom('tote-70'), corner: 0 } as VesselDesign);
    const [a0, am, a1] = [0.53 * 0.34, 0.565 * 0.37, 0.6 * 0.4];
    expect(tote.volumeBelow(0.34)).toBeCloseTo((0.34 / 6) * (a0 + 4 * am + a1), 12);
  });

  test('half of a lying cylinder is half of a cylinder; below a height, its segment', () => {
    const half = lyingCylinder(0.285, 0.86, 0.285, 0.004);
    expect(half.volumeBelow(0.285)).toBeCloseTo((Math.PI * 0.285 ** 2 * 0.86) / 2, 12);
    // R = 1, h = 0.5: acos(0.5) − 0.5·√0.75 = 0.614185
    expect(lyingCylinder(1, 1, 1, 0.01).volumeBelow(0.5)).toBeCloseTo(0.614185, 6);
  });

  test('any vessel’s volume is the integral of its area, adds up, and ends at floor and rim', () => {
    fc.assert(
      fc.property(anyDesign, size(0, 1), size(0, 1), (design, s, t) => {
        const vessel = shapeOf(design.vessel);
        const z = vessel.depth * t;
        const steps = 1500;
        let sum = 0;
        for (let i = 0; i < steps; i += 1) sum += vessel.areaAt(((i + 0.5) * z) / steps);
        expect(vessel.volumeBelow(z)).toBeCloseTo((sum * z) / steps, 4);
        const low = z * s;
        expect(vessel.volumeBelow(low) + vessel.volumeBetween(low, z)).toBeCloseTo(
          vessel.volumeBelow(z),
          12,
        );
        if (z > 1e-3)
          expect(vessel.volumeBelow(vessel.heightForVolume(vessel.volumeBelow(z)))).toBeCloseTo(
            vessel.volumeBelow(z),
            9,
          );
        expect(vessel.volumeBelow(-1)).toBe(0);
        expect(vessel.volumeBelow(9)).toBe(vessel.volumeBelow(vessel.depth));
      }),
      { numRuns: 60 },
    );
  });

  test('a 20 L pail weighs about what one does', () => {
    const kilograms = shellVolume(shapeOf(pail)) * 950;
    expect(kilograms).toBeGreaterThan(0.6);
    expect(kilograms).toBeLessThan(1);
  });

  test('the catalogue’s vessels hold what their names say, within a quarter', () => {
    for (const id of VESSEL_IDS) {
      const shape = shapeOf(vesselFrom(id));
      const named = /-(\d+)$/.exec(id)?.[1];
      const litres = shape.volumeBelow(shape.depth) * 1000;
      expect(litres).toBeGreaterThan(0.3);
      if (!named || !/^(pail|tub|tote|drum|barrel|trough)-\d/.test(id)) continue;
      expect(Math.abs(litres / Number(named) - 1)).toBeLessThan(0.25);
    }
    expect(VESSEL_IDS.length).toBeGreaterThanOrEqual(40);
  });
});

describe('a pour', () => {
  const readings = [
    { volume: 0.002, height: 0.035 },
    { volume: 0.006, height: 0.1 },
    { volume: 0.0127, height: 0.2 },
  ];
  const poured: VesselDesign = {
    ...pail,
    kind: 'poured',
    plan: 'round',
    ratio: 1,
    depth: 0.25,
    readings,
  } as VesselDesign;

  test('goes through every reading and never falls', () => {
    const vessel = shapeOf(poured);
    for (const { volume, height } of readings) {
      expect(vessel.volumeBelow(height)).toBeCloseTo(volume, 12);
    }
    for (let z = 0; z < 0.25; z += 0.001) {
      expect(vessel.volumeBelow(z + 0.001)).toBeGreaterThanOrEqual(vessel.volumeBelow(z));
    }
  });

  test('rising points give a curve that rises and stays between them', () => {
    const rising = fc
      .array(fc.tuple(size(0.01, 1), size(0, 3)), { minLength: 2, maxLength: 9 })
      .map((steps) => {
        let [x, y] = [0, 0];
        return steps.map(([dx, dy]) => [(x += dx), (y += dy)] as const);
      });
    fc.assert(
      fc.property(rising, (points) => {
        const curve = monotoneCurve(
          points.map(([x]) => x),
          points.map(([, y]) => y),
        );
        points.slice(1).forEach(([x1, y1], i) => {
          const [x0, y0] = points[i]!;
          for (let t = 0; t <= 1; t += 0.1) {
            const y = curve.at(x0 + (x1 - x0) * t);
            expect(y).toBeGreaterThanOrEqual(y0 - 1e-9);
            expect(y).toBeLessThanOrEqual(y1 + 1e-9);
            expect(curve.slopeAt(x0 + (x1 - x0) * t)).toBeGreaterThanOrEqual(-1e-9);
          }
        });
      }),
    );
  });
});
