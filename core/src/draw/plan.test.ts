import fc from 'fast-check';
import { STARTING_POINTS } from '../design';
import { resolve } from '../planter';
import { anyDesign } from '../testing/designs';
import { plan } from '.';

test('everything that stands on the floor is drawn inside the wall, apart from the rest', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const planter = resolve(design);
      const { shapes, bounds } = plan(planter);
      const inner = planter.vessel.radiusAt(planter.heights.brim);
      const standing = shapes.filter(({ id }) => /^plan-(support|cup|tube)/.test(id));
      const widest = Math.max(inner, planter.layout.floorRadius);
      for (const { points } of standing) {
        for (const [x, y] of points) expect(Math.hypot(x, y)).toBeLessThanOrEqual(widest + 1e-9);
      }
      for (const { points } of shapes) {
        for (const [x, y] of points) {
          expect(Math.abs(x)).toBeLessThanOrEqual(bounds.right + 1e-9);
          expect(Math.abs(y)).toBeLessThanOrEqual(bounds.top + 1e-9);
        }
      }
      expect(new Set(shapes.map(({ id }) => id)).size).toBe(shapes.length);
    }),
  );
});

test('five bottles and a tube are five bottles and a tube', () => {
  const { shapes } = plan(resolve(STARTING_POINTS[2]!.design));
  expect(shapes.filter(({ id }) => /^plan-support/.test(id))).toHaveLength(5);
  expect(shapes.filter(({ id }) => id === 'plan-tube')).toHaveLength(1);
  const overflow = shapes.find(({ id }) => id === 'plan-overflow')!;
  const breadth = overflow.points.map(([, y]) => y);
  expect(Math.max(...breadth) - Math.min(...breadth)).toBeCloseTo(0.012, 12);
});
