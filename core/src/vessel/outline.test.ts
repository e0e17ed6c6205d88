import fc from 'fast-check';
import { roundVessel, shellVolume, taperedRound } from '.';

const PAIL = { topDiameter: 0.295, bottomDiameter: 0.262, depth: 0.368, wall: 0.002 };

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyVessel = fc
  .array(fc.tuple(size(0.01, 0.3), size(0.02, 0.6)), { minLength: 2, maxLength: 6 })
  .map((steps) => {
    let z = 0;
    const stations = steps.map(([rise, radius], i) => ({ z: i === 0 ? 0 : (z += rise), radius }));
    return roundVessel(stations, 0.002);
  });

describe('a tapered round vessel', () => {
  test('holds what the cone frustum formula says, to 1e-9', () => {
    const r0 = 0.131;
    const r1 = 0.1475;
    const frustum = ((Math.PI * 0.368) / 3) * (r0 * r0 + r0 * r1 + r1 * r1);
    const volume = taperedRound(PAIL).volumeBelow(0.368);
    expect(Math.abs(volume / frustum - 1)).toBeLessThan(1e-9);
  });

  test('a straight one is a cylinder, a pointed one a cone', () => {
    const cylinder = taperedRound({ ...PAIL, topDiameter: 0.262 });
    expect(cylinder.volumeBelow(0.1)).toBeCloseTo(Math.PI * 0.131 ** 2 * 0.1, 12);
    const cone = roundVessel(
      [
        { z: 0, radius: 0 },
        { z: 0.3, radius: 0.1 },
      ],
      0.002,
    );
    expect(cone.volumeBelow(0.3)).toBeCloseTo((Math.PI * 0.1 ** 2 * 0.3) / 3, 12);
  });

  test('weighs about what a 20 L pail weighs', () => {
    const kilograms = shellVolume(taperedRound(PAIL)) * 950;
    expect(kilograms).toBeGreaterThan(0.6);
    expect(kilograms).toBeLessThan(1);
  });
});

describe('any stack of outlines', () => {
  test('volume is the integral of area', () => {
    fc.assert(
      fc.property(anyVessel, fc.double({ min: 0, max: 1, noNaN: true }), (vessel, t) => {
        const z = vessel.depth * t;
        const steps = 4000;
        let sum = 0;
        for (let i = 0; i < steps; i += 1) sum += vessel.areaAt(((i + 0.5) * z) / steps);
        expect(vessel.volumeBelow(z)).toBeCloseTo((sum * z) / steps, 5);
      }),
      { numRuns: 40 },
    );
  });

  test('parts add up, and nothing is below the floor or above the rim', () => {
    fc.assert(
      fc.property(anyVessel, size(0, 1), size(0, 1), (vessel, a, b) => {
        const [z0, z1] = [Math.min(a, b) * vessel.depth, Math.max(a, b) * vessel.depth];
        expect(vessel.volumeBelow(z0) + vessel.volumeBetween(z0, z1)).toBeCloseTo(
          vessel.volumeBelow(z1),
          12,
        );
        expect(vessel.volumeBelow(-1)).toBe(0);
        expect(vessel.volumeBelow(9)).toBe(vessel.volumeBelow(vessel.depth));
      }),
    );
  });
});
