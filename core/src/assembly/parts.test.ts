import fc from 'fast-check';
import {
  applyPatch,
  STARTING_POINTS,
  vesselFrom,
  type SupportDesign,
  type SupportOf,
} from '../document';
import { pack } from '../geometry/packing';
import { shapeOf, turned, type Vessel } from '../geometry/vessels';
import {
  archProfile,
  boxesOf,
  discsOf,
  PART_DEFINITIONS,
  lengthOf,
  runsOf,
  type PartGroup,
} from '.';
import { assemble } from './assemble';
import { bedOf } from './floor';
import { obstacles, type Obstacles } from './obstacles';
import type { RequestedPart } from './part';

const trough = turned(shapeOf(vesselFrom('trough-270')));
const barrel = shapeOf(vesselFrom('barrel-half'));
const box = shapeOf(vesselFrom('box-legs'));
const PAIL = STARTING_POINTS[0]!.design;

/** One part alone on the floor of a vessel, or among what stands there already. */
function place<P extends SupportDesign>(
  spec: P,
  vessel: Vessel,
  top = 0.15,
  taken: Obstacles = obstacles(),
) {
  const design = { ...PAIL, fillTube: null };
  const bed = bedOf(design, vessel);
  const floor = vessel.outlineAt(0);
  const site = { design, vessel, bed, floor, deck: null, top, taken, partGroups: [] };
  const faces = PART_DEFINITIONS[spec.kind] as unknown as {
    place(asked: RequestedPart<P['kind']>, to: typeof site): PartGroup<P['kind']>;
  };
  const group = faces.place({ spec, index: 0 } as never, site);
  return Object.assign(group, {
    placed: group.parts.length,
    runs: runsOf(group),
    boxes: boxesOf(group),
  });
}

const pipe = (patch: Partial<SupportOf<'lying'>> = {}): SupportOf<'lying'> => ({
  kind: 'lying',
  lay: 'runs',
  count: 3,
  diameter: 0.1,
  wall: 0.002,
  sock: false,
  stiff: false,
  length: 0,
  ...patch,
});

describe('lying pipes', () => {
  test('how many fit is a question of width', () => {
    // 560 mm at the floor, 40 mm wider over 460 mm of height: 0.5643 m at the height of the middle.
    expect(place(pipe({ count: 9 }), trough)).toMatchObject({ wanted: 9, placed: 5 });
    expect(place(pipe({ count: 9, diameter: 0.15 }), trough).placed).toBe(3);
    expect(place(pipe({ count: 9 }), trough).capacity()).toBe(5);
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
    const part = place(pipe({ lay: 'coil', count: 20, diameter: 0.05 }), barrel);
    const radii = part.runs.map((run) => (run.kind === 'turn' ? run.line.a : 0));
    expect(radii[0]).toBeCloseTo(0.285 - 0.025 - 0.004, 9);
    expect(radii[0]! - radii[1]!).toBeCloseTo(0.055, 9);
    // No turn is less than five widths of the pipe across.
    expect(Math.min(...radii)).toBeGreaterThanOrEqual(2.5 * 0.05);
    expect(lengthOf(part.runs[0]!)).toBeCloseTo(2 * Math.PI * radii[0]!, 9);
    expect(part.placed).toBeLessThan(part.wanted);
  });

  test('a loop goes round along the wall', () => {
    const [run] = place(pipe({ lay: 'loop', count: 1, diameter: 0.06, stiff: true }), box).runs;
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
    const arch: SupportOf<'arch'> = {
      kind: 'arch',
      width: 0.4,
      wall: 0.004,
      own: false,
      vents: 'both',
    };
    const open = place(arch, barrel);
    const shut = place({ ...arch, vents: 'foot' }, barrel);
    expect(open.waterBelow(0.1)).toBe(open.hollowBelow(0.1));
    expect(shut.waterBelow(0.1)).toBeLessThan(0.03 * shut.hollowBelow(0.1));
    expect(shut.levelInside(0.1)).toBeLessThan(0.003);
  });
});

describe('crates', () => {
  const crate: SupportOf<'crates'> = {
    kind: 'crates',
    what: 'crate',
    count: 6,
    length: 0.36,
    width: 0.3,
    height: 0.15,
    voids: 0.92,
    cut: false,
    at: null,
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

  test('keep clear of what stands there, or are cut out round it where the builder says so', () => {
    const floor = obstacles();
    floor.addCircle({ x: 0, y: 0.15, r: 0.1 });
    const clear = place({ ...crate, count: 20 }, tank, 0.15, floor);
    for (const { x, y, a, b } of clear.boxes) {
      const dx = Math.max(Math.abs(x) - a, 0);
      const dy = Math.max(Math.abs(y - 0.15) - b, 0);
      expect(Math.hypot(dx, dy)).toBeGreaterThanOrEqual(0.1 - 1e-9);
    }
    const cut = place({ ...crate, cut: true }, tank, 0.15, floor);
    expect(place(crate, tank).outerBelow(0.1) - cut.outerBelow(0.1)).toBeCloseTo(
      Math.PI * 0.01 * 0.1,
      5,
    );
  });

  test('stand no higher than they are', () => {
    const low = place({ ...crate, height: 0.1 }, tank, 0.15);
    expect(low.height).toBe(0.1);
    expect(low.outerBelow(0.15)).toBeCloseTo(low.outerBelow(0.1), 12);
  });

  test('give way to pipes that lie there, and there is room between two', () => {
    const floor = obstacles();
    floor.addLot(place(pipe({ count: 1 }), tank) as unknown as PartGroup);
    const beside = place({ ...crate, count: 20 }, tank, 0.15, floor);
    for (const { x, a } of beside.boxes)
      expect(Math.abs(x) - a).toBeGreaterThanOrEqual(0.05 - 1e-9);
    const bed = turned(shapeOf({ ...vesselFrom('bed-medium'), length: 1.8 } as never));
    const two = obstacles();
    two.addLot(place(pipe({ count: 2, diameter: 0.065 }), bed) as unknown as PartGroup);
    expect(place({ ...crate, length: 0.56, width: 0.36, count: 1 }, bed, 0.15, two).placed).toBe(1);
  });

  test('room does not change with the number that is typed', () => {
    const rooms = [1, 3, 6, 40].map((count) => place({ ...crate, count }, tank).capacity());
    expect(new Set(rooms).size).toBe(1);
  });
});

test('bricks hold no water, whatever their vents', () => {
  const bricks: SupportOf<'standing'> = {
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

test('a ring in a wider one catches no air twice, whichever of them is named first', () => {
  const ringOf = (diameter: number): SupportOf<'ring'> => ({
    kind: 'ring',
    cutEnd: false,
    diameter,
    wall: 0.003,
    vents: 'foot',
  });
  const caught = (...parts: SupportOf<'ring'>[]) => {
    const blank = STARTING_POINTS.find(({ id }) => id === 'blank')!.design;
    const planter = assemble({ ...blank, reservoir: { ...blank.reservoir, parts } });
    expect(planter.of('ring').every(({ parts }) => parts.length === 1)).toBe(true);
    const { storage, heights } = planter;
    return [storage.volumeBelow(heights.brim), storage.caughtAir(heights.brim)] as const;
  };
  const alone = caught(ringOf(0.18));
  const both = caught(ringOf(0.18), ringOf(0.1));
  expect(caught(ringOf(0.1), ringOf(0.18))).toEqual(both);
  // The inner wall displaces a little of the air, and of the few millimetres of water under it.
  const wall = Math.PI * 0.1 * 0.003 * 0.09;
  expect(alone[1] - both[1]).toBeGreaterThan(0);
  expect(alone[1] - both[1]).toBeLessThan(1.3 * wall);
  expect(Math.abs(alone[0] - both[0])).toBeLessThan(0.1 * wall + 2e-6);
});

test('a ring that something stands across is not placed, and says so by its count', () => {
  const ring: SupportOf<'ring'> = {
    kind: 'ring',
    cutEnd: false,
    diameter: 0.3,
    wall: 0.004,
    vents: 'both',
  };
  const floor = obstacles();
  floor.addCircle({ x: 0.15, y: 0, r: 0.03 });
  expect(place(ring, barrel, 0.1, floor).placed).toBe(0);
  expect(place(ring, barrel).placed).toBe(1);
});

test('a closed ring holds what stands in it once', () => {
  const floor = obstacles();
  const ring: SupportOf<'ring'> = {
    kind: 'ring',
    cutEnd: false,
    diameter: 0.3,
    wall: 0.004,
    vents: 'sealed',
  };
  const shut = place(ring, barrel, 0.1, floor);
  expect(shut.outerBelow(0.1)).toBeCloseTo((Math.PI / 4) * 0.09 * 0.1, 12);
});

test('a panel cut from a round wall rises as its chord lets it', () => {
  const own: SupportOf<'arch'> = {
    kind: 'arch',
    width: 0.44,
    wall: 0.004,
    own: true,
    vents: 'both',
  };
  // 285 − √(285² − 220²) mm.
  expect(place(own, barrel, 0.16).height).toBeCloseTo(0.1038, 4);
});

describe('where things stand', () => {
  const planter = (id: string) =>
    assemble(STARTING_POINTS.find((point) => point.id === id)!.design);
  const tubeOf = (id: string) => planter(id).of('tube')[0]!.parts[0]!;

  test('the tube by how it meets the pipe, else on the floor', () => {
    // An X in the crown lets it down to the pipe's own wall; a tee carries it on the crown.
    expect(tubeOf('trough-pipes').from).toBeCloseTo(0.003, 9);
    expect(tubeOf('box-legs').from).toBeCloseTo(0.05, 9);
    expect(tubeOf('tote-pipes').from).toBe(0);
  });

  test('the tube’s hole keeps a bridge to the edge of the platform', () => {
    const { platformOutline, design } = planter('cloth-pail');
    const { x } = tubeOf('cloth-pail');
    expect(platformOutline!.a - x - design.fillTube!.hole / 2).toBeGreaterThanOrEqual(0.008 - 1e-9);
  });

  test('columns go to the corners first', () => {
    const columns = discsOf(planter('tank-crates').of('column')[0]!);
    expect(new Set(columns.map(({ x, y }) => `${Math.sign(x)}${Math.sign(y)}`)).size).toBe(4);
  });

  // Independent placements of so many exist: found by hand on the drawn floors.
  test.each([
    ['bottle-pail', 11],
    ['tote-pipes', 58],
    ['pot-tub', 9],
    ['cut-barrel', 33],
  ])('%s has room for at least %d', (id, least) => {
    const [group] = planter(id).of('standing');
    expect(group!.capacity()).toBeGreaterThanOrEqual(least);
  });

  test('nine tubs stand round the cup, and eight beside the tube: nine would need more than a whole turn', () => {
    const { design, platformOutline, of } = planter('cup-pail');
    const room = (fillTube: typeof design.fillTube) =>
      assemble({ ...design, fillTube })
        .of('standing')[0]!
        .capacity();
    expect([room(null), room(design.fillTube)]).toEqual([9, 8]);
    // At the wall, a tub beside a tub and a tub beside the tube, which keeps its hole’s bridge to the edge.
    const tub = discsOf(of('standing')[0]!)[0]!;
    const wall = assemble(design).floor.a - tub.r;
    const tube = { at: platformOutline!.a - 0.008 - design.fillTube!.hole / 2, r: 0.016 };
    const turn = (p: number, q: number, apart: number) =>
      Math.acos((p * p + q * q - apart * apart) / (2 * p * q));
    const between = turn(wall, wall, 2 * tub.r);
    const beside = turn(wall, tube.at, tub.r + tube.r);
    expect(8 * between + 2 * beside).toBeGreaterThan(2 * Math.PI);
    expect(9 * between).toBeLessThan(2 * Math.PI);
  });

  // What there is said to be room for stands when it is asked for, whatever number was typed before.
  test.each(['bottle-pail', 'pot-tub', 'cut-barrel'])('as many as %s has room for stand', (id) => {
    const before = planter(id);
    const [group] = before.of('standing');
    const room = group!.capacity();
    const path = ['reservoir', 'parts', group!.index, 'count'];
    const after = assemble(applyPatch(before.design, [{ path, value: room }]));
    expect(after.of('standing')[0]!.parts).toHaveLength(room);
    expect(after.of('standing')[0]!.capacity()).toBe(room);
  });
});
