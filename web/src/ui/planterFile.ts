/** Reading and writing planter files, fetched when one is. */
export { MAX_FILE_BYTES, readPlanterFile, writePlanterFile } from '@huerta/core/assembly';
