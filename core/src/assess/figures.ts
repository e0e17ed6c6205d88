import { cropOf } from '../catalog';
import { demandOn, type Demand } from '../climate';
import { airCeiling, baseStyle } from '../design';
import { openWater, surfaceArea, type Planter } from '../planter';
import {
  arrange,
  beside,
  climb,
  fullest,
  outletOf,
  PLATFORM_PLAY,
  type Circle,
} from '../reservoir';
import { bagsFor, looseVolume } from '../soil';
import { grown } from '../vessel';
import { totalDelivery } from '../wick';
import {
  autonomyAt,
  lastDropLevel,
  soilBuffer,
  supplyOf,
  usableLevel,
  type Autonomy,
} from './autonomy';
import { tiltOf, type Tilt } from './level';
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
  /** Lowest level at which the wicks keep up on a hot day, metres. */
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
  /** Stone, sand and chip, by kind. */
  aggregates: Amount[];
  /** What leaves the planter on a day, m³/s. */
  mild: Demand;
  hot: Demand;
  /** What the wicks deliver from a full reservoir, m³/s, and that over a hot day's demand. */
  delivery: number;
  duty: number;
  lastsMild: Autonomy;
  lastsHot: Autonomy;
  weight: Weight;
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

/** Works out all figures of a planter. */
export function figuresOf(planter: Planter): Figures {
  const { design, vessel, storage, heights } = planter;
  const { place } = design;
  const soilVolume = settledSoil(planter);
  const surface = surfaceArea(planter);
  const tray = openWater(planter);
  const mild = demandOn(design, place.etMild, surface, tray);
  const hot = demandOn(design, place.etHot, surface, tray);
  const standing = storage.volumeBelow(heights.brim);
  const supply = supplyOf(planter);
  const level = usableLevel(planter, hot.total);
  const delivery = totalDelivery(planter.wicks, heights.brim);
  // What waits in a barrel is no use to wicks that fall behind from a full channel.
  const stranded = storage.volumeBelow(level) + (delivery < hot.total ? supply : 0);
  const buffer = soilBuffer(planter, soilVolume);
  const loose = looseVolume(soilVolume, design.soil.settlement);
  const catches = planter.bed.separate
    ? Math.max(surface, vessel.areaAt(heights.waterRim))
    : vessel.areaAt(heights.rim);
  const rain = place.rain === 'open' ? place.storm * catches : 0;
  const plate = vessel.outlineAt(Math.min(design.reservoir.top, vessel.depth));
  const gross = standing + supply;
  return {
    gross,
    usable: gross - stranded,
    stranded,
    standing,
    beyondReach: storage.volumeBelow(lastDropLevel(planter)),
    usableLevel: level,
    airGap: heights.invert === null ? null : airCeiling(design) - heights.invert,
    growingDepth: heights.surface - heights.base,
    waterShare: heights.brim / Math.max(heights.rim, heights.waterRim),
    soilVolume,
    looseVolume: loose,
    bags: bagsFor(loose, design.soil.bag),
    aggregates: aggregatesIn(planter),
    mild,
    hot,
    delivery,
    duty: hot.total > 0 ? delivery / hot.total : Infinity,
    lastsMild: autonomyAt(planter, mild.total, buffer, mild.open),
    lastsHot: autonomyAt(planter, hot.total, buffer, hot.open),
    weight: weigh(planter, soilVolume, standing),
    rainIn: rain,
    stormClimb: climbUnder(planter, rain),
    tilt: tiltOf(planter),
    caughtAir: storage.caughtAir(heights.brim),
    platform: { length: 2 * plate.a - PLATFORM_PLAY, width: 2 * plate.b - PLATFORM_PLAY },
    span: widestSpan(planter),
  };
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
function settledSoil({ design, bed, heights, layout, storage }: Planter): number {
  const inBeds =
    bed.places.length *
    bed.inside.volumeBetween(heights.base - bed.floor, heights.surface - bed.floor);
  const inWicks = design.wicks.reduce((sum, wick) => {
    if (wick.kind === 'cloth') return sum;
    const packed = wick.kind === 'cup' || (wick.kind === 'column' && wick.medium === 'mix');
    return packed
      ? sum + wick.count * (Math.PI / 4) * wick.diameter ** 2 * (heights.base - wick.foot)
      : sum;
  }, 0);
  const inBase = design.reservoir.fill.reduce(
    (sum, layer, i) => (layer.medium === 'mix' ? sum + (storage.fills[i] ?? 0) : sum),
    0,
  );
  const inPipes = layout.pipes.reduce(
    (sum, pipe) => sum + Math.PI * pipe.r ** 2 * (heights.surface - heights.base),
    0,
  );
  return Math.max(inBeds + inWicks + inBase - inPipes, 0);
}

/** The widest stretch of platform or fabric with nothing under it, metres; 0 where fill bears the soil. */
function widestSpan(planter: Planter): number {
  const { design, vessel, heights, layout } = planter;
  const { reservoir } = design;
  if (design.bed || baseStyle(design) !== 'gap') return 0;
  if (reservoir.parts.some((part) => part.kind === 'crates' || part.kind === 'sticks')) return 0;
  // A disc of the same area stands for other outlines.
  const across = 2 * Math.sqrt(vessel.areaAt(heights.ceiling) / Math.PI);
  const ring = reservoir.parts.find((part) => part.kind === 'ring');
  const standing = layout.parts.filter((part) => part.design.kind === 'standing');
  const placed = standing.reduce((sum, part) => sum + part.placed, 0);
  if (ring) {
    const inside = (ring.diameter - 2 * ring.wall) / Math.sqrt(placed + 1);
    return Math.max(inside, across - ring.diameter);
  }
  if (placed === 0) return across;
  const width = Math.min(
    ...standing.map(({ design: part }) => (part.kind === 'standing' ? part.diameter : 0)),
  );
  // Each support carries its share of the disc; the span is that share's width less the support.
  return Math.max(across / Math.sqrt(placed) - width, 0);
}

/** Depth of soil the chosen crop's roots ask for, metres. */
export const rootRoom = (planter: Planter): number => cropOf(planter.design.planting.crop).roots;

/** Stems stand at least this far from the edge of the soil, metres; leaves may hang over it. */
const FROM_EDGE = 0.03;

/** Where plants stand, seen from above, as discs of half their spacing. One list over all beds. */
export interface PlantingPlan {
  places: readonly Circle[];
  /** How many the surface takes at this spacing. */
  room: number;
}

/** Arrangements that were asked for lately: a line that is dragged asks for the same one many times. */
const lately = new Map<string, readonly Circle[]>();
const LATELY = 60;

function remembered(key: string, make: () => Circle[]): readonly Circle[] {
  const known = lately.get(key);
  if (known) return known;
  const made = make();
  if (lately.size >= LATELY) lately.delete(lately.keys().next().value as string);
  lately.set(key, made);
  return made;
}

/** Sets out the plants of a design at their spacing. */
export function plantingPlan(planter: Planter): PlantingPlan {
  const { design, bed, heights } = planter;
  const { count, spacing } = design.planting;
  const r = spacing / 2;
  const outline = grown(bed.inside.outlineAt(heights.surface - bed.floor), r - FROM_EDGE);
  const n = bed.places.length;
  const free = beside([]);
  // To the tenth of a millimetre, so that a surface that is dragged finds what it had.
  const key = [outline.a, outline.b, outline.c, r].map((x) => x.toFixed(4)).join(' ');
  const most = remembered(key, () => fullest(outline, r, free));
  const room = Math.max(most.length, 1) * n;
  const wanted = Math.min(count, room);
  const places = bed.places.flatMap((place, i) => {
    const mine = Math.floor(wanted / n) + (i < wanted % n ? 1 : 0);
    const set =
      mine === 0
        ? []
        : mine === 1
          ? [{ x: 0, y: 0, r }]
          : remembered(`${key} ${mine}`, () => arrange(outline, r, mine, free));
    return set.map((circle) => ({ ...circle, x: circle.x + place.x, y: circle.y + place.y }));
  });
  return { places, room };
}
