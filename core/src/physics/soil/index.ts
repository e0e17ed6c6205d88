export {
  saturation,
  waterContent,
  conductivity,
  drainable,
  meanWaterContent,
  type Hydraulics,
} from './hydraulics';
export { feedOf, type Feed } from './feed';
export { looseVolume, bagsFor } from './amounts';
export { mixFrom, shrinkageOf, type MeasuredMix } from './mixing';
export { mixOf, recipeOf, takeMix } from './mix';
