import { ConvergenceError } from '../../numerics';
import type { HydraulicValues, HydraulicTable } from './hydraulicTable';

// By name: looked up once, these loops run millions of times.
const finite = Number.isFinite;
const { abs, min } = Math;

/**
 * Richards' equation in mixed form on a vertical column of varying area,
 * a·∂θ/∂t = ∂/∂z[a·K·(∂h/∂z + 1)] − a·S, by finite volumes, backward Euler and modified Picard iteration
 * (Celia, Bouloutas and Zarba 1990), which keeps the mass. z points up; fluxes are m³/s, upward positive;
 * h is pressure head in metres.
 */

/** The cells of a column, from the bottom up. */
export interface Cells {
  /** Height of a cell, metres, all the same. */
  readonly dz: number;
  /** Area at each cell's middle and at each of the faces, m²; there is one face more than cells. */
  readonly area: Float64Array;
  readonly face: Float64Array;
  /** What each cell is filled with. */
  readonly media: readonly HydraulicTable[];
}

/** What happens at one end: a flux that may depend on the end cell's head, with its slope. */
export interface End {
  /** Flux into the column, m³/s, at a head of the end cell, and its derivative, m²/s. */
  flux(h: number, out: Float64Array): void;
}

/** A flux that is what it is. */
export const steady = (into: number): End => ({
  flux(_h, out) {
    out[0] = into;
    out[1] = 0;
  },
});

/** The end's face is kept at a head. @param head metres */
export function fixedHead(cells: Cells, head: number, end: 'bottom' | 'top'): End {
  const { dz, media, face } = cells;
  const area = face[end === 'bottom' ? 0 : face.length - 1] as number;
  const medium = media[end === 'bottom' ? 0 : media.length - 1] as HydraulicTable;
  const outside = medium.K(head);
  return {
    flux(h, out) {
      const K = (outside + medium.K(h)) / 2;
      const G = (area * K) / (dz / 2);
      // Half a cell of height lies between the face and the cell's middle.
      const rise = end === 'bottom' ? -dz / 2 : dz / 2;
      out[0] = G * (head - h + rise);
      out[1] = -G;
    },
  };
}

export interface ColumnStep {
  /** Whether the iteration came to rest. */
  done: boolean;
  iterations: number;
  /** Fluxes into the column at its ends over the step, m³/s. */
  bottom: number;
  top: number;
}

const MOST_ITERATIONS = 24;
/** Drier than this, in metres of head, a cell's suction falls to no less than this share in one iteration. */
const DRY = -0.1;
const WETS_TO = 0.2;
/** From this iteration on heads move half the way. */
const SWINGS = 8;
/** When a head is at rest: it moves less than so many metres and such a share of itself. */
export interface SteadyOptions {
  metres: number;
  share: number;
}
const STRICT: SteadyOptions = { metres: 1e-6, share: 1e-5 };

/** Cells of one medium in a row: from and up to, the last left out. */
interface Run {
  readonly medium: HydraulicTable;
  readonly from: number;
  readonly to: number;
}

function runsOf(media: readonly HydraulicTable[]): Run[] {
  const starts = media.flatMap((one, i) => (i === 0 || one !== media[i - 1] ? [i] : []));
  return starts.map((from, k) => ({
    medium: media[from] as HydraulicTable,
    from,
    to: starts[k + 1] ?? media.length,
  }));
}

/**
 * Solver with its own memory, so that a step makes nothing anew. What the cells hold is its own state:
 * it changes by just what flows, so that the mass is kept whatever the heads' last digits are.
 */
// eslint-disable-next-line max-lines-per-function -- its loops share arrays that are made once for a column.
export function solver(cells: Cells, h: Float64Array, at: SteadyOptions = STRICT) {
  const { dz, area, face, media } = cells;
  const n = area.length;
  const runs = runsOf(media);
  const looked: HydraulicValues = {
    theta: new Float64Array(n),
    K: new Float64Array(n),
    C: new Float64Array(n),
  };
  const { theta, K, C } = looked;
  /** What the cells hold, m³/m³, and would hold after the step that was tried last. */
  const held = new Float64Array(n);
  const holds = new Float64Array(n);
  const next = new Float64Array(n);
  const diagonal = new Float64Array(n);
  const upper = new Float64Array(n);
  const right = new Float64Array(n);
  const two = new Float64Array(2);
  const volumes = area.map((one) => one * dz);
  const outcome: ColumnStep = { done: false, iterations: 0, bottom: 0, top: 0 };
  /** Whether the soil's functions are those of `h`, but for a last change that was at rest. */
  let fresh = false;
  let evaluations = 0;

  const look = (heads: Float64Array): void => {
    evaluations += 1;
    for (const { medium, from, to } of runs) medium.look(heads, from, to, looked);
  };
  begin();

  /** Takes what `h` says as the cells' state, after it was set from outside. */
  function begin(): void {
    look(h);
    held.set(theta);
    fresh = true;
  }

  /** One implicit step of dt seconds, as a try: `accept` makes it so. @param sink of each cell, m³/s */
  function attempt(dt: number, bottom: End, top: End, sink: Float64Array): ColumnStep {
    if (!fresh) look(h);
    fresh = false;
    next.set(h);
    outcome.done = false;
    for (let iteration = 1; iteration <= MOST_ITERATIONS; iteration += 1) {
      outcome.iterations = iteration;
      if (iteration > 1) look(next);
      assemble(dt, sink);
      bottom.flux(next[0] as number, two);
      right[0] = (right[0] as number) + (two[0] as number);
      diagonal[0] = (diagonal[0] as number) - (two[1] as number);
      const bottomSlope = two[1] as number;
      const bottomInto = two[0] as number;
      top.flux(next[n - 1] as number, two);
      right[n - 1] = (right[n - 1] as number) + (two[0] as number);
      diagonal[n - 1] = (diagonal[n - 1] as number) - (two[1] as number);
      const topInto = two[0] as number;
      const topSlope = two[1] as number;
      if (!eliminate()) return outcome;
      const rest = move(iteration);
      if (!finite(next[0] as number)) break;
      if (rest) {
        // The ends' fluxes as they were taken into the last solution.
        outcome.done = true;
        outcome.bottom = bottomInto + bottomSlope * (right[0] as number);
        outcome.top = topInto + topSlope * (right[n - 1] as number);
        break;
      }
    }
    return outcome;
  }

  /** Storage, sinks and what flows between the cells. */
  function assemble(dt: number, sink: Float64Array): void {
    let below = 0;
    let belowFlux = 0;
    for (let i = 0; i < n; i += 1) {
      const volume = (volumes[i] as number) / dt;
      let G = 0;
      let flux = 0;
      if (i < n - 1) {
        G = ((face[i + 1] as number) * ((K[i] as number) + (K[i + 1] as number))) / (2 * dz);
        // From cell i up into cell i + 1.
        flux = -G * ((next[i + 1] as number) - (next[i] as number) + dz);
      }
      diagonal[i] = volume * (C[i] as number) + below + G;
      right[i] =
        volume * ((held[i] as number) - (theta[i] as number)) -
        (sink[i] as number) +
        belowFlux -
        flux;
      upper[i] = -G;
      below = G;
      belowFlux = flux;
    }
  }

  /** Thomas's algorithm, the matrix being symmetric; the change takes the place of the right side. */
  function eliminate(): boolean {
    for (let i = 1; i < n; i += 1) {
      const pivot = diagonal[i - 1] as number;
      if (!(abs(pivot) > 1e-30)) return false;
      const m = (upper[i - 1] as number) / pivot;
      diagonal[i] = (diagonal[i] as number) - m * (upper[i - 1] as number);
      right[i] = (right[i] as number) - m * (right[i - 1] as number);
    }
    if (!(abs(diagonal[n - 1] as number) > 1e-30)) return false;
    right[n - 1] = (right[n - 1] as number) / (diagonal[n - 1] as number);
    for (let i = n - 2; i >= 0; i -= 1) {
      right[i] =
        ((right[i] as number) - (upper[i] as number) * (right[i + 1] as number)) /
        (diagonal[i] as number);
    }
    return true;
  }

  /** Moves the heads by the change; says whether they have converged. */
  function move(iteration: number): boolean {
    let rest = true;
    for (let i = 0; i < n && rest; i += 1) {
      const change = right[i] as number;
      if (abs(change) > at.metres + at.share * abs((next[i] as number) + change)) rest = false;
    }
    if (rest) {
      for (let i = 0; i < n; i += 1) {
        next[i] = (next[i] as number) + (right[i] as number);
        holds[i] = (theta[i] as number) + (C[i] as number) * (right[i] as number);
      }
      return true;
    }
    // A cell at the brink of saturation may swing to and fro: then it goes half the way.
    const part = iteration < SWINGS ? 1 : 0.5;
    for (let i = 0; i < n; i += 1) {
      const before = next[i] as number;
      const now = before + part * (right[i] as number);
      // A dry cell takes up so little at first that a front would throw it far beyond wet.
      next[i] = before < DRY && now > before * WETS_TO ? before * WETS_TO : now;
    }
    return false;
  }

  /** Makes the step that was tried last the state. */
  function accept(): void {
    h.set(next);
    held.set(holds);
    fresh = true;
  }

  /** Water in the column, m³. */
  function stored(): number {
    let sum = 0;
    for (let i = 0; i < n; i += 1) sum += (held[i] as number) * (volumes[i] as number);
    return sum;
  }

  return { begin, attempt, accept, stored, held, tried: next, evaluations: () => evaluations };
}

/** A column of one area and medium. */
export function uniform(medium: HydraulicTable, height: number, count: number, area = 1): Cells {
  return {
    dz: height / count,
    area: new Float64Array(count).fill(area),
    face: new Float64Array(count + 1).fill(area),
    media: Array.from({ length: count }, () => medium),
  };
}

export interface ColumnRun {
  /** Water that came in at the ends and went out by the sink, m³. */
  bottom: number;
  top: number;
  taken: number;
  steps: number;
}

/** Runs a column for some time with a step that adapts itself. */
export function runColumn(
  cells: Cells,
  h: Float64Array,
  seconds: number,
  ends: { bottom: End; top: End },
  options: { first?: number; most?: number; sink?: Float64Array } = {},
): ColumnRun {
  const solve = solver(cells, h);
  const sink = options.sink ?? new Float64Array(h.length);
  const drawn = sink.reduce((sum, one) => sum + one, 0);
  const most = options.most ?? 3600;
  let dt = min(options.first ?? 1, most);
  const sum: ColumnRun = { bottom: 0, top: 0, taken: 0, steps: 0 };
  for (let t = 0; t < seconds - 1e-9;) {
    const now = min(dt, seconds - t);
    const result = solve.attempt(now, ends.bottom, ends.top, sink);
    if (!result.done) {
      dt = now / 3;
      if (dt < 1e-6) throw new ConvergenceError('the column');
      continue;
    }
    solve.accept();
    t += now;
    sum.bottom += result.bottom * now;
    sum.top += result.top * now;
    sum.taken += drawn * now;
    sum.steps += 1;
    if (result.iterations <= 4) dt = min(now * 1.4, most);
    else if (result.iterations >= 9) dt = now * 0.6;
    else dt = now;
  }
  return sum;
}
