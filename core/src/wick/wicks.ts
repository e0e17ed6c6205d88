import { CLOTHS, fillMedium, type Matter } from '../catalog';
import {
  airCeiling,
  baseStyle,
  soilBaseHeight,
  type ClothWickDesign,
  type PlanterDesign,
} from '../design';
import type { FloorLayout, Storage } from '../reservoir';
import { conductivity, mixOf } from '../soil';
import { clothDelivery, clothPath, clothProperties } from './cloth';
import { columnFlux } from './column';

/** One capillary bridge from the water to the soil. Heights in metres above the inside floor. */
export interface Wick {
  /** Index in the design's `wicks`, or null for what fills the base, or a bag's own base. */
  readonly index: number | null;
  readonly kind: 'cloth' | 'cup' | 'column' | 'between' | 'bag';
  /** What it is made of, as it is spoken of in a sentence. */
  readonly name: string;
  /** Where the water comes in, and where it must get to. */
  readonly foot: number;
  readonly top: number;
  /** Practical reach, metres. */
  readonly reach: number;
  /** Water below this level is beyond this wick. */
  readonly lastDrop: number;
  /** Seasons before it is usually renewed. */
  readonly seasons: number | null;
  /** Steady delivery with the water standing at `level`, m³/s. Never falls as the level rises. */
  deliveryAt(level: number): number;
  /**
   * Steady flow up to the soil base with the water at `level` and the base at a suction (metres),
   * m³/s; below zero where the soil is wetter than it would hang and gives water back.
   */
  flowAt(level: number, suction: number): number;
}

/**
 * Suction at the soil base to which a column still counts as delivering, metres. Between the 0.5 m
 * of an easily watered mix and the 1 m at which uptake begins to suffer.
 */
export const BASE_SUCTION = 0.75;

/** Least lift that a column is credited with, metres: the soil base is never quite in the water. */
const LEAST_LIFT = 0.005;

/** All wicks of a design: those that were put in, and what fills the base where that reaches the soil. */
export function resolveWicks(design: PlanterDesign, layout: FloorLayout, storage: Storage): Wick[] {
  const style = baseStyle(design);
  const implicit =
    style === 'bag'
      ? [bagBase(design, layout)]
      : style === 'fill'
        ? [baseFill(design, layout, storage)]
        : [];
  return [...implicit, ...design.wicks.map((_, i) => ownWick(design, i))];
}

/** What all wicks together deliver at a level, m³/s. */
export function totalDelivery(wicks: readonly Wick[], level: number): number {
  return wicks.reduce((sum, wick) => sum + wick.deliveryAt(level), 0);
}

function ownWick(design: PlanterDesign, index: number): Wick {
  const wick = design.wicks[index] as PlanterDesign['wicks'][number];
  const top = soilBaseHeight(design);
  switch (wick.kind) {
    case 'cloth':
      return clothWick(wick, index, top);
    case 'cup': {
      const medium = mixOf(design.soil);
      return columnOf('cup', index, wick.foot, top, medium, wick.count * disc(wick.diameter));
    }
    case 'column': {
      const medium = fillMedium(wick.medium, mixOf(design.soil));
      return columnOf('column', index, wick.foot, top, medium, wick.count * disc(wick.diameter));
    }
  }
}

const disc = (diameter: number): number => (Math.PI / 4) * diameter ** 2;

function clothWick(wick: ClothWickDesign, index: number, top: number): Wick {
  const cloth = CLOTHS[wick.material];
  const properties = clothProperties(cloth, wick.strip);
  const area = wick.legs * wick.width * wick.thickness;
  return {
    index,
    kind: 'cloth',
    name: cloth.name,
    foot: wick.foot,
    top,
    reach: properties.reach,
    lastDrop: Math.max(wick.foot, top - properties.reach),
    seasons: cloth.seasons,
    deliveryAt: (level) =>
      level <= wick.foot
        ? 0
        : clothDelivery(properties, area, Math.max(top - level, 0), wick.spread),
    flowAt(level, suction) {
      if (level <= wick.foot) return 0;
      const lift = Math.max(top - level, 0);
      // A cloth that must lift higher than it reaches has run dry; it still lets water down.
      if (suction >= lift && lift >= properties.reach) return 0;
      const pull = Math.min(suction, properties.reach) - lift;
      return (area * properties.K * pull) / clothPath(lift, wick.spread);
    },
  };
}

function columnOf(
  kind: 'cup' | 'column',
  index: number,
  foot: number,
  top: number,
  medium: Matter,
  area: number,
): Wick {
  return {
    index,
    kind,
    name: medium.name,
    foot,
    top,
    reach: medium.reach,
    lastDrop: Math.max(foot, top - medium.reach),
    seasons: null,
    deliveryAt(level) {
      const lift = Math.max(top - level, LEAST_LIFT);
      if (level <= foot || lift >= medium.reach) return 0;
      return area * columnFlux(medium, lift, BASE_SUCTION);
    },
    flowAt(level, suction) {
      const lift = Math.max(top - level, LEAST_LIFT);
      return level <= foot ? 0 : throughColumn(medium, area, lift, suction);
    },
  };
}

/** Up a column or, where its top is wetter than it would hang, down it again. m³/s */
function throughColumn(medium: Matter, area: number, lift: number, suction: number): number {
  if (suction < lift) return (-area * conductivity(medium, suction) * (lift - suction)) / lift;
  return lift >= medium.reach ? 0 : area * columnFlux(medium, lift, suction);
}

/** Even heights at which a fill's narrowest place is looked for, beside the middles of lying pipes. */
const LOOKS = 8;

/**
 * What fills the base as a wick: mix between bottles, soil shoulders beside pipes, sand, stone. Water
 * passes the layers one after the other, so none brings up more than its own lift lets it, through the
 * narrowest place between the water and its top. The same flux passes all of them, which makes the
 * least of these an upper bound of Darcy's law for layers in series.
 */
function baseFill(design: PlanterDesign, layout: FloorLayout, storage: Storage): Wick {
  const top = soilBaseHeight(design);
  const ceiling = airCeiling(design);
  const blanket = design.reservoir.blanket;
  let from = 0;
  const layers = design.reservoir.fill.map(({ medium, upTo }) => {
    const layer = { from, to: upTo * ceiling, medium: fillMedium(medium, mixOf(design.soil)) };
    from = layer.to;
    return layer;
  });
  if (blanket) {
    layers.push({
      from: ceiling,
      to: top,
      medium: fillMedium(blanket.medium, mixOf(design.soil)),
    });
  }
  const last = layers[layers.length - 1] as (typeof layers)[number];
  const looks = [
    ...Array.from({ length: LOOKS + 1 }, (_, i) => (ceiling * i) / LOOKS),
    ...layout.parts.flatMap((part) => (part.runs.length > 0 ? [part.height / 2] : [])),
  ].sort((one, other) => one - other);
  const areas = looks.map((z) => storage.fillAreaAt(z));
  /** From the look at or below `low`, so that it never falls as the water rises. */
  const narrowest = (low: number, high: number): number => {
    let least = Infinity;
    for (let i = looks.length - 1; i >= 0; i -= 1) {
      const z = looks[i] as number;
      if (z <= high || least === Infinity) least = Math.min(least, areas[i] as number);
      if (z <= low) break;
    }
    return least;
  };
  /** Up all layers, the last of which ends at a suction. */
  const up = (level: number, suction: number): number => {
    if (level <= beyond) return 0;
    let least = Infinity;
    for (const layer of layers) {
      if (layer.to <= level && layer !== last) continue;
      const lift = Math.max(layer.to - level, LEAST_LIFT);
      if (lift >= layer.medium.reach) return 0;
      const area = narrowest(Math.max(level, layer.from), layer.to);
      const end = layer === last ? suction : BASE_SUCTION;
      least = Math.min(least, area * columnFlux(layer.medium, lift, end));
    }
    return Number.isFinite(least) ? least : 0;
  };
  const beyond = layers.reduce((low, layer) => Math.max(low, layer.to - layer.medium.reach), 0);
  return {
    index: null,
    kind: 'between',
    name: last.medium.name,
    foot: 0,
    top,
    reach: top - Math.min(beyond, top),
    lastDrop: beyond,
    seasons: null,
    deliveryAt: (level) => up(level, BASE_SUCTION),
    flowAt(level, suction) {
      const lift = Math.max(top - level, LEAST_LIFT);
      if (suction >= lift) return up(level, suction);
      return throughColumn(last.medium, narrowest(Math.max(level, last.from), top), lift, suction);
    },
  };
}

/** A bag standing in its tray: the mix begins at the water. */
function bagBase(design: PlanterDesign, { bed }: FloorLayout): Wick {
  const medium = mixOf(design.soil);
  const area = bed.places.length * bed.inside.areaAt(0);
  const top = soilBaseHeight(design) + LEAST_LIFT;
  return {
    index: null,
    kind: 'bag',
    name: 'The bag’s base',
    foot: 0,
    top,
    reach: medium.reach,
    lastDrop: 0,
    seasons: null,
    deliveryAt: (level) =>
      level <= 0 ? 0 : area * columnFlux(medium, Math.max(top - level, LEAST_LIFT), BASE_SUCTION),
    flowAt: (level, suction) =>
      level <= 0 ? 0 : throughColumn(medium, area, Math.max(top - level, LEAST_LIFT), suction),
  };
}
