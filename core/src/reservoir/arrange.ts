import { grown, holds, holdsCircle, outlinePoints, type Outline } from '../vessel';

// By name: inside Jest's sandbox each look-up of a global costs more than the sum it is for.
const { abs, asin, ceil, cos, hypot, max, min, round, sign, sin, sqrt } = Math;

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

/**
 * Places up to `count` circles of radius r on a floor where it is free: evenly spread where that
 * fits, else those of a full arrangement that lie farthest from each other.
 */
export function arrange(floor: Outline, r: number, count: number, free: Free): Circle[] {
  const fit = fitting(floor, r, free);
  if (count === 1) {
    if (fit({ x: 0, y: 0, r })) return [{ x: 0, y: 0, r }];
    const near = quickest(floor, r, fit);
    const all = near.length > 0 ? near : fullest(floor, r, free);
    return [...all].sort((a, b) => hypot(a.x, a.y) - hypot(b.x, b.y)).slice(0, 1);
  }
  const even = isRound(floor) ? evenRing(floor.a, r, count, fit) : evenRows(floor, r, count, fit);
  if (even) return even;
  const quick = quickest(floor, r, fit);
  if (quick.length >= count) return spread(quick, count);
  const more = lattice(floor, r, fit, quick);
  // A search in depth is worth its time where a few are missing.
  const near = count - more.length <= NEARLY && count <= FEW;
  return spread(more.length >= count || !near ? more : fullest(floor, r, free), count);
}

/** So many missing ones are still looked for, among so many. */
const NEARLY = 2;
const FEW = 16;

/** Those of many places that lie farthest from each other, by always taking the farthest next. */
export function spread<P extends { x: number; y: number }>(
  places: readonly P[],
  count: number,
): P[] {
  if (places.length <= count) return [...places];
  const far = (p: P): number => hypot(p.x, p.y);
  const first = places.reduce((a, b) => (far(b) > far(a) + 1e-9 ? b : a));
  const chosen = [first];
  const nearest = places.map((p) => hypot(p.x - first.x, p.y - first.y));
  while (chosen.length < count) {
    let at = 0;
    for (let i = 1; i < places.length; i += 1) {
      if ((nearest[i] as number) > (nearest[at] as number) + 1e-9) at = i;
    }
    const next = places[at] as P;
    chosen.push(next);
    places.forEach((p, i) => {
      nearest[i] = min(nearest[i] as number, hypot(p.x - next.x, p.y - next.y));
    });
  }
  return chosen;
}

/** The fullest of a few lattices and rings. */
function quickest(floor: Outline, r: number, fit: (circle: Circle) => boolean): Circle[] {
  const layouts = [hexLayout(floor, r, 0), hexLayout(floor, r, 1), gridLayout(floor, r)];
  if (isRound(floor)) layouts.push(...ringLayouts(floor.a, r));
  return layouts
    .map((layout) => layout.filter(fit))
    .reduce((a, b) => (b.length > a.length ? b : a), []);
}

/** Ways that a floor is filled from: directions, and from the wall inwards. */
const DIRECTIONS = 12;
/** Circles on a floor at the most that are set one against the other; more stand in lattices. */
const SET_BY_HAND = 95;

/**
 * As many circles of radius r as a sound arrangement gets on a floor where it is free: lattices, and
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

/** Starts of a squeeze, and how often all circles are pushed apart in each. */
const STARTS = 10;
const PUSHES = 300;
/** After so many pushes it is seen whether they come apart at all: an overlap of a share of r is hopeless. */
const LOOK = 60;
const HOPELESS = 0.06;
/** Room that each is given while they are pushed, so that they end up apart. Metres. */
const ELBOW = 2e-5;
/** Circles at the most that are squeezed: beyond, one more is no matter. */
const SQUEEZED = 70;
/** No circles fill more of a floor of a few of their widths. */
const DENSEST = 0.87;

/** One more, and one more, by pushing all of them apart from a start with the new one in a gap. */
function squeezed(
  placed: Circle[],
  floor: Outline,
  r: number,
  free: Free,
  fit: (circle: Circle) => boolean,
): Circle[] {
  let best = placed;
  const room = 4 * floor.a * floor.b - (4 - Math.PI) * floor.c ** 2;
  const most = min(SQUEEZED, (DENSEST * room) / (Math.PI * r * r));
  while (best.length > 0 && best.length + 1 <= most) {
    const more = oneMore(best, floor, r, free, fit);
    if (!more) return best;
    best = more;
  }
  return best;
}

function oneMore(
  placed: readonly Circle[],
  floor: Outline,
  r: number,
  free: Free,
  fit: (circle: Circle) => boolean,
): Circle[] | null {
  const reach = r + ELBOW;
  for (let start = 0; start < STARTS; start += 1) {
    // The golden angle spreads the starts over the floor, always the same.
    const angle = start * 2.399963;
    const far = sqrt((start + 0.5) / STARTS);
    const x0 = far * (floor.a - r) * cos(angle);
    const y0 = far * (floor.b - r) * sin(angle);
    const at = [...placed, { x: x0, y: y0, r }].map(({ x, y }) => ({ x, y, r }));
    for (let push = 0; push < PUSHES; push += 1) {
      const worst = pushApart(at, floor, reach, free);
      if (worst < ELBOW / 2 || (push === LOOK && worst > HOPELESS * r)) break;
    }
    const sound = at.every(
      (one, i) => fit(one) && at.slice(0, i).every((other) => apart(one, other)),
    );
    if (sound) return at;
  }
  return null;
}

/** Pushes circles out of each other, off what stands there and inside the wall. @returns the worst overlap */
function pushApart(
  at: { x: number; y: number }[],
  floor: Outline,
  reach: number,
  free: Free,
): number {
  let worst = 0;
  const off = (
    one: { x: number; y: number },
    x: number,
    y: number,
    need: number,
    share: number,
  ) => {
    const dx = one.x - x;
    const dy = one.y - y;
    if (dx >= need || dx <= -need || dy >= need || dy <= -need) return 0;
    const d = sqrt(dx * dx + dy * dy) || 1e-9;
    if (d >= need) return 0;
    const by = (need - d) * share;
    one.x += (dx / d) * by;
    one.y += (dy / d) * by;
    return need - d;
  };
  for (let i = 0; i < at.length; i += 1) {
    const one = at[i] as { x: number; y: number };
    for (let j = i + 1; j < at.length; j += 1) {
      const other = at[j] as { x: number; y: number };
      const { x, y } = one;
      const over = off(one, other.x, other.y, 2 * reach, 0.5);
      if (over > 0) worst = max(worst, over, off(other, x, y, 2 * reach, 0.5));
    }
    for (const disc of free.discs) worst = max(worst, off(one, disc.x, disc.y, disc.r + reach, 1));
    for (const box of free.boxes) {
      const x = min(max(one.x, box.x - box.a), box.x + box.a);
      const y = min(max(one.y, box.y - box.b), box.y + box.b);
      worst = max(worst, off(one, x, y, reach, 1));
    }
    worst = max(worst, pulledIn(one, floor, reach));
  }
  return worst;
}

/** Moves a middle inside the wall. @returns how far it was out */
function pulledIn(one: { x: number; y: number }, { a, b, c }: Outline, reach: number): number {
  const [A, B] = [a - reach, b - reach];
  const C = max(min(c - reach, A, B), 0);
  const [sx, sy] = [sign(one.x) || 1, sign(one.y) || 1];
  const [dx, dy] = [abs(one.x) - (A - C), abs(one.y) - (B - C)];
  if (dx > 0 && dy > 0) {
    const d = hypot(dx, dy);
    if (d <= C) return 0;
    one.x = sx * (A - C + (dx * C) / d);
    one.y = sy * (B - C + (dy * C) / d);
    return d - C;
  }
  const out = max(dx - C, dy - C, 0);
  if (dx > C) one.x = sx * A;
  if (dy > C) one.y = sy * B;
  return out;
}

/** The fullest of many lattices, or what is known already. */
function lattice(
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

/** `count` circles in even rows over an oblong floor, as square as they come, if they fit. */
function evenRows(
  floor: Outline,
  r: number,
  count: number,
  fit: (circle: Circle) => boolean,
): Circle[] | null {
  const byShape = Array.from({ length: min(count, 24) }, (_, i) => i + 1)
    .filter((columns) => columns * ceil(count / columns) - count < columns)
    .map((columns) => {
      const rows = ceil(count / columns);
      const [dx, dy] = [(2 * floor.a) / columns, (2 * floor.b) / rows];
      return { columns, rows, oblong: max(dx / dy, dy / dx) };
    })
    .sort((one, other) => one.oblong - other.oblong)
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
