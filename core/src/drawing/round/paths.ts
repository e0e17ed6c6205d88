import type { RoundPicture } from './picture';
import type { RoundInk } from './partRound';
import type { Standing } from './scene';
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

/** Pixels a metre. */
const scaleOf = (
  { left, right, low, top }: RoundPicture['bounds'],
  most: { width: number; height: number },
): number =>
  Math.min(
    (most.width - 2 * MARGIN) / Math.max(right - left, 1e-6),
    (most.height - 2 * MARGIN) / Math.max(top - low, 1e-6),
  );

/** @param most width and height of the page, pixels; the picture keeps its shape within */
export function pathsOf(
  { fills, lines, arrows, measures, styles, bounds }: RoundPicture,
  most: { width: number; height: number },
): RoundPaths {
  const { left, right, low, top } = bounds;
  const scale = scaleOf(bounds, most);
  const pixel = ([x, y]: Point2): Point2 =>
    [(x - left) * scale + MARGIN, (top - y) * scale + MARGIN].map(
      (one) => Math.round(one * 10) / 10,
    ) as unknown as Point2;
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
    width: (right - left) * scale + 2 * MARGIN,
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
  };
}

/**
 * What is seen at a point of the page, in front of all: a group of parts, or `soil` or `plants`; null where nothing is.
 * Water lets through what is in it.
 *
 * @param most the page, as for `pathsOf`; @param at pixels from its left and top
 */
export function partAt(
  { fills, bounds, styles }: RoundPicture,
  most: { width: number; height: number },
  [x, y]: Point2,
): string | null {
  const scale = scaleOf(bounds, most);
  const at: Point2 = [bounds.left + (x - MARGIN) / scale, bounds.top - (y - MARGIN) / scale];
  const hit = fills.findLast(
    ({ points, style }) => styles[style]?.ink !== 'water' && contains(points, at),
  );
  return hit?.of ?? null;
}

const RANK: Readonly<Record<Standing, number>> = { before: 0, plain: 1, now: 2 };
