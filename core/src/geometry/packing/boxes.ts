import { grown, holds, type Outline } from '../vessels';
import { EMPTY, type Circle, type Free, type Rectangle } from './free';

// By name: inside Jest's sandbox each look-up of a global costs more than the sum it is for.
const { abs, ceil, hypot, min, round } = Math;

/** Rectangles of one size on a floor: crates and boxes. They never overlap. */

/**
 * Places up to `count` rectangles of one size: the tidiest block about the middle that holds them, else
 * those of a full arrangement that are nearest the middle. None sticks out, none overlap.
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
  const neat = sizes
    .flatMap(([a, b]) =>
      blocks(count, roomFor(floor.a, a), roomFor(floor.b, b)).map(([columns, rows]) =>
        grid(floor, a, b, columns, rows, free).slice(0, count),
      ),
    )
    .find((block) => block.length === count);
  if (neat) return neat;
  return [...fullestBoxes(floor, length, width, free, count)]
    .sort((one, other) => hypot(one.x, one.y) - hypot(other.x, other.y))
    .slice(0, count);
}

/** Rectangles at the most that are set one against the other. */
const MOST_BOXES = 36;

/** As many rectangles of one size as a sound arrangement gets on a floor where it is free, or `enough`. */
export function fullestBoxes(
  floor: Outline,
  length: number,
  width: number,
  free: Free = EMPTY,
  enough = Infinity,
): Rectangle[] {
  const sizes: readonly (readonly [number, number])[] = [
    [length / 2, width / 2],
    [width / 2, length / 2],
  ];
  const grids = sizes.map(([a, b]) =>
    grid(floor, a, b, roomFor(floor.a, a), roomFor(floor.b, b), free),
  );
  if ((4 * floor.a * floor.b) / (length * width) > MOST_BOXES) return longest(grids);
  const orders = [sizes, [...sizes].reverse(), sizes.slice(0, 1), sizes.slice(1)];
  let best = longest(grids);
  for (const order of orders) {
    for (const [sx, sy] of CORNERS) {
      if (best.length >= enough) return best;
      best = longest([best, setBoxes(floor, order, free, sx, sy)]);
    }
  }
  return best;
}

/** Corners that a floor is filled from. */
const CORNERS = [
  [1, 1],
  [1, -1],
  [-1, 1],
  [-1, -1],
] as const;

const longest = <T>(lists: readonly T[][]): T[] =>
  lists.reduce((one, other) => (other.length > one.length ? other : one), []);

/** Boxes set one against the other from one corner on, the first way round first. */
function setBoxes(
  floor: Outline,
  sizes: readonly (readonly [number, number])[],
  free: Free,
  sx: number,
  sy: number,
): Rectangle[] {
  const placed: Rectangle[] = [];
  const wide = grown(floor, TOUCH);
  const cut = floor.c * (1 - Math.SQRT1_2);
  const fits = (box: Rectangle) =>
    holds(wide, abs(box.x) + box.a, abs(box.y) + box.b) &&
    free.box(box) &&
    placed.every((other) => clear(box, other));
  for (;;) {
    const all = [...free.boxes, ...placed, ...free.discs.map(boxRound)];
    const near = sizes.flatMap(([a, b]) => {
      const xs = edges(all, floor.a, cut, a, 'x');
      const ys = edges(all, floor.b, cut, b, 'y');
      return xs.flatMap((x) => ys.map((y) => ({ x, y, a, b })));
    });
    const next = near
      .filter(fits)
      .reduce<Rectangle | null>(
        (best, box) =>
          best === null || sx * box.x + 1.01 * sy * box.y < sx * best.x + 1.01 * sy * best.y
            ? box
            : best,
        null,
      );
    if (!next) return placed;
    placed.push(next);
  }
}

const boxRound = ({ x, y, r }: Circle): Rectangle => ({ x, y, a: r, b: r });

/** Middles at which a box of half size s stands at a wall or against another. */
function edges(
  all: readonly Rectangle[],
  half: number,
  cut: number,
  s: number,
  axis: 'x' | 'y',
): number[] {
  const at = all.flatMap((box) => {
    const [middle, size] = axis === 'x' ? [box.x, box.a] : [box.y, box.b];
    return [middle - size - s, middle + size + s];
  });
  const walls = [half - s, s - half, half - cut - s, s + cut - half, 0];
  const byMicrometre = new Map([...walls, ...at].map((v) => [round(v * 1e6), v]));
  return [...byMicrometre.values()].filter((v) => abs(v) + s <= half + 1e-6);
}

/** A rectangle may touch the wall: so much is rounding, metres. */
const TOUCH = 1e-9;

const roomFor = (half: number, one: number): number => Math.floor(half / one + 1e-9);

/** Columns and rows of the blocks that hold `count`, those with the fewest empty places first. */
function blocks(count: number, columns: number, rows: number): [number, number][] {
  return Array.from({ length: min(columns, count) }, (_, i): [number, number] => [
    i + 1,
    ceil(count / (i + 1)),
  ])
    .filter(([, tall]) => tall <= rows)
    .sort(
      ([a, b], [c, d]) =>
        a * b - c * d || abs(a - b) - abs(c - d) || (columns >= rows ? c - a : a - c),
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
      if (holds(wide, abs(x) + a, abs(y) + b) && free.box(box)) placed.push(box);
    }
  }
  return placed;
}

/** Whether a rectangle lies on the floor: its outer corner does. */
export function holdsRectangle(floor: Outline, { x, y, a, b }: Rectangle): boolean {
  return holds(grown(floor, TOUCH), abs(x) + a, abs(y) + b);
}

/** Whether two rectangles keep clear of each other. */
export const clear = (one: Rectangle, other: Rectangle): boolean =>
  abs(one.x - other.x) >= one.a + other.a - 1e-9 || abs(one.y - other.y) >= one.b + other.b - 1e-9;
