import type { Outline } from '../vessels';
import { SLACK, apart, type Circle } from './free';

// By name: inside Jest's sandbox each look-up of a global costs more than the sum it is for.
const { asin, ceil, cos, hypot, max, min, sin, sqrt } = Math;

/** Regular arrangements of circles on a floor: rings, rows and lattices. */

export const isRound = ({ a, b, c }: Outline): boolean => a - c < 1e-9 && b - c < 1e-9;

/** The fullest of a few lattices and rings. */
export function quickest(floor: Outline, r: number, fit: (circle: Circle) => boolean): Circle[] {
  const layouts = [hexLayout(floor, r, 0), hexLayout(floor, r, 1), gridLayout(floor, r)];
  if (isRound(floor)) layouts.push(...ringLayouts(floor.a, r));
  return layouts
    .map((layout) => layout.filter(fit))
    .reduce((a, b) => (b.length > a.length ? b : a), []);
}

/** The fullest of many lattices, or what is known already. */
export function lattice(
  floor: Outline,
  r: number,
  fit: (circle: Circle) => boolean,
  known: Circle[],
): Circle[] {
  let best = known;
  for (const places of lattices(floor, r)) {
    const placed = places.filter(fit);
    if (placed.length > best.length) best = placed;
  }
  return best;
}

/** `count` circles evenly round one ring, as people set supports, if some turn of it fits. */
export function evenRing(
  R: number,
  r: number,
  count: number,
  fit: (circle: Circle) => boolean,
): Circle[] | null {
  const widest = R - r - SLACK;
  const closest = count > 1 ? (r + SLACK) / sin(Math.PI / count) : 0;
  for (const share of [0.85, 1]) {
    const radius = max(widest * share, closest);
    if (radius > widest) continue;
    for (const turn of [0.5, 0.25, 0.75, 0, 0.375, 0.625, 0.125, 0.875]) {
      const ring = ringOf(radius, r, count, (turn * 2 * Math.PI) / count);
      if (ring.every(fit)) return ring;
    }
  }
  return null;
}

function ringOf(radius: number, r: number, count: number, turn: number): Circle[] {
  return Array.from({ length: count }, (_, i) => {
    const angle = turn + (i * 2 * Math.PI) / count;
    return { x: radius * cos(angle), y: radius * sin(angle), r };
  });
}

/** In one line a sheet tips on so many or more, unless the floor is narrower than so many radii to a side. */
const TIPS = 4;
const NARROW = 2.5;

/** How far the corner of a circle's own part of the floor is from it at the most, where they stand in rows. */
function farthestIn(floor: Outline, count: number, columns: number, rows: number): number {
  const last = count - columns * (rows - 1);
  return hypot(floor.a / min(columns, last), floor.b / rows);
}

/**
 * `count` circles in even rows over an oblong floor, each with as small a part of it as they come, if they fit.
 *
 * @param steady not all in one line, where they bear a sheet
 */
export function evenRows(
  floor: Outline,
  r: number,
  count: number,
  fit: (circle: Circle) => boolean,
  steady = false,
): Circle[] | null {
  const line = !steady || count < TIPS || min(floor.a, floor.b) < NARROW * r;
  const byShape = Array.from({ length: min(count, 24) }, (_, i) => i + 1)
    .filter((columns) => columns * ceil(count / columns) - count < columns)
    .map((columns) => {
      const rows = ceil(count / columns);
      return { columns, rows, far: farthestIn(floor, count, columns, rows) };
    })
    .filter(({ columns, rows }) => line || (columns > 1 && rows > 1))
    .sort((one, other) => one.far - other.far)
    .slice(0, 4);
  for (const { columns, rows } of byShape) {
    const placed: Circle[] = [];
    for (let row = 0; row < rows; row += 1) {
      const inRow = min(columns, count - row * columns);
      for (let i = 0; i < inRow; i += 1) {
        placed.push({
          x: ((i + 0.5) / inRow - 0.5) * 2 * floor.a,
          y: ((row + 0.5) / rows - 0.5) * 2 * floor.b,
          r,
        });
      }
    }
    const close = placed.some((one, i) => placed.slice(i + 1).some((other) => !apart(one, other)));
    if (!close && placed.every(fit)) return placed;
  }
  return null;
}

/** Honeycombs and rows in both ways round, shifted in steps. */
function* lattices(floor: Outline, r: number): Generator<Circle[]> {
  const SHIFTS = 5;
  for (const turned of [false, true]) {
    const box = turned ? { ...floor, a: floor.b, b: floor.a } : floor;
    for (let i = 0; i < SHIFTS; i += 1) {
      for (let j = 0; j < SHIFTS; j += 1) {
        const hex = hexLayout(box, r, (2 * i) / SHIFTS, j / SHIFTS);
        yield turned ? hex.map((c) => ({ x: c.y, y: c.x, r })) : hex;
      }
    }
  }
}

/** Concentric rings from the wall inwards, in a few turns. */
function ringLayouts(R: number, r: number): Circle[][] {
  return [0, 0.5, 0.25].map((turn) => {
    const circles: Circle[] = [];
    let radius = R - r - SLACK;
    while (radius >= r) {
      const count = Math.floor(Math.PI / asin(min((r + SLACK) / radius, 1)) + 1e-9);
      if (count >= 2) circles.push(...ringOf(radius, r, count, (turn * 2 * Math.PI) / count));
      radius -= 2 * (r + SLACK);
    }
    if (radius >= -1e-12) circles.push({ x: 0, y: 0, r });
    return circles;
  });
}

/** A honeycomb, shifted along its rows by half pitches and across them by a share of a row. */
function hexLayout({ a, b }: Outline, r: number, shift: number, across = 0): Circle[] {
  const pitch = 2 * (r + SLACK);
  const rowHeight = (pitch * sqrt(3)) / 2;
  const circles: Circle[] = [];
  const rows = ceil(b / rowHeight) + 1;
  const columns = ceil(a / pitch) + 1;
  for (let row = -rows; row <= rows; row += 1) {
    for (let column = -columns; column <= columns; column += 1) {
      circles.push({
        x: (column + (row & 1) / 2 + shift / 2) * pitch,
        y: (row + across) * rowHeight,
        r,
      });
    }
  }
  return circles;
}

/** Rows and columns from wall to wall. */
function gridLayout(floor: Outline, r: number): Circle[] {
  const columns = Math.floor(floor.a / (r + SLACK));
  const rows = Math.floor(floor.b / (r + SLACK));
  const along = (i: number, n: number, half: number) =>
    n === 1 ? 0 : ((i / (n - 1)) * 2 - 1) * (half - r - SLACK);
  return Array.from({ length: max(columns * rows, 0) }, (_, i) => ({
    x: along(i % columns, columns, floor.a),
    y: along(Math.floor(i / columns), rows, floor.b),
    r,
  }));
}
