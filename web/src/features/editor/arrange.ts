import type { UnitSystem } from '@huerta/core/units';

/** How the section, its grips and measures, and the plan share the room there is. */

interface Size {
  width: number;
  height: number;
}

interface Margin {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Width of a grip's tab: '13 15/16 in' is longer than any millimetres. Pixels. */
const TAG = {
  metric: { compact: 88, wide: 132 },
  us: { compact: 124, wide: 144 },
} as const;
/** Room for measures on the right: a name behind its measure, or under it. Pixels. */
const MEASURES = {
  metric: { compact: 90, wide: 140 },
  us: { compact: 108, wide: 156 },
} as const;
/** Narrower than this there is no room for a name behind its measure, pixels. */
const NARROW = 520;
/** Short names and two lines are used where the drawing gains so much by it. */
const WORTH = 1.06;

const within = (value: number, least: number, most: number): number =>
  Math.min(Math.max(value, least), most);

/** Width of the plan beside the section, and height of the plan under it, pixels. */
export const planWidth = (board: Size): number => within(board.width * 0.18, 120, 200);
export const planHeight = (board: Size): number => within(board.height * 0.24, 140, 220);

export interface Edges {
  compact: boolean;
  /** Of a grip's tab, pixels. */
  tag: number;
  margin: Margin;
}

function edges(units: UnitSystem, compact: boolean): Edges {
  const style = compact ? 'compact' : 'wide';
  const tag = TAG[units][style];
  const right = MEASURES[units][style];
  const margin = compact
    ? { left: tag + 16, right, top: 14, bottom: 48 }
    : { left: tag + 38, right, top: 22, bottom: 62 };
  return { compact, tag, margin };
}

/** Pixels per metre of what is drawn within these edges. @param drawn metres */
const scaleOf = (drawn: Size, frame: Size, { margin }: Edges): number =>
  Math.min(
    (frame.width - margin.left - margin.right) / drawn.width,
    (frame.height - margin.top - margin.bottom) / drawn.height,
  );

/**
 * The edges for grips and measures that leave the drawing the most room: whole names where they cost it little.
 *
 * @param drawn what is drawn, metres
 * @param frame of the stage, pixels
 */
export function edgesFor(drawn: Size, frame: Size, units: UnitSystem): Edges {
  const compact = edges(units, true);
  if (frame.width < NARROW) return compact;
  const wide = edges(units, false);
  return scaleOf(drawn, frame, compact) > WORTH * scaleOf(drawn, frame, wide) ? compact : wide;
}

/**
 * Where the plan goes: wherever the section comes out larger.
 *
 * @param drawn the section, metres
 * @param board the room of both, pixels
 */
export function planGoes(drawn: Size, board: Size, units: UnitSystem): 'beside' | 'under' {
  const drawnIn = (frame: Size) => scaleOf(drawn, frame, edgesFor(drawn, frame, units));
  const beside = drawnIn({ width: board.width - planWidth(board), height: board.height });
  const under = drawnIn({ width: board.width, height: board.height - planHeight(board) });
  return under > beside ? 'under' : 'beside';
}
