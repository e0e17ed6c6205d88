import type { Planter } from '../planter';
import type { Dimension } from './shape';

/** The measures that a builder reads off: heights on the right, widths above and below. */
export function dimensionsOf({ vessel, heights }: Planter): Dimension[] {
  const x = Math.max(...vessel.stations.map((station) => station.radius)) + vessel.wall;
  const upright = (id: string, label: string, z0: number, z1: number): Dimension[] =>
    z1 - z0 > 5e-4
      ? [{ id, label, from: [x, z0], to: [x, z1], value: z1 - z0, side: 'right' }]
      : [];
  const lip = heights.invert;
  const water = lip === null ? heights.ceiling : Math.min(lip, heights.ceiling);
  return [
    ...upright('water', 'water', 0, water),
    ...(lip === null ? [] : upright('air', 'air', lip, heights.ceiling)),
    ...upright('soil', 'soil', heights.base, heights.surface),
    ...upright('freeboard', 'free', heights.surface, heights.rim),
    across('floor', 0, vessel.radiusAt(0), 'bottom'),
    across('rim', heights.rim, vessel.radiusAt(heights.rim), 'top'),
  ];
}

const across = (id: string, z: number, r: number, side: 'bottom' | 'top'): Dimension => ({
  id,
  label: 'inside',
  from: [-r, z],
  to: [r, z],
  value: 2 * r,
  side,
});
