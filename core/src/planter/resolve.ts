import { airCeiling, invertOf, soilBaseHeight, type PlanterDesign } from '../design';
import { layOut, storageOf, type FloorLayout, type Storage } from '../reservoir';
import { taperedRound, type Vessel } from '../vessel';
import { resolveWicks, type Wick } from '../wick';

/** A design with its geometry worked out. Heights are metres above the inside floor. */
export interface Planter {
  readonly design: PlanterDesign;
  readonly vessel: Vessel;
  readonly layout: FloorLayout;
  readonly storage: Storage;
  readonly wicks: readonly Wick[];
  readonly heights: Heights;
}

export interface Heights {
  /** Platform underside or bottle tops: water must stay below it. */
  readonly ceiling: number;
  /** What the soil stands on: platform top or bottle tops. */
  readonly base: number;
  readonly surface: number;
  readonly rim: number;
  /** Lowest lip of the overflow, or null without one. */
  readonly invert: number | null;
  /** Where the reservoir counts as full: the invert, but never above the ceiling. */
  readonly brim: number;
}

/**
 * Works out a design's geometry.
 *
 * @param design one without contradictions (see `contradictions`)
 */
export function resolve(design: PlanterDesign): Planter {
  const vessel = taperedRound(design.vessel);
  const layout = layOut(design);
  const storage = storageOf(design, vessel, layout);
  const ceiling = airCeiling(design.reservoir);
  const invert = design.overflow ? invertOf(design.overflow) : null;
  const taken = [...layout.supports, ...(layout.tube ? [layout.tube] : [])].reduce(
    (sum, circle) => sum + Math.PI * circle.r * circle.r,
    0,
  );
  const between =
    design.reservoir.kind === 'bottles'
      ? (z: number) => Math.max(vessel.areaAt(z) - taken, 0)
      : null;
  return {
    design,
    vessel,
    layout,
    storage,
    wicks: resolveWicks(design, vessel, between),
    heights: {
      ceiling,
      base: soilBaseHeight(design.reservoir),
      surface: vessel.depth - design.soil.freeboard,
      rim: vessel.depth,
      invert,
      brim: Math.min(invert ?? ceiling, ceiling),
    },
  };
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
  const lip = heights.invert ?? heights.rim;
  const capacity = storage.volumeBelow(lip);
  const kept = Math.min(volume, capacity);
  const level = volume >= capacity ? lip : storage.heightFor(kept);
  const over = volume <= capacity ? null : heights.invert === null ? 'rim' : 'overflow';
  return { level, kept, lost: volume - kept, over, floods: level > heights.base + 1e-9 };
}
