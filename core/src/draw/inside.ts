import type { Planter } from '../planter';
import type { Point } from './shape';

/** The inside outline of the vessel from z0 to z1, as a closed polygon. */
export function insideBetween({ vessel }: Planter, z0: number, z1: number): Point[] {
  const heights = [
    z0,
    ...vessel.stations.map((station) => station.z).filter((z) => z > z0 && z < z1),
    z1,
  ];
  const right = heights.map((z): Point => [vessel.radiusAt(z), z]);
  const left = [...right].reverse().map(([x, z]): Point => [-x, z]);
  return [...right, ...left];
}
