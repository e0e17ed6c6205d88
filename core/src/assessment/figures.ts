import { waterDemandOn, type WaterDemand } from '../physics/climate';
import { deepest, growthOn } from '../physics/crop';
import { airCeiling, baseStyle, invertOf, type PlanterDesign } from '../document';
import {
  freeWaterBelow,
  openWater,
  PLATFORM_PLAY,
  SHEET_BEARERS,
  surfaceArea,
  rootsDownAfter,
  rootWays,
  type PartGroup,
  type Planter,
} from '../assembly';
import { climb, outletOf } from '../physics/overflow';
import { bagsFor, looseVolume } from '../physics/soil';
import { holds, type Outline } from '../geometry/vessels';
import {
  daysOfWaterOf,
  descentOf,
  soilReserve,
  supplyOf,
  type DaysOfWater,
  byWicksAlone,
  type Descent,
} from './daysOfWater';
import { packedIn, soilInBeds, upperInBeds } from './amounts';
import { tiltOf, type Tilt } from './level';
import { standingOf, type Standing } from './wind';
import { aggregatesIn, weigh, type Amount, type Weight } from './weight';

/** The numbers a gardener works out about a planter. SI throughout; days as counts. */
export interface Figures {
  /** Water from the floor to the overflow with any supply, and its parts, m³. usable + stranded = gross. */
  gross: number;
  usable: number;
  stranded: number;
  /** Water in the reservoir alone, without a supply barrel, m³. */
  standing: number;
  /** Water below the reach of every wick, m³; part of `stranded`. */
  beyondReach: number;
  /** Level at which it is to be filled in hot weather: what is below is of no use then. Metres. */
  usableLevel: number;
  /** Air between water and base, metres; negative when the water stands in the soil. */
  airGap: number | null;
  growingDepth: number;
  /** Share of the inside height that is reservoir, 0 to 1. */
  waterShare: number;
  /** Settled mix, mix to buy, and bags of the chosen size. */
  soilVolume: number;
  looseVolume: number;
  bags: number;
  /** That of it which is the upper of two mixes: settled, and to buy. 0 with one mix. */
  upperVolume: number;
  upperLoose: number;
  /** Stone, sand and chip, by kind. */
  aggregates: Amount[];
  /** What leaves the planter on a day, m³/s. */
  mild: WaterDemand;
  hot: WaterDemand;
  /** What comes up from a full reservoir, m³/s, and that over a hot day's demand. */
  delivery: number;
  duty: number;
  /** Grown plants, with roots that are down where they have a way. */
  lastsMild: DaysOfWater;
  lastsHot: DaysOfWater;
  /** How it is until roots are down at the water; null where they have no way there. */
  beforeRoots: BeforeRoots | null;
  weight: Weight;
  /** How it stands in the wind; null where no wind tips it. */
  wind: Standing | null;
  /** Hard rain on the open surface, m³/s; 0 under cover. */
  rainIn: number;
  /** How high that rain makes water climb above the overflow's lip, metres; null without one. */
  stormClimb: number | null;
  tilt: Tilt;
  /** Water that caught air keeps out of the full reservoir, m³. */
  caughtAir: number;
  /** Platform size to cut, metres; its length and width are the same when it is round. */
  platform: { length: number; width: number };
  /** The widest stretch of platform or fabric with nothing under it, metres. */
  span: number;
}

/** A planter while its roots are still in the soil, with plants as they are when that ends. */
interface BeforeRoots {
  /** Warm days from planting until they are down. */
  days: number;
  /** What the wicks alone make use of, m³, and bring from a full reservoir, m³/s. */
  usable: number;
  delivery: number;
}

/** Works out all figures of a planter. */
export function figuresOf(planter: Planter): Figures {
  const { design, vessel, storage, heights } = planter;
  const { place } = design;
  const soilVolume = settledSoil(planter);
  const surface = surfaceArea(planter);
  const tray = openWater(planter);
  const mild = waterDemandOn(design, place.etMild, surface, tray);
  const hot = waterDemandOn(design, place.etHot, surface, tray);
  const standing = freeWaterBelow(planter, heights.brim);
  const supply = supplyOf(planter);
  const descent = descentOf(planter, rootWays(planter));
  const delivery = descent.full;
  const lasts = ({ total, open }: WaterDemand): DaysOfWater =>
    daysOfWaterOf(descent, total, soilReserve(planter, total, delivery), open);
  const lastsHot = lasts(hot);
  const upper = upperInBeds(planter);
  const upperLoose = looseVolume(upper, design.soil.settlement);
  const loose = looseVolume(soilVolume, design.soil.settlement);
  const catches = planter.bed.separate
    ? Math.max(surface, vessel.areaAt(heights.waterRim))
    : vessel.areaAt(heights.rim);
  const rain = place.rain === 'open' ? place.storm * catches : 0;
  const plate = vessel.outlineAt(Math.min(design.reservoir.top, vessel.depth));
  const gross = standing + supply;
  // It must be borne as full as it can become by itself, also where a line keeps it lower.
  const most = freeWaterBelow(planter, heights.ownBrim);
  const weight = weigh(planter, soilVolume, most);
  return {
    gross,
    usable: lastsHot.used,
    stranded: Math.max(gross - lastsHot.used, 0),
    standing,
    beyondReach: freeWaterBelow(planter, descent.levels[descent.levels.length - 1] as number),
    usableLevel: lastsHot.level,
    airGap: heights.invert === null ? null : airCeiling(design) - heights.invert,
    growingDepth: growingDepthOf(planter),
    waterShare: heights.brim / Math.max(heights.rim, heights.waterRim),
    soilVolume,
    looseVolume: loose,
    bags: bagsFor(loose - upperLoose, design.soil.bag) + bagsFor(upperLoose, design.soil.bag),
    upperVolume: upper,
    upperLoose,
    aggregates: aggregatesIn(planter),
    mild,
    hot,
    delivery,
    duty: hot.total > 0 ? delivery / hot.total : Infinity,
    lastsMild: lasts(mild),
    lastsHot,
    beforeRoots: beforeRootsOf(planter, descent),
    weight,
    wind: standingOf(planter, weight.full, most),
    rainIn: rain,
    stormClimb: climbUnder(planter, rain),
    tilt: tiltOf(planter),
    caughtAir: storage.caughtAir(heights.brim),
    platform: { length: 2 * plate.a - PLATFORM_PLAY, width: 2 * plate.b - PLATFORM_PLAY },
    span: widestSpan(planter),
  };
}

/** What wicks do alone, and for how thirsty a plant, until roots are down. */
function beforeRootsOf(planter: Planter, rooted: Descent): BeforeRoots | null {
  const days = rootsDownAfter(planter);
  if (days === null) return null;
  const { design } = planter;
  const growth = growthOn(design.planting, days);
  const { etHot } = design.place;
  const { total, open } = waterDemandOn(
    design,
    etHot,
    surfaceArea(planter),
    openWater(planter),
    growth,
  );
  const descent = byWicksAlone(planter, rooted);
  const { used } = daysOfWaterOf(descent, total, soilReserve(planter, total, descent.full), open);
  return { days, usable: used, delivery: descent.full };
}

/** How high an inflow (m³/s) makes water climb above the overflow's lip, metres; null without one. */
export function climbUnder({ design, vessel, heights }: Planter, inflow: number): number | null {
  const { overflow } = design;
  return overflow ? climb(outletOf(overflow, vessel.perimeterAt(heights.waterRim)), inflow) : null;
}

/** Whether water that climbs so far (metres) above the lip runs over the rim. */
export function runsOver({ design, heights }: Planter, climb: number): boolean {
  return design.overflow?.kind !== 'rim' && climb >= heights.waterRim - (heights.invert ?? 0);
}

/** Mix in place after settling: in the beds, in cups and columns, and where it fills the base. m³. */
function settledSoil(planter: Planter): number {
  const { design, heights, storage } = planter;
  const inWicks = planter.partGroups.reduce((sum, one) => {
    const packed = packedIn(one, heights.base);
    return packed?.medium === 'mix' ? sum + packed.volume : sum;
  }, 0);
  const inBase = design.reservoir.fill.reduce(
    (sum, layer, i) => (layer.medium === 'mix' ? sum + (storage.fills[i] ?? 0) : sum),
    0,
  );
  return Math.max(soilInBeds(planter) + inWicks + inBase, 0);
}

/** What bears a platform or fabric: supports, and what is packed full and stands on the floor. */
const BEARING: readonly PartGroup['kind'][] = [...SHEET_BEARERS, 'cup', 'column'];

/** Places of the base that are looked at for what bears them, each way. */
const LOOKS = 22;

/**
 * The widest stretch of platform or fabric with nothing under it, metres: twice the farthest that any
 * place of it is from what bears it. 0 where fill, crates or sticks bear the soil everywhere.
 */
function widestSpan({ design, vessel, heights, platformOutline, partGroups }: Planter): number {
  if (design.bed || baseStyle(design) !== 'gap') return 0;
  const bearing = partGroups.filter(
    ({ kind, parts }) => BEARING.includes(kind) && parts.some(({ from }) => from <= 1e-6),
  );
  if (bearing.some(({ parts }) => parts.some(({ foot }) => foot.form === 'none'))) return 0;
  const outline = platformOutline ?? vessel.outlineAt(Math.min(heights.ceiling, vessel.depth));
  const from = distances(bearing);
  let farthest = 0;
  for (let i = 0; i <= LOOKS; i += 1) {
    const x = (i / LOOKS) * 2 * outline.a - outline.a;
    for (let j = 0; j <= LOOKS; j += 1) {
      const y = (j / LOOKS) * 2 * outline.b - outline.b;
      if (holds(outline, x, y)) farthest = Math.max(farthest, from(x, y, outline));
    }
  }
  return 2 * farthest;
}

/** How far a place is from the nearest thing that bears; from the middle where nothing does. Metres. */
function distances(bearing: readonly PartGroup[]) {
  const discs = bearing.flatMap(({ parts }) =>
    parts.flatMap(({ x, y, foot }) => (foot.form === 'disc' ? [{ x, y, r: foot.r }] : [])),
  );
  const rings = bearing.flatMap(({ parts }) =>
    parts.flatMap(({ foot }) => (foot.form === 'ring' ? [foot] : [])),
  );
  const boxes = bearing.flatMap(({ parts }) =>
    parts.flatMap(({ x, y, foot }) => (foot.form === 'box' ? [{ x, y, ...foot }] : [])),
  );
  const none = bearing.length === 0;
  return (x: number, y: number, { a, b }: Outline): number => {
    if (none) return Math.min(a, b);
    let near = Infinity;
    for (const one of discs) near = Math.min(near, Math.hypot(x - one.x, y - one.y) - one.r);
    for (const { r, wall } of rings) {
      const out = Math.hypot(x, y);
      near = Math.min(near, out > r ? out - r : Math.max(r - wall - out, 0));
    }
    for (const box of boxes) {
      const dx = Math.max(Math.abs(x - box.x) - box.a, 0);
      const dy = Math.max(Math.abs(y - box.y) - box.b, 0);
      near = Math.min(near, Math.hypot(dx, dy));
    }
    return Math.max(near, 0);
  };
}

/**
 * Root room: from the soil's surface down to its base, and where mix fills the base, on down to the
 * water, because roots follow it. Metres.
 */
export function growingDepthOf({ design, heights }: Pick<Planter, 'design' | 'heights'>): number {
  const depth = heights.surface - heights.base;
  const lip = invertOf(design);
  return mixBelow(design) && lip !== null ? Math.max(heights.surface - lip, depth) : depth;
}

/** Whether the growing mix itself goes down from the soil towards the water. */
export const mixBelow = (design: PlanterDesign): boolean =>
  baseStyle(design) === 'fill' &&
  design.reservoir.fill[design.reservoir.fill.length - 1]?.medium === 'mix';

/** Depth of soil that the deepest roots of what grows there ask for, metres; 0 where nothing grows. */
export const rootRoom = ({ design }: Pick<Planter, 'design'>): number =>
  deepest(design.planting)?.roots ?? 0;
