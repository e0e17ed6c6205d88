import { beside, type Circle } from '../geometry/packing';
import { holdsCircle, type Outline } from '../geometry/vessels';
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

/** Diameter of a drain hole, and from one to the next. Metres. */
export const DRAIN = 0.006;
const DRAIN_PITCH = 0.05;
/** Fewest drain holes of a sheet. */
const LEAST_DRAINS = 4;

/**
 * Drain holes of the sheet that bears the soil, from its middle: over a channel only within its width.
 *
 * @param taken what other holes take, with the bridge that is left round them
 */
export function drainHoles(
  { design, vessel }: Pick<Planter, 'design' | 'vessel'>,
  sheet: Outline,
  taken: readonly Circle[],
): { x: number; y: number }[] {
  const half = design.bed?.kind === 'row' ? vessel.outlineAt(vessel.depth).b : Infinity;
  return drainGrid(sheet, taken).filter(({ y }) => Math.abs(y) + DRAIN <= half);
}

/** Rows of holes, each set off by half against the last, clear of edges and of other holes. */
function drainGrid(outline: Outline, taken: readonly Circle[]): { x: number; y: number }[] {
  const r = DRAIN / 2 + BRIDGE;
  const free = beside(taken.map((circle) => ({ ...circle, r: circle.r - BRIDGE / 2 })));
  for (let pitch = DRAIN_PITCH; pitch > 2 * r; pitch *= 0.8) {
    const rise = (pitch * Math.sqrt(3)) / 2;
    const rows = Math.floor(outline.b / rise);
    const spots: { x: number; y: number }[] = [];
    for (let j = -rows; j <= rows; j += 1) {
      const shift = j % 2 === 0 ? 0 : pitch / 2;
      const across = Math.ceil(outline.a / pitch) + 1;
      for (let i = -across; i <= across; i += 1) {
        const spot = { x: i * pitch + shift, y: j * rise };
        if (holdsCircle(outline, spot.x, spot.y, r) && free.circle({ ...spot, r }))
          spots.push(spot);
      }
    }
    if (spots.length >= LEAST_DRAINS) return spots;
  }
  return [];
}
