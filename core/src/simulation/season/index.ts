export { dayTableOf, DRAWN, GAINED, SHARE, type DayTable } from './dayTable';
export { cropWater, type CropWater } from './cropWater';
export { modelOf, type Model } from './model';
export { runSeason } from './season';
export {
  plantsSuffer,
  type SeasonDay,
  type SeasonOptions,
  type SeasonRun,
  type PlantStress,
} from './run';
export {
  FIRST_PLAN,
  MOST_EVERY,
  MOST_GIVEN,
  MOST_WATERINGS,
  seasonPlanSchema,
  plantedOn,
  seasonDays,
  usualPlanting,
  type Filling,
  type SeasonPlan,
  type Watering,
} from './plan';
export {
  absenceOf,
  daysLasted,
  freezesOn,
  lastsFrom,
  levelSpread,
  spreadOf,
  totalsOf,
  type Absence,
  type Spread,
  type Totals,
} from './outlook';
export { allOf, whatIfs, type WhatIf } from './whatIf';
export {
  answersTo,
  changesOf,
  MONTH_NAMES,
  type AwayAnswer,
  type AwayQuestion,
  type SeasonRemedy,
  type SeasonAnswer,
  type SeasonAsked,
  type SeasonPart,
  type SeasonParts,
  type SeasonQuestion,
  type TogetherQuestion,
  type WeathersRun,
  type WhatIfAnswer,
} from './questions';
export {
  frostFreeIn,
  moveBar,
  stretchBar,
  stripOf,
  yearOf,
  type PlanterYear,
  type YearBar,
} from './year';
export { sowNow, type SowNow } from './sowNow';
export { thirstShapes, yearDemand, type YearDays } from './yearWater';
