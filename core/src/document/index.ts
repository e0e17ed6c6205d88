export { FIELDS, type FieldSpec } from './fields';
export {
  DESIGN_VERSION,
  MAX_FILLS,
  MAX_INGREDIENTS,
  MAX_LAYERS,
  MAX_PARTS,
  MAX_PIPES,
  MAX_WICKS,
  planterDesignSchema,
  planterJsonSchema,
  type BedDesign,
  type ClothWickDesign,
  type ColumnWickDesign,
  type CupWickDesign,
  type ExtraPipe,
  type FillLayer,
  type FillTubeDesign,
  type LayerDesign,
  type SpotDesign,
  type OverflowDesign,
  type OverflowKind,
  type SupportDesign,
  type SupportKind,
  type SupportOf,
  type PlanterDesign,
  type RecipeDesign,
  type ReservoirDesign,
  type Vents,
  type VesselDesign,
  type VesselKind,
  type WickDesign,
} from './schema';
export {
  cropIn,
  LONGEST_PLAN,
  NO_CROPS,
  ownCropsSchema,
  MAX_PLANTINGS,
  ownCropSchema,
  ownFrom,
  usualPlanted,
  usualStart,
  type OwnCrop,
  type OwnCrops,
  type Planted,
  type PlantingDesign,
} from './plantingSchema';
export { MAX_SPOTS } from './spots';
export { changeMaterial } from './material';
export { isOwnEnd, SUPPORT_KINDS, partsToAdd, runsAlong, USUAL_LYING } from './parts/supports';
export { vesselDesignSchema } from './vesselSchema';
export {
  MOST_JOINED,
  MOST_WATER_LINES,
  lineContextOf,
  waterLineSchema,
  waterLinesOf,
  type LineContext,
  type LineShare,
  type WaterLine,
  type WaterLineMember,
} from './waterLine';
export { isWithinBounds } from './bounds';
export { migrate, STEPS, type AnyDocument, type MigrationStep } from './migrations';
export {
  differences,
  SECTIONS,
  vesselDifferences,
  withParts,
  type DesignPart,
  type Difference,
} from './differences';
export { applyPatch, type Change, type Patch } from './patch';
export { baseChanges, baseOf, BASES, fillsFloor, standsOnFloor, type BaseId } from './builds';
export {
  inInches,
  nameFor,
  STARTING_POINTS,
  USUAL_PLACE,
  vesselFrom,
  vesselIn,
  type StartingPoint,
} from './presets';
export {
  airCeiling,
  baseStyle,
  boreOf,
  platformHeight,
  depthOf,
  dippingNeck,
  invertOf,
  layerTop,
  leastWidth,
  lipBelowMark,
  lipHeight,
  soilBaseHeight,
  grainsIn,
  standsOnStone,
  type BaseStyle,
  mulchDepth,
  sideOpenings,
  legsOf,
} from './heights';
export {
  cupOf,
  holeForPipe,
  USUAL_AIR_GAP,
  USUAL_CLOTH,
  USUAL_COLUMN,
  USUAL_CUP,
  usualOverflow,
  usualTube,
  usualTubeLength,
} from './defaults';
export { measuredIn, usualCup, usualFor, usualIn, type Usual } from './measured';
export { overflowAs, usualBed, type BedKind } from './alternatives';
export { inspected, putVessel, reshape, SHAPES } from './reshape';
