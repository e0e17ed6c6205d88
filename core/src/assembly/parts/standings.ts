import type { PlanterDesign, Vents } from '../../document';
import { holdsCircle, shared, type Outline } from '../../geometry/vessels';
import { arrange, beside, fullest, spread, type Circle, type Free } from '../../geometry/packing';
import { waterUnderTrappedAir } from '../../physics/overflow';
import type { ChosenSpots, Displacement, Part } from '../part';
import { cylinder, type Solid } from '../solid';

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
): Displacement & { height: number } {
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

/** The wall alone of something hollow that is open: what is inside it stands in the same water. */
export const wallOnly = (
  outer: Solid,
  bore: Solid,
  height: number,
): Displacement & { height: number } => ({
  height,
  levelInside: (z) => Math.min(z, height),
  outerBelow: (z) => outer.below(z) - bore.below(z),
  waterBelow: () => 0,
  hollowBelow: () => 0,
  areaAt: (z) => outer.areaAt(z) - bore.areaAt(z),
});

/** A hollow thing about the middle, round what hangs and stands there. @param r its radius, metres */
export function roundMiddle(id: string, r: number, wall: number, top: number): Part {
  const whole = cylinder({ x: 0, y: 0, r }, 0, top);
  const bore = cylinder({ x: 0, y: 0, r: r - wall }, 0, top);
  const body = {
    ...whole,
    holds: (x: number, y: number, z: number) => whole.holds(x, y, z) && !bore.holds(x, y, z),
  };
  return { id, x: 0, y: 0, from: 0, to: top, foot: { form: 'ring', r, wall }, body, bore: null };
}

/** A cut end slides in with a little play all round, metres. */
export const RING_SLACK = 5e-4;

/** A floor, or as much of it as lies inside a ring that stands on it. */
export function insideRing(floor: Outline, { reservoir }: PlanterDesign): Outline {
  const ring = reservoir.parts.find((part) => part.kind === 'ring');
  if (!ring) return floor;
  const r = ring.diameter / 2 - ring.wall - (ring.cutEnd ? RING_SLACK : 0);
  return r > 0 && r < Math.min(floor.a, floor.b) ? shared(floor, { a: r, b: r, c: r }) : floor;
}

/** Where circles may stand: their edges inside an outline, and clear of what is there. */
interface Ground {
  room: Outline;
  free: Free;
}

/** Places for circles that were chosen by hand; only those that are free. */
function byHand(
  at: readonly { x: number; y: number }[],
  r: number,
  count: number,
  { room, free }: Ground,
): Circle[] {
  const kept: Circle[] = [];
  for (const { x, y } of at.slice(0, count)) {
    const circle = { x, y, r };
    const clear = free.circle(circle) && beside(kept).circle(circle);
    if (clear && holdsCircle(room, x, y, r)) kept.push(circle);
  }
  return kept;
}

/** Places by hand, and by Huerta for those that have none. */
export function standingPlaces(
  at: readonly { x: number; y: number }[] | null,
  r: number,
  count: number,
  { room, free }: Ground,
): Circle[] {
  if (!at) return arrange(room, r, count, free);
  const own = byHand(at, r, count, { room, free });
  const left = count - at.length;
  if (left <= 0) return own;
  const rest: Free = {
    ...free,
    discs: [...free.discs, ...own],
    circle: (c) => free.circle(c) && beside(own).circle(c),
  };
  return [...own, ...spread(fullest(room, r, rest), left)];
}

/** The places of a wick in its design. */
export const wickSpots = (index: number, { wicks, bed }: PlanterDesign): ChosenSpots | null => {
  const wick = wicks[index];
  // Under the pails of a row, and in a neck, there is nothing to choose.
  if (!wick || bed?.kind === 'row' || bed?.kind === 'neck') return null;
  return { path: ['wicks', index, 'at'], chosen: wick.at, many: true };
};
