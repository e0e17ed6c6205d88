import { aggregateOf, type FillId } from '../catalog';
import type { Ink } from './shape';

/** How a fill is inked. */
export const inkOf = (fill: FillId): Ink => {
  const grain = aggregateOf(fill)?.grain;
  return grain ?? 'soil';
};
