export {
  areaOf,
  grown,
  holds,
  holdsCircle,
  outlinePoints,
  perimeterOf,
  reachAt,
  shared,
  type Outline,
} from './outline';
export {
  clearBetween,
  shellVolume,
  standsOver,
  stacked,
  turned,
  type Station,
  type Vessel,
} from './vessel';
export { bedShape, lyingCylinder, segmentArea, shapeOf } from './shapes';
