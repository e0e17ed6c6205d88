import { cropOf, mediumOf } from '../catalog';
import { demandOn, type Demand } from '../climate';
import type { Planter } from '../planter';
import { climb } from '../reservoir';
import { bagsFor, looseVolume } from '../soil';
import { totalDelivery } from '../wick';
import { autonomyAt, lastDropLevel, soilBuffer, usableLevel, type Autonomy } from './autonomy';
import { weigh, type Weight } from './weight';

/** The numbers a gardener works out about a planter. SI throughout; days as counts. */
export interface Figures {
  /** Water from the floor to the overflow, and its parts, m³. usable + stranded = gross. */
  gross: number;
  usable: number;
  stranded: number;
  /** Water below the reach of every wick, m³; part of `stranded`. */
  beyondReach: number;
  /** Lowest level at which the wicks keep up on a hot day, metres. */
  usableLevel: number;
  /** Air between water and platform, metres; negative when the water stands in the soil. */
  airGap: number | null;
  growingDepth: number;
  /** Share of the inside height that is reservoir, 0 to 1. */
  waterShare: number;
  /** Settled mix, mix to buy, and bags of the chosen size. */
  soilVolume: number;
  looseVolume: number;
  bags: number;
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
  /** How high that rain makes water climb above the overflow's invert, metres; null without one. */
  stormClimb: number | null;
  /** From one edge of the floor to the other, metres. */
  outOfLevel: number;
  /** Water that caught air keeps out of the full reservoir, m³. */
  caughtAir: number;
  /** Platform size to cut, metres across, and its widest unsupported span. */
  platformDiameter: number;
  span: number;
}

/** Play left round a platform so that it drops in, metres. */
const PLATFORM_PLAY = 0.002;

/** Works out all figures of a planter. */
export function figuresOf(planter: Planter): Figures {
  const { design, vessel, storage, heights, layout } = planter;
  const { place, overflow } = design;
  const soilVolume = settledSoil(planter);
  const surfaceArea = vessel.areaAt(heights.surface);
  const mild = demandOn(design, place.etMild, surfaceArea);
  const hot = demandOn(design, place.etHot, surfaceArea);
  const gross = storage.volumeBelow(heights.brim);
  const level = usableLevel(planter, hot.total);
  const stranded = storage.volumeBelow(level);
  const delivery = totalDelivery(planter.wicks, heights.brim);
  const buffer = soilBuffer(planter, soilVolume);
  const loose = looseVolume(soilVolume, design.soil.settlement);
  const rain = place.rain === 'open' ? place.storm * vessel.areaAt(heights.rim) : 0;
  return {
    gross,
    usable: gross - stranded,
    stranded,
    beyondReach: storage.volumeBelow(lastDropLevel(planter)),
    usableLevel: level,
    airGap: heights.invert === null ? null : heights.ceiling - heights.invert,
    growingDepth: heights.surface - heights.base,
    waterShare: heights.brim / vessel.depth,
    soilVolume,
    looseVolume: loose,
    bags: bagsFor(loose, design.soil.bag),
    mild,
    hot,
    delivery,
    duty: hot.total > 0 ? delivery / hot.total : Infinity,
    lastsMild: autonomyAt(planter, mild.total, buffer),
    lastsHot: autonomyAt(planter, hot.total, buffer),
    weight: weigh(planter, soilVolume, gross),
    rainIn: rain,
    stormClimb: overflow ? climb(overflow, rain) : null,
    outOfLevel: place.slope * 2 * vessel.radiusAt(0),
    caughtAir: storage.caughtAir(heights.brim),
    platformDiameter: 2 * vessel.radiusAt(heights.ceiling) - PLATFORM_PLAY,
    span: widestSpan(planter, layout.supports.length),
  };
}

/** Mix in place after settling: above the base, in the cups, and between bottles. m³. */
function settledSoil({ design, vessel, heights, layout }: Planter): number {
  const above = vessel.volumeBetween(heights.base, heights.surface);
  const below = design.wicks.reduce(
    (sum, wick) =>
      wick.kind === 'cup'
        ? sum + wick.count * (Math.PI / 4) * wick.diameter ** 2 * (heights.base - wick.foot)
        : sum,
    0,
  );
  if (design.reservoir.kind !== 'bottles') return above + below;
  const bottles = layout.supports.reduce((sum, c) => sum + Math.PI * c.r * c.r, 0);
  return above + vessel.volumeBelow(heights.base) - bottles * heights.base;
}

/** The widest stretch of platform with nothing under it, metres; 0 for bottles. */
function widestSpan({ design, vessel, heights }: Planter, placed: number): number {
  if (design.reservoir.kind !== 'platform') return 0;
  const { supports } = design.reservoir;
  const across = 2 * vessel.radiusAt(heights.ceiling);
  if (supports.kind === 'ring') {
    const inside = supports.diameter - 2 * supports.wall;
    const overhang = across - supports.diameter;
    return Math.max(inside, overhang);
  }
  if (placed === 0) return across;
  // Each support carries its share of the disc; the span is that share's width less the support.
  return Math.max(across / Math.sqrt(placed) - supports.diameter, 0);
}

/** Depth of soil the chosen crop's roots ask for, metres. */
export const rootRoom = (planter: Planter): number => cropOf(planter.design.planting.crop).roots;

/** The chosen mix. */
export const mixOf = (planter: Planter) => mediumOf(planter.design.soil.medium);
