import { fillMedium, MATERIAL_DENSITY, PIPES, type FillId } from '../catalog';
import type { PartDesign } from '../design';
import { grown, shellVolume, areaOf } from '../vessel';
import { meanWaterContent, mixOf } from '../soil';
import type { Planter } from '../planter';

const WATER_DENSITY = 998;
/** Polyolefin lids and supports; PVC pipe; fired clay; timber. Typical, kg/m³. */
const PLASTIC_DENSITY = 950;
const PIPE_DENSITY = 1400;
const CLAY_DENSITY = 1900;
const STICK_DENSITY = 550;
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
  /** How many people it takes to carry it empty. */
  carriers: number;
}

/** An amount of stone, sand or chip. */
export interface Amount {
  medium: FillId;
  /** m³, and kilograms as it lies there dry. */
  volume: number;
  mass: number;
}

/** Stone, sand and chip in base, blanket and columns, by kind. */
export function aggregatesIn({ design, vessel, layout, storage, heights }: Planter): Amount[] {
  const by = new Map<FillId, number>();
  const add = (medium: FillId, volume: number) => {
    if (medium !== 'mix' && volume > 0) by.set(medium, (by.get(medium) ?? 0) + volume);
  };
  const { reservoir, wicks } = design;
  reservoir.fill.forEach((layer, i) => add(layer.medium, storage.fills[i] ?? 0));
  if (reservoir.blanket) {
    const from = heights.base - reservoir.blanket.thickness;
    add(reservoir.blanket.medium, vessel.volumeBetween(from, heights.base));
  }
  wicks.forEach((wick, i) => {
    if (wick.kind !== 'column') return;
    const placed = layout.columns.filter((column) => column.wick === i).length;
    add(wick.medium, placed * (Math.PI / 4) * wick.diameter ** 2 * (heights.base - wick.foot));
  });
  return [...by].map(([medium, volume]) => ({
    medium,
    volume,
    mass: volume * fillMedium(medium, mixOf(design.soil)).dryDensity,
  }));
}

function density(part: PartDesign): number {
  if (part.kind === 'lying') return PIPE_DENSITY;
  if (part.kind === 'sticks') return STICK_DENSITY;
  if (part.kind === 'standing') {
    return part.what === 'brick' || part.what === 'pot' ? CLAY_DENSITY : PLASTIC_DENSITY;
  }
  return PLASTIC_DENSITY;
}

/** @param soilVolume settled mix, m³; @param water in the full reservoir, m³ */
export function weigh(planter: Planter, soilVolume: number, water: number): Weight {
  const { design, vessel, bed, heights, layout } = planter;
  const { reservoir, fillTube } = design;
  const medium = mixOf(design.soil);
  const parts = layout.parts.reduce((sum, part) => {
    const solid = part.outerBelow(part.height) - part.hollowBelow(part.height);
    return sum + Math.max(solid, 0) * density(part.design);
  }, 0);
  const platform =
    reservoir.cover === 'platform' ? vessel.areaAt(reservoir.top) * reservoir.thickness : 0;
  const pipe = fillTube ? PIPES[fillTube.pipe] : null;
  const tube =
    pipe && fillTube
      ? (Math.PI / 4) * (pipe.outside ** 2 - pipe.inside ** 2) * (fillTube.length + fillTube.run)
      : 0;
  const beds = bed.separate ? bed.places.length * shellVolume(bed.inside) : 0;
  const empty =
    (shellVolume(vessel) + beds) * MATERIAL_DENSITY[design.vessel.material] +
    parts +
    platform * PLASTIC_DENSITY +
    tube * PIPE_DENSITY;
  const stone = aggregatesIn(planter).reduce((sum, { mass }) => sum + mass, 0);
  const dry = empty + stone + soilVolume * medium.dryDensity;
  const moisture = meanWaterContent(
    medium,
    Math.max(heights.base - heights.brim, 0),
    Math.max(heights.surface - heights.brim, 0),
  );
  const full = dry + (soilVolume * moisture + water) * WATER_DENSITY;
  const foot = vessel.outlineAt(vessel.flat ? 0 : vessel.depth);
  const footprint = areaOf(grown(foot, vessel.wall));
  const legs = design.vessel.kind === 'frame' && design.vessel.legs > 0;
  return {
    empty,
    dry,
    full,
    pressure: (full * GRAVITY) / footprint,
    perLeg: legs ? full / LEGS : null,
    carriers: Math.max(Math.ceil(empty / ONE_PERSON), 1),
  };
}
