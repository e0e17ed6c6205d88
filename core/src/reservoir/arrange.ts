import { grown, holds, holdsCircle, type Outline } from '../vessel';

/**
 * Standing circles and rectangles on a floor: tubes, cups, bottles, crates. A sound arrangement that
 * never overlaps, not a proven best one.
 */

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
const SLACK = 1e-7;

/** Whether two circles keep clear of each other. */
export function apart(one: Circle, other: Circle): boolean {
  return Math.hypot(one.x - other.x, one.y - other.y) >= one.r + other.r;
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
  /** Area of the circles that stand in a rectangle, for which it is cut away. m². */
  areaIn(box: Rectangle): number;
}

/** A floor with nothing on it. */
export const EMPTY: Free = {
  circle: () => true,
  box: () => true,
  ring: () => true,
  areaIn: () => 0,
};

/** A floor with these circles on it. */
export const beside = (taken: readonly Circle[]): Free => ({
  ...EMPTY,
  circle: (circle) => taken.every((other) => apart(circle, other)),
});

/**
 * Places up to `count` circles of radius r on a floor where it is free: evenly spread where that
 * fits, else the first of the fullest arrangement.
 */
export function arrange(floor: Outline, r: number, count: number, free: Free): Circle[] {
  const fit = fitting(floor, r, free);
  if (count === 1 && fit({ x: 0, y: 0, r })) return [{ x: 0, y: 0, r }];
  const even = isRound(floor) ? evenRing(floor.a, r, count, fit) : evenRows(floor, r, count, fit);
  return even ?? fullest(floor, r, free).slice(0, count);
}

/** As many circles of radius r as a sound arrangement gets on a floor where it is free. */
export function fullest(floor: Outline, r: number, free: Free): Circle[] {
  const layouts = [hexLayout(floor, r, 0), hexLayout(floor, r, 1), gridLayout(floor, r)];
  if (isRound(floor)) layouts.push(...ringLayouts(floor.a, r));
  const fit = fitting(floor, r, free);
  return layouts
    .map((layout) => layout.filter(fit))
    .reduce((a, b) => (b.length > a.length ? b : a), []);
}

/** Whether a circle of radius r lies on the floor where it is free. */
function fitting(floor: Outline, r: number, free: Free): (circle: Circle) => boolean {
  if (floor.a < r - SLACK || floor.b < r - SLACK) return () => false;
  const inner = grown(floor, -r);
  return (circle) => holds(inner, circle.x, circle.y) && free.circle(circle);
}

const isRound = ({ a, b, c }: Outline): boolean => a - c < 1e-9 && b - c < 1e-9;

/** `count` circles evenly round one ring, as people set supports, if some turn of it fits. */
function evenRing(
  R: number,
  r: number,
  count: number,
  fit: (circle: Circle) => boolean,
): Circle[] | null {
  const widest = R - r - SLACK;
  const closest = count > 1 ? (r + SLACK) / Math.sin(Math.PI / count) : 0;
  for (const share of [0.85, 1]) {
    const radius = Math.max(widest * share, closest);
    if (radius > widest) continue;
    for (const turn of [0.5, 0.25, 0.75, 0]) {
      const ring = ringOf(radius, r, count, (turn * 2 * Math.PI) / count);
      if (ring.every(fit)) return ring;
    }
  }
  return null;
}

function ringOf(radius: number, r: number, count: number, turn: number): Circle[] {
  return Array.from({ length: count }, (_, i) => {
    const angle = turn + (i * 2 * Math.PI) / count;
    return { x: radius * Math.cos(angle), y: radius * Math.sin(angle), r };
  });
}

/** `count` circles in even rows over an oblong floor, as square as they come, if they fit. */
function evenRows(
  floor: Outline,
  r: number,
  count: number,
  fit: (circle: Circle) => boolean,
): Circle[] | null {
  const byShape = Array.from({ length: Math.min(count, 24) }, (_, i) => i + 1)
    .filter((columns) => columns * Math.ceil(count / columns) - count < columns)
    .map((columns) => {
      const rows = Math.ceil(count / columns);
      const [dx, dy] = [(2 * floor.a) / columns, (2 * floor.b) / rows];
      return { columns, rows, oblong: Math.max(dx / dy, dy / dx) };
    })
    .sort((one, other) => one.oblong - other.oblong)
    .slice(0, 4);
  for (const { columns, rows } of byShape) {
    const placed: Circle[] = [];
    for (let row = 0; row < rows; row += 1) {
      const inRow = Math.min(columns, count - row * columns);
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

/** Concentric rings from the wall inwards, in a few turns. */
function ringLayouts(R: number, r: number): Circle[][] {
  return [0, 0.5, 0.25].map((turn) => {
    const circles: Circle[] = [];
    let radius = R - r - SLACK;
    while (radius >= r) {
      const count = Math.floor(Math.PI / Math.asin(Math.min((r + SLACK) / radius, 1)) + 1e-9);
      if (count >= 2) circles.push(...ringOf(radius, r, count, (turn * 2 * Math.PI) / count));
      radius -= 2 * (r + SLACK);
    }
    if (radius >= -1e-12) circles.push({ x: 0, y: 0, r });
    return circles;
  });
}

/** A honeycomb, shifted by half its pitch or not. */
function hexLayout({ a, b }: Outline, r: number, shift: number): Circle[] {
  const pitch = 2 * (r + SLACK);
  const rowHeight = (pitch * Math.sqrt(3)) / 2;
  const circles: Circle[] = [];
  const rows = Math.ceil(b / rowHeight);
  const columns = Math.ceil(a / pitch) + 1;
  for (let row = -rows; row <= rows; row += 1) {
    for (let column = -columns; column <= columns; column += 1) {
      circles.push({
        x: (column + (row & 1) / 2 + shift / 2) * pitch,
        y: row * rowHeight,
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
  return Array.from({ length: Math.max(columns * rows, 0) }, (_, i) => ({
    x: along(i % columns, columns, floor.a),
    y: along(Math.floor(i / columns), rows, floor.b),
    r,
  }));
}

/**
 * Places up to `count` rectangles in rows and columns about the middle, in whichever way round more
 * of them fit. None sticks out, none overlap.
 *
 * @param length and width of one, metres
 */
export function pack(
  floor: Outline,
  length: number,
  width: number,
  count: number,
  free: Free = EMPTY,
): Rectangle[] {
  const sizes = [
    [length / 2, width / 2],
    [width / 2, length / 2],
  ] as const;
  const full = sizes.map(([a, b]) =>
    grid(floor, a, b, roomFor(floor.a, a), roomFor(floor.b, b), free),
  );
  const most = full.reduce((one, other) => (other.length > one.length ? other : one));
  if (most.length <= count) return most;
  // Fewer than fit stand in the tidiest block that holds them.
  const neat = sizes
    .flatMap(([a, b]) =>
      blocks(count, roomFor(floor.a, a), roomFor(floor.b, b)).map(([columns, rows]) =>
        grid(floor, a, b, columns, rows, free).slice(0, count),
      ),
    )
    .find((block) => block.length === count);
  if (neat) return neat;
  return [...most]
    .sort((one, other) => Math.hypot(one.x, one.y) - Math.hypot(other.x, other.y))
    .slice(0, count);
}

/** A rectangle may touch the wall: so much is rounding, metres. */
const TOUCH = 1e-9;

const roomFor = (half: number, one: number): number => Math.floor(half / one + 1e-9);

/** Columns and rows of the blocks that hold `count`, those with the fewest empty places first. */
function blocks(count: number, columns: number, rows: number): [number, number][] {
  return Array.from({ length: Math.min(columns, count) }, (_, i): [number, number] => [
    i + 1,
    Math.ceil(count / (i + 1)),
  ])
    .filter(([, tall]) => tall <= rows)
    .sort(
      ([a, b], [c, d]) =>
        a * b - c * d || Math.abs(a - b) - Math.abs(c - d) || (columns >= rows ? c - a : a - c),
    );
}

function grid(
  floor: Outline,
  a: number,
  b: number,
  columns: number,
  rows: number,
  free: Free,
): Rectangle[] {
  const wide = grown(floor, TOUCH);
  const placed: Rectangle[] = [];
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const x = (2 * column + 1 - columns) * a;
      const y = (2 * row + 1 - rows) * b;
      const box = { x, y, a, b };
      if (holds(wide, Math.abs(x) + a, Math.abs(y) + b) && free.box(box)) placed.push(box);
    }
  }
  return placed;
}

/** Whether a rectangle lies on the floor: its outer corner does. */
export function holdsRectangle(floor: Outline, { x, y, a, b }: Rectangle): boolean {
  return holds(grown(floor, TOUCH), Math.abs(x) + a, Math.abs(y) + b);
}

/** Whether two rectangles keep clear of each other. */
export const clear = (one: Rectangle, other: Rectangle): boolean =>
  Math.abs(one.x - other.x) >= one.a + other.a - 1e-9 ||
  Math.abs(one.y - other.y) >= one.b + other.b - 1e-9;
