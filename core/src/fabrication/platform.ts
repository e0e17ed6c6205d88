import { INCH_BITS, METRIC_BITS } from '../catalog';
import { isOwnEnd } from '../document';
import {
  bitOf,
  BRIDGE,
  platformOpenings,
  drilledSheet,
  type PartGroup,
  type Planter,
} from '../assembly';
import type { UnitSystem } from '../units';
import { beside, type Circle } from '../geometry/packing';
import { holdsCircle, type Outline } from '../geometry/vessels';

/** The rigid floor that soil stands on, with every hole that goes through it, in place. */

/** A point on a flat piece, from its middle: x to the right in the section, y to the back. Metres. */
export interface Spot {
  x: number;
  y: number;
}

/** Holes of one kind through the deck. */
interface DeckHoles {
  id: string;
  /** What goes through, or null for drain holes. */
  group: PartGroup | null;
  /** What the design asks for, and what is drilled or cut with the chosen set. Metres. */
  diameter: number;
  bit: number;
  spots: readonly Spot[];
}

export interface PlatformSheet {
  /** `platform` is cut out and dropped in; the others are floors of vessels of their own. */
  kind: 'platform' | 'cut-end' | 'upper' | 'pail';
  name: string;
  outline: Outline;
  holes: readonly DeckHoles[];
}

/** Drain holes: their drill, from one to the next. Metres. */
const DRAIN = 0.006;
const DRAIN_PITCH = 0.05;
/** Fewest drain holes of a deck. */
const LEAST_DRAINS = 4;

/** The deck of a planter with holes for a set of drills, or null where nothing rigid bears the soil. */
export function platformSheetOf(planter: Planter, set: UnitSystem): PlatformSheet | null {
  const sheet = drilledSheet(planter);
  if (!sheet) return null;
  const bits = set === 'us' ? INCH_BITS : METRIC_BITS;
  const byLot = new Map<string, DeckHoles>();
  for (const opening of platformOpenings(planter)) {
    const { group, least, x, y } = opening;
    const known = byLot.get(group.id);
    const bit = bitOf(opening, bits) ?? least;
    const spots = [...(known?.spots ?? []), { x, y }];
    byLot.set(group.id, { id: group.id, group, diameter: least, bit, spots });
  }
  const through = [...byLot.values()];
  const taken = through.flatMap(({ bit, spots }) =>
    spots.map(({ x, y }): Circle => ({ x, y, r: bit / 2 + BRIDGE })),
  );
  const spots = drains(planter, sheet, taken);
  const drain: DeckHoles = {
    id: 'drain',
    group: null,
    diameter: DRAIN,
    bit: bits.find((bit) => bit >= DRAIN - 1e-4) ?? DRAIN,
    spots,
  };
  const holes = spots.length > 0 ? [...through, drain] : through;
  return { ...frameOf(planter), outline: sheet, holes };
}

/** Kind and name of the deck. */
function frameOf({ design }: Planter): Pick<PlatformSheet, 'kind' | 'name'> {
  if (design.bed?.kind === 'nested') return { kind: 'upper', name: 'Floor of the upper vessel' };
  if (design.bed?.kind === 'row') return { kind: 'pail', name: 'Floor of each pail' };
  const cut = design.reservoir.parts.some(isOwnEnd);
  return cut ? { kind: 'cut-end', name: 'Cut end' } : { kind: 'platform', name: 'Platform' };
}

/** Drain holes where water may drip: over a channel only within its width. */
function drains({ design, vessel }: Planter, sheet: Outline, taken: readonly Circle[]): Spot[] {
  const half = design.bed?.kind === 'row' ? vessel.outlineAt(vessel.depth).b : Infinity;
  return drainGrid(sheet, taken).filter(({ y }) => Math.abs(y) + DRAIN <= half);
}

/** Rows of holes, each set off by half against the last, clear of edges and of other holes. */
function drainGrid(outline: Outline, taken: readonly Circle[]): Spot[] {
  const r = DRAIN / 2 + BRIDGE;
  const free = beside(taken.map((circle) => ({ ...circle, r: circle.r - BRIDGE / 2 })));
  for (let pitch = DRAIN_PITCH; pitch > 2 * r; pitch *= 0.8) {
    const rise = (pitch * Math.sqrt(3)) / 2;
    const rows = Math.floor(outline.b / rise);
    const spots: Spot[] = [];
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
