import type { HydraulicValues, HydraulicTable } from '../../physics/column';
import { ConvergenceError, banded, type FivePointSystem } from '../../numerics';
import type { Grid } from './grid';

// By name: looked up once, these loops run millions of times.
const { abs, max, min, sqrt } = Math;

/**
 * Steady flow in a body of soil, ∇·[K(h)(∇h + e_z)] = S (Richards' equation at rest), by finite volumes. It is
 * found as the end of a long time: implicit steps that grow, each by Newton's method. Where nothing varies
 * sideways the equations are the column's. The linear systems are solved by stabilised biconjugate gradients
 * (van der Vorst 1992), with each upright column of boxes solved exactly as the preconditioner; those of a body
 * one box broad by elimination.
 */

/** A flux into the body through one end of a column of boxes, m³/s, and its slope by head, m²/s, into `out`. */
type Through = (column: number, h: number, out: Float64Array) => void;

export interface Problem {
  readonly grid: Grid;
  /** By layer of boxes, from below. */
  readonly media: readonly HydraulicTable[];
  readonly bottom: Through;
  readonly top: Through;
  /** What is taken out of each box at heads h, m³/s, and its slope where that is above nothing. */
  sink(h: Float64Array, taken: Float64Array, slope: Float64Array): void;
}

export interface Steady {
  /** Pressure head of each box, metres. */
  readonly h: Float64Array;
  /** Through base and surface into the body, and what is taken out, m³/s; of the whole, not of a quarter. */
  readonly bottom: number;
  readonly top: number;
  readonly taken: number;
  /** What does not add up, as a share of what comes in. */
  readonly imbalance: number;
  readonly steps: number;
  readonly iterations: number;
}

/** Seconds: the first step from a guess and from what is nearly it, and one in which nothing moves any more. */
const FIRST = 3600;
const NEARLY_THERE = 1e5;
const FOR_EVER = 1e6;
const GROWS = 4;
/** How much after one that failed. */
const CAREFUL = 1.5;
const MOST_STEPS = 60;
const MOST_ITERATIONS = 12;
/** Iterations up to which a step may grow, and from which on it must shrink. */
const EASY = 5;
const HARD = 8;
/** Iteration from which on one that does not close in is given up. */
const LOST = 5;
/** A head is at rest when it moves less than this, metres and share; at the end what flows must add up. */
const REST = { metres: 1e-3, share: 4e-3 };
const ADDS_UP = 5e-4;
/** A suction changes by no more than such a share of itself in one iteration, and by this, metres. */
const CHANGES = { share: 0.8, metres: 0.1 };

/** The linear system of an iteration: a body's, with the boxes to the north and south besides. */
interface System extends FivePointSystem {
  readonly north: Float64Array;
  readonly south: Float64Array;
}

/**
 * @param start heads to begin from, metres
 * @param near whether they are nearly what will be found, as from a coarser grid
 */
// eslint-disable-next-line max-lines-per-function -- its loops share arrays that are made once for a grid.
export function steadyFlow(
  problem: Problem,
  start: (box: number, z: number) => number,
  near = false,
): Steady {
  const { grid, media, bottom, top } = problem;
  const { nx, ny, nz, dx, dy, dz, volume } = grid;
  const n = nx * ny * nz;
  const columns = nx * ny;
  const row = nx * nz;
  const list = (): Float64Array => new Float64Array(n);
  const h = list();
  for (let c = 0; c < n; c += 1) h[c] = start(c, grid.z0 + ((c % nz) + 0.5) * dz);
  const looked: HydraulicValues = { theta: list(), K: list(), C: list(), dK: list() };
  const { theta, K, C } = looked;
  const dK = looked.dK as Float64Array;
  const [before, next, taken, slope, right] = [list(), list(), list(), list(), list()];
  const system: System = {
    ...{ diagonal: list(), east: list(), north: list(), up: list() },
    ...{ west: list(), south: list(), down: list() },
  };
  const { diagonal } = system;
  const two = new Float64Array(2);
  const solve = ny === 1 ? banded(grid, system) : gradients(grid, system);
  const ends = { bottom: 0, top: 0, taken: 0 };
  let iterations = 0;

  const look = (heads: Float64Array): void => {
    for (let k = 0; k < nz;) {
      // Boxes of one medium side by side in every column.
      const medium = media[k] as HydraulicTable;
      let to = k + 1;
      while (to < nz && media[to] === medium) to += 1;
      if (to - k === nz) medium.look(heads, 0, n, looked);
      else for (let c = 0; c < n; c += nz) medium.look(heads, c + k, c + to, looked);
      k = to;
    }
  };

  /** What flows between a box and the next, and how that changes with the heads of both. */
  const between = (
    c: number,
    d: number,
    open: number,
    apart: number,
    rise: number,
    over: Float64Array,
    back: Float64Array,
  ): void => {
    const half = open / (2 * apart);
    const G = half * ((K[c] as number) + (K[d] as number));
    const pull = (next[c] as number) - (next[d] as number) - rise;
    const byC = G + half * (dK[c] as number) * pull;
    const byD = G - half * (dK[d] as number) * pull;
    over[c] = -byD;
    back[c] = -byC;
    diagonal[c] = (diagonal[c] as number) + byC;
    diagonal[d] = (diagonal[d] as number) + byD;
    right[c] = (right[c] as number) - G * pull;
    right[d] = (right[d] as number) + G * pull;
  };

  const through = (end: Through, column: number, cell: number): number => {
    end(column, next[cell] as number, two);
    right[cell] = (right[cell] as number) + (two[0] as number);
    diagonal[cell] = (diagonal[cell] as number) - min(two[1] as number, 0);
    return two[0] as number;
  };

  const assemble = (dt: number): void => {
    problem.sink(next, taken, slope);
    ends.taken = 0;
    for (let c = 0; c < n; c += 1) {
      const v = (volume[c] as number) / dt;
      diagonal[c] = v * (C[c] as number) + (slope[c] as number) + 1e-30;
      right[c] = v * ((before[c] as number) - (theta[c] as number)) - (taken[c] as number);
      ends.taken += taken[c] as number;
    }
    const { east, north, up, west, south, down } = system;
    for (let c = 0; c < n; c += 1) {
      const e = grid.east[c] as number;
      if (e > 0) between(c, c + nz, e, dx, 0, east, west);
      const o = grid.north[c] as number;
      if (o > 0) between(c, c + row, o, dy, 0, north, south);
      const u = grid.up[c] as number;
      if (u > 0 && (c + 1) % nz !== 0) between(c, c + 1, u, dz, dz, up, down);
    }
    ends.bottom = 0;
    ends.top = 0;
    for (let column = 0; column < columns; column += 1) {
      const low = column * nz;
      if ((grid.base[column] as number) > 0) ends.bottom += through(bottom, column, low);
      const high = low + nz - 1;
      if ((grid.up[high] as number) > 0) ends.top += through(top, column, high);
    }
  };

  /** Moves the heads by the change; says how far from rest they were, 1 being at rest. */
  const move = (change: Float64Array): number => {
    let worst = 0;
    for (let c = 0; c < n; c += 1) {
      if ((volume[c] as number) === 0) continue;
      const from = next[c] as number;
      const step = change[c] as number;
      worst = max(worst, abs(step) / (REST.metres + REST.share * abs(from + step)));
      const most = CHANGES.metres + CHANGES.share * abs(from);
      next[c] = from + min(max(step, -most), most);
    }
    return worst;
  };

  /** A step; says after how many iterations it came to rest, 0 for never. */
  const step = (dt: number): number => {
    next.set(h);
    let earlier = Infinity;
    for (let iteration = 1; iteration <= MOST_ITERATIONS; iteration += 1) {
      if (iteration > 1) look(next);
      assemble(dt);
      const worst = move(solve(right));
      iterations += 1;
      if (worst < 1) return iteration;
      // Newton's method closes in fast or not at all.
      if (!(worst < 1e12) || (iteration >= LOST && worst > 0.5 * earlier)) return 0;
      if (iteration % 2 === 0) earlier = worst;
    }
    return 0;
  };

  let dt = near ? NEARLY_THERE : FIRST;
  let steps = 0;
  let imbalance = 1;
  let growth = GROWS;
  look(h);
  before.set(theta);
  for (; steps < MOST_STEPS && !(dt >= FOR_EVER && imbalance < ADDS_UP); steps += 1) {
    const took = step(dt);
    if (took === 0) {
      dt /= 3;
      growth = CAREFUL;
      if (dt < 1e-2) throw new ConvergenceError('the steady moisture');
      look(h);
      continue;
    }
    h.set(next);
    look(h);
    before.set(theta);
    const moved = ends.bottom + ends.top - ends.taken;
    imbalance = abs(moved) / max(abs(ends.bottom), abs(ends.taken), 1e-15);
    if (took <= 3) growth = Math.min(growth * 1.5, GROWS);
    if (took <= EASY) dt *= growth;
    else if (took >= HARD) dt /= 2;
  }
  const { times } = grid;
  return {
    h,
    bottom: ends.bottom * times,
    top: ends.top * times,
    taken: ends.taken * times,
    imbalance,
    steps,
    iterations,
  };
}

/** How much smaller the error of a linear system must become, and the most steps towards it. */
const SMALLER = 3e-3;
const MOST_TURNS = 200;
/** Less than this is nothing: numbers that small are slow to reckon with. */
const NAUGHT = 1e-60;

/**
 * Stabilised biconjugate gradients over the boxes; each column is solved exactly beforehand. Vectors that are
 * looked at beside a box have room for a row of boxes on either side, so that no look needs to ask where it is.
 */
// eslint-disable-next-line max-lines-per-function -- its loops share arrays that are made once for a grid.
function gradients({ nx, ny, nz }: Grid, system: System) {
  const { diagonal, east, north, up, west, south, down } = system;
  const n = nx * ny * nz;
  const row = nx * nz;
  const list = (): Float64Array => new Float64Array(n);
  const padded = (): Float64Array => new Float64Array(n + 2 * row);
  const [x, r, shadow, p, v, s, t] = [list(), list(), list(), list(), list(), list(), list()];
  const [y, z] = [padded(), padded()];
  /** What a box has of the one below, to the west and to the south, in its own place. */
  const [below, left, front] = [list(), list(), list()];
  /** Factors of Thomas's algorithm: of the box below, and one over each pivot. */
  const [factor, inverse] = [list(), list()];

  const prepare = (): void => {
    for (let c = 0; c < n; c += 1) {
      below[c] = c > 0 ? (down[c - 1] as number) : 0;
      left[c] = c >= nz ? (west[c - nz] as number) : 0;
      front[c] = c >= row ? (south[c - row] as number) : 0;
      factor[c] = c > 0 ? (below[c] as number) * (inverse[c - 1] as number) : 0;
      const under = c > 0 ? (factor[c] as number) * (up[c - 1] as number) : 0;
      inverse[c] = 1 / ((diagonal[c] as number) - under);
    }
  };
  const precondition = (from: Float64Array, to: Float64Array): void => {
    for (let c = 0, at = row; c < n; c += 1, at += 1) {
      to[at] = (from[c] as number) - (factor[c] as number) * (to[at - 1] as number);
    }
    for (let c = n - 1, at = n - 1 + row; c >= 0; c -= 1, at -= 1) {
      to[at] =
        ((to[at] as number) - (up[c] as number) * (to[at + 1] as number)) * (inverse[c] as number);
    }
  };
  const apply = (from: Float64Array, to: Float64Array): void => {
    for (let c = 0, at = row; c < n; c += 1, at += 1) {
      to[c] =
        (diagonal[c] as number) * (from[at] as number) +
        (up[c] as number) * (from[at + 1] as number) +
        (below[c] as number) * (from[at - 1] as number) +
        (east[c] as number) * (from[at + nz] as number) +
        (left[c] as number) * (from[at - nz] as number) +
        (north[c] as number) * (from[at + row] as number) +
        (front[c] as number) * (from[at - row] as number);
    }
  };
  const dot = (one: Float64Array, other: Float64Array): number => {
    let sum = 0;
    for (let c = 0; c < n; c += 1) sum += (one[c] as number) * (other[c] as number);
    return sum;
  };

  /** p = r + β·(p − ω·v) */
  const direct = (beta: number, omega: number): void => {
    for (let c = 0; c < n; c += 1) {
      const now = (r[c] as number) + beta * ((p[c] as number) - omega * (v[c] as number));
      p[c] = abs(now) < NAUGHT ? 0 : now;
    }
  };
  /** s = r − α·v */
  const halfway = (alpha: number): void => {
    for (let c = 0; c < n; c += 1) {
      const now = (r[c] as number) - alpha * (v[c] as number);
      s[c] = abs(now) < NAUGHT ? 0 : now;
    }
  };
  /** x = x + α·y + ω·z, r = s − ω·t; gives r·r. */
  const onward = (alpha: number, omega: number): number => {
    let sum = 0;
    for (let c = 0; c < n; c += 1) {
      x[c] = (x[c] as number) + alpha * (y[c + row] as number) + omega * (z[c + row] as number);
      const error = (s[c] as number) - omega * (t[c] as number);
      r[c] = abs(error) < NAUGHT ? 0 : error;
      sum += error * error;
    }
    return sum;
  };

  // The loops are functions of their own, because they are compiled one by one.
  return (right: Float64Array): Float64Array => {
    prepare();
    x.fill(0);
    p.fill(0);
    v.fill(0);
    r.set(right);
    shadow.set(right);
    const enough = SMALLER * sqrt(dot(right, right));
    let rho = 1;
    let alpha = 1;
    let omega = 1;
    for (let turn = 0; turn < MOST_TURNS; turn += 1) {
      const now = dot(shadow, r);
      if (abs(now) < 1e-80) break;
      direct((now / rho) * (alpha / omega), omega);
      rho = now;
      precondition(p, y);
      apply(y, v);
      alpha = rho / dot(shadow, v);
      halfway(alpha);
      precondition(s, z);
      apply(z, t);
      const tt = dot(t, t);
      omega = tt > 0 ? dot(t, s) / tt : 0;
      if (sqrt(onward(alpha, omega)) <= enough || omega === 0) break;
    }
    return x;
  };
}
