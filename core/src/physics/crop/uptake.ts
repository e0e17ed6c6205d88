// By name: looked up once, these loops run millions of times.
const { log, min, max } = Math;

/**
 * Root water uptake after Feddes and others (1978): none where roots have no air or the water is held too
 * fast, full between. Where some roots go short, others make up for it (Jarvis 1989).
 */

/** Suctions in a container mix, metres: none above, full from, full to, none beyond. Typical. */
const NO_AIR = 0.01;
const AIR = 0.05;
/** The same suction at which the figures of the bench count plants as going short. */
const EASY = 1;
const WILTED = 12;
/** Share of all roots that must drink well for the plant to go on as if all did. */
export const ENOUGH = 0.5;

/** Share of full uptake that wetness leaves, 0 to 1. @param h pressure head, metres */
const airShare = (h: number): number => min(max((-h - NO_AIR) / (AIR - NO_AIR), 0), 1);

/** Share of full uptake that dryness leaves, 0 to 1; falls with the logarithm of suction. */
function moistShare(h: number): number {
  if (-h <= EASY) return 1;
  return max(1 - log(-h / EASY) / log(WILTED / EASY), 0);
}

/** Share of full uptake that roots have at a pressure head (metres), 0 to 1, and its slope where it is dry. */
export const shareOf = (h: number): number => airShare(h) * moistShare(h);
export const slopeOf = (h: number): number =>
  -h <= EASY || -h >= WILTED ? 0 : 1 / (-h * log(WILTED / EASY));

/** Share of their thirst that plants meet from the water itself, once roots are there and can. */
export const FROM_BELOW = 0.5;

/** Below this share of what they ask plants count as going short. */
export const SHORT = 0.9;
/** The suction at which soil that is as dry everywhere leaves plants short, metres. */
export const SHORT_SUCTION = EASY * (WILTED / EASY) ** (1 - SHORT * ENOUGH);

/** Uptake of a step. */
export interface Uptake {
  /** What is drunk, as a share of what is asked. */
  share: number;
  /** What want of air and want of water each leave of it, over all roots. */
  air: number;
  moist: number;
}

/**
 * Spreads what plants ask over the cells by their roots.
 *
 * @param density share of all roots in each cell; @param asked m³/s; @param sink m³/s, and `into`, written into
 */
export function takeUp(
  h: Float64Array,
  density: Float64Array,
  asked: number,
  sink: Float64Array,
  into: Uptake,
): void {
  let air = 0;
  let moist = 0;
  let both = 0;
  for (let i = 0; i < h.length; i += 1) {
    const roots = density[i] as number;
    if (roots === 0) {
      sink[i] = 0;
      continue;
    }
    const a = airShare(h[i] as number);
    const m = moistShare(h[i] as number);
    air += roots * a;
    moist += roots * m;
    both += roots * a * m;
    sink[i] = roots * a * m;
  }
  into.share = both >= ENOUGH ? 1 : both / ENOUGH;
  into.air = air;
  into.moist = moist;
  const scale = both > 0 ? (asked * into.share) / both : 0;
  for (let i = 0; i < h.length; i += 1) sink[i] = (sink[i] as number) * scale;
}

/** Roots by height, most near the surface, none below their depth: shares that sum to 1, written into `density`. */
export function rootsTo(depth: number, height: number, density: Float64Array): void {
  const count = density.length;
  let sum = 0;
  for (let i = 0; i < count; i += 1) {
    const below = height - ((i + 0.5) / count) * height;
    const value = below < depth ? 1 - (0.7 * below) / depth : 0;
    density[i] = value;
    sum += value;
  }
  if (sum === 0) density[count - 1] = 1;
  else for (let i = 0; i < count; i += 1) density[i] = (density[i] as number) / sum;
}
