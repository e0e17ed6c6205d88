import type { Vents } from '../../design';
import { holdsCircle } from '../../vessel';
import {
  arrange,
  beside,
  fullest,
  spread,
  waterUnderTrappedAir,
  type Circle,
  type Free,
} from '../../reservoir';
import type { Room, Site } from '../piece';
import type { Solid } from '../solid';

/** What kinds that stand upright have in common. */

/** Typical densities, kg/m³: polyolefin lids and supports, PVC pipe, fired clay, timber. */
export const DENSITY = { plastic: 950, pipe: 1400, clay: 1900, stick: 550, cloth: 350 } as const;

/**
 * Room of some hollow things alike.
 *
 * @param outer and bore of one; @param n how many; @param share of the bore that is water to be had
 */
export function hollows(
  vents: Vents,
  outer: Solid,
  bore: Solid | null,
  n: number,
  height: number,
  share = 1,
): Room & { height: number } {
  const levelInside = (z: number): number => {
    const level = Math.min(z, height);
    if (vents === 'both') return level;
    return vents === 'foot' ? waterUnderTrappedAir(height, level) : 0;
  };
  return {
    height,
    levelInside,
    outerBelow: (z) => n * outer.below(z),
    waterBelow: (z) => (bore ? n * share * bore.below(levelInside(z)) : 0),
    hollowBelow: (z) => (bore ? n * share * bore.below(Math.min(z, height)) : 0),
    areaAt: (z) => n * outer.areaAt(z),
  };
}

/** Places for circles that were chosen by hand; only those that are free. */
export function byHand(
  at: readonly { x: number; y: number }[],
  r: number,
  count: number,
  site: Site,
): Circle[] {
  const kept: Circle[] = [];
  for (const { x, y } of at.slice(0, count)) {
    const circle = { x, y, r };
    const free = site.taken.circle(circle) && beside(kept).circle(circle);
    if (free && holdsCircle(site.floor, x, y, r)) kept.push(circle);
  }
  return kept;
}

/** Places by hand, and for the rest by Huerta. */
export function standingPlaces(
  at: readonly { x: number; y: number }[] | null,
  r: number,
  count: number,
  site: Site,
): Circle[] {
  const own = at ? byHand(at, r, count, site) : [];
  if (own.length >= count) return own;
  const left = count - own.length;
  if (own.length === 0) return arrange(site.floor, r, left, site.taken);
  const free: Free = {
    ...site.taken,
    discs: [...site.taken.discs, ...own],
    circle: (c) => site.taken.circle(c) && beside(own).circle(c),
  };
  return [...own, ...spread(fullest(site.floor, r, free), left)];
}
