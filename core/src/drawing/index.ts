export { section, sectionBounds, vesselSection } from './section';
export { plan, plantingView, planTurned, type Plan } from './plan';
export {
  type Section,
  type Shape,
  type Ink,
  type Point,
  type Dimension,
  type Bounds,
} from './shape';
