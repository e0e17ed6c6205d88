import { mediumOf, PIPES } from '../catalog';
import { meanWaterContent } from '../soil';
import { shellVolume } from '../vessel';
import type { Planter } from '../planter';

const WATER_DENSITY = 998;
/** Polyolefin vessels, lids and supports; PVC pipe. Typical, kg/m³. */
const PLASTIC_DENSITY = 950;
const PIPE_DENSITY = 1400;
const GRAVITY = 9.80665;

/** Weights of a planter, kilograms, and the load on the floor, pascals. */
export interface Weight {
  /** Vessel, platform, supports and tube. */
  empty: number;
  /** With the mix in, bone dry. */
  dry: number;
  /** Reservoir full, mix as moist as it hangs above it. */
  full: number;
  /** Full weight over the vessel's footprint. */
  pressure: number;
}

/** @param soilVolume settled mix, m³; @param water in the full reservoir, m³ */
export function weigh(planter: Planter, soilVolume: number, water: number): Weight {
  const { design, vessel, heights, layout } = planter;
  const medium = mediumOf(design.soil.medium);
  const support =
    design.reservoir.kind === 'platform' ? design.reservoir.supports : design.reservoir;
  const supportWalls =
    layout.supports.length *
    Math.PI *
    (support.diameter - support.wall) *
    support.wall *
    heights.ceiling;
  const platform = vessel.areaAt(heights.ceiling) * (heights.base - heights.ceiling);
  const pipe = design.fillTube ? PIPES[design.fillTube.pipe] : null;
  const tube =
    pipe && design.fillTube
      ? (Math.PI / 4) * (pipe.outside ** 2 - pipe.inside ** 2) * design.fillTube.length
      : 0;
  const empty =
    (shellVolume(vessel) + supportWalls + platform) * PLASTIC_DENSITY + tube * PIPE_DENSITY;
  const dry = empty + soilVolume * medium.dryDensity;
  const moisture = meanWaterContent(
    medium,
    Math.max(heights.base - heights.brim, 0),
    Math.max(heights.surface - heights.brim, 0),
  );
  const full = dry + (soilVolume * moisture + water) * WATER_DENSITY;
  const footprint = Math.PI * (vessel.radiusAt(0) + vessel.wall) ** 2;
  return { empty, dry, full, pressure: (full * GRAVITY) / footprint };
}
