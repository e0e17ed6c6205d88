import { countOf, deepestRoots, ROOT_FLOW, ROOTS_A_DAY, ROOTS_PLANTED } from '../physics/crop';
import type { Planter } from './assemble';

/**
 * Ways by which roots get from the soil down to the water: packed cups, columns, mix, sand and stone. Cloth
 * is none, and neither is the air under a platform.
 */
export interface RootWay {
  /** Where it ends below, metres above the inside floor, and where roots cannot get any deeper. */
  readonly foot: number;
  /** The narrowest section that they pass, m². */
  readonly throat: number;
  /** How near roots must come to the water to drink from it, metres. */
  readonly near: number;
}

type Grown = Pick<Planter, 'design' | 'heights' | 'wicks'>;

/** Roots drink from moist mix or stone at most so far above the water, metres. */
const MOST_NEAR = 0.1;
/** A way brings all that it can once its foot stands so deep in water, metres. */
const WELL_IN = 0.01;

/** Ways of a planter that its crop's roots can follow as far as the full reservoir. */
export function rootWays({ design, heights, wicks }: Grown): RootWay[] {
  const deepest = heights.surface - deepestRoots(design.planting);
  return wicks.flatMap(({ throat, foot, reach }) => {
    const end = Math.max(foot, deepest);
    return throat > 0 && end < heights.brim
      ? [{ foot: end, throat, near: Math.min(reach, MOST_NEAR) }]
      : [];
  });
}

/** What roots that are at the water bring up by a way with it standing at a level, m³/s. */
export const wayBrings = ({ foot, throat }: RootWay, level: number): number =>
  ROOT_FLOW * throat * Math.min(Math.max((level - foot) / WELL_IN, 0), 1);

/** What they bring up by all ways, m³/s. */
export const rootSupply = (ways: readonly RootWay[], level: number): number =>
  ways.reduce((sum, way) => sum + wayBrings(way, level), 0);

/** How fast a design's roots grow down in warm soil, metres a day. */
export const rootPace = ({ design }: Pick<Planter, 'design'>): number =>
  design.planting.rootsADay ?? ROOTS_A_DAY;

/** Warm days from planting until roots are at the water of the full reservoir; null where they never are. */
export function rootsDownAfter(planter: Grown): number | null {
  const ways = rootWays(planter);
  const pace = rootPace(planter);
  if (ways.length === 0 || pace <= 0 || countOf(planter.design.planting) === 0) return null;
  const near = Math.max(...ways.map((way) => way.near));
  const { surface, brim } = planter.heights;
  return Math.ceil(Math.max(surface - ROOTS_PLANTED - (brim + near), 0) / pace);
}
