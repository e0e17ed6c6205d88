import { METRIC_BITS } from '../catalog';
import type { Outline } from '../geometry/vessels';
import type { Planter } from './assemble';
import { bunchAcross, bunchHole, cupHole, PLAY } from './openings';
import type { PartKind, PartGroup } from './part';

/** An opening through the sheet that bears the soil, and the group of parts that goes through it. Metres. */
export interface Opening {
  group: PartGroup;
  x: number;
  y: number;
  /** What it must be at the least to let its thing through, and at the most to hold it. */
  least: number;
  most: number;
}

/** How wide a hole a group of parts wants, by its kind; null where it goes through none. */
const WIDTHS: {
  readonly [K in PartKind]?: (group: PartGroup<K>) => { least: number; most: number };
} = {
  tube: ({ spec }) => ({ least: spec.hole, most: spec.hole }),
  inspection: ({ spec }) => ({ least: spec.diameter + PLAY, most: spec.diameter + PLAY + 0.006 }),
  worm: ({ spec }) => ({ least: spec.diameter + PLAY, most: spec.diameter + PLAY + 0.006 }),
  column: ({ spec }) => ({ least: spec.diameter + PLAY, most: spec.diameter + PLAY + 0.006 }),
  cup: ({ spec }) => cupHole(spec),
  cloth: ({ spec }) => ({
    least: bunchAcross(spec),
    most: Math.max(bunchHole(spec, 'metric'), bunchHole(spec, 'us')),
  }),
};

/**
 * Every opening in the sheet that bears the soil: platform, cut end, floor of an upper vessel, and for a
 * row of pails the floor of the first, from its own middle.
 */
export function platformOpenings(planter: Planter): Opening[] {
  const { partGroups, heights, bed, design } = planter;
  const pails = design.bed?.kind === 'row';
  if (!planter.platformOutline && !pails) return [];
  const first = bed.places[0] ?? { x: 0, y: 0 };
  const half = bed.inside.outlineAt(0).a;
  return partGroups.flatMap((group) => {
    const width = WIDTHS[group.kind] as
      ((group: PartGroup) => { least: number; most: number }) | undefined;
    if (!width) return [];
    return group.parts
      .filter(({ from, foot }) => from < heights.ceiling - 1e-6 && foot.form === 'disc')
      .filter(({ x }) => !pails || Math.abs(x - first.x) < half)
      .map(({ x, y }) => ({
        group,
        x: pails ? x - first.x : x,
        y: pails ? y - first.y : y,
        ...width(group),
      }));
  });
}

/** The sheet that they go through. */
export function drilledSheet({ platformOutline, bed, design }: Planter): Outline | null {
  return design.bed?.kind === 'row' ? bed.inside.outlineAt(0) : platformOutline;
}

/** The bit that makes an opening in a set of drills, or null where none of them does. */
export function bitOf(
  { least, most }: Pick<Opening, 'least' | 'most'>,
  bits: readonly number[],
): number | null {
  return bits.find((bit) => bit >= least - 1e-6 && bit <= Math.max(most, least) + 1e-6) ?? null;
}

/** The width that an opening is drilled or cut to: a bit that exists, else just what it needs. */
export const drilledTo = (
  opening: Pick<Opening, 'least' | 'most'>,
  bits: readonly number[] = METRIC_BITS,
): number => bitOf(opening, bits) ?? opening.least;
