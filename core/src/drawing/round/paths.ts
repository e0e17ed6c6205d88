import type { RoundPicture } from './picture';
import type { RoundInk } from './partRound';
import type { Standing } from './scene';
import {
  columnFor,
  placeLabels,
  type LabelFrame,
  type Lettering,
  type PlacedLabel,
} from './labels';
import { contains } from './lines';
import type { Line, Point2 } from './view';

/** A picture as paths of SVG: as few of them as the order in which they lie allows. */

/** A path that is filled; `tone` as in `Fill`. */
export interface FillPath {
  d: string;
  ink: RoundInk;
  standing: Standing;
  tone: number;
  cut: boolean;
}
interface LinePath {
  d: string;
  weight: Line['weight'];
  standing: Standing;
}

export interface RoundPaths {
  width: number;
  height: number;
  fills: FillPath[];
  lines: LinePath[];
  /** Arrows that point down, filled. */
  arrows: string[];
  /** Heights: their line, the right end and the middle of their number on its left, and their value, metres. */
  measures: { d: string; x: number; y: number; value: number }[];
  /** Names beside the picture, where they were asked for. */
  labels: (PlacedLabel & { d: string })[];
}

/** Empty page about the picture, and at most so wide and high, pixels. */
const MARGIN = 8;

/** Half of the head of an arrow and of its shaft, and of the stroke that ends a measure, pixels. */
const HEAD = 9;
const SHAFT = 3;
const TICK = 5;

/** An arrow that points down. */
function arrowPath([x, from]: Point2, [, to]: Point2): string {
  const neck = to - HEAD;
  return `M${x - SHAFT} ${from}h${2 * SHAFT}V${neck}h${HEAD - SHAFT}L${x} ${to}L${x - HEAD} ${neck}h${HEAD - SHAFT}Z`;
}

/** Page that a picture keeps within, and how names beside it are set; without that there are none. */
export interface RoundPage {
  width: number;
  height: number;
  lettering?: Lettering;
}

/** So many names stand on one side. */
const ON_ONE_SIDE = 3;

/** Where the picture lies on its page: pixels a metre, and the columns for names. */
function layoutOf(picture: RoundPicture, page: RoundPage) {
  const { left, right, low, top } = picture.bounds;
  const { lettering } = page;
  const column = lettering ? columnFor(picture.names, lettering) : 0;
  // What is measured stands on the left, where a name's line would go through it; few names have room on one side.
  const both = picture.measures.length === 0 && picture.names.length > ON_ONE_SIDE;
  const columns = { left: both ? column : 0, right: column };
  const scale = Math.min(
    (page.width - 2 * MARGIN - columns.left - columns.right) / Math.max(right - left, 1e-6),
    (page.height - 2 * MARGIN) / Math.max(top - low, 1e-6),
  );
  return { scale, columns, x: MARGIN + columns.left };
}

/** @param page pixels; the picture keeps its shape within */
export function pathsOf(picture: RoundPicture, page: RoundPage): RoundPaths {
  const { fills, lines, arrows, measures, styles, bounds } = picture;
  const { left, right, low, top } = bounds;
  const { scale, columns, x: begins } = layoutOf(picture, page);
  const exactly = ([x, y]: Point2): Point2 => [
    (x - left) * scale + begins,
    (top - y) * scale + MARGIN,
  ];
  const pixel = (point: Point2): Point2 =>
    exactly(point).map((one) => Math.round(one * 10) / 10) as unknown as Point2;
  const at = (point: Point2): string => pixel(point).join(' ');
  const filled: FillPath[] = [];
  for (const { points, style, tone, cut } of fills) {
    const { ink, standing } = styles[style] as { ink: RoundInk; standing: Standing };
    const d = `M${points.map(at).join('L')}Z`;
    const last = filled.at(-1);
    const same =
      last?.ink === ink && last.standing === standing && last.tone === tone && last.cut === cut;
    if (same) last.d += d;
    else filled.push({ d, ink, standing, tone, cut });
  }
  const inked = new Map<string, LinePath>();
  for (const { points, weight, style } of lines) {
    const { standing } = styles[style] as { standing: Standing };
    const key = `${weight} ${standing}`;
    const path = inked.get(key) ?? { d: '', weight, standing };
    inked.set(key, path);
    path.d += `M${at(points[0])}L${at(points[1])}`;
  }
  return {
    width: (right - left) * scale + 2 * MARGIN + columns.left + columns.right,
    height: (top - low) * scale + 2 * MARGIN,
    fills: filled,
    // What was there before lies under what is new.
    lines: [...inked.values()].sort((a, b) => RANK[a.standing] - RANK[b.standing]),
    arrows: arrows.map(({ from, to }) => arrowPath(pixel(from), pixel(to))),
    measures: measures.map(({ from, to, value }) => {
      const [[x1, y1], [x2, y2]] = [pixel(from), pixel(to)];
      const tick = (x: number, y: number): string => `M${x - TICK} ${y}h${2 * TICK}`;
      return {
        d: `M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`,
        ...{ x: Math.min(x1, x2) - 2 * TICK, y: (y1 + y2) / 2, value },
      };
    }),
    labels: labelsOf(picture, page, exactly, {
      ...{ left: begins, right: begins + (right - left) * scale, columns },
      ...{ top: MARGIN, bottom: MARGIN + (top - low) * scale },
    }),
  };
}

/** An arrow as a patch that no line goes over. */
const ARROW = 'arrow';

function labelsOf(
  { fills, arrows, names, enclosing, styles }: RoundPicture,
  { lettering }: RoundPage,
  pixel: (point: Point2) => Point2,
  frame: LabelFrame,
): RoundPaths['labels'] {
  if (!lettering || names.length === 0) return [];
  const patches = fills.map(({ points, style, of }) => ({
    points: points.map(pixel),
    of,
    clear: styles[style]?.ink === 'water',
  }));
  for (const { from, to } of arrows) {
    const [[x, y1], [, y2]] = [pixel(from), pixel(to)];
    const corners: Point2[] = [
      ...([
        [x - HEAD, y1],
        [x + HEAD, y1],
      ] as Point2[]),
      ...([
        [x + HEAD, y2],
        [x - HEAD, y2],
      ] as Point2[]),
    ];
    patches.push({ points: corners, of: ARROW, clear: false });
  }
  return placeLabels(names, patches, frame, enclosing, lettering).map((one) => ({
    ...one,
    d: `M${one.from.map(Math.round).join(' ')}L${one.to.map(Math.round).join(' ')}`,
  }));
}

/**
 * What is seen at a point of the page, in front of all: a group of parts, or `soil` or `plants`; null where nothing is.
 * Water lets through what is in it.
 *
 * @param page as for `pathsOf`; @param at pixels from its left and top
 */
export function partAt(picture: RoundPicture, page: RoundPage, [x, y]: Point2): string | null {
  const { fills, bounds, styles } = picture;
  const { scale, x: begins } = layoutOf(picture, page);
  const at: Point2 = [bounds.left + (x - begins) / scale, bounds.top - (y - MARGIN) / scale];
  const hit = fills.findLast(
    ({ points, style }) => styles[style]?.ink !== 'water' && contains(points, at),
  );
  return hit?.of ?? null;
}

const RANK: Readonly<Record<Standing, number>> = { before: 0, plain: 1, now: 2 };
