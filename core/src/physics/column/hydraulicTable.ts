import { conductivity, waterContent, type Hydraulics } from '../soil';

/**
 * A medium's functions of pressure head from a table: the solver asks millions of times. Heads are
 * metres, positive when saturated. Entries stand at suctions whose floating-point numbers begin with the
 * same exponent and six bits of the fraction, so that the place in the table is read from the number
 * itself instead of from its logarithm; straight lines between.
 */
export interface HydraulicTable {
  readonly soil: Hydraulics;
  /**
   * Water content, m³/m³, conductivity, m/s, and dθ/dh, 1/m, of the cells `from` to `to` (left out), written
   * into the three lists.
   */
  look(h: Float64Array, from: number, to: number, into: HydraulicValues): void;
  theta(h: number): number;
  K(h: number): number;
}

/** What a medium's functions are written into, an entry a cell. */
export interface HydraulicValues {
  readonly theta: Float64Array;
  readonly K: Float64Array;
  readonly C: Float64Array;
  /** dK/dh, 1/s, where it is wanted. */
  readonly dK?: Float64Array;
}

/** Bits of the fraction that an entry begins with, as what is shifted away of the number's upper half. */
const SHIFT = 14;
const PER_OCTAVE = 64;
/** Wettest and driest suction of the table, metres: powers of two. */
const WETTEST = 2 ** -13;
const DRIEST = 2 ** 11;
const ENTRIES = Math.log2(DRIEST / WETTEST) * PER_OCTAVE;
/** Numbers of an entry: its suction, then water content and conductivity with their slopes. */
const STRIDE = 5;
/** What a saturated medium gives under pressure, 1/m: next to nothing, and enough to be solved. */
const GIVES = 1e-4;

const number = new Float64Array(1);
const halves = new Int32Array(number.buffer);
/** The half of a number that its exponent stands in. */
const UPPER = new Uint8Array(new Uint16Array([1]).buffer)[0] === 1 ? 1 : 0;

number[0] = WETTEST;
const OFFSET = (halves[UPPER] as number) >> SHIFT;

/** The suction at which an entry begins, metres. */
function suctionOf(entry: number): number {
  halves[UPPER] = (entry + OFFSET) << SHIFT;
  halves[1 - UPPER] = 0;
  return number[0] as number;
}

function tableOf(soil: Hydraulics): Float64Array {
  const table = new Float64Array(ENTRIES * STRIDE);
  for (let i = 0; i < ENTRIES; i += 1) {
    const [s0, s1] = [suctionOf(i), suctionOf(i + 1)];
    const [a, b] = [waterContent(soil, s0), waterContent(soil, s1)];
    const [k0, k1] = [conductivity(soil, s0), conductivity(soil, s1)];
    table.set([s0, a, (b - a) / (s1 - s0), k0, (k1 - k0) / (s1 - s0)], i * STRIDE);
  }
  return table;
}

const made = new WeakMap<Hydraulics, HydraulicTable>();

/** The table of a medium, made once. */
export function hydraulicTableFor(soil: Hydraulics): HydraulicTable {
  const known = made.get(soil);
  if (known) return known;
  const table = tableOf(soil);
  const { thetaS, Ks } = soil;
  const wetTheta = waterContent(soil, WETTEST);
  const wetK = conductivity(soil, WETTEST);
  const slopeTheta = (wetTheta - thetaS) / WETTEST;
  const slopeK = (wetK - Ks) / WETTEST;
  const look = (h: Float64Array, from: number, to: number, into: HydraulicValues): void => {
    const { theta, K, C, dK } = into;
    if (dK) slopes(h, from, to, dK);
    for (let i = from; i < to; i += 1) {
      const s = -(h[i] as number);
      if (s >= WETTEST) {
        number[0] = s < DRIEST ? s : DRIEST * 0.9999;
        const at = (((halves[UPPER] as number) >> SHIFT) - OFFSET) * STRIDE;
        const ds = (number[0] as number) - (table[at] as number);
        const slope = table[at + 2] as number;
        theta[i] = (table[at + 1] as number) + slope * ds;
        C[i] = -slope;
        K[i] = (table[at + 3] as number) + (table[at + 4] as number) * ds;
      } else if (s > 0) {
        theta[i] = thetaS + slopeTheta * s;
        C[i] = -slopeTheta;
        K[i] = Ks + slopeK * s;
      } else {
        theta[i] = thetaS - GIVES * s;
        C[i] = GIVES;
        K[i] = Ks;
      }
    }
  };
  const slopes = (h: Float64Array, from: number, to: number, dK: Float64Array): void => {
    for (let i = from; i < to; i += 1) {
      const s = -(h[i] as number);
      if (s >= WETTEST) {
        number[0] = s < DRIEST ? s : DRIEST * 0.9999;
        const at = (((halves[UPPER] as number) >> SHIFT) - OFFSET) * STRIDE;
        dK[i] = -(table[at + 4] as number);
      } else dK[i] = s > 0 ? -slopeK : 0;
    }
  };
  const head = new Float64Array(1);
  const one = { theta: new Float64Array(1), K: new Float64Array(1), C: new Float64Array(1) };
  const at = (h: number): typeof one => {
    head[0] = h;
    look(head, 0, 1, one);
    return one;
  };
  const medium: HydraulicTable = {
    soil,
    look,
    theta: (h) => at(h).theta[0] as number,
    K: (h) => at(h).K[0] as number,
  };
  made.set(soil, medium);
  return medium;
}
