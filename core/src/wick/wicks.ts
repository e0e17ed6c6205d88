import { CLOTHS, mediumOf, type Medium } from '../catalog';
import {
  soilBaseHeight,
  type ClothWickDesign,
  type CupWickDesign,
  type PlanterDesign,
} from '../design';
import type { Vessel } from '../vessel';
import { clothDelivery, clothProperties } from './cloth';
import { columnFlux } from './column';

/** One capillary bridge from the water to the soil. Heights in metres above the inside floor. */
export interface Wick {
  /** Index in the design's `wicks`, or null for the mix that falls between bottles. */
  readonly index: number | null;
  readonly kind: 'cloth' | 'cup' | 'between';
  /** Where the water comes in, and where it must get to. */
  readonly foot: number;
  readonly top: number;
  /** Practical reach, metres. */
  readonly reach: number;
  /** Water below this level is beyond this wick: max(foot, top − reach). */
  readonly lastDrop: number;
  /** Steady delivery with the water standing at `level`, m³/s. Never falls as the level rises. */
  deliveryAt(level: number): number;
}

/**
 * Suction at the soil base to which a column still counts as delivering, metres. Between the 0.5 m
 * of an easily watered mix and the 1 m at which uptake begins to suffer.
 */
export const BASE_SUCTION = 0.75;

/** Least lift that a column is credited with, metres: the soil base is never quite in the water. */
const LEAST_LIFT = 0.005;

/** Cross-section that the mix between bottles offers at height z, m². */
type OpenArea = (z: number) => number;

/**
 * All wicks of a design.
 *
 * @param between area of mix between bottles by height, for bottle builds only
 */
export function resolveWicks(
  design: PlanterDesign,
  vessel: Vessel,
  between: OpenArea | null,
): Wick[] {
  const top = soilBaseHeight(design.reservoir);
  const medium = mediumOf(design.soil.medium);
  const wicks = design.wicks.map((wick, i) =>
    wick.kind === 'cloth' ? clothWick(wick, i, top) : cupWick(wick, i, top, medium),
  );
  if (!between) return wicks;
  const shoulders = soilWick('between', null, 0, top, medium, (level) =>
    between(Math.min((level + top) / 2, vessel.depth)),
  );
  return [shoulders, ...wicks];
}

/** What all wicks together deliver at a level, m³/s. */
export function totalDelivery(wicks: readonly Wick[], level: number): number {
  return wicks.reduce((sum, wick) => sum + wick.deliveryAt(level), 0);
}

function clothWick(wick: ClothWickDesign, index: number, top: number): Wick {
  const properties = clothProperties(CLOTHS[wick.material], wick.strip);
  const area = wick.legs * wick.width * wick.thickness;
  return {
    index,
    kind: 'cloth',
    foot: wick.foot,
    top,
    reach: properties.reach,
    lastDrop: Math.max(wick.foot, top - properties.reach),
    deliveryAt: (level) =>
      level <= wick.foot
        ? 0
        : clothDelivery(properties, area, Math.max(top - level, 0), wick.spread),
  };
}

function cupWick(wick: CupWickDesign, index: number, top: number, medium: Medium): Wick {
  const area = wick.count * (Math.PI / 4) * wick.diameter ** 2;
  return soilWick('cup', index, wick.foot, top, medium, () => area);
}

function soilWick(
  kind: 'cup' | 'between',
  index: number | null,
  foot: number,
  top: number,
  medium: Medium,
  areaAt: OpenArea,
): Wick {
  return {
    index,
    kind,
    foot,
    top,
    reach: medium.reach,
    lastDrop: Math.max(foot, top - medium.reach),
    deliveryAt(level) {
      const lift = Math.max(top - level, LEAST_LIFT);
      if (level <= foot || lift >= medium.reach) return 0;
      return areaAt(level) * columnFlux(medium, lift, BASE_SUCTION);
    },
  };
}
