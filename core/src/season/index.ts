export {
  runSeason,
  type Filling,
  type SeasonDay,
  type SeasonOptions,
  type SeasonRun,
  type Stress,
} from './season';
export {
  absenceOf,
  daysLasted,
  lastsFrom,
  levelSpread,
  spreadOf,
  totalsOf,
  type Absence,
  type Spread,
  type Totals,
} from './outlook';
export { whatIfs, type WhatIf } from './whatIf';
