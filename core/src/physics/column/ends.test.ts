import fc from 'fast-check';
import { MIXES, MIX_IDS } from '../../catalog';
import { fixedHead, hydraulicTableFor, steady, surfaceGives, uniform, type End } from '.';

/** What happens at the ends of a column, each against what it stands for. */

const two = new Float64Array(2);
const at = (end: End, h: number): [number, number] => {
  end.flux(h, two);
  return [two[0]!, two[1]!];
};
const anyMix = fc.constantFrom(...MIX_IDS).map((id) => hydraulicTableFor(MIXES[id]));
const head = fc.double({ min: -8, max: -0.005, noNaN: true });

test('a steady flux is what it is at any head', () => {
  fc.assert(
    fc.property(head, fc.double({ min: -1e-5, max: 1e-5, noNaN: true }), (h, into) => {
      expect(at(steady(into), h)).toEqual([into, 0]);
    }),
  );
});

describe('an end that is held at a head', () => {
  const cellsOf = (medium: ReturnType<typeof hydraulicTableFor>, area = 0.05) =>
    uniform(medium, 0.3, 30, area);

  test('lets nothing through where water hangs from it at rest, at either end', () => {
    fc.assert(
      fc.property(anyMix, head, (medium, held) => {
        const cells = cellsOf(medium);
        const half = cells.dz / 2;
        // At rest the head falls by as much as the height rises.
        expect(at(fixedHead(cells, held, 'bottom'), held - half)[0]).toBeCloseTo(0, 15);
        expect(at(fixedHead(cells, held, 'top'), held + half)[0]).toBeCloseTo(0, 15);
      }),
    );
  });

  test('brings water into what is drier and takes it out of what is wetter', () => {
    fc.assert(
      fc.property(
        anyMix,
        head,
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        (medium, held, by) => {
          const cells = cellsOf(medium);
          const rest = held - cells.dz / 2;
          const bottom = fixedHead(cells, held, 'bottom');
          expect(at(bottom, rest - by)[0]).toBeGreaterThan(0);
          expect(at(bottom, Math.min(rest + by, 0.2))[0]).toBeLessThan(0);
        },
      ),
    );
  });

  test('is Darcy’s law over half a cell, and twice the area is twice the flow', () => {
    fc.assert(
      fc.property(anyMix, head, head, (medium, held, h) => {
        const one = at(fixedHead(cellsOf(medium), held, 'bottom'), h)[0];
        const cells = cellsOf(medium, 0.1);
        const K = (medium.K(held) + medium.K(h)) / 2;
        const exact = (0.1 * K * (held - h - cells.dz / 2)) / (cells.dz / 2);
        const both = at(fixedHead(cells, held, 'bottom'), h)[0];
        expect(both).toBeCloseTo(exact, 15);
        expect(both).toBeCloseTo(2 * one, 15);
      }),
    );
  });
});

describe('a drying surface', () => {
  test.each([
    [0, 1],
    [-0.5, 1],
    [-Math.sqrt(0.5 * 20), 0.5],
    [-20, 0],
    [-100, 0],
  ])('at %d m it gives %d of what the air asks', (h, share) => {
    surfaceGives(3e-8, h, two);
    expect(two[0]).toBeCloseTo(-3e-8 * share, 16);
  });

  test('never gives more when it is drier, and never takes water in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 0.1, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (h, by) => {
          surfaceGives(1e-7, h, two);
          const wet = two[0]!;
          expect(two[1]!).toBeLessThanOrEqual(0);
          surfaceGives(1e-7, h - by, two);
          expect(two[0]!).toBeGreaterThanOrEqual(wet - 1e-20);
          expect(two[0]!).toBeLessThanOrEqual(0);
        },
      ),
    );
  });
});
