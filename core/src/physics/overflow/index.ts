export { climb, outflow, outletFlow, outletOf, type Holes, type Outlet } from './outlet';
export { waterUnderTrappedAir } from './trappedAir';
