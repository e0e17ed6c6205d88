export { behind, firstHarvest, lastPick, lifeOf, standsFor } from './dates';
export {
  ROOT_FLOW,
  ROOTS_A_DAY,
  ROOTS_PLANTED,
  rootLimit,
  TOO_DRY_TO_GROW,
  warmthFor,
} from './roots';
export {
  closeness,
  countOf,
  deepest,
  deepestRoots,
  foliageOf,
  goneOn,
  growthOf,
  growthOn,
  peakOf,
  plantingLength,
  rootsOn,
  standsOn,
  together,
  type Growth,
} from './planting';
export { stageIn, type Stage } from './stages';
export {
  ENOUGH,
  FROM_BELOW,
  rootsTo,
  shareOf,
  SHORT,
  SHORT_SUCTION,
  slopeOf,
  takeUp,
  type Uptake,
} from './uptake';
