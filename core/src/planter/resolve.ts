import { airCeiling, invertOf, soilBaseHeight, type PlanterDesign } from '../design';
import { layOut, storageOf, type Bed, type FloorLayout, type Storage } from '../reservoir';
import type { Vessel } from '../vessel';
import { resolveWicks, type Wick } from '../wick';

/** A design with its geometry worked out. Heights are metres above the inside floor. */
export interface Planter {
  readonly design: PlanterDesign;
  /** What holds the water, turned so that x runs across the section. */
  readonly vessel: Vessel;
  /** What holds the soil. */
  readonly bed: Bed;
  readonly layout: FloorLayout;
  readonly storage: Storage;
  readonly wicks: readonly Wick[];
  readonly heights: Heights;
}

export interface Heights {
  /** Top of the base: water should stay below it. A tray's rim where bags stand in the water. */
  readonly ceiling: number;
  /** What the soil stands on. */
  readonly base: number;
  readonly surface: number;
  /** Where the soil's own wall ends. */
  readonly rim: number;
  /** Where the water's own wall ends: the rim, but for beds that stand above or in it. */
  readonly waterRim: number;
  /** Lowest lip of the overflow, or null without one. */
  readonly invert: number | null;
  /** Where the reservoir counts as full: overflow or valve, but never above the ceiling. */
  readonly brim: number;
}

type Built = Pick<Planter, 'layout' | 'storage' | 'wicks'>;

/** What was built lately, by the parts of the document that it was built from. */
const lately: { parts: readonly unknown[]; built: Built }[] = [];
const LATELY = 6;

/**
 * Floor, litres and wicks. A patch leaves the parts of a document that it does not touch as they were,
 * so while an overflow is dragged or a remedy is tried these are found and not worked out again.
 */
function builtFrom(design: PlanterDesign): Built {
  const { vessel, bed, reservoir, wicks, fillTube, pipes, soil } = design;
  const parts = [vessel, bed, reservoir, wicks, fillTube, pipes, soil];
  const known = lately.find((one) => one.parts.every((part, i) => part === parts[i]));
  if (known) return known.built;
  const layout = layOut(design);
  const storage = storageOf(design, layout);
  const built = { layout, storage, wicks: resolveWicks(design, layout, storage) };
  lately.unshift({ parts, built });
  lately.length = Math.min(lately.length, LATELY);
  return built;
}

/**
 * Works out a design's geometry.
 *
 * @param design one without contradictions (see `contradictions`)
 */
export function resolve(design: PlanterDesign): Planter {
  const { layout, storage, wicks } = builtFrom(design);
  const { vessel, bed } = layout;
  const ceiling = airCeiling(design);
  const invert = invertOf(design);
  const rim = bed.floor + bed.inside.depth;
  const valve = design.reservoir.supply?.level ?? Infinity;
  return {
    design,
    vessel,
    bed,
    layout,
    storage,
    wicks,
    heights: {
      ceiling,
      base: soilBaseHeight(design),
      surface: rim - design.soil.freeboard,
      rim,
      waterRim: vessel.depth,
      invert,
      brim: Math.min(invert ?? ceiling, ceiling, valve, vessel.depth),
    },
  };
}

/** Inside half width of what holds soil or water at height z, in the plane of the section. Metres. */
export function halfAt({ vessel, bed, heights }: Planter, z: number): number {
  if (!bed.separate || z < heights.base) return vessel.halfAt(z);
  return bed.inside.halfAt(z - bed.floor);
}

/** Surface of the soil, all beds together. m². */
export function surfaceArea({ bed, heights }: Planter): number {
  return bed.places.length * bed.inside.areaAt(heights.surface - bed.floor);
}

/** Water that lies open in a tray around its bags, and the ground of the whole. m² */
export function openWater(planter: Planter): { area: number; ground: number } {
  if (planter.design.bed?.kind !== 'bag') return { area: 0, ground: 0 };
  const ground = planter.vessel.areaAt(planter.heights.waterRim);
  return { area: Math.max(ground - surfaceArea(planter), 0), ground };
}

/** Where poured water has got to. */
export interface Pour {
  /** Height at which it stands, metres. */
  level: number;
  /** What stands in the planter and what has run away, m³. */
  kept: number;
  lost: number;
  /** By which way it runs away, if it does. */
  over: 'overflow' | 'rim' | null;
  /** Whether it stands in the soil. */
  floods: boolean;
}

/** Pours `volume` m³ into an empty planter and lets it settle. */
export function pour(planter: Planter, volume: number): Pour {
  const { storage, heights } = planter;
  const lip = Math.min(heights.invert ?? heights.waterRim, heights.waterRim);
  const capacity = storage.volumeBelow(lip);
  const kept = Math.min(volume, capacity);
  const level = volume >= capacity ? lip : storage.heightFor(kept);
  const byRim = heights.invert === null || heights.invert >= heights.waterRim;
  const over = volume <= capacity ? null : byRim ? 'rim' : 'overflow';
  return { level, kept, lost: volume - kept, over, floods: level > heights.base + 1e-9 };
}
