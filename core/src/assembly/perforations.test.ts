import fc from 'fast-check';
import { applyPatch, STARTING_POINTS } from '../document';
import { holdsCircle } from '../geometry/vessels';
import { anyDesign, drains } from '../testing/designs';
import { assemble, drainHoles, drilledSheet, drilledTo, platformOpenings } from '.';
import { BRIDGE } from './openings';

const holesOf = (design: (typeof STARTING_POINTS)[number]['design']) => {
  const planter = assemble(design);
  const sheet = drilledSheet(planter);
  const through = platformOpenings(planter).map((one) => ({ ...one, r: drilledTo(one) / 2 }));
  const taken = through.map(({ x, y, r }) => ({ x, y, r: r + BRIDGE }));
  return {
    sheet,
    through,
    ...(sheet ? drainHoles(planter, sheet, taken) : { spots: [], diameter: 0 }),
  };
};

test('own holes for rain: never more than asked, on the sheet, clear of each other and of what goes through', () => {
  fc.assert(
    fc.property(anyDesign, drains, (design, own) => {
      const asked = { ...design, reservoir: { ...design.reservoir, drains: own } };
      const { sheet, through, spots, diameter } = holesOf(asked);
      expect(spots.length).toBeLessThanOrEqual(own.count);
      if (!sheet) return;
      expect(diameter).toBe(own.diameter);
      const r = own.diameter / 2;
      spots.forEach((one, i) => {
        expect(holdsCircle(sheet, one.x, one.y, r)).toBe(true);
        const clear = (x: number, y: number, other: number): boolean =>
          Math.hypot(one.x - x, one.y - y) >= r + other - 1e-9;
        expect(spots.slice(i + 1).every(({ x, y }) => clear(x, y, r))).toBe(true);
        expect(through.every((hole) => clear(hole.x, hole.y, hole.r))).toBe(true);
      });
    }),
    { numRuns: 80 },
  );
});

test('every starting point with a rigid sheet takes five of 20 mm, one, or none', () => {
  const having = (count: number, diameter: number) =>
    STARTING_POINTS.filter(({ design }) => drilledSheet(assemble(design)) !== null).map(
      ({ id, design }) =>
        [
          id,
          holesOf(
            applyPatch(design, [{ path: ['reservoir', 'drains'], value: { count, diameter } }]),
          ).spots.length,
        ] as const,
    );
  for (const count of [0, 1, 5])
    expect(having(count, 0.02).filter(([, has]) => has !== count)).toEqual([]);
});
