import type { VesselDesign } from '../document';
import type { UnitSystem } from '../units';

/**
 * How a framed box is built: courses of boards as they are sold, one upon the other, screwed to posts outside its corners
 * and along its long sides. Facts that the drawing, the bill, the cuts and the steps share.
 */

type FrameDesign = Extract<VesselDesign, { kind: 'frame' }>;

/** Widths in which planed boards are sold, metres: as they measure, not as they are called. */
const WIDTHS: Readonly<Record<UnitSystem, readonly number[]>> = {
  metric: [0.095, 0.12, 0.145, 0.17, 0.195, 0.22],
  us: [0.0889, 0.1397, 0.18415, 0.23495, 0.28575],
};
/** Boards longer than this are pieced, on a post. Metres. */
const LONGEST = 3.6;
/** Side of a square post, metres. */
export const POST = 0.07;
/** A long side is held by a post at least every so far, metres. */
const POST_SPACING = 1.2;
/** Screws of an end of a board, and where one crosses a post. */
const SCREWS_AN_END = 2;

/** A course of boards all round. */
interface Course {
  /** From its lower edge to its upper, above the floor. Metres. */
  from: number;
  to: number;
  /** Whether its long boards cover the ends of its short ones; the next course has it the other way. */
  longOver: boolean;
}

/** A post, seen from above about the middle of the box. */
interface Post {
  x: number;
  y: number;
  corner: boolean;
}

export interface FrameBuild {
  /** Whether it is of boards; else of panels, one a side. */
  timber: boolean;
  /** Width of the boards, metres; the topmost is sawn along to what is left. */
  width: number;
  courses: readonly Course[];
  posts: readonly Post[];
  screws: number;
}

/** How the box of a design is built. @param set of which sizes its boards are */
export function frameBuild(spec: FrameDesign, set: UnitSystem): FrameBuild {
  const { depth, length, wall, width, legs, material } = spec;
  const timber = material === 'wood' || material === 'treated-wood';
  const board = timber ? boardFor(depth, set) : depth;
  const count = Math.max(Math.ceil(depth / board - 1e-6), 1);
  const courses = Array.from({ length: count }, (_, i): Course => ({
    from: i * board,
    to: Math.min((i + 1) * board, depth),
    longOver: i % 2 === 0,
  }));
  const out = wall + POST / 2;
  // Panels have corners of their own; what stands on legs has them under its corners.
  const corners = timber || legs > 0 ? [-1, 1] : [];
  const between = timber ? Math.max(Math.ceil(length / POST_SPACING - 1e-6) - 1, 0) : 0;
  const posts = [-1, 1].flatMap((back) => [
    ...corners.map((side) => ({
      x: side * (length / 2 + wall - POST / 2),
      y: back * (width / 2 + out),
      corner: true,
    })),
    ...Array.from({ length: between }, (_, i) => ({
      x: ((i + 1) / (between + 1) - 0.5) * length,
      y: back * (width / 2 + out),
      corner: false,
    })),
  ]);
  // Four boards of a course meet at four corners; each end is held, and each long board at each post that it passes.
  const screws = count * SCREWS_AN_END * (8 + 2 * between);
  return { timber, width: board, courses, posts, screws };
}

/** The board of which the fewest make a height, and of those the narrowest. */
export function boardFor(depth: number, set: UnitSystem): number {
  const widths = WIDTHS[set];
  const widest = widths.at(-1) as number;
  const count = Math.max(Math.ceil(depth / widest - 1e-6), 1);
  return widths.find((one) => one * count >= depth - 1e-6) ?? widest;
}

/**
 * The pieces that a board of a course is made of: one, or for a longer side several that meet on posts, in every second
 * course at other posts. Metres.
 */
export function boardPieces(long: number, course: number): number[] {
  const count = Math.ceil(long / LONGEST - 1e-6);
  if (count <= 1) return [long];
  const spans = Math.ceil(long / POST_SPACING - 1e-6);
  const most = Math.floor(LONGEST / (long / spans) + 1e-6);
  const pieces: number[] = [];
  let left = spans;
  // Every second course begins with a short piece, so that no joint stands over another.
  if (course % 2 === 1) {
    pieces.push(Math.max(Math.floor(most / 2), 1));
    left -= pieces[0] as number;
  }
  for (; left > 0; left -= most) pieces.push(Math.min(most, left));
  return pieces.map((one) => (one * long) / spans);
}
