import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { pour, assemble } from '../assembly';
import { section, type Ink, type Shape } from '.';

const drawn = (id: string, patch: Patch = [], level?: number) =>
  section(
    assemble(applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch)),
    level,
  );
const of = (shapes: readonly Shape[], ink: Ink) => shapes.filter((shape) => shape.ink === ink);
const xs = (shape: Shape) => shape.points.map(([x]) => x);
const zs = (shape: Shape) => shape.points.map(([, z]) => z);

describe('each build looks like itself', () => {
  test('a split ring is cut twice, open, with water inside', () => {
    const { shapes } = drawn('cloth-pail');
    const walls = of(shapes, 'support');
    expect(walls).toHaveLength(2);
    expect(Math.max(...xs(walls[1]!))).toBeCloseTo(0.08, 12);
    expect(of(shapes, 'vent').length).toBeGreaterThan(0);
    expect(shapes.some((shape) => shape.id === 'ring-0-air')).toBe(false);
  });

  test('a closed ring shows the air that it catches, up to the water outside', () => {
    const { shapes } = drawn('cloth-pail', [
      { path: ['reservoir', 'parts', 0, 'vents'], value: 'foot' },
    ]);
    const air = shapes.find((shape) => shape.id === 'ring-0-air')!;
    expect(Math.min(...zs(air))).toBeLessThan(0.003);
    expect(Math.max(...zs(air))).toBeCloseTo(0.08, 12);
    expect(of(shapes, 'vent')).toEqual([]);
  });

  test('bottles stand on the floor and end at their height; the mix reaches the floor', () => {
    const { shapes } = drawn('bottle-pail');
    const bottles = of(shapes, 'bottle');
    expect(bottles.length).toBeGreaterThanOrEqual(2);
    for (const bottle of bottles) {
      expect(Math.min(...zs(bottle))).toBe(0);
      expect(Math.max(...zs(bottle))).toBeCloseTo(0.12, 12);
    }
    expect(Math.min(...zs(of(shapes, 'soil')[0]!))).toBe(0);
    expect(of(shapes, 'platform')).toEqual([]);
  });

  test('a cup hangs through the platform, its mix wet to the water', () => {
    const { shapes } = drawn('cup-pail');
    const cup = of(shapes, 'cup')[0]!;
    expect(Math.max(...xs(cup)) - Math.min(...xs(cup))).toBeCloseTo(0.1, 12);
    const wet = shapes.find((shape) => shape.id === 'cup-0-0-wet')!;
    expect(Math.max(...zs(wet))).toBeCloseTo(0.07, 12);
    const gaps = of(shapes, 'platform').map((piece) => [
      Math.min(...xs(piece)),
      Math.max(...xs(piece)),
    ]);
    expect(gaps.every(([a, b]) => b! <= -0.05 + 1e-9 || a! >= 0.05 - 1e-9)).toBe(true);
  });
});

describe('the tube', () => {
  const feet = (foot: string) => {
    const { shapes } = drawn('cloth-pail', [{ path: ['fillTube', 'foot'], value: foot }]);
    return Math.max(...zs(shapes.find((s) => s.id === 'tube-near')!).filter((z) => z < 0.2));
  };

  test('stands on the floor, its near side cut as its foot says', () => {
    expect(feet('square')).toBe(0);
    expect(feet('bevel')).toBeCloseTo(0.032, 12);
    expect(feet('notch')).toBeCloseTo(0.016, 12);
  });

  test('is capped, sponged or open, and left out when there is none', () => {
    const caps = (cap: string) =>
      of(drawn('cloth-pail', [{ path: ['fillTube', 'cap'], value: cap }]).shapes, 'cap').length;
    expect([caps('cap'), caps('sponge'), caps('open')]).toEqual([1, 1, 0]);
    const none = drawn('cloth-pail', [{ path: ['fillTube'], value: null }]);
    expect(of(none.shapes, 'tube')).toEqual([]);
    expect(none.bounds.top).toBeLessThan(drawn('cloth-pail').bounds.top + 1e-9);
  });
});

describe('water', () => {
  test('stands where it was poured to, in the tube as well', () => {
    const planter = assemble(STARTING_POINTS[0]!.design);
    const { level } = pour(planter, 0.002);
    const { shapes, water } = section(planter, level);
    expect(water!.level).toBe(level);
    for (const shape of of(shapes, 'water')) {
      expect(Math.max(...zs(shape))).toBeLessThanOrEqual(level + 1e-12);
    }
    expect(of(shapes, 'water').length).toBe(2);
  });

  test('is not drawn in an empty planter', () => {
    const { shapes, water } = drawn('cloth-pail', [], 0);
    expect(of(shapes, 'water')).toEqual([]);
    expect(water).toBeNull();
  });

  test('above the platform the soil is soaked', () => {
    const { shapes } = drawn('cloth-pail', [], 0.15);
    expect(Math.max(...zs(of(shapes, 'soaked')[0]!))).toBeCloseTo(0.15, 12);
    expect(of(drawn('cloth-pail').shapes, 'soaked')).toEqual([]);
  });
});

describe('what is left out is not drawn', () => {
  test.each<[Ink, Patch]>([
    ['opening', [{ path: ['overflow'], value: null }]],
    ['screen', [{ path: ['overflow', 'screened'], value: false }]],
    ['separator', [{ path: ['layers'], value: [] }]],
    ['mulch', [{ path: ['soil', 'mulch'], value: 'none' }]],
    ['cloth', [{ path: ['wicks'], value: [] }]],
    ['root', [{ path: ['planting', 'crops', 0, 'count'], value: 0 }]],
    ['leaf', [{ path: ['planting', 'crops', 0, 'count'], value: 0 }]],
  ])('%s', (ink, patch) => {
    expect(of(drawn('cloth-pail').shapes, ink).length).toBeGreaterThan(0);
    expect(of(drawn('cloth-pail', patch).shapes, ink)).toEqual([]);
  });
});

test('dimensions name what they measure, and an overflow above the platform has no air to show', () => {
  const { dimensions } = drawn('cloth-pail');
  expect(dimensions.map((d) => d.id)).toEqual([
    'water',
    'air',
    'soil',
    'freeboard',
    'floor',
    'rim',
  ]);
  const high = drawn('cloth-pail', [{ path: ['overflow', 'centre'], value: 0.13 }]);
  expect(high.dimensions.map((d) => d.id)).not.toContain('air');
  expect(high.dimensions.find((d) => d.id === 'water')!.value).toBeCloseTo(0.1, 12);
});
