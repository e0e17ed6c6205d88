import fc from 'fast-check';
import { STARTING_POINTS, vesselFrom, type PartDesign, type PartOf } from '../design';
import { resolve } from '../planter';
import { shapeOf, turned, type Vessel } from '../vessel';
import { EMPTY, pack } from './arrange';
import { obstacles } from './obstacles';
import { archProfile, lengthOf, placePart } from './parts';

const trough = turned(shapeOf(vesselFrom('trough-270')));
const barrel = shapeOf(vesselFrom('barrel-half'));
const box = shapeOf(vesselFrom('box-legs'));
const place = (design: PartDesign, vessel: Vessel, top = 0.15) =>
  placePart(design, 0, vessel, top, EMPTY);

const pipe = (patch: Partial<PartOf<'lying'>> = {}): PartOf<'lying'> => ({
  kind: 'lying',
  lay: 'runs',
  count: 3,
  diameter: 0.1,
  wall: 0.002,
  sock: false,
  ...patch,
});

describe('lying pipes', () => {
  test('how many fit is a question of width', () => {
    // 560 mm at the floor, 40 mm wider over 460 mm of height: 0.5643 m at the height of the middle.
    expect(place(pipe({ count: 9 }), trough)).toMatchObject({ wanted: 9, placed: 5 });
    expect(place(pipe({ count: 9, diameter: 0.15 }), trough).placed).toBe(3);
    expect(place(pipe({ count: 9 }), trough).room()).toBe(5);
  });

  test('take out their walls and give back their bore, as circles by the metre', () => {
    const part = place(pipe({ count: 2 }), trough);
    const metres = part.runs.reduce((sum, run) => sum + lengthOf(run), 0);
    expect(part.outerBelow(0.05)).toBeCloseTo((metres * Math.PI * 0.05 ** 2) / 2, 12);
    expect(part.outerBelow(0.3)).toBeCloseTo(metres * Math.PI * 0.05 ** 2, 12);
    expect(part.waterBelow(0.3)).toBeCloseTo(metres * Math.PI * 0.048 ** 2, 12);
    expect(part.areaAt(0.05)).toBeCloseTo(metres * 0.1, 12);
  });

  test('in round ends the outer runs are shorter than the middle one', () => {
    const halves = place(pipe({ diameter: 0.16 }), trough).runs.map((run) => lengthOf(run));
    expect(halves[1]).toBeGreaterThan(halves[0]! + 0.1);
    expect(halves[0]).toBeCloseTo(halves[2]!, 9);
  });

  test('a coil’s turns are circles about each other, and end where there is no more room', () => {
    const part = place(pipe({ lay: 'coil', count: 20 }), barrel);
    const radii = part.runs.map((run) => (run.kind === 'turn' ? run.line.a : 0));
    expect(radii[0]).toBeCloseTo(0.285 - 0.05 - 0.004, 9);
    expect(radii[0]! - radii[1]!).toBeCloseTo(0.11, 9);
    expect(lengthOf(part.runs[0]!)).toBeCloseTo(2 * Math.PI * radii[0]!, 9);
    expect(part.placed).toBeLessThan(part.wanted);
  });

  test('a loop goes round along the wall', () => {
    const [run] = place(pipe({ lay: 'loop', count: 1, diameter: 0.06 }), box).runs;
    const { a, b } = (run as { line: { a: number; b: number } }).line;
    expect(a).toBeCloseTo(0.6 - 0.03 - 0.015, 9);
    expect(b).toBeCloseTo(0.25 - 0.03 - 0.015, 9);
    expect(lengthOf(run!)).toBeLessThan(4 * (a + b));
    expect(lengthOf(run!)).toBeGreaterThan(4 * (a + b) - 8 * 0.03);
  });

  test('none lies in a vessel that is narrower than it', () => {
    expect(place(pipe({ diameter: 0.7 }), trough).placed).toBe(0);
  });
});

describe('an arch', () => {
  test('of half a circle holds half a circle', () => {
    const half = archProfile(0.1, 0.1);
    expect(half.below(0.1)).toBeCloseTo((Math.PI * 0.01) / 2, 12);
    expect(half.halfAt(0)).toBeCloseTo(0.1, 12);
    expect(half.halfAt(0.1)).toBeCloseTo(0, 6);
  });

  test('of any shape: the area below is the sum of its widths', () => {
    const size = fc.double({ min: 0.05, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(size, size, fc.double({ min: 0.1, max: 1, noNaN: true }), (w, h, t) => {
        const { below, halfAt } = archProfile(w, h);
        const steps = 4000;
        let sum = 0;
        for (let i = 0; i < steps; i += 1) sum += 2 * halfAt(((i + 0.5) / steps) * h * t);
        expect(below(h * t)).toBeCloseTo((sum * h * t) / steps, 5);
      }),
      { numRuns: 40 },
    );
  });

  test('that is shut keeps its room dry', () => {
    const arch: PartOf<'arch'> = { kind: 'arch', width: 0.4, wall: 0.004, vents: 'both' };
    const open = place(arch, barrel);
    const shut = place({ ...arch, vents: 'foot' }, barrel);
    expect(open.waterBelow(0.1)).toBe(open.hollowBelow(0.1));
    expect(shut.waterBelow(0.1)).toBeLessThan(0.03 * shut.hollowBelow(0.1));
    expect(shut.levelInside(0.1)).toBeLessThan(0.003);
  });
});

describe('crates', () => {
  const crate: PartOf<'crates'> = {
    kind: 'crates',
    what: 'crate',
    count: 6,
    length: 0.36,
    width: 0.3,
    voids: 0.92,
  };
  const tank = shapeOf(vesselFrom('tank-half'));

  test('stand in the tidiest block, and hold what they are open to', () => {
    const part = place(crate, tank);
    expect(part.placed).toBe(6);
    expect(new Set(part.boxes.map(({ x }) => x.toFixed(3))).size).toBe(3);
    expect(new Set(part.boxes.map(({ y }) => y.toFixed(3))).size).toBe(2);
    expect(part.waterBelow(0.1)).toBeCloseTo(6 * 0.36 * 0.3 * 0.92 * 0.1, 12);
  });

  test('are turned about when more of them fit so', () => {
    expect(pack({ a: 0.5, b: 0.16, c: 0 }, 0.3, 0.24, 9)).toHaveLength(4);
    expect(pack({ a: 0.5, b: 0.1, c: 0 }, 0.3, 0.24, 9)).toHaveLength(0);
  });

  test('are cut away around what goes through them', () => {
    const floor = obstacles();
    floor.addCircle({ x: 0, y: 0.15, r: 0.1 });
    const cut = placePart(crate, 0, tank, 0.15, floor);
    expect(place(crate, tank).outerBelow(0.1) - cut.outerBelow(0.1)).toBeCloseTo(
      Math.PI * 0.01 * 0.1,
      12,
    );
  });

  test('give way to pipes that lie there', () => {
    const floor = obstacles();
    floor.addPart(place(pipe({ count: 1 }), tank));
    const beside = placePart({ ...crate, count: 20 }, 0, tank, 0.15, floor);
    for (const { x, a } of beside.boxes)
      expect(Math.abs(x) - a).toBeGreaterThanOrEqual(0.05 - 1e-9);
  });
});

test('bricks hold no water, whatever their vents', () => {
  const bricks: PartOf<'standing'> = {
    kind: 'standing',
    what: 'brick',
    count: 4,
    diameter: 0.1,
    wall: 0.002,
    vents: 'both',
  };
  expect(place(bricks, barrel).waterBelow(0.1)).toBe(0);
  expect(place({ ...bricks, what: 'tub' }, barrel).waterBelow(0.1)).toBeGreaterThan(0);
});

test('a ring that something stands across is not placed, and says so by its count', () => {
  const ring: PartOf<'ring'> = {
    kind: 'ring',
    cutEnd: false,
    diameter: 0.3,
    wall: 0.004,
    vents: 'both',
  };
  const floor = obstacles();
  floor.addCircle({ x: 0.15, y: 0, r: 0.03 });
  expect(placePart(ring, 0, barrel, 0.1, floor)).toMatchObject({ placed: 0, circles: [] });
  expect(place(ring, barrel).placed).toBe(1);
});

describe('where the tube stands', () => {
  const layout = (id: string) =>
    resolve(STARTING_POINTS.find((point) => point.id === id)!.design).layout;

  test('on the pipe that it joins, else on the floor', () => {
    expect(layout('trough-pipes').tube).toMatchObject({ foot: 0.16 });
    expect(layout('coil-barrel').tube!.x).toBeCloseTo(0.285 - 0.05 - 0.004, 9);
    expect(layout('tote-pipes').tube!.foot).toBe(0);
  });

  test('inside a ring that leaves no room outside it', () => {
    const { tube } = layout('cut-barrel');
    expect(tube!.x + tube!.r).toBeLessThan(0.565 / 2 - 0.004);
  });

  test('columns go to the corners first', () => {
    const { columns } = layout('tank-crates');
    expect(new Set(columns.map(({ x, y }) => `${Math.sign(x)}${Math.sign(y)}`)).size).toBe(4);
  });
});
