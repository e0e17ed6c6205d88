import { boreOf, type OverflowDesign } from '../../document';

/** How fast an overflow can let water out, and how high it climbs meanwhile. */

const GRAVITY = 9.80665;
/** Discharge coefficient of a sharp-edged hole. */
const DISCHARGE = 0.6;
/** Share of a hole that an insect screen leaves open. Typical. */
const SCREEN_OPEN = 0.6;

/** Round holes at one height. */
export interface Holes {
  /** Metres. */
  diameter: number;
  count: number;
  screened: boolean;
}

/**
 * Strips that a hole is cut into for the sum: midpoints in the angle about the wetted height, which
 * resolves both ends of the hole. Share of the wetted height, and weight.
 */
const STRIPS: readonly (readonly [number, number])[] = Array.from({ length: 12 }, (_, i) => {
  const angle = ((i + 0.5) / 12) * Math.PI;
  return [(1 - Math.cos(angle)) / 2, (Math.sin(angle) * Math.PI) / 24] as const;
});

/**
 * Outflow with water standing `head` above the invert, by integrating Torricelli's velocity over
 * the wetted part of the hole: Q = Cd·∫ b(z)·√(2g(head − z)) dz. Drowned deep it tends to the
 * orifice formula Cd·A·√(2g·h) with h above the centre; partly filled it is a weir.
 *
 * @param head metres above the invert
 * @returns m³/s
 */
export function outflow(holes: Holes, head: number): number {
  if (head <= 0) return 0;
  const r = holes.diameter / 2;
  const wet = Math.min(head, holes.diameter);
  let sum = 0;
  for (const [share, weight] of STRIPS) {
    const z = wet * share;
    const breadthSquared = Math.max(2 * r * z - z * z, 0);
    sum += weight * Math.sqrt(breadthSquared * (head - z));
  }
  const integral = 2 * Math.sqrt(2 * GRAVITY) * wet * sum;
  return holes.count * DISCHARGE * (holes.screened ? SCREEN_OPEN : 1) * integral;
}

/** What an overflow of a design is to the water: round holes, or a rim all round. */
export type Outlet = Holes | { rim: number };

/** Crest of a rim that water runs over evenly, as a share of its length: vessels are never quite level. */
const RIM_USED = 0.5;

/** The outlet of a design's overflow. @param rim length of the vessel's rim, metres */
export function outletOf(overflow: OverflowDesign, rim: number): Outlet {
  if (overflow.kind === 'rim') return { rim };
  return { diameter: boreOf(overflow), count: overflow.count, screened: overflow.screened };
}

/**
 * Outflow of any outlet with water standing `head` above its lip. Over a rim it is a sharp-crested
 * weir, Q = ⅔·Cd·b·√(2g)·h^1.5 (Poleni).
 *
 * @returns m³/s
 */
export function outletFlow(outlet: Outlet, head: number): number {
  if (!('rim' in outlet)) return outflow(outlet, head);
  const h = Math.max(head, 0);
  return (2 / 3) * DISCHARGE * outlet.rim * RIM_USED * Math.sqrt(2 * GRAVITY) * h ** 1.5;
}

/** Highest climb that is looked for, metres. */
const MOST_HEAD = 2;

/**
 * How high water climbs above the invert while `inflow` keeps coming.
 *
 * @param inflow m³/s
 * @returns metres, at most 2
 */
export function climb(outlet: Outlet, inflow: number): number {
  if (inflow <= 0) return 0;
  let low = 0;
  let high = MOST_HEAD;
  for (let i = 0; i < 18; i += 1) {
    const middle = (low + high) / 2;
    if (outletFlow(outlet, middle) < inflow) low = middle;
    else high = middle;
  }
  return high;
}
