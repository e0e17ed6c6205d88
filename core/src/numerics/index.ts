export { banded, type FivePointSystem } from './banded';
export { ConvergenceError } from './convergence';
export { monotoneCurve, type MonotoneCurve } from './monotoneCurve';
export { randomSource, hash32, type RandomSource } from './random';
