export { section } from './section';
export {
  type Section,
  type Shape,
  type Ink,
  type Point,
  type Dimension,
  type Bounds,
} from './shape';
