import fc from 'fast-check';
import { figuresOf } from '../assessment/figures';
import { clearBetween, holdsCircle } from '../geometry/vessels';
import { apart, clear, type Circle } from '../geometry/packing';
import { anyDesign } from '../testing/designs';
import { STARTING_POINTS } from '../document';
import {
  assemble,
  BEARERS,
  boxesOf,
  discsOf,
  FLOOR,
  GROUND,
  runsOf,
  type PartGroup,
  type Planter,
} from '.';

/** Lots that take room on the floor, other than those that others go on inside of or through. */
const onFloor = (planter: Planter): PartGroup[] =>
  planter.partGroups.filter(
    ({ kind, parts }) =>
      ['standing', 'cup', 'column', 'cloth', 'tube', 'inspection'].includes(kind) &&
      parts.length > 0,
  );

const joined = ({ joints }: Planter, one: PartGroup, other: PartGroup): boolean =>
  joints.some(({ a, b }) => (a === one.id && b === other.id) || (a === other.id && b === one.id));

/** Circles of a group of parts that stand on the floor, and not on a pipe that lies there. */
const standing = (group: PartGroup): Circle[] =>
  discsOf({ parts: group.parts.filter(({ from }) => from < 1e-6) });

describe.each(STARTING_POINTS.map(({ id, design }) => [id, design] as const))(
  '%s',
  (_id, design) => {
    const planter = assemble(design);

    test('everything that it asks for stands', () => {
      for (const group of planter.partGroups)
        expect([group.id, group.parts.length]).toEqual([group.id, group.wanted]);
    });

    test('everything is borne by something that is there', () => {
      const there = new Set([FLOOR, GROUND, ...planter.partGroups.map(({ id }) => id)]);
      for (const { id, kind } of planter.partGroups) {
        if (kind === 'rim') continue;
        const borne = planter.joints.filter(({ a }) => a === id);
        expect([id, borne.length > 0]).toEqual([id, true]);
        borne.forEach(({ b }) => expect([id, there.has(b)]).toEqual([id, true]));
      }
    });
  },
);

test('any design: no two things share a place without a joint, and none sticks out', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const planter = assemble(design);
      const { vessel } = planter;
      const row = design.bed?.kind === 'row';
      const floor = clearBetween(vessel, 0, Math.min(design.reservoir.top, vessel.depth));
      const partGroups = onFloor(planter);
      partGroups.forEach((one, i) => {
        const circles = standing(one);
        circles.forEach((circle, k) => {
          if (!row && vessel.flat)
            expect([one.id, holdsCircle(floor, circle.x, circle.y, circle.r - 1e-9)]).toEqual([
              one.id,
              true,
            ]);
          circles
            .slice(k + 1)
            .forEach((other) => expect(apart(circle, { ...other, r: other.r - 1e-9 })).toBe(true));
        });
        for (const other of partGroups.slice(i + 1)) {
          if (row || joined(planter, one, other)) continue;
          const both = circles.flatMap((a) => standing(other).map((b) => [a, b] as const));
          for (const [a, b] of both)
            expect([one.id, other.id, apart(a, { ...b, r: b.r - 1e-6 })]).toEqual([
              one.id,
              other.id,
              true,
            ]);
        }
      });
      const boxes = planter.partGroups.flatMap((group) => boxesOf(group));
      boxes.forEach((box, i) =>
        boxes.slice(i + 1).forEach((other) => expect(clear(box, other)).toBe(true)),
      );
      for (const group of planter.of('lying')) {
        const r = group.spec.diameter / 2;
        const xs = runsOf(group).flatMap((run) => (run.kind === 'straight' ? [run.x] : []));
        xs.slice(1).forEach((x, i) => expect(x - xs[i]!).toBeGreaterThanOrEqual(2 * r - 1e-9));
      }
    }),
    { numRuns: 150 },
  );
});

test('any design: what stands is what counts, and room is never less than what stands', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const planter = assemble(design);
      for (const group of planter.partGroups) {
        expect(group.parts.length).toBeLessThanOrEqual(Math.max(group.wanted, 2));
        if (BEARERS.includes(group.kind) && group.wanted <= 4)
          expect(group.capacity()).toBeGreaterThanOrEqual(group.parts.length);
      }
      const wicks = planter.partGroups.filter(
        ({ kind, parts }) => ['cup', 'cloth', 'column'].includes(kind) && parts.length > 0,
      );
      expect(planter.wicks.filter(({ index }) => index !== null)).toHaveLength(wicks.length);
    }),
    { numRuns: 40 },
  );
});

test('any design: weighs what its things weigh', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const planter = assemble(design);
      const { weight } = figuresOf(planter);
      const sum = planter.partGroups.reduce((all, { mass }) => all + mass, 0);
      expect(Math.abs(weight.empty - sum)).toBeLessThanOrEqual(0.01 * sum);
      expect(weight.dry).toBeGreaterThanOrEqual(weight.empty);
      expect(weight.full).toBeGreaterThanOrEqual(weight.dry);
    }),
    { numRuns: 120 },
  );
});

test('in a pail of water with bottles and mix, no water is weighed twice', () => {
  const { design } = STARTING_POINTS.find(({ id }) => id === 'bottle-pail')!;
  const planter = assemble(design);
  const { weight } = figuresOf(planter);
  // Everything up to the surface as if it were water, and the solids of the mix, is the most there can be.
  const room = planter.vessel.volumeBelow(planter.heights.surface);
  expect(weight.full - weight.dry).toBeLessThan(room * 998);
});
