export { baseName } from './baseName';
export { type Contradiction } from './contradiction';
export { contradictions, LEAST_SOIL } from './contradictions';
export { vesselContradictions } from './vesselContradictions';
export {
  readPlanterFile,
  readPlanterDocument,
  writePlanterFile,
  MAX_FILE_BYTES,
  type FileReading,
} from './file';
export {
  halfAt,
  pour,
  resolve,
  openWater,
  surfaceArea,
  type Heights,
  type Planter,
  type Pour,
} from './resolve';
export { levelsOf, moveLevel, type Level } from './levels';
