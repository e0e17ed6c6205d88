// By name: looked up once, these are asked millions of times.
const { log, exp, min, max, floor } = Math;

/**
 * The suctions at which a wick's flow is tabled, metres: close together where it is wet. Shared, so that
 * what columns keep by suction is worked out for the same ones.
 */
const COUNT = 36;
/** Suction that one step of the stretched scale begins with, and the driest. */
const SCALE = 0.04;
const DRIEST = 15;
const STRETCH = log(1 + DRIEST / SCALE) / (COUNT - 1);

export const SUCTIONS = Float64Array.from(
  { length: COUNT },
  (_, j) => SCALE * (exp(j * STRETCH) - 1),
);

/** A suction as one that the table goes to. */
export const tabled = (suction: number): number => min(max(suction, 0), DRIEST * 0.999);

/** The entry of the table that a suction comes after. */
export const entryOf = (suction: number): number =>
  min(floor(log(1 + suction / SCALE) / STRETCH), COUNT - 2);
