import { conductivity, type Hydraulics } from '../soil';

/**
 * Steady upward flow in a column of soil or sand that stands in water.
 *
 * With flux q upward from a water table, the height at which suction has grown to h is
 * z(h) = ∫₀ʰ dh′ / (1 + q/K(h′)) (Darcy's law for vertical unsaturated flow; Gardner 1958).
 */

/**
 * Height above the water at which a steady flux q brings the suction to `suction`.
 *
 * @param K conductivity as a function of suction, m/s
 * @param q upward flux, m/s, above zero
 * @param suction metres
 * @returns metres
 */
export function steadyRise(K: (h: number) => number, q: number, suction: number): number {
  const grid = logGrid(suction);
  return riseOnGrid(
    grid,
    grid.h.map((h) => K(h)),
    q,
  );
}

/** Suctions evenly spaced in their logarithm, with Simpson weights for ∫ f(h) dh. */
interface Grid {
  h: Float64Array;
  weight: Float64Array;
  /** Width of the part below the first node, metres. */
  first: number;
}

const INTERVALS = 240;
const FIRST = 1e-6;

function logGrid(suction: number): Grid {
  const h = new Float64Array(INTERVALS + 1);
  const weight = new Float64Array(INTERVALS + 1);
  const step = Math.log(suction / FIRST) / INTERVALS;
  for (let i = 0; i <= INTERVALS; i += 1) {
    const node = FIRST * Math.exp(i * step);
    const simpson = i === 0 || i === INTERVALS ? 1 : i % 2 === 1 ? 4 : 2;
    h[i] = node;
    weight[i] = (simpson * step * node) / 3;
  }
  return { h, weight, first: FIRST };
}

function riseOnGrid(grid: Grid, K: ArrayLike<number>, q: number): number {
  let z = grid.first / (1 + q / (K[0] as number));
  for (let i = 0; i < grid.h.length; i += 1) {
    z += (grid.weight[i] as number) / (1 + q / (K[i] as number));
  }
  return z;
}

/** Fluxes and the lifts they reach, from slow and high to fast and low. */
interface FluxTable {
  lnFlux: Float64Array;
  lift: Float64Array;
}

const FLUXES = 240;
/** Slowest flux in a table, m/s: 0.01 mm in a year, nothing to a plant. */
const SLOWEST = 3e-13;

const tables = new WeakMap<Hydraulics, Map<number, FluxTable>>();

function fluxTable(soil: Hydraulics, suction: number): FluxTable {
  const bySuction = tables.get(soil) ?? new Map<number, FluxTable>();
  tables.set(soil, bySuction);
  const known = bySuction.get(suction);
  if (known) return known;

  const grid = logGrid(suction);
  const K = grid.h.map((h) => conductivity(soil, h));
  const lnFlux = new Float64Array(FLUXES);
  const lift = new Float64Array(FLUXES);
  const bottom = Math.log(SLOWEST);
  const top = Math.log(soil.Ks * 1e3);
  for (let i = 0; i < FLUXES; i += 1) {
    const ln = bottom + ((top - bottom) * i) / (FLUXES - 1);
    lnFlux[i] = ln;
    lift[i] = riseOnGrid(grid, K, Math.exp(ln));
  }
  const table = { lnFlux, lift };
  bySuction.set(suction, table);
  return table;
}

/**
 * The greatest steady upward flux of a column at a given lift whose top is no drier than `suction`:
 * the inverse of `steadyRise`, from a table kept for each soil.
 *
 * @param lift height of the column's top above the water, metres
 * @param suction at the column's top, metres
 * @returns flux, m/s; 0 when the lift is beyond what that suction can hold
 */
export function columnFlux(soil: Hydraulics, lift: number, suction: number): number {
  const table = fluxTable(soil, suction);
  const at = (i: number): number => table.lift[i] as number;
  if (lift >= at(0)) return 0;
  let low = 0;
  let high = FLUXES - 1;
  if (lift <= at(high)) return Math.exp(table.lnFlux[high] as number);
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (at(middle) > lift) low = middle;
    else high = middle;
  }
  const t = (at(low) - lift) / (at(low) - at(high));
  const lnLow = table.lnFlux[low] as number;
  return Math.exp(lnLow + t * ((table.lnFlux[high] as number) - lnLow));
}
