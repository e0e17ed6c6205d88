import { US_BAGS } from '../catalog';
import { FOOT, POUND, type UnitSystem } from '../units';
import type { GoodUnit, Pack } from './goods';

/** The packs that goods are sold in where people buy by the foot, the pound and the cubic foot. */

const times = (unit: number, ...counts: number[]): number[] => counts.map((count) => count * unit);

/** Usual sizes by what a good is counted in, in SI. */
const SIZES: Readonly<Record<Exclude<GoodUnit, 'piece'>, readonly number[]>> = {
  length: times(FOOT, 8, 10, 12, 16, 20, 25, 50, 75, 100, 150, 200),
  area: times(FOOT ** 2, 1, 3, 5, 10, 20, 25, 50, 100),
  volume: US_BAGS,
  mass: times(POUND, 1, 2, 5, 10, 20, 40, 50, 2000),
};

const nearest = (size: number, sizes: readonly number[]): number =>
  sizes.reduce(
    (best, one) => (Math.abs(Math.log(one / size)) < Math.abs(Math.log(best / size)) ? one : best),
    sizes[0] ?? size,
  );

/** A pack as it is sold in these units, at the same price for as much. */
export function soldIn({ size, us, price }: Pack, unit: GoodUnit, units: UnitSystem): Pack {
  if (units === 'metric' || unit === 'piece') return { size, price };
  const sold = us ?? nearest(size, SIZES[unit]);
  return { size: sold, price: (price * sold) / size };
}
