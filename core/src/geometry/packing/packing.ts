import { grown, outlinePoints, type Outline } from '../vessels';
import { SLACK, apart, fitting, type Circle, type Free, type Rectangle } from './free';
import { lattice, quickest } from './layouts';
import { squeezed } from './squeeze';

// By name: inside Jest's sandbox each look-up of a global costs more than the sum it is for.
const { cos, hypot, sin, sqrt } = Math;

/** As many circles on a floor as a sound arrangement gets; not a proven most. */

/** Ways that a floor is filled from: directions, and from the wall inwards. */
const DIRECTIONS = 12;

/** Circles on a floor at the most that are set one against the other; more stand in lattices. */
const SET_BY_HAND = 95;

/**
 * As many circles of radius r as a sound arrangement gets on a floor where it is free: and
 * circles set one against the other from the wall, from what stands there and from several sides.
 */
export function fullest(floor: Outline, r: number, free: Free): Circle[] {
  return squeezed(filled(floor, r, free), floor, r, free, fitting(floor, r, free));
}

/** As `fullest`, without looking for the last one by pushing all of them apart. */
export function filled(floor: Outline, r: number, free: Free): Circle[] {
  const fit = fitting(floor, r, free);
  let best = lattice(floor, r, fit, quickest(floor, r, fit));
  const most = (4 * floor.a * floor.b) / (r * r * 3.4);
  if (most > SET_BY_HAND) return best;
  for (let i = 0; i <= DIRECTIONS; i += 1) {
    const angle = (i * 2 * Math.PI) / DIRECTIONS;
    const rank =
      i === DIRECTIONS
        ? ({ x, y }: Circle) => -hypot(x / floor.a, y / floor.b)
        : ({ x, y }: Circle) => x * cos(angle) + y * sin(angle);
    const placed = setAgainst(floor, r, free, fit, rank);
    if (placed.length > best.length) best = placed;
  }
  return best;
}

/** Circles set one against the other, always in the free corner that ranks first. */
function setAgainst(
  floor: Outline,
  r: number,
  free: Free,
  fit: (circle: Circle) => boolean,
  rank: (circle: Circle) => number,
): Circle[] {
  const placed: Circle[] = [];
  const line = outlinePoints(grown(floor, -(r + SLACK)), 18);
  let open = cornersOf(line, r, free.discs, free.boxes).filter(fit);
  const clears = (c: Circle) => placed.every((other) => apart(c, other));
  while (open.length > 0) {
    const next = open.reduce((a, b) => (rank(b) < rank(a) - 1e-9 ? b : a));
    placed.push(next);
    const others = [...free.discs, ...placed.slice(0, -1)].filter(
      (other) => hypot(other.x - next.x, other.y - next.y) <= other.r + 3 * r + SLACK * 4,
    );
    const fresh = tangents(next, others, r, line);
    open = open.filter((c) => apart(c, next));
    for (const c of fresh) if (apart(c, next) && fit(c) && clears(c)) open.push(c);
  }
  return placed;
}

/** Where a circle touches the wall's corners, or the wall and something that stands there. */
function cornersOf(
  line: readonly (readonly [number, number])[],
  r: number,
  discs: readonly Circle[],
  boxes: readonly Rectangle[],
): Circle[] {
  const onWall = line.map(([x, y]) => ({ x, y, r }));
  const besideDiscs = discs.flatMap((disc) => onLine(line, disc, disc.r + r + SLACK, r));
  const besideBoxes = boxes.flatMap(({ x, y, a, b }) =>
    [-1, 1].flatMap((sx) =>
      [-1, 1].map((sy) => ({ x: x + sx * (a + r + SLACK), y: y + sy * (b + r + SLACK), r })),
    ),
  );
  return [...onWall, ...besideDiscs, ...besideBoxes];
}

/** Places for a circle of radius r that touches `one` and another thing, or `one` and the wall. */
function tangents(
  one: Circle,
  others: readonly Circle[],
  r: number,
  line: readonly (readonly [number, number])[],
): Circle[] {
  const found: Circle[] = [];
  const R1 = one.r + r + SLACK;
  for (const other of others) {
    const R2 = other.r + r + SLACK;
    const [dx, dy] = [other.x - one.x, other.y - one.y];
    const d = hypot(dx, dy);
    if (d > R1 + R2 || d < 1e-9) continue;
    const along = (R1 * R1 - R2 * R2 + d * d) / (2 * d);
    const high = R1 * R1 - along * along;
    if (high < 0) continue;
    const up = sqrt(high);
    const [ux, uy] = [dx / d, dy / d];
    for (const side of [1, -1]) {
      found.push({
        x: one.x + along * ux - side * up * uy,
        y: one.y + along * uy + side * up * ux,
        r,
      });
    }
  }
  return [...found, ...onLine(line, one, R1, r)];
}

/** Where a closed line is a given distance from a circle's middle. */
function onLine(
  line: readonly (readonly [number, number])[],
  { x, y }: { x: number; y: number },
  distance: number,
  r: number,
): Circle[] {
  const found: Circle[] = [];
  line.forEach(([x0, y0], i) => {
    const [x1, y1] = line[(i + 1) % line.length] as readonly [number, number];
    const [dx, dy] = [x1 - x0, y1 - y0];
    const [fx, fy] = [x0 - x, y0 - y];
    const A = dx * dx + dy * dy;
    if (A < 1e-18) return;
    const B = 2 * (fx * dx + fy * dy);
    const C = fx * fx + fy * fy - distance * distance;
    const root = B * B - 4 * A * C;
    if (root < 0) return;
    for (const sign of [-1, 1]) {
      const t = (-B + sign * sqrt(root)) / (2 * A);
      if (t >= 0 && t <= 1) found.push({ x: x0 + t * dx, y: y0 + t * dy, r });
    }
  });
  return found;
}
