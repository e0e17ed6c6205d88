export { FIELDS, type FieldSpec } from './fields';
export {
  DESIGN_VERSION,
  MAX_WICKS,
  planterDesignSchema,
  planterJsonSchema,
  type PlanterDesign,
  type VesselDesign,
  type ReservoirDesign,
  type PlatformBuild,
  type BottleBuild,
  type SupportDesign,
  type OverflowDesign,
  type WickDesign,
  type ClothWickDesign,
  type CupWickDesign,
  type FillTubeDesign,
  type Vents,
} from './schema';
export { migrate, STEPS, type AnyDocument, type MigrationStep } from './migrations';
export { applyPatch, type Patch, type Change } from './patch';
export { BUILDS, buildOf, changeBuild, type BuildId } from './builds';
export { STARTING_POINTS, type StartingPoint } from './presets';
export { soilBaseHeight, airCeiling, invertOf } from './heights';
export {
  holeForPipe,
  USUAL_AIR_GAP,
  USUAL_CLOTH,
  USUAL_CUP,
  usualOverflow,
  usualTube,
  usualTubeLength,
} from './usual';
