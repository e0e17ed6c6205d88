import { PIPES } from '../catalog';
import type { PlanterDesign } from '../design';
import { insideDiameterAt } from '../vessel';
import { airCeiling } from '../design';
import { arrange, fullest, type Circle } from './arrange';

/** Thickness of a packed cup's own wall, metres. */
export const CUP_WALL = 0.001;

/** A packed cup on the floor. */
interface StandingCup extends Circle {
  wick: number;
}

/** Where everything stands on the floor, seen from above; the section is cut along y = 0. */
export interface FloorLayout {
  /** Radius that everything must keep inside, metres. */
  floorRadius: number;
  tube: Circle | null;
  /** With the index of the wick that each belongs to. */
  cups: StandingCup[];
  supports: Circle[];
  /** How many supports of this size there is room for, at least as many as are placed. */
  supportRoom: () => number;
  /** How many cups there is room for when they do not all fit, else null. */
  cupRoom: number | null;
}

/** Lays out tube, cups and supports: the tube at the wall, the cups in the middle, the rest around. */
export function layOut(design: PlanterDesign): FloorLayout {
  const { vessel, reservoir, wicks, fillTube } = design;
  const narrowest = Math.min(
    vessel.bottomDiameter,
    insideDiameterAt(vessel, airCeiling(reservoir)),
  );
  const R = narrowest / 2;
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  const ring: Circle | null =
    support.kind === 'ring' ? { x: 0, y: 0, r: support.diameter / 2 } : null;
  const tube = fillTube
    ? tubeCircle(PIPES[fillTube.pipe].outside / 2, R, ring, support.wall)
    : null;

  const cupSizes = wicks.flatMap((wick, i) =>
    wick.kind === 'cup' ? [{ r: wick.diameter / 2 + CUP_WALL, count: wick.count, wick: i }] : [],
  );
  const inRing = ring ? ring.r - support.wall : R;
  const cups: StandingCup[] = [];
  let cupRoom: number | null = null;
  for (const { r, count, wick } of cupSizes) {
    const taken = tube ? [tube, ...cups] : cups;
    const placed = arrange(inRing, r, count, taken);
    cups.push(...placed.map((circle) => ({ ...circle, wick })));
    if (placed.length < count) cupRoom = placed.length;
  }

  if (ring) {
    return { floorRadius: R, tube, cups, supports: [ring], supportRoom: () => 1, cupRoom };
  }
  const count = 'count' in support ? support.count : 1;
  const taken = tube ? [tube, ...cups] : cups;
  const r = support.diameter / 2;
  const supports = arrange(R, r, count, taken);
  const supportRoom = () => Math.max(fullest(R, r, taken).length, supports.length);
  return { floorRadius: R, tube, cups, supports, supportRoom, cupRoom };
}

/** The fill tube against the wall; inside a ring support when there is no room outside it. */
function tubeCircle(r: number, R: number, ring: Circle | null, ringWall: number): Circle {
  const outsideRing = ring === null || R - ring.r >= 2 * r;
  const edge = outsideRing || ring === null ? R : ring.r - ringWall;
  return { x: Math.max(edge - r, 0), y: 0, r };
}
