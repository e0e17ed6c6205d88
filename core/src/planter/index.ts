export {
  baseName,
  contradictions,
  LEAST_SOIL,
  vesselContradictions,
  type Contradiction,
} from './contradictions';
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
  surfaceArea,
  type Heights,
  type Planter,
  type Pour,
} from './resolve';
export { levelsOf, moveLevel, type Level } from './levels';
