/**
 * What is believed of a planter's thirst factor: a distribution on a grid of its logarithm, and what a reading does to
 * it. The season's engine is asked at a few nodes of the grid; between them lies a line.
 */

/** Grid of ln(factor): from a third to three times what was reckoned. */
const CELLS = 81;
const LEAST = Math.log(0.33);
const MOST = Math.log(3);
const CELL = (MOST - LEAST) / (CELLS - 1);
/** Factors at which the season is run. */
const NODES = 5;
/** Spread of ln(factor) before anything is known, and its drift in a week. Typical. */
const PRIOR = 0.3;
const DRIFT = 0.05;
/** A reading may be wrong altogether, or something else has happened. */
const MISTAKEN = 0.03;

const factorAt = (cell: number): number => Math.exp(LEAST + cell * CELL);

/** A distribution of the factor: weights of the grid's cells that sum to 1. */
export type Belief = readonly number[];

export interface Quantiles {
  low: number;
  middle: number;
  high: number;
}

export const normalised = (weights: readonly number[]): number[] => {
  const sum = weights.reduce((total, one) => total + one, 0);
  return sum > 0 ? weights.map((one) => one / sum) : weights.map(() => 1 / weights.length);
};

export const prior = (): number[] =>
  normalised(
    Array.from({ length: CELLS }, (_, i) => Math.exp(-0.5 * ((LEAST + i * CELL) / PRIOR) ** 2)),
  );

/** The belief some days later: a little wider. */
export function drifted(belief: Belief, days: number): number[] {
  const spread = DRIFT * Math.sqrt(Math.max(days, 0) / 7);
  if (spread < CELL / 4) return [...belief];
  const reach = Math.ceil((3 * spread) / CELL);
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, k) =>
    Math.exp(-0.5 * (((k - reach) * CELL) / spread) ** 2),
  );
  return normalised(
    belief.map((_, i) =>
      kernel.reduce((sum, weight, k) => sum + weight * (belief[i + k - reach] ?? 0), 0),
    ),
  );
}

/** Factors below which a tenth, half and nine tenths of the belief lie. */
export function quantilesOf(belief: Belief): Quantiles {
  return { low: below(belief, 0.1), middle: below(belief, 0.5), high: below(belief, 0.9) };
}

/** The factor below which so much of the belief lies. */
export function below(belief: Belief, share: number): number {
  let sum = 0;
  for (let i = 0; i < belief.length; i += 1) {
    const weight = belief[i] as number;
    if (sum + weight >= share) return factorAt(i - 0.5 + (share - sum) / Math.max(weight, 1e-12));
    sum += weight;
  }
  return factorAt(CELLS - 1);
}

/**
 * An episode run at some factors: the values of something at each cell of the grid. Between the nodes they lie in a
 * line over the factor itself, because losses do.
 */
export function overGrid<Run>(runs: readonly Run[], of: (run: Run) => number): number[] {
  const values = runs.map(of);
  return Array.from({ length: CELLS }, (_, i) => {
    const at = (i / (CELLS - 1)) * (NODES - 1);
    const low = Math.min(Math.floor(at), NODES - 2);
    const [a, b] = [values[low] as number, values[low + 1] as number];
    const [from, to] = [NODE_FACTORS[low] as number, NODE_FACTORS[low + 1] as number];
    return a + ((b - a) * (factorAt(i) - from)) / (to - from);
  });
}

/** Bayes for a reading with a normal error about what each factor lets expect, or a mistake. */
export function heardOf(
  belief: Belief,
  value: number,
  expects: readonly number[],
  spread: (expected: number) => number,
): { belief: number[]; z: number; expected: number } {
  const expected = belief.reduce((sum, weight, i) => sum + weight * (expects[i] as number), 0);
  const variance = belief.reduce((sum, weight, i) => {
    const at = expects[i] as number;
    return sum + weight * ((at - expected) ** 2 + spread(at) ** 2);
  }, 0);
  const z = (value - expected) / Math.sqrt(Math.max(variance, 1e-18));
  const flat = MISTAKEN / (6 * Math.sqrt(Math.max(variance, 1e-18)));
  const weights = belief.map((weight, i) => {
    const at = expects[i] as number;
    const sd = Math.max(spread(at), 1e-9);
    const near = Math.exp(-0.5 * ((value - at) / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));
    return weight * ((1 - MISTAKEN) * near + flat);
  });
  return { belief: normalised(weights), z, expected };
}

/** Factors at which the season is run. */
export const NODE_FACTORS: readonly number[] = Array.from({ length: NODES }, (_, k) =>
  factorAt((k / (NODES - 1)) * (CELLS - 1)),
);
