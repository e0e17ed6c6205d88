export { contradictions, LEAST_SOIL, type Contradiction } from './contradictions';
export {
  readPlanterFile,
  readPlanterDocument,
  writePlanterFile,
  MAX_FILE_BYTES,
  type FileReading,
} from './file';
export { resolve, pour, type Planter, type Heights, type Pour } from './resolve';
export { levelsOf, moveLevel, type Level } from './levels';
