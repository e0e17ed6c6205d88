import fc from 'fast-check';
import { STARTING_POINTS } from '../document';
import { assemble } from '../assembly';
import { anyDesign } from '../testing/designs';
import { plan, planTurned, plantingView, type Shape } from '.';

/** Points of shapes farther from the middle than these, metres; also those that are no numbers. */
const outside = (shapes: readonly Shape[], right: number, top: number) =>
  shapes.flatMap(({ id, points }) =>
    points.flatMap(([x, y]) => (Math.abs(x) <= right && Math.abs(y) <= top ? [] : [{ id, x, y }])),
  );

test('everything that stands on the floor is drawn inside the wall, apart from the rest', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const planter = assemble(design);
      const { shapes, bounds } = plan(planter);
      const inner = planter.vessel.outlineAt(planter.vessel.flat ? planter.heights.brim : 9);
      const standing = shapes.filter(({ id }) => /^plan-(standing|cup|column)/.test(id));
      const floor = planter.floor;
      const widest = { a: Math.max(inner.a, floor.a) + 1e-6, b: Math.max(inner.b, floor.b) + 1e-6 };
      const inside = planter.design.bed?.kind === 'row' ? [] : standing;
      expect(outside(inside, widest.a, widest.b)).toEqual([]);
      expect(outside(shapes, bounds.right + 1e-9, bounds.top + 1e-9)).toEqual([]);
      expect(new Set(shapes.map(({ id }) => id)).size).toBe(shapes.length);
    }),
  );
});

test('five bottles and a tube are five bottles and a tube', () => {
  const { shapes } = plan(assemble(STARTING_POINTS[2]!.design));
  expect(shapes.filter(({ id }) => /^plan-standing-\d-\d$/.test(id))).toHaveLength(5);
  expect(shapes.filter(({ id }) => id === 'plan-tube')).toHaveLength(1);
  const overflow = shapes.find(({ id }) => id === 'plan-overflow')!;
  const [, one, other] = overflow.points;
  // Across, whichever way its place round the wall turns it.
  expect(Math.hypot(one![0] - other![0], one![1] - other![1])).toBeCloseTo(0.012, 12);
});

test('every plant that fits has its place on the soil, and none overlaps another', () => {
  for (const { design } of STARTING_POINTS.filter((point) => point.design.bed === null)) {
    const planter = assemble(design);
    const places = plantingView(planter).shapes.filter(({ ink }) => ink === 'place');
    expect(places.length).toBeGreaterThan(0);
    expect(places.length).toBeLessThanOrEqual(design.planting.crops[0]?.count ?? 0);
    const middles = places.map(({ points }) => {
      const sum = points.reduce(([a, b], [x, y]) => [a + x, b + y] as const, [0, 0] as const);
      return [sum[0] / points.length, sum[1] / points.length] as const;
    });
    middles.forEach(([x, y], i) =>
      middles
        .slice(i + 1)
        .forEach(([u, v]) =>
          expect(Math.hypot(x - u, y - v)).toBeGreaterThan(
            (design.planting.crops[0]?.spacing ?? 0) * 0.99,
          ),
        ),
    );
  }
});

test('a plan turned by a quarter has its front on the left; four turns bring it back', () => {
  const trough = STARTING_POINTS.find(({ id }) => id === 'trough-pipes')!.design;
  const upright = plan(assemble(trough));
  const lying = planTurned(upright);
  const { bounds } = lying;
  expect(bounds.right - bounds.left).toBeCloseTo(upright.bounds.top - upright.bounds.bottom, 12);
  expect(bounds.top - bounds.bottom).toBeCloseTo(upright.bounds.right - upright.bounds.left, 12);
  const front = upright.shapes.map(({ points }) => Math.min(...points.map(([, y]) => y)));
  const left = lying.shapes.map(({ points }) => Math.min(...points.map(([x]) => x)));
  expect(left).toEqual(front);
  const again = planTurned(planTurned(planTurned(lying)));
  expect(again.bounds).toEqual(upright.bounds);
  again.shapes.forEach(({ points }, i) => {
    points.forEach(([x, y], k) => {
      expect(x).toBeCloseTo(upright.shapes[i]!.points[k]![0], 12);
      expect(y).toBeCloseTo(upright.shapes[i]!.points[k]![1], 12);
    });
  });
});
