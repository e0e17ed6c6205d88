/** Medians and quantiles of what was timed. */

export type Core = typeof import('./wholeCore');

const sorted = (times: number[]): number[] => [...times].sort((a, b) => a - b);
export const quantile = (times: number[], share: number): number =>
  sorted(times)[Math.min(Math.floor(times.length * share), times.length - 1)] ?? NaN;
export const median = (times: number[]): number => quantile(times, 0.5);
export const round = (value: number): number => Number(value.toPrecision(3));

export const sortedBy = <T>(list: T[], key: (item: T) => number): T[] =>
  [...list].sort((a, b) => key(a) - key(b));
