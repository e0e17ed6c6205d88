import { INCH_BITS, METRIC_BITS } from '../catalog';
import { isOwnEnd } from '../document';
import {
  bitOf,
  BRIDGE,
  drainHoles,
  platformOpenings,
  drilledSheet,
  type PartGroup,
  type Planter,
} from '../assembly';
import type { UnitSystem } from '../units';
import type { Circle } from '../geometry/packing';
import type { Outline } from '../geometry/vessels';

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
  const { diameter, spots } = drainHoles(planter, sheet, taken);
  const drain: DeckHoles = {
    id: 'drain',
    group: null,
    diameter,
    bit: bits.find((bit) => bit >= diameter - 1e-4) ?? diameter,
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
