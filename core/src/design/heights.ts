import type { OverflowDesign, ReservoirDesign } from './schema';

/** Height of the surface that the soil stands on: platform top, or bottle tops. Metres. */
export function soilBaseHeight(reservoir: ReservoirDesign): number {
  return reservoir.kind === 'platform'
    ? reservoir.underside + reservoir.thickness
    : reservoir.height;
}

/** Height that water must stay under to leave air: platform underside, or bottle tops. Metres. */
export function airCeiling(reservoir: ReservoirDesign): number {
  return reservoir.kind === 'platform' ? reservoir.underside : reservoir.height;
}

/**
 * The overflow's invert: the lowest lip of its holes, over which water runs out. Metres.
 * A mark on the wall is the hole's centre, so the invert is the centre less the radius.
 */
export function invertOf(overflow: OverflowDesign): number {
  return overflow.centre - overflow.diameter / 2;
}
