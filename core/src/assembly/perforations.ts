import { beside, type Circle } from '../geometry/packing';
import { holdsCircle, type Outline } from '../geometry/vessels';
import type { PlanterDesign } from '../document';
import type { Planter } from './assemble';
import { BRIDGE } from './openings';
import type { PartGroup, PartKind } from './part';
import { isSolid } from './parts/supports/standing';

/** Small holes that let water in and air out: facts of the parts, which sheet, templates and pictures share. */

/** How a part is opened to water and air. Metres. */
export type Perforation =
  | {
      kind: 'holes';
      /** Holes in each, half of them close to the foot and half close under the top. */
      each: number;
      diameter: number;
    }
  | {
      kind: 'slots';
      /** Depth of the slot that is sawn across both ends. */
      depth: number;
    };

const DIAMETER = 0.008;
const SLOT = 0.015;
const holes = (each: number): Perforation => ({ kind: 'holes', each, diameter: DIAMETER });

const PERFORATIONS: { readonly [K in PartKind]?: (group: PartGroup<K>) => Perforation | null } = {
  // Pipe is slotted while it is sawn, which is sooner done than drilling.
  standing: ({ spec }) => {
    if (spec.vents !== 'both' || isSolid(spec.what)) return null;
    return spec.what === 'pipe' ? { kind: 'slots', depth: SLOT } : holes(4);
  },
  arch: ({ spec }) => (spec.vents === 'both' ? holes(8) : null),
  crates: ({ spec }) => (spec.what === 'former' ? holes(8) : null),
};

/** The holes or slots that are made in a part of a group; null for none. */
export function perforationOf(group: PartGroup): Perforation | null {
  const known = PERFORATIONS[group.kind] as ((group: PartGroup) => Perforation | null) | undefined;
  return known?.(group) ?? null;
}

/** Usual diameter of a drain hole, and from one to the next. Metres. */
const DRAIN = 0.006;
const DRAIN_PITCH = 0.05;
/** Fewest drain holes of a sheet, where nobody says how many. */
const LEAST_DRAINS = 4;
/** Each grid that is tried is so much closer than the last. */
const CLOSER = 0.94;

/** Holes for rain and for water from the top. Metres. */
export interface Drains {
  diameter: number;
  /** From the middle of the sheet. */
  spots: readonly { x: number; y: number }[];
}

/** The diameter of drain holes: the design's own, or a usual one. */
export const drainDiameter = ({ reservoir }: PlanterDesign): number =>
  reservoir.drains?.diameter ?? DRAIN;

/**
 * Drain holes of the sheet that bears the soil: over a channel only within its width. Of the design's own as many as
 * find room.
 *
 * @param taken what other holes take, with the bridge that is left round them
 */
export function drainHoles(
  { design, vessel }: Pick<Planter, 'design' | 'vessel'>,
  sheet: Outline,
  taken: readonly Circle[],
): Drains {
  const diameter = drainDiameter(design);
  const half = design.bed?.kind === 'row' ? vessel.outlineAt(vessel.depth).b : Infinity;
  const within = ({ y }: { y: number }): boolean => Math.abs(y) + diameter <= half;
  const own = design.reservoir.drains;
  const gridOf = (pitch: number) => drainGrid(sheet, taken, diameter, pitch);
  const spots = own
    ? spread((pitch) => gridOf(pitch).filter(within), own.count, sheet, diameter)
    : usual(gridOf, diameter).filter(within);
  return { diameter, spots };
}

type Grid = { x: number; y: number }[];

/** The widest grid of the usual pitch or closer that has enough of them. */
function usual(gridOf: (pitch: number) => Grid, diameter: number): Grid {
  for (let pitch = DRAIN_PITCH; pitch > diameter + 2 * BRIDGE; pitch *= 0.8) {
    const spots = gridOf(pitch);
    if (spots.length >= LEAST_DRAINS) return spots;
  }
  return [];
}

/** So many holes as far apart as they can be; of a grid with more those nearest to the middle, or all where few find room. */
function spread(
  gridOf: (pitch: number) => Grid,
  count: number,
  { a, b }: Outline,
  diameter: number,
): Grid {
  if (count === 0) return [];
  let most: Grid = [];
  for (let pitch = 2 * Math.max(a, b); pitch > diameter + 2 * BRIDGE; pitch *= CLOSER) {
    const spots = gridOf(pitch);
    if (spots.length >= count)
      return spots.sort((p, q) => Math.hypot(p.x, p.y) - Math.hypot(q.x, q.y)).slice(0, count);
    if (spots.length > most.length) most = spots;
  }
  return most;
}

/** Rows of holes, each set off by half against the last, clear of edges and of other holes. */
function drainGrid(
  outline: Outline,
  taken: readonly Circle[],
  diameter: number,
  pitch: number,
): Grid {
  const r = diameter / 2 + BRIDGE;
  const free = beside(taken.map((circle) => ({ ...circle, r: circle.r - BRIDGE / 2 })));
  const rise = (pitch * Math.sqrt(3)) / 2;
  const rows = Math.floor(outline.b / rise);
  const spots: Grid = [];
  for (let j = -rows; j <= rows; j += 1) {
    const shift = j % 2 === 0 ? 0 : pitch / 2;
    const across = Math.ceil(outline.a / pitch) + 1;
    for (let i = -across; i <= across; i += 1) {
      const spot = { x: i * pitch + shift, y: j * rise };
      if (holdsCircle(outline, spot.x, spot.y, r) && free.circle({ ...spot, r })) spots.push(spot);
    }
  }
  return spots;
}
