import fc from 'fast-check';
import { STARTING_POINTS } from '../design';
import { resolve } from '../planter';
import { anyDesign } from '../testing/designs';
import { section, type Shape } from '.';

const CONTENTS = new Set([
  'water',
  'soil',
  'soaked',
  'support',
  'platform',
  'bottle',
  'cloth',
  'cup',
]);

test('nothing inside is drawn outside the vessel, and every number is finite', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const planter = resolve(design);
      const { shapes, bounds } = section(planter);
      for (const shape of shapes) {
        for (const [x, z] of shape.points) {
          expect(Number.isFinite(x) && Number.isFinite(z)).toBe(true);
          if (!CONTENTS.has(shape.ink)) continue;
          expect(Math.abs(x)).toBeLessThanOrEqual(planter.vessel.radiusAt(z) + 2.001e-3);
          expect(z).toBeGreaterThanOrEqual(-1e-9);
          expect(z).toBeLessThanOrEqual(bounds.top + 1e-9);
        }
      }
      expect(new Set(shapes.map((shape) => shape.id)).size).toBe(shapes.length);
    }),
  );
});

test('the drawing is to scale: walls, water and platform stand where the design puts them', () => {
  const design = STARTING_POINTS[0]!.design;
  const { shapes, dimensions, water } = section(resolve(design));
  const find = (id: string): Shape => shapes.find((shape) => shape.id === id)!;
  const heights = (shape: Shape) => shape.points.map(([, z]) => z);
  const lip = design.overflow!.centre - design.overflow!.diameter / 2;
  expect(Math.max(...heights(find('water')))).toBeCloseTo(lip, 12);
  expect(water!.level).toBeCloseTo(lip, 12);
  expect(Math.min(...heights(find('overflow')))).toBeCloseTo(lip, 12);
  expect(Math.min(...heights(find('platform-0')))).toBe(0.1);
  expect(Math.max(...find('wall').points.map(([x]) => x))).toBeCloseTo(0.295 / 2 + 0.002, 12);
  const upright = dimensions.filter((d) => d.side === 'right');
  const total = upright.reduce((sum, d) => sum + d.value, 0);
  // Platform thickness is the one height that is not dimensioned.
  expect(total).toBeCloseTo(0.368 - 0.003, 12);
});
