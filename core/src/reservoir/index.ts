export {
  apart,
  arrange,
  beside,
  clear,
  EMPTY,
  fullest,
  holdsRectangle,
  pack,
  within,
  type Circle,
  type Rectangle,
} from './arrange';
export {
  cutAcross,
  CUP_WALL,
  layOut,
  PIPE_PROUD,
  PLATFORM_PLAY,
  PIPE_WALL,
  type Bed,
  type FloorLayout,
  type StandingPipe,
  type StandingWick,
} from './layout';
export { archProfile, lengthOf, type BasePart, type Run } from './parts';
export { storageOf, type Storage } from './storage';
export { climb, outflow, outletFlow, outletOf, type Holes, type Outlet } from './overflow';
export { waterUnderTrappedAir } from './trapped';
