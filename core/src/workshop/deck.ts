import { bitFor, INCH_BITS, METRIC_BITS } from '../catalog';
import type { Planter } from '../planter';
import type { UnitSystem } from '../quantity';
import { arrange, beside, CUP_WALL, PLATFORM_PLAY, type Circle } from '../reservoir';
import { clearBetween, grown, holdsCircle, type Outline } from '../vessel';

/** The rigid floor that soil stands on, with every hole that goes through it, in place. */

/** A point on a flat piece, from its middle: x to the right in the section, y to the back. Metres. */
export interface Spot {
  x: number;
  y: number;
}

/** Holes of one kind through the deck. */
interface DeckHoles {
  id: string;
  /** What the design asks for, and the drill of the chosen set that makes it. Metres. */
  diameter: number;
  bit: number;
  spots: readonly Spot[];
}

export interface Deck {
  /** `platform` is cut out and dropped in; the others are floors of vessels of their own. */
  kind: 'platform' | 'cut-end' | 'upper' | 'pail';
  name: string;
  outline: Outline;
  holes: readonly DeckHoles[];
}

/** More than a pipe's or cup's outside, so that it goes through. Metres. */
export const PLAY = 0.001;
/** Drain holes: their drill, from one to the next, what is left to an edge or another hole. Metres. */
const DRAIN = 0.006;
const DRAIN_PITCH = 0.05;
const BRIDGE = 0.006;
/** Fewest drain holes of a deck. */
const LEAST_DRAINS = 4;

/** Two legs of cloth go through each hole. */
const LEGS_A_HOLE = 2;

/** The deck of a planter with holes for a set of drills, or null where nothing rigid bears the soil. */
export function deckOf(planter: Planter, set: UnitSystem): Deck | null {
  const { design, layout, bed } = planter;
  const frame = frameOf(planter);
  if (!frame) return null;
  const bits = set === 'us' ? INCH_BITS : METRIC_BITS;
  const taken: Circle[] = [];
  const holes: DeckHoles[] = [];
  const add = (id: string, diameter: number, spots: readonly Spot[]) => {
    if (spots.length === 0) return;
    const bit = bitFor(diameter, bits);
    taken.push(...spots.map(({ x, y }) => ({ x, y, r: bit / 2 + BRIDGE })));
    holes.push({ id, diameter, bit, spots });
  };
  const whole = frame.kind !== 'pail';
  const { fillTube } = design;
  if (fillTube && layout.tube && whole) add('tube', fillTube.hole, [layout.tube]);
  layout.pipes.forEach((pipe, i) => {
    if (whole && pipe.foot < planter.heights.base - 1e-6)
      add(`pipe-${i}`, 2 * pipe.r + PLAY, [pipe]);
  });
  design.wicks.forEach((wick, i) => {
    if (wick.kind === 'cloth') return;
    const places = (wick.kind === 'cup' ? layout.cups : layout.columns).filter(
      (one) => one.wick === i,
    );
    const wall = wick.kind === 'cup' ? 2 * CUP_WALL : 0;
    add(`wick-${i}`, wick.diameter + wall + PLAY, whole ? places : inOnePail(planter, places));
  });
  design.wicks.forEach((wick, i) => {
    if (wick.kind !== 'cloth' || bed.places.length > 1) return;
    const diameter = Math.max(wick.width / 2, wick.thickness * 4);
    const r = bitFor(diameter, bits) / 2 + BRIDGE;
    const count = Math.ceil(wick.legs / LEGS_A_HOLE);
    add(`wick-${i}`, diameter, inTheMiddle(frame.outline, r, count, taken));
  });
  const drains = drainGrid(frame.outline, taken);
  add('drain', DRAIN, drains);
  return { ...frame, holes };
}

/** Kind, name and outline of the deck. */
function frameOf({ design, vessel, bed }: Planter): Omit<Deck, 'holes'> | null {
  const { reservoir } = design;
  switch (design.bed?.kind) {
    case 'nested':
      return { kind: 'upper', name: 'Floor of the upper vessel', outline: bed.inside.outlineAt(0) };
    case 'row':
      return { kind: 'pail', name: 'Floor of each pail', outline: bed.inside.outlineAt(0) };
    case 'neck':
    case 'bag':
      return null;
    case undefined:
      break;
  }
  if (reservoir.cover !== 'platform') return null;
  const cut = reservoir.parts.some((part) => part.kind === 'ring' && part.cutEnd);
  const top = Math.min(reservoir.top, vessel.depth);
  const clear = clearBetween(vessel, top, Math.min(top + reservoir.thickness, vessel.depth));
  return {
    kind: cut ? 'cut-end' : 'platform',
    name: cut ? 'Cut end' : 'Platform',
    outline: grown(clear, -PLATFORM_PLAY / 2),
  };
}

/** Cups under the first pail of a row, from that pail's own middle. */
function inOnePail({ bed }: Planter, places: readonly Spot[]): Spot[] {
  const [first] = bed.places;
  const half = bed.inside.outlineAt(0).a;
  if (!first) return [];
  return places
    .filter(({ x }) => Math.abs(x - first.x) < half)
    .map(({ x, y }) => ({ x: x - first.x, y: y - first.y }));
}

/** Side by side through the middle where that is free, else where there is room. */
function inTheMiddle(outline: Outline, r: number, count: number, taken: readonly Circle[]): Spot[] {
  const free = beside(taken);
  const row = Array.from({ length: count }, (_, i) => ({
    x: 0,
    y: (i - (count - 1) / 2) * 2 * r,
    r,
  }));
  if (row.every((one) => holdsCircle(outline, one.x, one.y, r) && free.circle(one))) return row;
  return arrange(outline, r, count, free);
}

/** Rows of holes, each set off by half against the last, clear of edges and of other holes. */
function drainGrid(outline: Outline, taken: readonly Circle[]): Spot[] {
  const r = DRAIN / 2 + BRIDGE;
  const free = beside(taken);
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
