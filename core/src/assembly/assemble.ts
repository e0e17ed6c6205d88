import equal from 'fast-deep-equal';
import {
  airCeiling,
  invertOf,
  soilBaseHeight,
  type LineShare,
  type PlanterDesign,
} from '../document';
import { shapeOf, turned, type Outline, type Vessel } from '../geometry/vessels';
import { bedOf, cutAcross, platformOutlineOf, floorOf } from './floor';
import { jointsOf } from './joints';
import { PART_DEFINITIONS, PLACING_ORDER } from './parts';
import { storageOf, type Storage } from './litres';
import { obstacles } from './obstacles';
import type { RequestedPart, Bed, Joint, PartKind, PartGroup, PlacementSite } from './part';
import { resolveWicks, type Wick } from './wicks';

/** A design put together: every thing in its place. Heights are metres above the inside floor. */
export interface Planter {
  readonly design: PlanterDesign;
  /** What holds the water, turned so that x runs across the section. */
  readonly vessel: Vessel;
  /** What holds the soil. */
  readonly bed: Bed;
  /** Everything stands inside this, seen from above; the section is cut along y = 0. */
  readonly floor: Outline;
  /** The rigid sheet that soil stands on; null where nothing rigid bears it. */
  readonly platformOutline: Outline | null;
  /** All that it is made of, by entries of the design, in the order in which they are placed. */
  readonly partGroups: readonly PartGroup[];
  /** The part groups of one kind. */
  of<K extends PartKind>(kind: K): readonly PartGroup<K>[];
  /** What rests on, goes through, hangs in, lines or is tied to what. */
  readonly joints: readonly Joint[];
  readonly storage: Storage;
  readonly wicks: readonly Wick[];
  readonly heights: Heights;
  /** What a line of joined planters gives it; null for one that stands alone. */
  readonly share: LineShare | null;
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
  /** The same without the line that it is joined to: rain or a test may fill it so far. */
  readonly ownBrim: number;
}

type Built = Pick<
  Planter,
  'vessel' | 'bed' | 'floor' | 'platformOutline' | 'partGroups' | 'storage' | 'wicks'
>;

/**
 * What a planter was put together to, by the parts of the document that it was made from. A patch leaves
 * the parts of a document that it does not touch as they were, so while an overflow is dragged or a remedy
 * is tried, these are found and not worked out again; so they are where they were made anew and say the same.
 * Kept as long as the document's vessel is.
 */
const memos = new WeakMap<PlanterDesign['vessel'], { parts: readonly unknown[]; built: Built }[]>();
/** Changes of one planter that are remembered: it as it is, and the remedies that are tried on it. */
const REMEMBERED = 8;

/** What the places of things, litres and wicks hang on. */
function partsOf(design: PlanterDesign): readonly unknown[] {
  // The overflow gives way to nothing, and is placed anew each time.
  const { bed, reservoir, wicks, fillTube, pipes, soil, layers } = design;
  return [reservoir, wicks, soil, layers, bed, fillTube, pipes];
}

function builtFrom(design: PlanterDesign): Built {
  const parts = partsOf(design);
  const memo = memos.get(design.vessel) ?? [];
  memos.set(design.vessel, memo);
  const known =
    memo.find((one) => one.parts.every((part, i) => part === parts[i])) ??
    memo.find((one) => one.parts.every((part, i) => equal(part, parts[i])));
  if (known) return known.built;
  const built = put(design);
  memo.unshift({ parts, built });
  memo.length = Math.min(memo.length, REMEMBERED);
  return built;
}

/** Kinds that hang on the overflow alone, and are placed anew with it. */
const OPENINGS: readonly PartKind[] = ['hole', 'fitting', 'rows', 'rim'];

function siteOf(design: PlanterDesign): PlacementSite & { partGroups: PartGroup[] } {
  const shape = shapeOf(design.vessel);
  const vessel = cutAcross(design) ? turned(shape) : shape;
  const bed = bedOf(design, vessel);
  return {
    design,
    vessel,
    bed,
    floor: floorOf(design, vessel, bed),
    platformOutline: platformOutlineOf(design, vessel, bed),
    top: Math.min(design.reservoir.top, vessel.depth),
    taken: obstacles(),
    partGroups: [],
  };
}

function put(design: PlanterDesign): Built {
  const site = siteOf(design);
  for (const kind of PLACING_ORDER) {
    if (!OPENINGS.includes(kind)) place(kind, site);
  }
  const storage = storageOf(site);
  const { vessel, bed, floor, platformOutline, partGroups } = site;
  return {
    vessel,
    bed,
    floor,
    platformOutline,
    partGroups,
    storage,
    wicks: resolveWicks(site, storage),
  };
}

function place<K extends PartKind>(
  kind: K,
  site: PlacementSite & { partGroups: PartGroup[] },
): void {
  const { asked, place: put } = PART_DEFINITIONS[kind];
  for (const one of asked(site.design) as readonly RequestedPart<K>[]) {
    // What a group of parts asks of the floor later, it asks of the floor as it found it.
    const group = put(one, { ...site, taken: keeping(site.taken) }) as unknown as PartGroup;
    site.partGroups.push(group);
    // What stands above the base is in nobody's way on the floor.
    const low = group.parts.filter(({ from }) => from < site.top - 1e-9);
    site.taken.addLot({ ...group, parts: low });
  }
}

/** A floor that shares its holes with the one that it was taken from, and nothing else. */
function keeping(taken: PlacementSite['taken']): PlacementSite['taken'] {
  const now = taken.asItIs();
  return {
    ...now,
    addHole(hole) {
      taken.addHole(hole);
    },
  };
}

/**
 * Puts a design together: the places of all things, the joints between them, litres by height, wicks.
 *
 * @param design one without contradictions (see `contradictions`)
 * @param share what a line that it is joined to gives it: that keeps its level, instead of a barrel of its own
 */
export function assemble(design: PlanterDesign, share: LineShare | null = null): Planter {
  const built = builtFrom(design);
  const { vessel, bed, storage } = built;
  const site: PlacementSite & { partGroups: PartGroup[] } = {
    ...siteFrom(design, built),
    partGroups: [],
  };
  OPENINGS.forEach((kind) => place(kind, site));
  const partGroups = [...built.partGroups, ...site.partGroups];
  const ceiling = airCeiling(design);
  const invert = invertOf(design);
  const rim = bed.floor + bed.inside.depth;
  const brimWith = (valve: { level: number } | null): number =>
    Math.min(invert ?? ceiling, ceiling, valve?.level ?? Infinity, vessel.depth);
  let joints: readonly Joint[] | null = null;
  const planter: Planter = {
    ...built,
    design,
    share,
    partGroups,
    storage,
    of: <K extends PartKind>(kind: K) =>
      partGroups.filter((one) => one.kind === kind) as unknown as readonly PartGroup<K>[],
    get joints() {
      return (joints ??= jointsOf(planter));
    },
    heights: {
      ceiling,
      base: soilBaseHeight(design),
      surface: rim - design.soil.freeboard,
      rim,
      waterRim: vessel.depth,
      invert,
      brim: brimWith(share ?? design.reservoir.supply),
      ownBrim: brimWith(design.reservoir.supply),
    },
  };
  return planter;
}

const siteFrom = (
  design: PlanterDesign,
  { vessel, bed, floor, platformOutline, partGroups }: Built,
): PlacementSite => ({
  design,
  vessel,
  bed,
  floor,
  platformOutline,
  partGroups,
  top: Math.min(design.reservoir.top, vessel.depth),
  taken: obstacles(),
});

/**
 * The litres of a planter that is only part built: with those part groups in it that `stands` says.
 *
 * @param design as it is by then, without the layers and fills that are still to come
 */
export function storageWith(
  planter: Planter,
  stands: (group: PartGroup) => boolean,
  filled = false,
): Storage {
  const { design, bed } = planter;
  // What is set in or on later takes no room yet: an upper vessel, a bottle's neck, bags in their tray.
  const there =
    !bed.separate ||
    planter.partGroups.some((group) => group.kind === design.bed?.kind && stands(group));
  const bare: PlanterDesign = {
    ...design,
    reservoir: { ...design.reservoir, fill: filled ? design.reservoir.fill : [] },
    layers: [],
  };
  return storageOf({
    ...siteFrom(bare, planter),
    bed: there ? bed : { ...bed, places: [] },
    partGroups: planter.partGroups.filter(stands),
  });
}

/** Inside half width of what holds soil or water at height z, in the plane of the section. Metres. */
export function halfAt({ vessel, bed, heights }: Planter, z: number): number {
  if (!bed.separate || z < heights.base) return vessel.halfAt(z);
  return bed.inside.halfAt(z - bed.floor);
}

/** Surface of the soil, all beds together. m². */
export function surfaceArea({ bed, heights }: Pick<Planter, 'bed' | 'heights'>): number {
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
