import type { Outline } from '../vessels';
import { apart, type Circle, type Free } from './free';

// By name: inside Jest's sandbox each look-up of a global costs more than the sum it is for.
const { abs, cos, hypot, max, min, sign, sin, sqrt } = Math;

/** One more circle on a full floor, by pushing all of them apart. */

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
export function squeezed(
  placed: Circle[],
  floor: Outline,
  r: number,
  free: Free,
  fit: (circle: Circle) => boolean,
): Circle[] {
  let best = placed;
  const stands = free.discs.reduce((sum, disc) => sum + Math.PI * disc.r ** 2, 0);
  const room = 4 * floor.a * floor.b - (4 - Math.PI) * floor.c ** 2 - stands;
  const most = min(SQUEEZED, (DENSEST * room) / (Math.PI * r * r));
  while (best.length > 0 && best.length + 1 <= most) {
    const more =
      oneMore(best, floor, r, free, fit) ?? scattered(best.length + 1, floor, r, free, fit);
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

/** Fresh starts, how long each is pushed, and when it is seen to be hopeless. */
const SCATTERS = 8;
const SCATTER_PUSHES = 700;
const SCATTER_LOOK = 150;
const SCATTER_HOPELESS = 0.16;

/** More than so many are not begun anew: it would take too long for one more. */
const SCATTERED = 40;

/** So many circles from nothing: strewn evenly like the seeds of a sunflower, and pushed apart. */
function scattered(
  count: number,
  floor: Outline,
  r: number,
  free: Free,
  fit: (circle: Circle) => boolean,
): Circle[] | null {
  if (count > SCATTERED) return null;
  const reach = r + ELBOW;
  for (let start = 0; start < SCATTERS; start += 1) {
    const at = Array.from({ length: count }, (_, i): Circle => {
      const angle = i * 2.399963 + start * 0.7853;
      const far = sqrt((i + 0.5) / count);
      return { x: far * (floor.a - r) * cos(angle), y: far * (floor.b - r) * sin(angle), r };
    });
    for (let push = 0; push < SCATTER_PUSHES; push += 1) {
      const worst = pushApart(at, floor, reach, free);
      if (worst < ELBOW / 2 || (push === SCATTER_LOOK && worst > SCATTER_HOPELESS * r)) break;
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
