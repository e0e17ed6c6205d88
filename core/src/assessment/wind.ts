import { WIND } from '../catalog';
import { peakOf, standsOn } from '../physics/crop';
import { cropIn, type Planted, type PlanterDesign } from '../document';
import type { Planter } from '../assembly';
import { standsOver } from '../geometry/vessels';

/**
 * Whether the wind tips a planter: the moment of a gust on leaves and vessel about the edge of its foot, against its
 * weight over half the foot. Drag is F = ½ ρ c A v² (any book of fluid mechanics); leaves let wind through and lean
 * out of it, so that their c over the outline is about 0.5, and less where nothing holds them up. Typical.
 */
export interface Standing {
  /** The gust that tips it over, m/s: with a full reservoir, half of it, and none. Infinity where nothing would. */
  full: number;
  half: number;
  empty: number;
  /** What leaves and vessel show the wind, m². */
  sail: number;
  /** A gust as it comes a few times in a season where it stands, m/s. */
  gust: number;
}

const AIR = 1.2;
const GRAVITY = 9.80665;
const WATER_DENSITY = 998;
/** Drag of leaves over their outline, and of a vessel. */
const LEAVES = 0.5;
const VESSEL = 0.8;
/** Share of the outline's ellipse in its rectangle, and where the wind's middle is above the soil. */
const ELLIPSE = Math.PI / 4;
const MIDDLE = 0.55;
/** Share of a plant's moment that comes into the planter, by what holds it: one that leans passes less on. */
const PASSED: Readonly<Record<Planted['support'], number>> = {
  none: 0.6,
  stake: 1,
  cage: 1,
  // Tied at its top it is a beam with two ends: 0.45 of the pull comes to the soil, at the soil's own height.
  tied: 0.13,
  mesh: 1.1,
  wire: 1,
  // The upper half of the pull goes to where the string hangs.
  string: 0.45,
};

/** Sail of leaves, and its moment over the square of the wind's speed about the ground. */
function leavesIn(planting: PlanterDesign['planting'], surface: number) {
  const { day } = peakOf(planting);
  let sail = 0;
  let moment = 0;
  for (const planted of planting.crops) {
    if (planted.count === 0 || !standsOn(planted, day)) continue;
    const { height } = cropIn(planted);
    // Plants behind one another shelter each other: what shows is the width of those side by side.
    const abreast = Math.ceil(Math.sqrt(planted.count));
    const area = ELLIPSE * planted.foliage * height * abreast;
    sail += area;
    moment += 0.5 * AIR * LEAVES * area * (surface + MIDDLE * height) * PASSED[planted.support];
  }
  return { sail, moment };
}

/**
 * How a planter stands in the wind; null indoors, and for what is built in the ground or stands as a row.
 *
 * @param full weight with a full reservoir, kg; @param water in it, m³
 */
export function standingOf(planter: Planter, full: number, water: number): Standing | null {
  const { design, vessel, heights, bed } = planter;
  if (design.place.rain === 'indoors' || design.vessel.kind === 'frame' || bed.places.length > 1)
    return null;
  const foot = standsOver(vessel);
  const half = Math.min(foot.a, foot.b) + vessel.wall;
  const rim = vessel.outlineAt(vessel.depth);
  // The wind on its long side tips it over its short one, whichever way it is turned.
  const side = 2 * Math.max(rim.a, rim.b, foot.a, foot.b) * heights.rim;
  const leaves = leavesIn(design.planting, heights.surface);
  const moment = leaves.moment + 0.5 * AIR * VESSEL * side * (heights.rim / 2);
  const tips = (share: number): number => {
    const mass = full - (1 - share) * water * WATER_DENSITY;
    return Math.sqrt((mass * GRAVITY * half) / moment);
  };
  return {
    full: tips(1),
    half: tips(0.5),
    empty: tips(0),
    sail: leaves.sail + side,
    gust: WIND[design.place.wind].gust,
  };
}
