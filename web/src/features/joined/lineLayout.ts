import type { Point, Section } from '@huerta/core/drawing';
import type { LineShown } from '../../compute/lineTask';
import type { View } from '../../drawing/view';

/** Where everything of a line stands in its picture, pixels. */

interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface PlaceOnLine {
  id: string;
  section: Section;
  view: View;
  left: number;
  right: number;
  middle: number;
  /** Height of what it stands on. */
  slab: number;
  /** Where its hose goes in. */
  port: number;
  /** Letters that there is room for under it. */
  words: number;
}

export interface LineLayout {
  /** Of the frame, and of the picture, which may be wider. */
  frame: number;
  width: number;
  height: number;
  /** Pixels per metre. */
  scale: number;
  ground: number;
  /** Where the line of the water begins and ends. */
  from: number;
  to: number;
  y(metres: number): number;
  places: PlaceOnLine[];
  /** The valve's box; null where nothing feeds it. */
  box: Rect | null;
  boxStand: Rect;
  barrel: { body: Rect; water: Rect; stand: Rect; outlet: number } | null;
}

/** Between two planters, around all, for the level's tab, and for the names below, pixels. */
const GAP = 34;
const EDGE = 10;
const TAB = 92;
const NAMES = 46;
/** Narrowest planter, and the tallest picture, pixels. */
const NARROWEST = 70;
const TALLEST = 380;
/** The valve's box, and what stands of it above the water, metres. */
const BOX = 0.24;
const BOX_OVER = 0.06;
const BOX_UNDER = 0.12;
/** How far above its floor a barrel's outlet is, metres. */
const OUTLET = 0.06;
const LETTER = 7.6;

const widthOf = ({ bounds }: Section): number => bounds.right - bounds.left;

/** How many metres side by side, how high, and how many gaps. */
function extent({ line, planters, level }: LineShown) {
  const { supply } = line;
  const barrel =
    supply.kind === 'barrel'
      ? { width: supply.diameter, top: supply.outlet - OUTLET + barrelHeight(supply) }
      : null;
  const top = Math.max(
    ...planters.map(({ floor, section }) => floor + section.bounds.top),
    barrel?.top ?? 0,
    level + 0.1,
  );
  const fed = supply.kind !== 'none';
  return {
    barrel,
    fed,
    top,
    wide:
      planters.reduce((sum, { section }) => sum + widthOf(section), 0) +
      (barrel?.width ?? 0) +
      (fed ? BOX : 0),
    gaps: planters.length + (barrel ? 1 : 0) + (fed ? 1 : 0),
  };
}

const barrelHeight = ({ volume, diameter }: { volume: number; diameter: number }): number =>
  volume / ((Math.PI / 4) * diameter ** 2);

/** @param frame width that there is */
export function layoutOf(told: LineShown, frame: number): LineLayout {
  const { line, planters } = told;
  const { barrel, fed, top, wide, gaps } = extent(told);
  const spare = gaps * GAP + 2 * EDGE + TAB;
  const narrowest = Math.min(...planters.map(({ section }) => widthOf(section)), Infinity);
  const fits = Math.min((frame - spare) / wide, (TALLEST - 8) / top);
  // Where there is no room the picture is wider than its frame, which then slides.
  const scale = Math.max(fits, Math.min(NARROWEST / narrowest, (TALLEST - 8) / top));
  const ground = Math.round(top * scale) + 8;
  const y = (metres: number): number => ground - metres * scale;
  let x = EDGE;
  const take = (metres: number): number => {
    const at = x;
    x += metres * scale + GAP;
    return at;
  };
  const barrelAt = barrel ? take(barrel.width) : 0;
  const boxAt = fed ? take(BOX) : 0;
  const from = fed ? boxAt : x;
  const places = planters.map((one): PlaceOnLine => {
    const { id, section, floor } = one;
    const left = take(widthOf(section));
    const right = left + widthOf(section) * scale;
    const port = line.members.find(({ planter }) => planter === id)?.port ?? 0;
    const view = viewAt(section, left, y(floor), scale);
    return {
      ...{ id, section, view, left, right },
      middle: (left + right) / 2,
      slab: Math.max((floor + section.bounds.bottom) * scale, 0),
      port: y(floor + port),
      words: Math.max(Math.floor((right - left + GAP - 10) / LETTER) - 2, 3),
    };
  });
  const bottom = Math.max(told.level - BOX_UNDER, 0);
  return {
    frame,
    width: Math.max(frame, x - GAP + EDGE + TAB),
    height: ground + NAMES,
    ...{ scale, ground, from, y, places },
    to: x - GAP + EDGE,
    box: fed
      ? {
          x: boxAt,
          y: y(told.level + BOX_OVER),
          width: BOX * scale,
          height: (told.level + BOX_OVER - bottom) * scale,
        }
      : null,
    boxStand: { x: boxAt, y: y(bottom), width: BOX * scale, height: bottom * scale },
    barrel: line.supply.kind === 'barrel' ? barrelRects(line.supply, barrelAt, scale, y) : null,
  };
}

function barrelRects(
  supply: { volume: number; diameter: number; outlet: number },
  x: number,
  scale: number,
  y: (metres: number) => number,
) {
  const floor = supply.outlet - OUTLET;
  const [width, height] = [supply.diameter * scale, barrelHeight(supply) * scale];
  return {
    body: { x, y: y(floor) - height, width, height },
    water: { x, y: y(floor) - 0.94 * height, width, height: 0.94 * height },
    stand: { x: x - 4, y: y(floor), width: width + 8, height: Math.max(floor * scale, 0) },
    outlet: y(supply.outlet),
  };
}

function viewAt({ bounds }: Section, left: number, floor: number, scale: number): View {
  const x = (metres: number): number => left + (metres - bounds.left) * scale;
  const y = (metres: number): number => floor - metres * scale;
  return {
    ...{ scale, x, y },
    path: (points: readonly Point[], closed: boolean) =>
      points
        .map(([px, pz], i) => `${i ? 'L' : 'M'}${x(px).toFixed(1)} ${y(pz).toFixed(1)}`)
        .join('') + (closed ? 'Z' : ''),
  };
}
