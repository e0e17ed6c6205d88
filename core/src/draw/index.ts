export { section } from './section';
export { plan, type Plan } from './plan';
export {
  type Section,
  type Shape,
  type Ink,
  type Point,
  type Dimension,
  type Bounds,
} from './shape';
