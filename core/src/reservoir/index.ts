export { waterUnderTrappedAir } from './trapped';
export { arrange, fullest, apart, within, type Circle } from './arrange';
export { layOut, CUP_WALL, type FloorLayout } from './layout';
export { storageOf, type Storage } from './storage';
export { outflow, climb, type Holes } from './overflow';
