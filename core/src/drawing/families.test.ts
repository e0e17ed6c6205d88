import { VESSEL_IDS } from '../catalog';
import { applyPatch, STARTING_POINTS, vesselFrom, type Patch } from '../document';
import { pour, assemble } from '../assembly';
import { shapeOf } from '../geometry/vessels';
import { plan, plantingView, section, vesselSection, type Shape } from '.';

/** What the drawings of each family must show, beyond being inside their vessel. */

const planterOf = (id: string, patch: Patch = []) =>
  assemble(applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch));
const drawn = (id: string, patch: Patch = [], level?: number) =>
  section(planterOf(id, patch), level).shapes;
const one = (shapes: readonly Shape[], id: string) => shapes.find((shape) => shape.id === id)!;
const xs = (shape: Shape) => shape.points.map(([x]) => x);
const zs = (shape: Shape) => shape.points.map(([, z]) => z);

test('every family is drawn with ids that stand once and numbers that are numbers', () => {
  for (const { id, design } of STARTING_POINTS) {
    const planter = assemble(design);
    for (const { shapes, bounds } of [section(planter), plan(planter), plantingView(planter)]) {
      expect([id, new Set(shapes.map((shape) => shape.id)).size]).toEqual([id, shapes.length]);
      for (const shape of shapes) {
        const wrong = shape.points.filter(
          ([x, y]) => !(x >= bounds.left - 0.1 && x <= bounds.right + 0.1 && Number.isFinite(y)),
        );
        expect([id, shape.id, wrong]).toEqual([id, shape.id, []]);
      }
    }
  }
});

test.each(STARTING_POINTS.map(({ id }) => id))('%s: no root goes through a wall', (id) => {
  const planter = planterOf(id);
  const { bed, vessel, heights } = planter;
  const { shapes } = section(planter);
  for (const { id: name, ink, points } of shapes) {
    if (ink !== 'root') continue;
    for (const [x, z] of points) {
      const within =
        bed.separate && z >= heights.base
          ? bed.places.some((at) => Math.abs(x - at.x) <= bed.inside.halfAt(z - bed.floor))
          : Math.abs(x) <= vessel.halfAt(Math.max(z, 0));
      expect([name, x, z, within]).toEqual([name, x, z, true]);
    }
  }
});

test('water in a pipe stands as high as outside it', () => {
  const shapes = drawn('trough-pipes', [], 0.06);
  for (const i of [0, 1, 2]) {
    expect(Math.max(...zs(one(shapes, `lying-0-${i}-water`)))).toBeCloseTo(0.06, 6);
  }
  expect(drawn('trough-pipes', [], 0).some(({ ink }) => ink === 'water')).toBe(false);
});

test('a lying vessel shows its round, and stands on its lowest line', () => {
  const wall = one(drawn('lying-barrel'), 'wall');
  expect(Math.max(...xs(wall))).toBeCloseTo(0.285 + 0.004, 3);
  expect(Math.min(...zs(wall))).toBeCloseTo(-0.004, 3);
});

test('layers lie on one another up to the base', () => {
  const shapes = drawn('rock-bed');
  const [rock, sand] = [one(shapes, 'fill-0'), one(shapes, 'fill-1')];
  expect([rock.ink, sand.ink]).toEqual(['stone', 'sand']);
  expect(Math.max(...zs(rock))).toBeCloseTo(0.16, 9);
  expect(Math.min(...zs(sand))).toBeCloseTo(0.16, 9);
  expect(Math.max(...zs(sand))).toBeCloseTo(0.2, 9);
});

test('a blanket lies between crates and mix, a straw layer marks where to stop', () => {
  const shapes = drawn('tank-crates');
  expect(zs(one(shapes, 'layer-1')).map((z) => z.toFixed(3))).toContain('0.130');
  expect(Math.max(...zs(one(shapes, 'layer-1')))).toBeCloseTo(0.15, 9);
  expect(one(shapes, 'layer-2').ink).toBe('straw');
});

test('five pails stand on the lid of their channel, each with its plant', () => {
  const shapes = drawn('gutter-pails');
  for (let i = 0; i < 5; i += 1) {
    expect(Math.min(...zs(one(shapes, `bed-${i}`)))).toBeCloseTo(0.11, 3);
    expect(shapes.some(({ id }) => id.startsWith(`root-${i}-`))).toBe(true);
  }
  expect(one(shapes, 'channel-lid').ink).toBe('platform');
  expect(one(shapes, 'float')).toBeDefined();
});

test('an upper vessel stands as high as its crates', () => {
  const shapes = drawn('nested-totes');
  const upper = one(shapes, 'bed-0');
  expect(Math.max(...zs(upper))).toBeCloseTo(0.115 + 0.0022 + 0.31, 6);
  expect(Math.max(...zs(one(shapes, 'wall')))).toBeCloseTo(0.31, 9);
});

test('an elbow turned up is drawn to its lip, a row of holes as many times as there are rows', () => {
  const elbow = one(drawn('stone-pot'), 'overflow-rise');
  expect(Math.max(...zs(elbow))).toBeCloseTo(0.064 + 0.008, 6);
  const rows = drawn('air-barrel').filter(({ id }) => /^overflow(-\d)?$/.test(id));
  expect(rows).toHaveLength(4);
  expect(drawn('bag-tray').some(({ id }) => id === 'overflow')).toBe(false);
});

test('a worm tube is full of scraps and begins at the soil, an inspection pipe at the floor', () => {
  const worm = one(drawn('nested-totes'), 'pipe-0-bore');
  expect(worm.ink).toBe('straw');
  expect(Math.min(...zs(worm))).toBeCloseTo(0.115 + 0.0022, 6);
  const look = one(drawn('film-bed'), 'pipe-0-bore');
  expect(look.ink).toBe('air');
  expect(Math.min(...zs(look))).toBeCloseTo(0, 9);
});

test('the pour is drawn where it stands, in a tray around its bags', () => {
  const planter = planterOf('bag-tray');
  const { level } = pour(planter, 0.004);
  const { shapes, water } = section(planter, level);
  expect(water!.level).toBe(level);
  expect(Math.max(...zs(one(shapes, 'water')))).toBeCloseTo(level, 9);
  expect(Math.max(...zs(one(shapes, 'soaked')))).toBeCloseTo(level, 9);
});

test('from above: pipes, crates and columns lie where the layout put them', () => {
  const above = plan(planterOf('tank-crates')).shapes;
  expect(above.filter(({ ink }) => ink === 'crate')).toHaveLength(9);
  expect(above.filter(({ id }) => /^plan-column-0-\d$/.test(id))).toHaveLength(4);
  const trough = plan(planterOf('trough-pipes')).shapes;
  expect(trough.filter(({ id }) => /^plan-lying-0-\d-edge$/.test(id))).toHaveLength(3);
  const coil = plan(planterOf('coil-barrel')).shapes;
  expect(coil.filter(({ id }) => /^plan-lying-0-\d(-in)?$/.test(id))).toHaveLength(2);
});

test('a vessel alone is drawn full, as deep and as wide as it is', () => {
  for (const id of VESSEL_IDS) {
    const vessel = shapeOf(vesselFrom(id));
    const { shapes, bounds } = vesselSection(vesselFrom(id));
    expect(Math.max(...zs(one(shapes, 'water')))).toBeCloseTo(vessel.depth, 9);
    expect(bounds.top).toBeCloseTo(vessel.depth, 9);
    expect(bounds.right).toBeCloseTo(-bounds.left, 9);
  }
});
