import fc from 'fast-check';
import { STARTING_POINTS } from '../document';
import { assemble } from './assemble';
import { boardPieces, frameBuild, POST } from './frame';

const spec = STARTING_POINTS.map(({ design }) => design.vessel).find(
  (vessel) => vessel.kind === 'frame',
) as Parameters<typeof frameBuild>[0];

test('known boxes: fewest boards, the narrowest of them, posts where a long side wants one', () => {
  const build = (depth: number, length: number, set: 'metric' | 'us' = 'metric') =>
    frameBuild({ ...spec, material: 'wood', depth, length, width: 0.8, wall: 0.038 }, set);
  expect(build(0.4, 1.2)).toMatchObject({ width: 0.22, courses: { length: 2 } });
  expect(build(0.42, 1.2)).toMatchObject({ width: 0.22, courses: { length: 2 } });
  expect(build(0.3, 1.2)).toMatchObject({ width: 0.17, courses: { length: 2 } });
  // A 2 x 12 is 11 1/4 in wide: one makes 11 in of height, two make 22.
  expect(build(0.2794, 1.2, 'us')).toMatchObject({ width: 0.28575, courses: { length: 1 } });
  expect(build(0.5588, 1.2, 'us')).toMatchObject({ width: 0.28575, courses: { length: 2 } });
  expect(build(0.4, 1.2).posts).toHaveLength(4);
  expect(build(0.4, 2.4).posts).toHaveLength(6);
  expect(build(0.4, 2.5).posts).toHaveLength(8);
  // Two courses of four boards with two ends of two screws, and the long ones once more on a post between.
  expect(build(0.4, 2.4).screws).toBe(2 * (16 + 4));
});

test('of any box: courses make its height, posts stand outside it and no board spans too far', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.15, max: 1, noNaN: true }),
      fc.double({ min: 0.4, max: 8, noNaN: true }),
      fc.double({ min: 0.3, max: 2, noNaN: true }),
      fc.constantFrom('metric' as const, 'us' as const),
      (depth, length, width, set) => {
        const {
          courses,
          posts,
          width: board,
        } = frameBuild({ ...spec, material: 'wood', depth, length, width }, set);
        expect(courses[0]!.from).toBe(0);
        expect(courses.at(-1)!.to).toBeCloseTo(depth, 9);
        for (const [i, { from, to }] of courses.entries()) {
          expect(to - from).toBeLessThanOrEqual(board + 1e-9);
          if (i > 0) expect(from).toBeCloseTo(courses[i - 1]!.to, 9);
        }
        for (const { y } of posts) expect(Math.abs(y)).toBeGreaterThan(width / 2 + POST / 2);
        const front = posts
          .filter(({ y }) => y < 0)
          .map(({ x }) => x)
          .sort((a, b) => a - b);
        for (const [i, x] of front.entries())
          if (i > 0) expect(x - front[i - 1]!).toBeLessThanOrEqual(1.2 + 1e-6 + spec.wall);
      },
    ),
  );
});

test('a board that is pieced makes its side, meets on posts and never over the joint below', () => {
  fc.assert(
    fc.property(fc.double({ min: 3.7, max: 12, noNaN: true }), (long) => {
      const joints = [0, 1].map((course) => {
        const pieces = boardPieces(long, course);
        expect(pieces.reduce((sum, one) => sum + one, 0)).toBeCloseTo(long, 6);
        for (const piece of pieces) expect(piece).toBeLessThanOrEqual(3.6 + 1e-6);
        let at = 0;
        return pieces.slice(0, -1).map((piece) => (at += piece).toFixed(4));
      });
      expect(joints[0]!.filter((one) => joints[1]!.includes(one))).toEqual([]);
    }),
  );
  expect(boardPieces(3.6, 1)).toEqual([3.6]);
});

test.each(['gutter-pails'])(
  '%s: bearers carry the pails, and covers lie where none stands',
  (id) => {
    const { design } = STARTING_POINTS.find((one) => one.id === id)!;
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 3, noNaN: true }),
        fc.integer({ min: 1, max: 6 }),
        (length, count) => {
          const bed = { ...design.bed!, count } as typeof design.bed;
          const vessel = { ...design.vessel, topLength: length, bottomLength: length };
          const planter = assemble({ ...design, bed, vessel } as typeof design);
          const [group] = planter.of('bearers');
          const [front, back, ...covers] = group!.parts;
          const pailFloor = planter.bed.floor - planter.bed.wall;
          for (const board of [front!, back!]) {
            expect(board.to).toBeCloseTo(pailFloor, 9);
            expect(board.from).toBeCloseTo(-planter.vessel.wall, 9);
          }
          const half = planter.bed.inside.outlineAt(0).a + planter.bed.wall;
          for (const { x, foot } of covers) {
            const a = foot.form === 'box' ? foot.a : 0;
            for (const place of planter.bed.places)
              expect(Math.abs(place.x - x)).toBeGreaterThanOrEqual(half + a - 1e-9);
          }
          const joints = planter.joints.filter(({ a }) => a === 'row-0' || a === 'bearers-0');
          expect(joints).toEqual(
            expect.arrayContaining([
              { kind: 'rests-on', a: 'row-0', b: 'bearers-0' },
              { kind: 'stands-on', a: 'bearers-0', b: 'ground' },
            ]),
          );
        },
      ),
      { numRuns: 40 },
    );
  },
);
