import type { HydraulicMaterial } from '../../catalog';
import { conductivity } from '../soil';

/**
 * Steady upward flow through layers of changing section. One flow Q passes all of them, so with the
 * suction h growing from nothing at the water, dz = dh / (1 + Q/(A(z)·K(h))) (Darcy's law for vertical
 * unsaturated flow; Gardner 1958), layer after layer, to the suction at the top.
 */

/** A layer of one medium, from its lower to its upper face, metres above the floor. */
export interface Bed {
  readonly from: number;
  readonly to: number;
  readonly medium: HydraulicMaterial;
}

/** What water rises through: layers from below without gaps, and the plan area at a height, m². */
export interface Passage {
  readonly beds: readonly Bed[];
  areaAt(z: number): number;
}

/** Suctions, evenly spaced in their logarithm, at which conductivities are kept. Metres. */
const FIRST = 1e-4;
const LAST = 1e3;
const NODES = 176;
const RATIO = Math.log(LAST / FIRST) / (NODES - 1);
const SUCTION = Float64Array.from({ length: NODES }, (_, i) => FIRST * Math.exp(i * RATIO));

const kept = new WeakMap<HydraulicMaterial, Float64Array>();

/** Conductivity of a medium half way between one node and the next, m/s. */
function conductivities(medium: HydraulicMaterial): Float64Array {
  const known = kept.get(medium);
  if (known) return known;
  const made = Float64Array.from({ length: NODES }, (_, i) =>
    conductivity(medium, i === 0 ? FIRST / 2 : FIRST * Math.exp((i - 0.5) * RATIO)),
  );
  kept.set(medium, made);
  return made;
}

/** Places at which the section is kept. */
const SECTIONS = 40;

/** A passage with its sections and conductivities at hand. */
export interface Riser {
  /**
   * The steady flow up from water at `level` that leaves the top at `suction`, m³/s.
   * 0 where water cannot get there at all.
   */
  flow(level: number, suction: number): number;
  /**
   * The same for all suctions at once: flows from little to the most there is at `driest`, and the
   * suctions they leave the top at. Empty where water cannot get there.
   */
  curve(level: number, driest: number): Curve;
}

/** Flows, m³/s, and the suctions that they leave at the top, metres; both rise. */
export interface Curve {
  readonly flows: readonly number[];
  readonly suctions: readonly number[];
}

/** Least area that counts, m²: a place where the section vanishes lets nothing through. */
const NOTHING = 1e-9;
/** Smallest and largest flow that is looked for, m³/s. */
const LEAST = 1e-13;
const MOST = 1;
/** How near the logarithm of a flow is found, and looks at most. */
const NEAR = 2e-5;
const LOOKS = 60;
/** Flows of a curve as shares of its most: close together where suction runs away. */
const SHARES = [
  0.02, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.87, 0.92, 0.95, 0.97, 0.985, 0.993, 1,
];

/** Makes a passage ready to be asked often. @param most flow never reported beyond, m³/s */
export function riser({ beds, areaAt }: Passage, most = MOST): Riser {
  const bottom = beds[0]?.from ?? 0;
  const top = beds[beds.length - 1]?.to ?? 0;
  const K = beds.map(({ medium }) => conductivities(medium));
  const step = Math.max(top - bottom, 1e-9) / SECTIONS;
  const sections = Float64Array.from({ length: SECTIONS + 1 }, (_, i) =>
    Math.max(areaAt(bottom + Math.min(i + 0.5, SECTIONS) * step), NOTHING),
  );
  const ends = beds.map(({ to }, i) => (i === beds.length - 1 ? Infinity : to));

  /**
   * Follows Q up from `level` until the suction is `driest`. Stopping at the top it tells the suction there, or
   * `driest` where it does not get so far; going on, past the top as at it, how far beyond the top it gets.
   */
  const follow = (Q: number, level: number, driest: number, stops: boolean): number => {
    let z = Math.max(level, bottom);
    let h = 0;
    let bed = 0;
    while (z >= (ends[bed] as number)) bed += 1;
    for (let i = 0; i < NODES && h < driest; i += 1) {
      const next = Math.min(SUCTION[i] as number, driest);
      const at = Math.min(((z - bottom) / step) | 0, SECTIONS);
      const slope = 1 + Q / ((sections[at] as number) * ((K[bed] as Float64Array)[i] as number));
      const more = (next - h) / slope;
      if (stops && z + more >= top) return h + (top - z) * slope;
      z += more;
      h = next;
      while (z >= (ends[bed] as number)) bed += 1;
    }
    return stops ? driest : z - top;
  };
  const beyond = (Q: number, level: number, suction: number): number =>
    follow(Q, level, suction, false);
  const leaves = (Q: number, level: number, driest: number): number =>
    follow(Q, level, driest, true);

  /** The root of a falling function of ln Q by false position that keeps its bracket (Illinois). */
  const flow = (level: number, suction: number): number => {
    if (level >= top) return most;
    let low = Math.log(LEAST);
    let high = Math.log(most);
    let fLow = beyond(LEAST, level, suction);
    let fHigh = beyond(most, level, suction);
    if (fLow <= 0) return 0;
    if (fHigh >= 0) return most;
    let side = 0;
    for (let i = 0; i < LOOKS && high - low > NEAR; i += 1) {
      // From far away halving is quicker: the function is flat there.
      const far = high - low > 3;
      const middle = far ? (low + high) / 2 : low + ((high - low) * fLow) / (fLow - fHigh);
      const f = beyond(Math.exp(middle), level, suction);
      if (Math.abs(f) < 1e-8) return Math.exp(middle);
      if (f > 0) {
        low = middle;
        fLow = f;
        if (side > 0) fHigh /= 2;
        side = 1;
      } else {
        high = middle;
        fHigh = f;
        if (side < 0) fLow /= 2;
        side = -1;
      }
    }
    return Math.exp(low);
  };

  return {
    flow,
    curve(level, driest) {
      const all = flow(level, driest);
      if (all <= 0) return { flows: [], suctions: [] };
      const flows = SHARES.map((share) => share * all);
      return { flows, suctions: flows.map((Q) => leaves(Q, level, driest)) };
    },
  };
}
