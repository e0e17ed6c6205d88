export {
  apart,
  arrange,
  beside,
  clear,
  EMPTY,
  filled,
  fullest,
  fullestBoxes,
  holdsRectangle,
  pack,
  spread,
  within,
  type Circle,
  type Free,
  type Rectangle,
} from './arrange';
export { climb, outflow, outletFlow, outletOf, type Holes, type Outlet } from './overflow';
export { waterUnderTrappedAir } from './trapped';
