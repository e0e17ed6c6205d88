import { conductivity, waterContent, type Hydraulics } from '../soil';

// By name: looked up once, these loops run millions of times.
const { log, min, floor, exp } = Math;

/**
 * A medium's functions of pressure head from a table: the solver asks millions of times. Heads are
 * metres, positive when saturated. Entries are even in the logarithm of suction, straight lines between.
 */
export interface Medium {
  readonly soil: Hydraulics;
  /** Water content, m³/m³, conductivity, m/s, and dθ/dh, 1/m, all at once into `out`. */
  look(h: number, out: Float64Array): void;
  theta(h: number): number;
  K(h: number): number;
}

const ENTRIES = 1600;
const WETTEST = 1e-4;
/** What a saturated medium gives under pressure, 1/m: next to nothing, and enough to be solved. */
const GIVES = 1e-4;
const DRIEST = 2e3;

const made = new WeakMap<Hydraulics, Medium>();

/** The table of a medium, made once. */
export function mediumFor(soil: Hydraulics): Medium {
  const known = made.get(soil);
  if (known) return known;
  const from = log(WETTEST);
  const step = (log(DRIEST) - from) / (ENTRIES - 1);
  const theta = new Float64Array(ENTRIES);
  const K = new Float64Array(ENTRIES);
  const suction = new Float64Array(ENTRIES);
  for (let i = 0; i < ENTRIES; i += 1) {
    const s = exp(from + i * step);
    suction[i] = s;
    theta[i] = waterContent(soil, s);
    K[i] = conductivity(soil, s);
  }
  const { thetaS, Ks } = soil;
  const wetTheta = theta[0] as number;
  const wetK = K[0] as number;
  const look = (h: number, out: Float64Array): void => {
    const s = -h;
    if (s <= 0) {
      out[0] = thetaS + GIVES * h;
      out[1] = Ks;
      out[2] = GIVES;
      return;
    }
    if (s < WETTEST) {
      const t = s / WETTEST;
      out[0] = thetaS + (wetTheta - thetaS) * t;
      out[1] = Ks + (wetK - Ks) * t;
      out[2] = (thetaS - wetTheta) / WETTEST;
      return;
    }
    const at = min((log(s) - from) / step, ENTRIES - 1.001);
    const i = floor(at);
    const [s0, s1] = [suction[i] as number, suction[i + 1] as number];
    const t = min((s - s0) / (s1 - s0), 1);
    const [a, b] = [theta[i] as number, theta[i + 1] as number];
    const [k0, k1] = [K[i] as number, K[i + 1] as number];
    out[0] = a + (b - a) * t;
    out[1] = k0 + (k1 - k0) * t;
    out[2] = (a - b) / (s1 - s0);
  };
  const scratch = new Float64Array(3);
  const medium: Medium = {
    soil,
    look,
    theta(h) {
      look(h, scratch);
      return scratch[0] as number;
    },
    K(h) {
      look(h, scratch);
      return scratch[1] as number;
    },
  };
  made.set(soil, medium);
  return medium;
}
