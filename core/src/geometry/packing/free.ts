import { grown, holds, holdsCircle, type Outline } from '../vessels';

// By name: inside Jest's sandbox each look-up of a global costs more than the sum it is for.
const { hypot } = Math;

/** Places on a floor, and what says whether they are free. */

export interface Circle {
  x: number;
  y: number;
  r: number;
}

/** A rectangle with sides along the axes, by its middle and halves. Metres. */
export interface Rectangle {
  x: number;
  y: number;
  a: number;
  b: number;
}

/** Gap left between neighbours so that touching never counts as overlapping, metres. */
export const SLACK = 1e-7;

/** Whether two circles keep clear of each other. */
export function apart(one: Circle, other: Circle): boolean {
  return hypot(one.x - other.x, one.y - other.y) >= one.r + other.r;
}

/** Whether a circle lies on the floor. */
export const within = (circle: Circle, floor: Outline): boolean =>
  holdsCircle(floor, circle.x, circle.y, circle.r);

/** Says whether a place is free for a circle or a rectangle. */
export interface Free {
  circle(circle: Circle): boolean;
  box(box: Rectangle): boolean;
  /** Whether nothing stands in the way of a ring about the axis. */
  ring(r: number, wall: number): boolean;
  /** What stands there already, for things to be set against. */
  readonly discs: readonly Circle[];
  readonly boxes: readonly Rectangle[];
}

/** A floor with nothing on it. */
export const EMPTY: Free = {
  circle: () => true,
  box: () => true,
  ring: () => true,
  discs: [],
  boxes: [],
};

/** A floor with these circles on it. */
export const beside = (taken: readonly Circle[]): Free => ({
  ...EMPTY,
  discs: taken,
  circle: (circle) => taken.every((other) => apart(circle, other)),
});

/** Whether a circle of radius r lies on the floor where it is free. */
export function fitting(floor: Outline, r: number, free: Free): (circle: Circle) => boolean {
  if (floor.a < r - SLACK || floor.b < r - SLACK) return () => false;
  const inner = grown(floor, -r);
  return (circle) => holds(inner, circle.x, circle.y) && free.circle(circle);
}
