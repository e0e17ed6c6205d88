import fc from 'fast-check';
import { STARTING_POINTS } from '../document';
import { assemble } from '../assembly';
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
      const planter = assemble(design);
      const { shapes, bounds } = section(planter);
      expect(bounds.right).toBeGreaterThan(0);
      for (const shape of shapes) {
        const within = CONTENTS.has(shape.ink) && !planter.bed.separate;
        const wrong = shape.points.filter(
          ([x, z]) =>
            !(Number.isFinite(x) && Number.isFinite(z)) ||
            (within &&
              !(
                Math.abs(x) <= planter.vessel.halfAt(z) + 2.001e-3 &&
                z >= -1e-9 &&
                x <= bounds.right + 2e-3 &&
                z <= bounds.top + 1e-9
              )),
        );
        expect([shape.id, wrong]).toEqual([shape.id, []]);
      }
      expect(new Set(shapes.map((shape) => shape.id)).size).toBe(shapes.length);
    }),
  );
});

test('the drawing is to scale: walls, water and platform stand where the design puts them', () => {
  const design = STARTING_POINTS[0]!.design;
  const { shapes, dimensions, water } = section(assemble(design));
  const find = (id: string): Shape => shapes.find((shape) => shape.id === id)!;
  const heights = (shape: Shape) => shape.points.map(([, z]) => z);
  const lip = 0.08;
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

test('every family shows what it is made of', () => {
  const inks = (id: string) =>
    new Set(
      section(assemble(STARTING_POINTS.find((point) => point.id === id)!.design)).shapes.map(
        (shape) => shape.ink,
      ),
    );
  const count = (id: string, ink: string) =>
    section(assemble(STARTING_POINTS.find((point) => point.id === id)!.design)).shapes.filter(
      (shape) => shape.ink === ink,
    ).length;
  expect(count('trough-pipes', 'pipe')).toBe(3);
  expect(count('coil-barrel', 'pipe')).toBe(2);
  for (const ink of ['liner', 'leg', 'stone'] as const) {
    expect(inks('box-legs').has(ink)).toBe(true);
  }
  expect(count('box-legs', 'leg')).toBe(2);
  expect(count('rock-bed', 'stone')).toBe(1);
  expect(inks('air-barrel').has('sand')).toBe(true);
  expect(count('air-barrel', 'opening')).toBeGreaterThan(12);
  expect(inks('tank-crates').has('crate')).toBe(true);
  expect(inks('stick-pail').has('stick')).toBe(true);
  expect(count('gutter-pails', 'wall')).toBe(6);
  expect(count('nested-totes', 'wall')).toBe(2);
  const neck = section(assemble(STARTING_POINTS.find((p) => p.id === 'bottle')!.design));
  const soil = neck.shapes.find((shape) => shape.id === 'soil')!;
  const widths = soil.points.map(([x]) => Math.abs(x));
  expect(Math.min(...widths)).toBeCloseTo(0.015, 6);
  expect(Math.max(...widths)).toBeGreaterThan(0.05);
});
