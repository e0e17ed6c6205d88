import type { Planter } from '../planter';
import { q, say, type Message } from '../quantity';
import type { Outline } from '../vessel';
import type { Deck } from './deck';

/** A flat piece that is cut with knife, shears or jigsaw. Metres. */
export interface SheetPiece {
  id: string;
  /** Which part of the planter it belongs to. */
  part: string;
  what: string;
  count: number;
  /** The rectangle that it is cut out of. */
  length: number;
  width: number;
  /** Its outline where it is not the rectangle, from its middle. */
  outline: Outline | null;
  /** What it is cut from, and how. */
  from: Message;
}

/** Liner folded over the frame on each side, fabric turned up the wall on each side. Metres. */
export const LINER_LAP = 0.15;
export const FABRIC_LAP = 0.1;
/** Lining behind air holes: beyond the lowest row, and over its own end. Metres. */
const LINING_LAP = 0.1;

/** Flat pieces of a planter: platform, liner, fabric, cloth legs, panel, cover. */
export function sheetsOf(planter: Planter, deck: Deck | null): SheetPiece[] {
  const { design, layout, vessel, bed, heights } = planter;
  const list: SheetPiece[] = [];
  if (deck?.kind === 'platform') {
    const { outline } = deck;
    list.push({
      id: 'platform',
      part: 'platform',
      what: 'Platform',
      count: 1,
      length: 2 * outline.a,
      width: 2 * outline.b,
      outline,
      from: say`the vessel’s own lid, or sheet ${q(design.reservoir.thickness, 'length')} thick; the template has its holes`,
    });
  }
  if (deck?.kind === 'cut-end') {
    const top = vessel.outlineAt(design.reservoir.top);
    list.push({
      id: 'cut-end',
      part: 'platform',
      what: 'Cut end',
      count: 1,
      length: 2 * top.a,
      width: 2 * top.b,
      outline: deck.outline,
      from: say`the vessel itself: sawn off ${q(design.reservoir.top, 'length')} from its end, slit so that it slides in`,
    });
  }
  if (design.vessel.kind === 'frame' && design.vessel.liner !== 'none') {
    const { length, width, depth, fall } = design.vessel;
    const up = 2 * (depth + length * fall + LINER_LAP);
    list.push({
      id: 'liner',
      part: 'liner',
      what: 'Liner',
      count: 1,
      length: length + up,
      width: width + up,
      outline: null,
      from: say`one piece: floor, both walls and ${q(LINER_LAP, 'length')} of lap each way; folded in the corners, never cut`,
    });
  }
  layout.parts.forEach((part, i) => {
    if (part.design.kind !== 'arch' || part.placed === 0) return;
    const half = part.boxes[0]?.a ?? part.design.width / 2;
    list.push({
      id: `panel-${i}`,
      part: `part-${i}`,
      what: 'Panel',
      count: 1,
      length: 2 * (part.boxes[0]?.b ?? half),
      width: archLength(half, part.height),
      outline: null,
      from: say`the side that is cut out of the vessel, keeping its curve`,
    });
  });
  design.wicks.forEach((wick, i) => {
    if (wick.kind !== 'cloth') return;
    list.push({
      id: `wick-${i}`,
      part: `wick-${i}`,
      what: 'Leg of cloth',
      count: wick.legs,
      length: heights.base - wick.foot + wick.spread,
      width: wick.width,
      outline: null,
      from: say`cut along the weave; ${q(wick.spread, 'length')} of it lies spread under the soil`,
    });
  });
  if (design.overflow?.kind === 'rows') {
    const rows = design.overflow;
    const low = rows.centre - rows.diameter / 2;
    list.push({
      id: 'lining',
      part: 'lining',
      what: 'Lining behind the air holes',
      count: 1,
      length: vessel.perimeterAt(heights.surface) + LINING_LAP,
      width: heights.surface - low + LINING_LAP,
      outline: null,
      from: say`shade cloth in one piece round the inside, its ends lapped`,
    });
  }
  if (design.separator !== 'none' && design.separator !== 'straw') {
    const low = bed.inside.outlineAt(heights.base - bed.floor);
    list.push({
      id: 'separator',
      part: 'separator',
      what: 'Separator',
      count: bed.places.length,
      length: 2 * (low.a + FABRIC_LAP),
      width: 2 * (low.b + FABRIC_LAP),
      outline: {
        a: low.a + FABRIC_LAP,
        b: low.b + FABRIC_LAP,
        c: low.c > 0 ? low.c + FABRIC_LAP : 0,
      },
      from: say`one piece${bed.places.length > 1 ? ' for each' : ''}, ${q(FABRIC_LAP, 'length')} up the wall all round; cut crosses for tube and wicks`,
    });
  }
  if (design.soil.mulch === 'cover') {
    const top = bed.inside.outlineAt(heights.surface - bed.floor);
    list.push({
      id: 'cover',
      part: 'mulch',
      what: 'Cover',
      count: bed.places.length,
      length: 2 * top.a,
      width: 2 * top.b,
      outline: top,
      from: say`with a cross cut where each plant stands`,
    });
  }
  return list;
}

/** Area that a piece is cut out of, all of its kind, m². */
export const areaNeeded = ({ count, length, width }: SheetPiece): number => count * length * width;

/** Length of a segment's arc with this half width and rise, with straight sides if it is higher. */
function archLength(half: number, height: number): number {
  const straight = Math.max(height - half, 0);
  const rise = height - straight;
  const R = (half * half + rise * rise) / (2 * rise);
  const angle = rise >= half ? Math.PI / 2 : Math.asin(Math.min(half / R, 1));
  return 2 * straight + 2 * R * angle;
}
