export { banded, type FivePointSystem } from './banded';
export { monotoneCurve, type MonotoneCurve } from './monotoneCurve';
export { chance, hashOf, type Chance } from './random';
