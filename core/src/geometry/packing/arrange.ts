import type { Outline } from '../vessels';
import { fitting, type Circle, type Free } from './free';
import { evenRing, evenRows, isRound, lattice, quickest } from './layouts';
import { filled, fullest } from './packing';

// By name: inside Jest's sandbox each look-up of a global costs more than the sum it is for.
const { hypot, min } = Math;

/** A number of standing circles on a floor: tubes, cups, bottles. They never overlap. */

/**
 * Places up to `count` circles of radius r on a floor where it is free: evenly spread where that
 * fits, else those of a full arrangement that lie farthest from each other.
 *
 * @param steady not all in one line, because a sheet lies on them
 */
export function arrange(
  floor: Outline,
  r: number,
  count: number,
  free: Free,
  steady = false,
): Circle[] {
  const fit = fitting(floor, r, free);
  if (count === 1) {
    if (fit({ x: 0, y: 0, r })) return [{ x: 0, y: 0, r }];
    const near = quickest(floor, r, fit);
    const all = near.length > 0 ? near : fullest(floor, r, free);
    return [...all].sort((a, b) => hypot(a.x, a.y) - hypot(b.x, b.y)).slice(0, 1);
  }
  const even = isRound(floor)
    ? evenRing(floor.a, r, count, fit)
    : evenRows(floor, r, count, fit, steady);
  if (even) return even;
  const quick = quickest(floor, r, fit);
  if (quick.length >= count) return spread(quick, count);
  const more = lattice(floor, r, fit, quick);
  if (more.length >= count || count > FEW) return spread(more, count);
  // Looking deeper takes its time, and is only done for what would be missing else.
  const set = filled(floor, r, free);
  return spread(set.length >= count ? set : fullest(floor, r, free), count);
}

/** More than so many are not looked for one by one. */
const FEW = 60;

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
