import {
  PIPE_WALL,
  CUP_WALL,
  boxesOf,
  discsOf,
  runsOf,
  type PartGroup,
  type Planter,
} from '../assembly';
import type { Circle } from '../geometry/packing';
import type { FromAbove } from './partDrawing';
import { inkOf } from './ink';
import { area, circlePoints, type Ink, type Point, type Shape } from './shape';

/** How things look from above, by their kind; y points away. */

export const disc = (id: string, ink: Ink, { x, y, r }: Circle): Shape =>
  area(id, ink, circlePoints(x, y, r));

const narrower = (circle: Circle, by: number): Circle => ({
  ...circle,
  r: Math.max(circle.r - by, circle.r / 2),
});

/** Something hollow, with water or caught air in it. */
export const hollow =
  (wall: number, ink: Ink, bore: Ink) =>
  (id: string, circle: Circle): Shape[] => [
    disc(id, ink, circle),
    disc(`${id}-bore`, bore, { ...circle, r: Math.max(circle.r - wall, circle.r / 4) }),
  ];

/** Boxes as they stand, each with its edge. */
export const rectangles = (group: PartGroup, ink: Ink): Shape[] =>
  boxesOf(group).flatMap(({ x, y, a, b }, i) => {
    const corners: Point[] = [
      [x - a, y - b],
      [x + a, y - b],
      [x + a, y + b],
      [x - a, y + b],
    ];
    return [
      area(`plan-${group.id}-${i}`, ink, corners),
      area(`plan-${group.id}-${i}-edge`, 'crate', corners),
    ];
  });

export const column: FromAbove<'column'> = (group) =>
  discsOf(group).flatMap((circle, i) => [
    disc(`plan-${group.id}-${i}`, inkOf(group.spec.medium), circle),
    disc(`plan-${group.id}-${i}-wall`, 'cup', circle),
  ]);

export const cup: FromAbove<'cup'> = (group) =>
  discsOf(group).flatMap((circle, i) => [
    disc(`plan-${group.id}-${i}`, 'soil', narrower(circle, CUP_WALL)),
    disc(`plan-${group.id}-${i}-wall`, 'cup', circle),
  ]);

export const cloth: FromAbove<'cloth'> = (group) =>
  discsOf(group).map((circle, i) =>
    disc(`plan-${group.id}-${i}`, 'cloth', { ...circle, r: Math.max(circle.r, 0.004) }),
  );

export const pipe =
  <K extends 'inspection' | 'worm'>(_kind: K): FromAbove<K> =>
  (group) =>
    discsOf(group).flatMap((circle, i) => [
      disc(`plan-${group.id}-${i}`, 'tube', circle),
      disc(`plan-${group.id}-${i}-bore`, 'air', narrower(circle, PIPE_WALL)),
    ]);

export const tube: FromAbove<'tube'> = (group) => {
  const [circle] = discsOf(group);
  const run = runsOf(group)[0];
  const r = circle?.r ?? 0;
  return [
    ...(run?.kind === 'straight'
      ? [
          area(`plan-${group.id}-run`, 'pipe', [
            [run.x - run.half, run.y - r],
            [run.x + run.half, run.y - r],
            [run.x + run.half, run.y + r],
            [run.x - run.half, run.y + r],
          ]),
        ]
      : []),
    ...(circle ? [disc('plan-tube', 'tube', circle)] : []),
  ];
};

export const bed = (group: Pick<PartGroup, 'id' | 'parts'>, { bed: of }: Planter): Shape[] =>
  group.parts.map(({ x, y }, i) =>
    disc(`plan-${group.id}-${i}`, 'bottle', { x, y, r: of.inside.halfAt(0) + of.wall }),
  );

/** How far a fitting stands out of the wall, metres. */
const STANDS_OUT = 0.02;

/** Openings in the wall, each pointing outward where it is. */
export const outlet = (
  group: PartGroup<'hole'> | PartGroup<'fitting'> | PartGroup<'rows'>,
  { vessel, heights }: Planter,
): Shape[] => {
  const half = group.spec.diameter / 2;
  // The view is cut at the water, so the opening is moved along the wall to there.
  const cut = vessel.outlineAt(vessel.flat ? heights.brim : vessel.depth);
  const at0 = vessel.outlineAt(Math.min(group.spec.centre, vessel.depth));
  const out = vessel.wall + (group.kind === 'fitting' ? STANDS_OUT : 0);
  const low = group.kind === 'rows' ? group.parts.slice(0, group.spec.count) : group.parts;
  return low.map((piece, i) => {
    const x = (piece.x * cut.a) / at0.a;
    const y = (piece.y * cut.b) / at0.b;
    const far = Math.hypot(x, y) || 1;
    const round = cut.a - cut.c < 1e-9 && cut.b - cut.c < 1e-9;
    const inEnd = Math.abs(x) / cut.a >= Math.abs(y) / cut.b;
    // Square to the wall: from the axis where that is round, else out of the side that it is in.
    const [ux, uy] = round
      ? [x / far, y / far]
      : inEnd
        ? [Math.sign(x) || 1, 0]
        : [0, Math.sign(y) || 1];
    const at = (along: number, aside: number): Point => [
      x + ux * along - uy * aside,
      y + uy * along + ux * aside,
    ];
    const id = i === 0 ? 'plan-overflow' : `plan-overflow-${i}`;
    return area(id, 'opening', [at(0, -half), at(out, -half), at(out, half), at(0, half)]);
  });
};
