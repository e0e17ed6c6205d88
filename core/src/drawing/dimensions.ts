import { halfAt, type Planter } from '../assembly';
import type { Dimension } from './shape';

/** The measures that a builder reads off: heights on the right, widths above and below. */
export function dimensionsOf(planter: Planter, right: number): Dimension[] {
  const { vessel, heights, design } = planter;
  const upright = (id: string, label: string, z0: number, z1: number): Dimension[] =>
    z1 - z0 > 5e-4
      ? [{ id, label, from: [right, z0], to: [right, z1], value: z1 - z0, side: 'right' }]
      : [];
  const lip = heights.invert;
  const water = heights.brim;
  const bagged = design.bed?.kind === 'bag';
  const floor = vessel.halfAt(0) > 0.01 ? 0 : heights.brim;
  return [
    ...upright('water', 'water', 0, water),
    ...(lip === null || bagged ? [] : upright('air', 'air', water, heights.ceiling)),
    ...upright('soil', 'soil', heights.base, heights.surface),
    ...upright('freeboard', 'free', heights.surface, heights.rim),
    across('floor', floor, vessel.halfAt(floor), 'bottom', 0),
    across('rim', heights.rim, halfAt(planter, heights.rim), 'top', heights.rim),
  ];
}

const across = (
  id: string,
  z: number,
  r: number,
  side: 'bottom' | 'top',
  drawnAt: number,
): Dimension => ({
  id,
  label: z === 0 || side === 'top' ? 'inside' : 'at the water',
  from: [-r, drawnAt],
  to: [r, drawnAt],
  value: 2 * r,
  side,
});
