/**
 * Cutting lengths from stock with a saw. Offcuts that are at hand are used first, then as few new
 * lengths as can be, and of those plans one that leaves the longest single offcut.
 */

/** Pieces of one length. Metres. */
export interface Cut {
  label: string;
  length: number;
  count: number;
}

export interface Stock {
  /** Length that is sold, metres. */
  length: number;
  /** What the saw takes with each cut, metres. */
  kerf: number;
  /** Lengths at hand, metres. */
  offcuts?: readonly number[];
  /** Whether of plans with as few new lengths the one that leaves the longest offcut is looked for; it is by default. */
  tidy?: boolean;
}

/** One length with the pieces that come out of it. */
export interface Bar {
  length: number;
  /** Whether it was at hand. */
  atHand: boolean;
  /** From the near end; `at` is where the piece begins. Metres. */
  pieces: { label: string; length: number; at: number }[];
  /** What is left at the far end, metres. */
  left: number;
}

export interface CutPlan {
  bars: Bar[];
  /** New lengths that the plan takes. */
  bought: number;
  /** No plan takes fewer new lengths than this. */
  bound: number;
  /** Whether the search came to its end, so that no plan is better. */
  proven: boolean;
  /** Pieces that are longer than any length there is. */
  tooLong: Cut[];
}

/** Lengths are compared in whole hundredths of a millimetre, so that no rounding loses a fit. */
const UNIT = 1e-5;
/** States that one plan's searches look at, all together, before they give up. */
const MOST_STATES = 12_000;
/** Offcut lengths that are tried for the last bar. */
const MOST_OFFCUTS = 400;

/** States that are left to look at; shared by the searches of one plan. */
interface Patience {
  states: number;
}

interface Item {
  label: string;
  length: number;
  /** Length and kerf, in units. */
  size: number;
}

/** Plans the cuts of some pieces. Exact for what a gardener cuts; `proven` says so. */
export function planCuts(pieces: readonly Cut[], stock: Stock): CutPlan {
  const kerf = Math.round(stock.kerf / UNIT);
  // A bar gives n pieces and takes n − 1 cuts between them, so each counts with a kerf, and so does it.
  const room = (length: number): number => Math.floor(length / UNIT + 1e-6) + kerf;
  const offcuts = [...(stock.offcuts ?? [])].sort((a, b) => a - b);
  const longest = Math.max(stock.length, ...offcuts);
  const fits = (piece: Cut): boolean => Math.round(piece.length / UNIT) + kerf <= room(longest);
  const items = pieces
    .filter(fits)
    .flatMap(({ label, length, count }) =>
      Array.from({ length: count }, (): Item => ({
        label,
        length,
        size: Math.round(length / UNIT) + kerf,
      })),
    )
    .sort((a, b) => b.size - a.size);
  const tooLong = pieces.filter((piece) => !fits(piece));
  const sizes = items.map(({ size }) => size);
  const rooms = offcuts.map(room);
  const full = room(stock.length);

  const bound = leastNew(sizes, rooms, full);
  const patience: Patience = { states: MOST_STATES };
  const greedy = firstFit(sizes, rooms, full);
  let best = greedy;
  let proven = greedy.bought <= bound;
  for (let bought = bound; bought < greedy.bought; bought += 1) {
    const search = pack(sizes, [...rooms, ...Array<number>(bought).fill(full)], patience);
    if (search.places) {
      best = { places: search.places, bought };
      proven = true;
      break;
    }
    if (!search.whole) break;
    proven = bought + 1 >= greedy.bought;
  }
  const places = stock.tidy === false ? best.places : tidied(sizes, rooms, full, best, patience);
  const lengths = [...offcuts, ...Array<number>(best.bought).fill(stock.length)];
  return {
    bars: barsOf(items, places, lengths, offcuts.length, stock.kerf),
    bought: best.bought,
    bound,
    proven,
    tooLong,
  };
}

/** No fewer new lengths than the total asks for, nor than the pieces that want one each. */
function leastNew(sizes: readonly number[], rooms: readonly number[], full: number): number {
  const total = sizes.reduce((sum, size) => sum + size, 0);
  const atHand = rooms.reduce((sum, one) => sum + one, 0);
  const bySum = Math.ceil((total - atHand) / full - 1e-12);
  const large = sizes.filter((size) => size > full / 2).length;
  return Math.max(bySum, large - rooms.length, 0);
}

interface Packing {
  /** Bar of each piece, by index. */
  places: number[];
  bought: number;
}

/** Longest pieces first, each into the first bar that takes it. */
function firstFit(sizes: readonly number[], rooms: readonly number[], full: number): Packing {
  const left = [...rooms];
  const places = sizes.map((size) => {
    let bar = left.findIndex((one) => one >= size);
    if (bar < 0) {
      left.push(full);
      bar = left.length - 1;
    }
    left[bar] = (left[bar] as number) - size;
    return bar;
  });
  return { places, bought: left.length - rooms.length };
}

/** Looks for a place for every piece, depth first, longest piece first. */
function pack(
  sizes: readonly number[],
  rooms: readonly number[],
  patience: Patience,
): { places: number[] | null; whole: boolean } {
  const left = [...rooms];
  const places = Array<number>(sizes.length).fill(-1);
  const after = [...sizes];
  for (let i = after.length - 2; i >= 0; i -= 1)
    after[i] = (after[i] as number) + (after[i + 1] as number);
  const failed = new Set<string>();
  const smallest = sizes[sizes.length - 1] ?? 0;

  const search = (i: number): boolean => {
    if (i >= sizes.length) return true;
    // Ends too short for any piece are lost.
    const free = left.reduce((sum, one) => sum + (one >= smallest ? one : 0), 0);
    if (free < (after[i] as number)) return false;
    const key = `${i}:${[...left].sort((a, b) => a - b).join()}`;
    if (failed.has(key)) return false;
    patience.states -= 1;
    if (patience.states < 0) return false;
    const size = sizes[i] as number;
    const tried = new Set<number>();
    // The bar that it fills best comes first.
    const bars = left
      .map((_, bar) => bar)
      .sort((a, b) => (left[a] as number) - (left[b] as number));
    for (const bar of bars) {
      const room = left[bar] as number;
      if (room < size || tried.has(room)) continue;
      tried.add(room);
      left[bar] = room - size;
      places[i] = bar;
      if (search(i + 1)) return true;
      left[bar] = room;
      if (room === size) break;
    }
    failed.add(key);
    return false;
  };

  const found = search(0);
  return { places: found ? places : null, whole: found || patience.states >= 0 };
}

/** Among plans with as many new lengths, one whose last bar is used least. */
function tidied(
  sizes: readonly number[],
  rooms: readonly number[],
  full: number,
  { places, bought }: Packing,
  patience: Patience,
): number[] {
  if (bought === 0) return places;
  const total = sizes.reduce((sum, size) => sum + size, 0);
  const others = [...rooms, ...Array<number>(bought - 1).fill(full)];
  const least = total - others.reduce((sum, one) => sum + one, 0);
  const used = Array<number>(rooms.length + bought).fill(0);
  places.forEach((bar, i) => (used[bar] = (used[bar] as number) + (sizes[i] as number)));
  const now = Math.min(...used.slice(rooms.length));
  const targets = subsetSums(sizes, now).filter((sum) => sum >= least && sum < now);
  for (const target of targets.slice(0, MOST_OFFCUTS)) {
    if (patience.states <= 0) break;
    const search = pack(sizes, [...others, target], patience);
    if (search.places) return search.places;
  }
  return places;
}

/** Sums that some of the sizes come to, below `most`, rising. */
function subsetSums(sizes: readonly number[], most: number): number[] {
  let sums = new Set<number>([0]);
  for (const size of sizes) {
    if (sums.size > 4 * MOST_OFFCUTS) break;
    const next = new Set(sums);
    for (const sum of sums) if (sum + size < most) next.add(sum + size);
    sums = next;
  }
  return [...sums].sort((a, b) => a - b);
}

function barsOf(
  items: readonly Item[],
  places: readonly number[],
  lengths: readonly number[],
  atHand: number,
  kerf: number,
): Bar[] {
  return lengths
    .map((length, bar): Bar => {
      let at = 0;
      const pieces = items
        .filter((_, i) => places[i] === bar)
        .map((item) => {
          const piece = { label: item.label, length: item.length, at };
          at += item.length + kerf;
          return piece;
        });
      return { length, atHand: bar < atHand, pieces, left: Math.max(length - at, 0) };
    })
    .filter((bar) => bar.pieces.length > 0);
}
