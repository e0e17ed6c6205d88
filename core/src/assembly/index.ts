export { baseName } from './baseName';
export { changeBase } from './bases';
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
  assemble,
  halfAt,
  openWater,
  pour,
  storageWith,
  surfaceArea,
  type Heights,
  type Planter,
  type Pour,
} from './assemble';
export { bitOf, platformOpenings, drilledSheet, drilledTo, type Opening } from './platformOpenings';
export { drainDiameter, drainHoles, perforationOf, type Perforation } from './perforations';
export { boardFor, boardPieces, frameBuild, POST, type FrameBuild } from './frame';
export { cutAcross, PLATFORM_PLAY } from './floor';
export { FLOOR, GROUND } from './joining';
export { BEARERS, SHEET_BEARERS, WICK_KINDS } from './joints';
export { PART_DEFINITIONS, nameOf, sizeOf } from './parts';
export { BEARER, COVER } from './parts/bearers';
export { GIVEN_UP_AT } from './parts/column';
export { radiiOf } from './parts/cup';
export { archLength, archProfile, riseOf } from './parts/supports/arch';
export { BENDS, tightest } from './parts/supports/lying';
export { supplyMass, supplyPressure } from './parts/outlets';
export { PIPE_PROUD, PIPE_WALL } from './parts/pipes';
export { goesThrough, isSolid } from './parts/supports/standing';
export { levelsOf, moveLevel, type Level } from './levels';
export type { Storage } from './litres';
export {
  BRIDGE,
  bunchAcross,
  bunchHole,
  CUP_WALL,
  cupHole,
  HAND,
  MOST_OF_PIPE,
  PLAY,
  RIM_GRIP,
} from './openings';
export {
  boxesOf,
  discsOf,
  runsOf,
  type Bed,
  type Footprint,
  type PartKind,
  type Joint,
  type PartGroup,
  type Part,
  type PartSize,
  type PartSpecs,
} from './part';
export {
  keepPlaces,
  leavePlaces,
  moveBy,
  moveTo,
  placesOf,
  placesOfLot,
  plantPlacesOf,
  type Place,
} from './places';
export { soilBeds, wetsTo, type SoilBed } from './soilBeds';
export { asideOf, lengthOf, type Run, type Solid } from './solid';
export { freeWaterBelow } from './freeWater';
export { changeCrop, usualSupport } from './cropChange';
export { plantingPlan, type PlantingPlan, type PlantPlace } from './plants';
export { rootPace, rootsDownAfter, rootSupply, rootWays, wayBrings, type RootWay } from './roots';
export { BASE_SUCTION, resolveWicks, totalDelivery, type Wick } from './wicks';
