/**
 * Standing circles on a round floor: tubes, cups, tubs and bottles. A sound arrangement that never
 * overlaps, not a proven best one.
 */

export interface Circle {
  x: number;
  y: number;
  r: number;
}

/** Gap left between neighbours so that touching never counts as overlapping, metres. */
const SLACK = 1e-7;

/** Whether two circles keep clear of each other. */
export function apart(a: Circle, b: Circle): boolean {
  return Math.hypot(a.x - b.x, a.y - b.y) >= a.r + b.r;
}

/** Whether a circle lies inside a round floor of radius R centred on the origin. */
export function within(circle: Circle, R: number): boolean {
  return Math.hypot(circle.x, circle.y) + circle.r <= R + 1e-12;
}

/**
 * Places up to `count` circles of radius r on a round floor, clear of `taken`: evenly round a ring
 * where that fits, else the first of the fullest arrangement.
 */
export function arrange(R: number, r: number, count: number, taken: readonly Circle[]): Circle[] {
  const even = evenRing(R, r, count, (circle) => fits(circle, R, taken));
  return even ?? fullest(R, r, taken).slice(0, count);
}

/** As many circles of radius r as a sound arrangement gets on a round floor, clear of `taken`. */
export function fullest(R: number, r: number, taken: readonly Circle[]): Circle[] {
  return [...ringLayouts(R, r), hexLayout(R, r, 0, 0), hexLayout(R, r, 1, 0)]
    .map((layout) => layout.filter((circle) => fits(circle, R, taken)))
    .reduce((a, b) => (b.length > a.length ? b : a), []);
}

const fits = (circle: Circle, R: number, taken: readonly Circle[]): boolean =>
  within(circle, R) && taken.every((other) => apart(circle, other));

/** `count` circles evenly round one ring, as people set supports, if some turn of it fits. */
function evenRing(
  R: number,
  r: number,
  count: number,
  fit: (circle: Circle) => boolean,
): Circle[] | null {
  if (count === 1) {
    const middle = { x: 0, y: 0, r };
    if (fit(middle)) return [middle];
  }
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

/** A honeycomb, shifted by fractions of its pitch. */
function hexLayout(R: number, r: number, shiftX: number, shiftY: number): Circle[] {
  const pitch = 2 * (r + SLACK);
  const rowHeight = (pitch * Math.sqrt(3)) / 2;
  const circles: Circle[] = [];
  const rows = Math.ceil(R / rowHeight);
  const columns = Math.ceil(R / pitch) + 1;
  for (let row = -rows; row <= rows; row += 1) {
    for (let column = -columns; column <= columns; column += 1) {
      circles.push({
        x: (column + (row & 1) / 2 + shiftX / 2) * pitch,
        y: (row + shiftY / 2) * rowHeight,
        r,
      });
    }
  }
  return circles;
}
