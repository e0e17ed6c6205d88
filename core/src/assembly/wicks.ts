import { CLOTHS, fillMaterial, grainOf, type HydraulicMaterial } from '../catalog';
import {
  airCeiling,
  baseStyle,
  dippingNeck,
  grainsIn,
  soilBaseHeight,
  type ClothWickDesign,
} from '../document';
import { conductivity, mixOf } from '../physics/soil';
import {
  clothDelivery,
  clothFlow,
  clothProperties,
  columnFlux,
  riser,
  type Curve,
  type RiserBed,
} from '../physics/wick';
import { radiiOf } from './parts/cup';
import type { Storage } from './litres';
import { clothSection } from './openings';
import type { PartGroup, PlacementSite } from './part';

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
  /** Suction at the soil base at which it delivers what `deliveryAt` says, metres. */
  readonly pulls: number;
  /** Narrowest section that roots can grow through, m²; 0 for cloth. */
  readonly throat: number;
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

type Placed = Omit<PlacementSite, 'taken'>;

/** All wicks that stand: those that were put in and have room, and what fills the base up to the soil. */
export function resolveWicks(site: Placed, storage: Storage): Wick[] {
  const style = baseStyle(site.design);
  const implicit =
    style === 'bag'
      ? [bagBase(site)]
      : style === 'fill'
        ? [baseFill(site, storage)]
        : neckMix(site);
  const own = site.partGroups.flatMap((one): Wick[] => {
    if (one.parts.length === 0) return [];
    if (one.kind === 'cloth') return [clothWick(one, site)];
    if (one.kind === 'cup') return [cupWick(one, site)];
    if (one.kind === 'column') return [columnWick(one, site)];
    return [];
  });
  own.sort((a, b) => (a.index ?? 0) - (b.index ?? 0));
  return [...implicit, ...own];
}

/** What all wicks together deliver at a level, m³/s. */
export function totalDelivery(wicks: readonly Wick[], level: number): number {
  return wicks.reduce((sum, wick) => sum + wick.deliveryAt(level), 0);
}

/** Share of what was asked for that has found room. */
const placedShare = ({ parts, wanted }: PartGroup): number => parts.length / Math.max(wanted, 1);

function clothWick(one: PartGroup<'cloth'>, { design }: Placed): Wick {
  const wick: ClothWickDesign = one.spec;
  const top = soilBaseHeight(design);
  const cloth = CLOTHS[wick.material];
  const properties = clothProperties(cloth, wick.strip);
  const area = clothSection(wick) * placedShare(one);
  return {
    index: one.index,
    kind: 'cloth',
    name: cloth.name,
    foot: wick.foot,
    top,
    reach: properties.reach,
    lastDrop: Math.max(wick.foot, top - properties.reach),
    seasons: cloth.seasons,
    pulls: properties.reach,
    throat: 0,
    deliveryAt: (level) =>
      level <= wick.foot
        ? 0
        : clothDelivery(properties, area, Math.max(top - level, 0), wick.spread),
    flowAt: (level, suction) =>
      level <= wick.foot
        ? 0
        : clothFlow(properties, area, Math.max(top - level, 0), wick.spread, suction),
  };
}

/** Cups that are packed with the mix, narrower below where they taper. */
function cupWick(one: PartGroup<'cup'>, { design }: Placed): Wick {
  const top = soilBaseHeight(design);
  const { foot } = one.spec;
  const [r0, r1] = radiiOf(one.spec, top);
  const n = one.parts.length;
  const areaAt = (z: number): number => {
    const t = Math.min(Math.max((z - foot) / Math.max(top - foot, 1e-9), 0), 1);
    return n * Math.PI * (r0 + (r1 - r0) * t) ** 2;
  };
  const medium = mixOf(design.soil);
  const even = Math.abs(r1 - r0) < 1e-6;
  return even
    ? columnOf('cup', one.index, foot, top, medium, areaAt(foot))
    : passageOf('cup', one.index, foot, [{ from: foot, to: top, medium }], areaAt);
}

function columnWick(one: PartGroup<'column'>, { design }: Placed): Wick {
  const { spec, index, parts } = one;
  const medium = fillMaterial(spec.medium, mixOf(design.soil));
  const area = parts.length * (Math.PI / 4) * spec.diameter ** 2;
  return columnOf('column', index, spec.foot, soilBaseHeight(design), medium, area);
}

/** A column of one section and one medium. */
function columnOf(
  kind: 'cup' | 'column',
  index: number,
  foot: number,
  top: number,
  medium: HydraulicMaterial,
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
    pulls: BASE_SUCTION,
    throat: area,
    deliveryAt(level) {
      const lift = Math.max(top - level, LEAST_LIFT);
      if (level <= foot || lift >= medium.reach) return 0;
      return area * columnFlux(medium, lift, BASE_SUCTION);
    },
    flowAt(level, suction) {
      const lift = Math.max(top - level, LEAST_LIFT);
      if (level <= foot) return 0;
      if (suction < lift) return (-area * conductivity(medium, suction) * (lift - suction)) / lift;
      return lift >= medium.reach ? 0 : area * columnFlux(medium, lift, suction);
    },
  };
}

/** Levels at which a passage's delivery is worked out; straight lines of its logarithm between. */
const LEVELS = 14;

/** What rises through layers of changing section, one steady flow through all of them. */
function passageOf(
  kind: 'cup' | 'between',
  index: number | null,
  foot: number,
  beds: readonly RiserBed[],
  areaAt: (z: number) => number,
): Wick {
  const last = beds[beds.length - 1] as RiserBed;
  const top = last.to;
  const rise = riser({ beds, areaAt });
  const beyond = beds.reduce((low, bed) => Math.max(low, bed.to - bed.medium.reach), foot);
  const highest = top - LEAST_LIFT;
  const levelOf = (i: number): number => beyond + ((highest - beyond) * i) / LEVELS;
  const table = once(() =>
    Array.from({ length: LEVELS + 1 }, (_, i) => rise.flow(levelOf(i), BASE_SUCTION)),
  );
  const curves = Array.from({ length: LEVELS + 1 }, (_, i) =>
    once(() => rise.curve(levelOf(i), DRIEST)),
  );
  /** In a straight line of the logarithm between one level of a table and the next. */
  const between = (level: number, at: (i: number) => number): number => {
    const place = Math.min((level - beyond) / Math.max(highest - beyond, 1e-9), 1) * LEVELS;
    const i = Math.min(Math.floor(place), LEVELS - 1);
    const [low, high] = [at(i), at(i + 1)];
    if (low <= 0) return high * (place - i);
    return low * Math.exp(Math.log(high / low) * (place - i));
  };
  const mean = (from: number): number => {
    const STEPS = 8;
    let sum = 0;
    for (let i = 0; i < STEPS; i += 1) sum += areaAt(from + ((top - from) * (i + 0.5)) / STEPS);
    return sum / STEPS;
  };
  return {
    index,
    kind,
    name: last.medium.name,
    foot,
    top,
    reach: top - Math.min(beyond, top),
    lastDrop: beyond,
    seasons: null,
    pulls: BASE_SUCTION,
    throat: narrowest(areaAt, foot, top),
    deliveryAt: (level) => (level <= beyond ? 0 : between(level, (i) => table()[i] as number)),
    flowAt(level, suction) {
      if (level <= foot) return 0;
      const lift = Math.max(top - level, LEAST_LIFT);
      if (suction < lift) {
        const area = mean(Math.min(level, highest));
        return (-area * conductivity(last.medium, suction) * (lift - suction)) / lift;
      }
      if (level <= beyond) return 0;
      return between(level, (i) => flowOn((curves[i] as () => Curve)(), suction, top - levelOf(i)));
    },
  };
}

/** The least of a section between two heights, m². */
function narrowest(areaAt: (z: number) => number, from: number, to: number): number {
  let least = Infinity;
  for (let i = 0; i <= 8; i += 1)
    least = Math.min(least, areaAt(from + ((to - from) * (i + 0.5)) / 9));
  return least;
}

/** Driest suction of a passage's curves, metres. */
const DRIEST = 15;

/** The flow of a curve that leaves the top at a suction; none where it hangs at rest. @param rest metres */
function flowOn({ flows, suctions }: Curve, suction: number, rest: number): number {
  if (suction <= rest) return 0;
  let [s0, Q0] = [rest, 0];
  for (let i = 0; i < flows.length; i += 1) {
    const [s1, Q1] = [suctions[i] as number, flows[i] as number];
    if (suction < s1) return Q0 + ((Q1 - Q0) * (suction - s0)) / (s1 - s0);
    [s0, Q0] = [s1, Q1];
  }
  return Q0;
}

function once<T>(make: () => T): () => T {
  let kept: { value: T } | null = null;
  return () => (kept ??= { value: make() }).value;
}

/**
 * What fills the base as a wick: mix between bottles, soil shoulders beside pipes, sand, stone, and what
 * lies on it under the soil.
 */
function baseFill({ design }: Placed, storage: Storage): Wick {
  const ceiling = airCeiling(design);
  const mix = mixOf(design.soil);
  let from = 0;
  const beds: RiserBed[] = design.reservoir.fill.map(({ medium, upTo }) => {
    const bed = { from, to: upTo * ceiling, medium: fillMaterial(medium, mix) };
    from = bed.to;
    return bed;
  });
  for (const { what, thickness } of grainsIn(design)) {
    const medium = grainOf(what);
    if (medium) beds.push({ from, to: from + thickness, medium });
    from += thickness;
  }
  return passageOf('between', null, 0, beds, (z) => storage.fillAreaAt(z));
}

/**
 * A bottle whose own neck, filled with mix, stands in the water: a wick as good as a packed cup, where
 * no cloth hangs through the cap. Its holed cap lets the water to the mix.
 */
function neckMix({ design, bed }: Placed): Wick[] {
  const dips = dippingNeck(design);
  if (dips <= 0) return [];
  const from = bed.floor;
  const beds = [{ from, to: from + dips, medium: mixOf(design.soil) }];
  return [passageOf('between', null, from, beds, (z) => bed.inside.areaAt(z - from))];
}

/** A bag standing in its tray: the mix begins at the water. */
function bagBase({ design, bed }: Placed): Wick {
  const medium = mixOf(design.soil);
  const area = bed.places.length * bed.inside.areaAt(0);
  const top = soilBaseHeight(design) + LEAST_LIFT;
  const through = (lift: number, suction: number): number =>
    suction < lift
      ? (-area * conductivity(medium, suction) * (lift - suction)) / lift
      : area * columnFlux(medium, lift, suction);
  return {
    index: null,
    kind: 'bag',
    name: 'The bag’s base',
    foot: 0,
    top,
    reach: medium.reach,
    lastDrop: 0,
    seasons: null,
    pulls: BASE_SUCTION,
    throat: area,
    deliveryAt: (level) =>
      level <= 0 ? 0 : area * columnFlux(medium, Math.max(top - level, LEAST_LIFT), BASE_SUCTION),
    flowAt: (level, suction) =>
      level <= 0 ? 0 : through(Math.max(top - level, LEAST_LIFT), suction),
  };
}
