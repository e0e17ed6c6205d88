import { fillMaterial, grainOf, type FillId, type HydraulicMaterial } from '../catalog';
import { areaOf, grown, standsOver } from '../geometry/vessels';
import { drainable, meanWaterContent, mixOf } from '../physics/soil';
import { GIVEN_UP_AT, soilBeds, supplyMass, supplyPressure, type Planter } from '../assembly';
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
  /** Its plan area at a height, m²: how its volume lies between bottom and top. */
  areaAt(z: number): number;
}

/** Everything loose that lies below the soil: fills, layers, and what is packed into cups and columns. */
function heapsOf({ design, vessel, partGroups, storage, heights }: Planter): Heap[] {
  return partGroups.flatMap((one): Heap[] => {
    const [piece] = one.parts;
    if (!piece) return [];
    const { from, to } = piece;
    if (one.kind === 'fill') {
      const { medium } = one.spec;
      const volume = storage.fills[one.index] ?? 0;
      return [{ medium, volume, from, to, areaAt: storage.fillAreaAt }];
    }
    if (one.kind === 'layer') {
      const { what } = one.spec;
      if (!grainOf(what) || design.bed) return [];
      const volume = storage.aroundBetween(from, to);
      return [{ medium: what as FillId, volume, from, to, areaAt: (z) => vessel.areaAt(z) }];
    }
    const packed = packedIn(one, heights.base);
    return packed && packed.volume > 0 ? [{ ...packed, from, to: heights.base }] : [];
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
    mass: volume * fillMaterial(medium, mixOf(planter.design.soil)).dryDensity,
  }));
}

/** Slices in which what a heap holds is added up. */
const SLICES = 12;

/**
 * Water that a heap holds besides what counts among the reservoir's litres: where it stands in the water,
 * what does not drain from it; above, what hangs in it over the water. m³
 *
 * @param drains what drains from it below the brim counts among the reservoir's litres
 */
function heldIn(
  heap: Omit<Heap, 'medium'>,
  medium: HydraulicMaterial,
  brim: number,
  drains = true,
): number {
  const { volume, from, to, areaAt } = heap;
  const below = medium.thetaS - (drains ? drainable(medium, GIVEN_UP_AT) : 0);
  const wet = Math.min(Math.max(brim, from), to);
  let [area, held] = [0, 0];
  for (const [low, high] of [
    [from, wet],
    [wet, to],
  ] as const) {
    const step = (high - low) / SLICES;
    for (let k = 0; k < SLICES && step > 0; k += 1) {
      const z = low + (k + 0.5) * step;
      const over = [z - step / 2 - brim, z + step / 2 - brim] as const;
      const part = areaAt(z) * step;
      area += part;
      held += part * (z < brim ? below : meanWaterContent(medium, ...over));
    }
  }
  return area > 0 ? (volume * held) / area : 0;
}

/** @param soilVolume settled mix, m³; @param water in the full reservoir, m³ */
export function weigh(planter: Planter, soilVolume: number, water: number): Weight {
  const { design, vessel, bed, heights, partGroups } = planter;
  const medium = mixOf(design.soil);
  const { ownBrim: brim } = heights;
  const empty = partGroups.reduce((sum, { mass }) => sum + mass, 0);
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
      (sum, heap) => sum + heldIn(heap, fillMaterial(heap.medium, medium), brim),
      0,
    ) +
    beds.reduce((sum, { mix, volume, from, to }) => {
      const areaAt = (z: number) => bed.inside.areaAt(z - bed.floor);
      // What stands in the mix of a bag is the soil's own.
      return sum + heldIn({ volume, from, to, areaAt }, mix, brim, design.bed?.kind !== 'bag');
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
      pressure: supplyPressure(supply),
    },
  };
}
