import type { Medium } from './medium';

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
  readonly media: readonly Medium[];
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
export function heldAt(cells: Cells, head: number, end: 'bottom' | 'top'): End {
  const { dz, media, face } = cells;
  const area = face[end === 'bottom' ? 0 : face.length - 1] as number;
  const medium = media[end === 'bottom' ? 0 : media.length - 1] as Medium;
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

export interface Step {
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
export interface Rest {
  metres: number;
  share: number;
}
const STRICT: Rest = { metres: 1e-6, share: 1e-5 };

/** Solver with its own memory, so that a step makes nothing anew. */
export function solver(cells: Cells, at: Rest = STRICT) {
  const { dz, area, face, media } = cells;
  const n = area.length;
  const theta = new Float64Array(n);
  const thetaOld = new Float64Array(n);
  const K = new Float64Array(n);
  const C = new Float64Array(n);
  const next = new Float64Array(n);
  const lower = new Float64Array(n);
  const diagonal = new Float64Array(n);
  const upper = new Float64Array(n);
  const right = new Float64Array(n);
  const three = new Float64Array(3);
  const two = new Float64Array(2);
  let evaluations = 0;

  const look = (h: Float64Array): void => {
    evaluations += 1;
    for (let i = 0; i < n; i += 1) {
      (media[i] as Medium).look(h[i] as number, three);
      theta[i] = three[0] as number;
      K[i] = three[1] as number;
      C[i] = three[2] as number;
    }
  };

  /**
   * One implicit step of dt seconds. `h` is changed when it comes to rest, else left as it was.
   *
   * @param sink uptake of each cell, m³/s
   */
  function step(h: Float64Array, dt: number, bottom: End, top: End, sink: Float64Array): Step {
    look(h);
    thetaOld.set(theta);
    next.set(h);
    for (let iteration = 1; iteration <= MOST_ITERATIONS; iteration += 1) {
      if (iteration > 1) look(next);
      for (let i = 0; i < n; i += 1) {
        const volume = ((area[i] as number) * dz) / dt;
        diagonal[i] = volume * (C[i] as number);
        right[i] = -volume * ((theta[i] as number) - (thetaOld[i] as number)) - (sink[i] as number);
        lower[i] = 0;
        upper[i] = 0;
      }
      for (let i = 0; i < n - 1; i += 1) {
        const G = ((face[i + 1] as number) * ((K[i] as number) + (K[i + 1] as number))) / (2 * dz);
        // Flux from cell i up into cell i + 1.
        const flux = -G * ((next[i + 1] as number) - (next[i] as number) + dz);
        right[i] = (right[i] as number) - flux;
        right[i + 1] = (right[i + 1] as number) + flux;
        diagonal[i] = (diagonal[i] as number) + G;
        diagonal[i + 1] = (diagonal[i + 1] as number) + G;
        upper[i] = -G;
        lower[i + 1] = -G;
      }
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
      if (!solve()) return { done: false, iterations: iteration, bottom: 0, top: 0 };
      let rest = true;
      for (let i = 0; i < n && rest; i += 1) {
        const change = right[i] as number;
        if (abs(change) > at.metres + at.share * abs((next[i] as number) + change)) rest = false;
      }
      // A cell at the brink of saturation may swing to and fro: then it goes half the way.
      const part = rest || iteration < SWINGS ? 1 : 0.5;
      for (let i = 0; i < n; i += 1) {
        const before = next[i] as number;
        const now = before + part * (right[i] as number);
        // A dry cell takes up so little at first that a front would throw it far beyond wet.
        next[i] = !rest && before < DRY && now > before * WETS_TO ? before * WETS_TO : now;
      }
      if (!finite(next[0] as number)) break;
      if (rest) {
        // The ends' fluxes as they were taken into the last solution.
        h.set(next);
        return {
          done: true,
          iterations: iteration,
          bottom: bottomInto + bottomSlope * (right[0] as number),
          top: topInto + topSlope * (right[n - 1] as number),
        };
      }
    }
    return { done: false, iterations: MOST_ITERATIONS, bottom: 0, top: 0 };
  }

  /** Thomas's algorithm; the solution takes the place of the right side. */
  function solve(): boolean {
    for (let i = 1; i < n; i += 1) {
      const pivot = diagonal[i - 1] as number;
      if (!(abs(pivot) > 1e-30)) return false;
      const m = (lower[i] as number) / pivot;
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

  /** Water in the column, m³. */
  function stored(h: Float64Array): number {
    let sum = 0;
    for (let i = 0; i < n; i += 1) {
      sum += (media[i] as Medium).theta(h[i] as number) * (area[i] as number) * dz;
    }
    return sum;
  }

  return { step, stored, evaluations: () => evaluations };
}

/** A column of one area and medium. */
export function uniform(medium: Medium, height: number, count: number, area = 1): Cells {
  return {
    dz: height / count,
    area: new Float64Array(count).fill(area),
    face: new Float64Array(count + 1).fill(area),
    media: Array.from({ length: count }, () => medium),
  };
}

export interface March {
  /** Water that came in at the ends and went out by the sink, m³. */
  bottom: number;
  top: number;
  taken: number;
  steps: number;
}

/** Runs a column for some time with a step that adapts itself. */
export function march(
  cells: Cells,
  h: Float64Array,
  seconds: number,
  ends: { bottom: End; top: End },
  options: { first?: number; most?: number; sink?: Float64Array } = {},
): March {
  const solve = solver(cells);
  const sink = options.sink ?? new Float64Array(h.length);
  const drawn = sink.reduce((sum, one) => sum + one, 0);
  const most = options.most ?? 3600;
  let dt = min(options.first ?? 1, most);
  const sum: March = { bottom: 0, top: 0, taken: 0, steps: 0 };
  for (let t = 0; t < seconds - 1e-9;) {
    const now = min(dt, seconds - t);
    const result = solve.step(h, now, ends.bottom, ends.top, sink);
    if (!result.done) {
      dt = now / 3;
      if (dt < 1e-6) throw new Error('The column does not come to rest');
      continue;
    }
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
