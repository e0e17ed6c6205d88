import type { Matter } from '../catalog';
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
  readonly medium: Matter;
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

const kept = new WeakMap<Matter, Float64Array>();

/** Conductivity of a medium half way between one node and the next, m/s. */
function conductivities(medium: Matter): Float64Array {
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
}

/** Least area that counts, m²: a place where the section vanishes lets nothing through. */
const NOTHING = 1e-9;
/** Smallest and largest flow that is looked for, m³/s, and the halvings between them. */
const LEAST = 1e-13;
const MOST = 1;
const HALVINGS = 30;

/** Makes a passage ready to be asked often. @param most flow never reported beyond, m³/s */
export function riser({ beds, areaAt }: Passage, most = MOST): Riser {
  const bottom = beds[0]?.from ?? 0;
  const top = beds[beds.length - 1]?.to ?? 0;
  const K = beds.map(({ medium }) => conductivities(medium));
  const step = Math.max(top - bottom, 1e-9) / SECTIONS;
  const sections = Float64Array.from({ length: SECTIONS + 1 }, (_, i) =>
    Math.max(areaAt(bottom + Math.min(i + 0.5, SECTIONS) * step), NOTHING),
  );

  /** Whether Q gets from `level` to the top before the suction is more than `suction`. */
  const gets = (Q: number, level: number, suction: number): boolean => {
    let z = level;
    let h = 0;
    let bed = 0;
    while (bed < beds.length - 1 && z >= (beds[bed] as Bed).to) bed += 1;
    for (let i = 0; i < NODES; i += 1) {
      const next = Math.min(SUCTION[i] as number, suction);
      const at = Math.min(Math.max(((z - bottom) / step) | 0, 0), SECTIONS);
      const k = (K[bed] as Float64Array)[i] as number;
      z += (next - h) / (1 + Q / ((sections[at] as number) * k));
      if (z >= top) return true;
      h = next;
      if (h >= suction) return false;
      while (bed < beds.length - 1 && z >= (beds[bed] as Bed).to) bed += 1;
    }
    return false;
  };

  return {
    flow(level, suction) {
      if (level >= top) return most;
      if (!gets(LEAST, Math.max(level, bottom), suction)) return 0;
      if (gets(most, Math.max(level, bottom), suction)) return most;
      let low = Math.log(LEAST);
      let high = Math.log(most);
      for (let i = 0; i < HALVINGS && high - low > 2e-5; i += 1) {
        const middle = (low + high) / 2;
        if (gets(Math.exp(middle), Math.max(level, bottom), suction)) low = middle;
        else high = middle;
      }
      return Math.exp(low);
    },
  };
}
