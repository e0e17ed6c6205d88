import { fillMedium, grainOf, type FillId, type Matter } from '../catalog';
import { areaOf, grown, standsOver } from '../vessel';
import { drainable, meanWaterContent, mixOf } from '../soil';
import { GIVEN_UP_AT, soilBeds, supplyMass, type Planter } from '../planter';
import { packedIn } from './amounts';

const WATER_DENSITY = 998;
const GRAVITY = 9.80665;
/** Legs under a box. */
const LEGS = 4;
/** What one person lifts without harm, kilograms. */
const ONE_PERSON = 23;

/** Weights of a planter, kilograms, and the load on the floor, pascals. */
export interface Weight {
  /** Vessels, platform, parts and pipes. */
  empty: number;
  /** With stone, sand and the mix in, bone dry. */
  dry: number;
  /** Reservoir full, mix as moist as it hangs above it. */
  full: number;
  /** Full weight over the vessel's footprint. */
  pressure: number;
  /** Full weight on each leg, or null without legs. Kilograms. */
  perLeg: number | null;
  /** How many people it takes to carry it empty; null for what is built where it stands. */
  carriers: number | null;
  /** A supply barrel that stands beside it: its weight full, and its own load on the ground. */
  supply: { full: number; pressure: number } | null;
}

/** An amount of stone, sand or chip. */
export interface Amount {
  medium: FillId;
  /** m³, and kilograms as it lies there dry. */
  volume: number;
  mass: number;
}

/** A body of stone, sand, chip or mix in its place. */
interface Heap {
  medium: FillId;
  volume: number;
  from: number;
  to: number;
}

/** Everything loose that lies below the soil: fills, layers, and what is packed into cups and columns. */
function heapsOf({ design, vessel, lots, storage, heights }: Planter): Heap[] {
  return lots.flatMap((one): Heap[] => {
    const [piece] = one.pieces;
    if (!piece) return [];
    const { from, to } = piece;
    if (one.kind === 'fill') {
      const { medium } = one.spec;
      return [{ medium, volume: storage.fills[one.index] ?? 0, from, to }];
    }
    if (one.kind === 'layer') {
      const { what } = one.spec;
      if (!grainOf(what) || design.bed) return [];
      return [{ medium: what as FillId, volume: vessel.volumeBetween(from, to), from, to }];
    }
    if (one.kind === 'column' || one.kind === 'cup') {
      const medium = one.kind === 'cup' ? 'mix' : one.spec.medium;
      const volume = packedIn(one, heights.base);
      return [{ medium, volume, from, to: heights.base }];
    }
    return [];
  });
}

/** Stone, sand and chip below the soil, by kind. */
export function aggregatesIn(planter: Planter): Amount[] {
  const by = new Map<FillId, number>();
  for (const { medium, volume } of heapsOf(planter)) {
    if (medium !== 'mix' && volume > 0) by.set(medium, (by.get(medium) ?? 0) + volume);
  }
  return [...by].map(([medium, volume]) => ({
    medium,
    volume,
    mass: volume * fillMedium(medium, mixOf(planter.design.soil)).dryDensity,
  }));
}

/**
 * Water that a heap holds besides what counts among the reservoir's litres: where it stands in the water,
 * what does not drain from it; above, what hangs in it over the water. m³
 */
function heldIn(heap: Omit<Heap, 'medium'>, medium: Matter, brim: number): number {
  const { volume, from, to } = heap;
  const wet = Math.min(Math.max((brim - from) / Math.max(to - from, 1e-9), 0), 1);
  const kept = medium.thetaS - drainable(medium, GIVEN_UP_AT);
  const hangs = meanWaterContent(medium, Math.max(from - brim, 0), Math.max(to - brim, 0));
  return volume * (wet * kept + (1 - wet) * hangs);
}

/** @param soilVolume settled mix, m³; @param water in the full reservoir, m³ */
export function weigh(planter: Planter, soilVolume: number, water: number): Weight {
  const { design, vessel, heights, lots } = planter;
  const medium = mixOf(design.soil);
  const { brim } = heights;
  const empty = lots.reduce((sum, { mass }) => sum + mass, 0);
  const stone = aggregatesIn(planter).reduce((sum, { mass }) => sum + mass, 0);
  const beds = soilBeds(planter);
  const upper = beds.find(({ part }) => part === 'upper');
  const dry =
    empty +
    stone +
    soilVolume * medium.dryDensity +
    (upper ? upper.volume * (upper.mix.dryDensity - medium.dryDensity) : 0);
  const held =
    heapsOf(planter).reduce(
      (sum, heap) => sum + heldIn(heap, fillMedium(heap.medium, medium), brim),
      0,
    ) +
    beds.reduce((sum, { mix, volume, from, to }) => {
      const hangs = { volume, from: Math.max(from, heights.base), to };
      return sum + heldIn(hangs, mix, brim);
    }, 0);
  const full = dry + (held + water) * WATER_DENSITY;
  const foot = standsOver(vessel);
  const footprint = areaOf(grown(foot, vessel.wall));
  const frame = design.vessel.kind === 'frame' ? design.vessel : null;
  const { supply } = design.reservoir;
  return {
    empty,
    dry,
    full,
    pressure: (full * GRAVITY) / footprint,
    perLeg: frame && frame.legs > 0 ? full / LEGS : null,
    carriers: frame ? null : Math.max(Math.ceil(empty / ONE_PERSON), 1),
    supply: supply && {
      full: supplyMass(supply.volume),
      pressure: (supplyMass(supply.volume) * GRAVITY) / ((Math.PI / 4) * supply.diameter ** 2),
    },
  };
}
