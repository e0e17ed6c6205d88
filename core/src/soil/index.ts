export {
  saturation,
  waterContent,
  conductivity,
  drainable,
  meanWaterContent,
  type Hydraulics,
} from './hydraulics';
export { looseVolume, bagsFor } from './amounts';
