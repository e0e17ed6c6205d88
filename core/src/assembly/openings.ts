import { bitFor, CLOTHS, INCH_BITS, METRIC_BITS } from '../catalog';
import type { UnitSystem } from '../units';
import type { ClothWickDesign, CupWickDesign } from '../document';

/** How wide an opening must be for what goes through it. Metres. */

/** What is left at the least between a hole and an edge, a seam or another hole in thin plastic. */
export const BRIDGE = 0.008;
/** From one overflow hole to the next round the wall: a hand's width. */
export const HAND = 0.1;
/** More than a pipe's, cup's or column's outside, so that it goes through. */
export const PLAY = 0.001;
/** Thickness of a packed cup's own wall. */
export const CUP_WALL = 0.001;
/** A cup's hole is at least this much narrower than its rim, or the rim slips through. */
export const RIM_GRIP = 0.004;

/** How tightly bunched cloth is packed where it goes through a hole, and the least hole for any. */
const PACKED = 0.5;
const LEAST_BUNCH = 0.008;

/** Section of all legs of a cloth, or strands of a rope, which are round, m². */
export const clothSection = ({ material, legs, width, thickness }: ClothWickDesign): number =>
  legs * width * thickness * (CLOTHS[material].rope ? Math.PI / 4 : 1);

/** Across a bunch of all the cloth that hangs through one hole: its section packed to about half. */
export function bunchAcross(cloth: ClothWickDesign): number {
  const section = clothSection(cloth) / Math.max(Math.min(cloth.holes, cloth.legs), 1);
  return Math.max(Math.sqrt((4 * section) / (Math.PI * PACKED)), LEAST_BUNCH);
}

/** The hole for one bunch, as a bit that exists in a set of drills. */
export const bunchHole = (cloth: ClothWickDesign, set: UnitSystem = 'metric'): number =>
  bitFor(bunchAcross(cloth), set === 'us' ? INCH_BITS : METRIC_BITS);

/** Between what widths a cup's hole is: wider than its body where it passes, narrower than its rim. */
export function cupHole({ diameter, rim }: CupWickDesign): { least: number; most: number } {
  const least = diameter + 2 * CUP_WALL + PLAY;
  return { least, most: Math.max(rim - RIM_GRIP, least) };
}

/** Most of a pipe's width that a hole in it may take. */
export const MOST_OF_PIPE = 0.5;
