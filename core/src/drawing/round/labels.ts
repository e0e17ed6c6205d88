import type { Point2 } from './view';

/** Puts names beside a picture, each with a line to what it means. */

/** What is to be named. */
export interface Named {
  /** A group of parts, or `soil`, `plants`, `water`. */
  of: string;
  text: string;
}

/** A patch of the picture on the page, back to front. Pixels, y down. */
export interface Patch {
  points: readonly Point2[];
  of: string;
  /** Lets through what is behind, and is only named where nothing else is. */
  clear: boolean;
}

/** How names are set. */
export interface Lettering {
  /** Size of the type, pixels. */
  size: number;
  /** Width of a text in it, pixels. */
  widthOf(text: string): number;
}

/** Where a picture stands on its page, with the columns that are kept for names; pixels. */
export interface LabelFrame {
  left: number;
  right: number;
  top: number;
  bottom: number;
  /** Width of the column on either side; 0 where there is none. */
  columns: { left: number; right: number };
}

export interface PlacedLabel {
  of: string;
  /** One below the other, the middle of all at `y`. */
  lines: string[];
  x: number;
  y: number;
  anchor: 'start' | 'end';
  /** From the name to what it means. */
  from: Point2;
  to: Point2;
}

/** Rows in which it is looked up what is seen, and points of each pixel along them: what is thinner is not seen. */
const ROWS = 64;
const FINE = 4;
/** A line ends so far in what it means, points along a row: four pixels; one where that is smaller, as a hole is. */
const INTO = 4 * FINE;
const INTO_SMALL = FINE;
/** Height of a line of type, and the empty space between names, in sizes of the type. */
const LINE = 1.2;
const APART = 0.35;
/** Between a name and its line, pixels. */
const BESIDE = 5;
const LETTERS = 16;

/** A name in lines of few letters. */
function wrapped(text: string, letters = LETTERS): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < letters)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** The column that names take, pixels; 0 without any. */
export const columnFor = (named: readonly Named[], { widthOf, size }: Lettering): number =>
  named.length === 0
    ? 0
    : Math.max(...named.flatMap(({ text }) => wrapped(text).map(widthOf))) + BESIDE + size;

/** What is seen along some rows of the picture; null where nothing is. */
interface Seen {
  columns: number;
  at(column: number, row: number): string | null;
  x(column: number): number;
  y(row: number): number;
}

/** Where a level line crosses the edges of a patch, from the left. */
function crossings(points: readonly Point2[], y: number): number[] {
  const found: number[] = [];
  for (const [i, [x1, y1]] of points.entries()) {
    const [x2, y2] = points[(i + 1) % points.length] as Point2;
    if (y1 <= y !== y2 <= y) found.push(x1 + ((y - y1) / (y2 - y1)) * (x2 - x1));
  }
  return found.sort((p, q) => p - q);
}

function seenIn(patches: readonly Patch[], { left, right, top, bottom }: LabelFrame): Seen {
  const columns = Math.max(Math.ceil((right - left) * FINE), 1);
  const x = (column: number): number => left + (column + 0.5) / FINE;
  const y = (row: number): number => top + ((row + 0.5) * (bottom - top)) / ROWS;
  const cells = new Array<string | null>(columns * ROWS).fill(null);
  for (const { points, of, clear } of patches) {
    const [low, high] = [
      Math.min(...points.map(([, b]) => b)),
      Math.max(...points.map(([, b]) => b)),
    ];
    for (let row = 0; row < ROWS; row += 1) {
      if (y(row) < low || y(row) > high) continue;
      const edges = crossings(points, y(row));
      for (let k = 0; k + 1 < edges.length; k += 2) {
        const from = Math.max(Math.ceil(((edges[k] as number) - left) * FINE - 0.5), 0);
        const to = Math.min(((edges[k + 1] as number) - left) * FINE - 0.5, columns - 1);
        for (let column = from; column <= to; column += 1) {
          const cell = row * columns + column;
          // What shines through water is what it is.
          if (!clear || cells[cell] === null || cells[cell]?.startsWith('vessel')) cells[cell] = of;
        }
      }
    }
  }
  return {
    columns,
    at: (column, row) =>
      column < 0 || row < 0 || column >= columns || row >= ROWS
        ? null
        : (cells[row * columns + column] ?? null),
    x,
    y,
  };
}

/** A way to name something: a point of it, and the side that its line goes to. */
interface Option {
  column: number;
  row: number;
  side: 'left' | 'right';
  cost: number;
}

/** How many of the points about one are of the same, of twenty-four. */
function clearance(seen: Seen, of: string, column: number, row: number): number {
  let count = -1;
  for (let r = -2; r <= 2; r += 1)
    for (let c = -2; c <= 2; c += 1) if (seen.at(column + INTO * c, row + r) === of) count += 1;
  return count;
}

/** Least points about a line's end that are of what it means, where that is not small. */
const LEAST_CLEAR = 6;
/** What a pixel over something costs beside one over nothing. */
const OVER = 2;

/** The best point of a row for a line from one side; null where it would go over what it may not. */
function optionIn(
  seen: Seen,
  of: string,
  free: ReadonlySet<string>,
  row: number,
  side: Option['side'],
  into: number,
): Option | null {
  const inward = side === 'left' ? 1 : -1;
  let cost = 0;
  let column = side === 'left' ? 0 : seen.columns - 1;
  for (let i = 0; i < seen.columns; i += 1, column += inward) {
    const there = seen.at(column, row);
    cost += there === null ? 1 : OVER;
    if (there !== null && there !== of && !free.has(there)) return null;
    if (there !== of) continue;
    const end = column + into * inward;
    const clear = clearance(seen, of, end, row);
    const whole = Array.from({ length: into }, (_, k) => seen.at(column + (k + 1) * inward, row));
    if ((clear >= LEAST_CLEAR || into === INTO_SMALL) && whole.every((one) => one === of))
      return { column: end, row, side, cost: cost - INTO * clear };
  }
  return null;
}

/** The best points of each row and side, cheapest first. @param free what a line may go over besides what it means */
function optionsFor(
  seen: Seen,
  of: string,
  free: ReadonlySet<string>,
  { columns }: LabelFrame,
): Option[] {
  const sides = (['left', 'right'] as const).filter((side) => columns[side] > 0);
  const within = (into: number): Option[] =>
    Array.from({ length: ROWS }, (_, row) =>
      sides.flatMap((side) => optionIn(seen, of, free, row, side, into) ?? []),
    ).flat();
  const large = within(INTO);
  return (large.length > 0 ? large : within(INTO_SMALL)).sort((a, b) => a.cost - b.cost);
}

interface Taken {
  side: Option['side'];
  from: number;
  to: number;
}

/** Height of a name, pixels. */
const heightOf = (lines: readonly string[], { size }: Lettering): number =>
  lines.length * LINE * size;

/**
 * Names beside a picture. Their lines are level, so that none crosses another; a line goes over nothing but what it means
 * and what that is in (`free`); names of one side stand clear of each other, and none leaves the page. What cannot be named so
 * is not named.
 */
export function placeLabels(
  named: readonly Named[],
  patches: readonly Patch[],
  frame: LabelFrame,
  free: ReadonlySet<string>,
  lettering: Lettering,
): PlacedLabel[] {
  const seen = seenIn(patches, frame);
  const wanted = named
    .map((one) => ({ ...one, options: optionsFor(seen, one.of, free, frame) }))
    .filter(({ options }) => options.length > 0)
    // What can be named in few places comes first.
    .sort((a, b) => a.options.length - b.options.length);
  const taken: Taken[] = [];
  const placed: PlacedLabel[] = [];
  const apart = APART * lettering.size;
  for (const { of, text, options } of wanted) {
    const lines = wrapped(text);
    const half = heightOf(lines, lettering) / 2;
    const fits = ({ side, row }: Option): boolean => {
      const y = seen.y(row);
      return (
        y - half >= frame.top &&
        y + half <= frame.bottom &&
        taken.every(
          (one) => one.side !== side || y - half > one.to + apart || y + half < one.from - apart,
        )
      );
    };
    const option = options.find(fits);
    if (!option) continue;
    const { side, column, row } = option;
    const y = seen.y(row);
    taken.push({ side, from: y - half, to: y + half });
    const edge = side === 'left' ? frame.left - BESIDE : frame.right + BESIDE;
    placed.push({
      ...{ of, lines, y },
      x: side === 'left' ? edge - BESIDE : edge + BESIDE,
      anchor: side === 'left' ? 'end' : 'start',
      from: [edge, y],
      to: [seen.x(column), y],
    });
  }
  return placed;
}
