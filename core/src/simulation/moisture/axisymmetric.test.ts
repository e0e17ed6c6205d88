import fc from 'fast-check';
import { applyPatch, STARTING_POINTS, type Patch } from '../../document';
import { assemble } from '../../assembly';
import { banded, type FivePointSystem } from '../../numerics';
import { moistureField } from '.';
import { gridOf, type Body, type Grid } from './grid';
import { coveredOfRing, fromRings, isAlikeRound, ringsOf } from './axisymmetric';

const pail: Body = {
  outlineAt: (z) => ({ a: 0.12 + 0.1 * z, b: 0.12 + 0.1 * z, c: 0.12 + 0.1 * z }),
  ...{ from: 0, to: 0.3, alikeX: true, alikeY: true },
};
const sum = (list: Float64Array): number => list.reduce((all, one) => all + one, 0);
const planterOf = (id: string, patch: Patch = []) =>
  assemble(applyPatch(STARTING_POINTS.find((one) => one.id === id)!.design, patch));

describe('a round body in rings', () => {
  test('holds the volume of a frustum, and its base and surface', () => {
    const rings = ringsOf(pail, 40, 20);
    const exact = (Math.PI * 0.3 * (0.12 ** 2 + 0.12 * 0.15 + 0.15 ** 2)) / 3;
    expect(Math.abs(sum(rings.volume) / exact - 1)).toBeLessThan(0.005);
    expect(Math.abs(sum(rings.base) / (Math.PI * 0.12 ** 2) - 1)).toBeLessThan(0.005);
    const surface = Float64Array.from({ length: 40 }, (_, i) => rings.up[i * 20 + 19]!);
    expect(Math.abs(sum(surface) / (Math.PI * 0.15 ** 2) - 1)).toBeLessThan(0.005);
  });

  test('a disc about the axis covers its area, whatever the rings', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.14, noNaN: true }),
        fc.integer({ min: 4, max: 60 }),
        (r, count) => {
          const straight = { ...pail, outlineAt: () => ({ a: 0.15, b: 0.15, c: 0.15 }) };
          const rings = ringsOf(straight, count, 4);
          const covered = rings.base.reduce(
            (all, area, ring) => all + area * coveredOfRing(rings, ring, [{ x: 0, y: 0, r }]),
            0,
          );
          expect(covered / (Math.PI * Math.max(r, rings.dx / 2) ** 2)).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  test('is told from one that is not: by its outline, its wicks and its plants', () => {
    const centre = [{ x: 0, y: 0, r: 0.05 }];
    expect(isAlikeRound(pail, centre)).toBe(true);
    expect(isAlikeRound(pail, [])).toBe(true);
    expect(isAlikeRound(pail, [...centre, { x: 0.06, y: 0, r: 0.02 }])).toBe(false);
    const square = { ...pail, outlineAt: () => ({ a: 0.15, b: 0.15, c: 0 }) };
    expect(isAlikeRound(square, centre)).toBe(false);
  });

  test('its heads stand where the boxes stand', () => {
    const rings = ringsOf(pail, 60, 6);
    const grid = gridOf(pail, 0.015, 6);
    // A head that grows with the distance from the axis comes back as that.
    const h = Float64Array.from({ length: rings.volume.length }, (_, c) =>
      rings.volume[c]! > 0 ? (Math.floor(c / 6) + 0.5) * rings.dx : 0,
    );
    fromRings(rings, h, grid).forEach((head, cell) => {
      if (grid.volume[cell] === 0) return;
      const column = Math.floor(cell / 6);
      const r = Math.hypot(
        ((column % grid.nx) + 0.5) * grid.dx,
        (Math.floor(column / grid.nx) + 0.5) * grid.dy,
      );
      expect(Math.abs(head - r)).toBeLessThan(0.012);
    });
  });
});

describe('a pail with its wick and its plant in the middle', () => {
  // Beside the axis by more than counts as in it, everything is worked out in boxes.
  const aside: Patch = [{ path: ['wicks', 0, 'at'], value: [{ x: 0.004, y: 0 }] }];

  test.each([1, 0.3])('is the same in rings as in boxes, filled to %d', (share) => {
    const inRings = planterOf('cloth-pail');
    const inBoxes = planterOf('cloth-pail', aside);
    const question = (planter: typeof inRings) => ({
      level: share * planter.heights.brim,
      et: planter.design.place.etHot,
    });
    const [a, b] = [inRings, inBoxes].map((one) => moistureField(one, question(one)));
    expect(a!.imbalance).toBeLessThan(1e-3);
    expect(Math.abs(a!.drunk - b!.drunk)).toBeLessThan(0.01);
    for (const word of ['wet', 'easy', 'dry'] as const)
      expect(Math.abs(a!.shares[word] - b!.shares[word])).toBeLessThan(0.03);
  });

  test('is wetter over its wick than at the wall', () => {
    const planter = planterOf('cloth-pail');
    const { grid, h } = moistureField(planter, {
      level: 0.3 * planter.heights.brim,
      et: planter.design.place.etHot,
    });
    const at = (column: number) => h[column * grid.nz]!;
    expect(at(0)).toBeGreaterThan(at(Math.floor(grid.nx * 0.7)));
  });
});

test('elimination in the band solves what it is given, for any body one box broad', () => {
  const coefficient = fc.double({ min: -1, max: 0, noNaN: true });
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 7 }),
      fc.integer({ min: 1, max: 6 }),
      fc.array(coefficient, { minLength: 200, maxLength: 200 }),
      fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 42, maxLength: 42 }),
      (nx, nz, values, wanted) => {
        const n = nx * nz;
        const list = () => new Float64Array(n);
        const system: FivePointSystem = {
          ...{ diagonal: list(), east: list(), north: list(), up: list() },
          ...{ west: list(), south: list(), down: list() },
        };
        let next = 0;
        const value = () => values[next++ % values.length]!;
        for (let c = 0; c < n; c += 1) {
          if ((c + 1) % nz !== 0) [system.up[c], system.down[c]] = [value(), value()];
          if (c + nz < n) [system.east[c], system.west[c]] = [value(), value()];
        }
        // More than its neighbours together, as a flow with some storage has it.
        system.diagonal.fill(4.5);
        const x = Float64Array.from({ length: n }, (_, c) => wanted[c % wanted.length]!);
        const right = Float64Array.from({ length: n }, (_, c) => {
          const of = (at: number, by: number | undefined) =>
            at >= 0 && at < n ? (by ?? 0) * x[at]! : 0;
          return (
            4.5 * x[c]! +
            of(c + 1, system.up[c]) +
            of(c - 1, system.down[c - 1]) +
            of(c + nz, system.east[c]) +
            of(c - nz, system.west[c - nz])
          );
        });
        const grid = { nx, ny: 1, nz } as Grid;
        banded(grid, system)(right).forEach((one, c) => expect(one).toBeCloseTo(x[c]!, 9));
      },
    ),
  );
});
