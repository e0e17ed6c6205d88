import { CLOTHS, mediumOf, PIPES } from '../catalog';
import { airCeiling, soilBaseHeight, type PlanterDesign, type Vents } from '../design';
import { drainable } from '../soil';
import type { Vessel } from '../vessel';
import { CUP_WALL, type FloorLayout } from './layout';
import { waterUnderTrappedAir } from './trapped';

/** Litres by height for a planter as built: supports, wicks, tube and mix taken into account. */
export interface Storage {
  /** Water that stands in the planter up to height z, m³. Never falls as z rises. */
  volumeBelow(z: number): number;
  /** The height at which `volume` m³ of water stands, metres; the rim when there is more. */
  heightFor(volume: number): number;
  /** Volume of water kept out by air caught in supports, with water at height z, m³. */
  caughtAir(z: number): number;
}

/**
 * Suction at which the mix in a wick column or between bottles has given what it stores, metres.
 * The rest of its water stays in the mix for the plants.
 */
const GIVEN_UP_AT = 0.5;

/** Share of a platform that is holes. Typical for a lid drilled all over. */
const PLATFORM_OPEN = 0.1;

/** A kind of standing hollow thing, all of one size. Areas are of all of them together. */
interface Hollows {
  outer: number;
  inner: number;
  height: number;
  vents: Vents;
}

/** The storage of a design whose vessel and layout are known. */
export function storageOf(design: PlanterDesign, vessel: Vessel, layout: FloorLayout): Storage {
  const medium = mediumOf(design.soil.medium);
  const inMix = drainable(medium, GIVEN_UP_AT);
  const ceiling = airCeiling(design.reservoir);
  const base = soilBaseHeight(design.reservoir);
  const surface = vessel.depth - design.soil.freeboard;
  const hollows = hollowsOf(design, layout);
  const tube = design.fillTube ? PIPES[design.fillTube.pipe] : null;
  const tubeOuter = tube ? circleArea(tube.outside) : 0;
  const tubeInner = tube ? circleArea(tube.inside) : 0;
  const tubeTop = design.fillTube ? Math.min(design.fillTube.length, vessel.depth) : 0;
  const wicks = design.wicks.map((wick, i) =>
    wick.kind === 'cup'
      ? {
          foot: wick.foot,
          kept:
            layout.cups.filter((cup) => cup.wick === i).length *
            (circleArea(wick.diameter + 2 * CUP_WALL) - inMix * circleArea(wick.diameter)),
        }
      : {
          foot: wick.foot,
          kept: wick.legs * wick.width * wick.thickness * (1 - CLOTHS[wick.material].porosity),
        },
  );
  const mixFillsBase = design.reservoir.kind === 'bottles';

  /** Water inside the hollow supports up to z, m³. */
  const inHollows = (z: number): number => {
    const level = Math.min(z, hollows.height);
    if (hollows.vents === 'both') return hollows.inner * level;
    if (hollows.vents === 'foot') {
      return hollows.inner * waterUnderTrappedAir(hollows.height, level);
    }
    return 0;
  };

  /** Water in the reservoir proper, from the floor to z ≤ ceiling, m³. */
  const inReservoir = (z: number): number => {
    const tubeLevel = Math.min(z, tubeTop);
    const around =
      vessel.volumeBelow(z) - hollows.outer * Math.min(z, hollows.height) - tubeOuter * tubeLevel;
    const water = inHollows(z) + tubeInner * tubeLevel;
    if (mixFillsBase) return Math.max(inMix * around, 0) + water;
    const kept = wicks.reduce((sum, w) => sum + w.kept * Math.max(z - w.foot, 0), 0);
    return Math.max(around - kept, 0) + water;
  };

  const volumeBelow = (height: number): number => {
    const z = Math.min(Math.max(height, 0), vessel.depth);
    let volume = inReservoir(Math.min(z, ceiling));
    if (z > ceiling) {
      volume += PLATFORM_OPEN * vessel.volumeBetween(ceiling, Math.min(z, base));
    }
    if (z > base) volume += inMix * vessel.volumeBetween(base, Math.min(z, surface));
    if (z > surface) volume += vessel.volumeBetween(surface, z);
    return volume;
  };

  return {
    volumeBelow,
    heightFor(volume) {
      if (volume <= 0) return 0;
      if (volume >= volumeBelow(vessel.depth)) return vessel.depth;
      let low = 0;
      let high = vessel.depth;
      for (let i = 0; i < 52 && high - low > 1e-12; i += 1) {
        const middle = (low + high) / 2;
        if (volumeBelow(middle) < volume) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    },
    caughtAir: (z) => hollows.inner * Math.min(Math.max(z, 0), hollows.height) - inHollows(z),
  };
}

function hollowsOf({ reservoir }: PlanterDesign, layout: FloorLayout): Hollows {
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  const count = layout.supports.length;
  const outer = count * circleArea(support.diameter);
  return {
    outer,
    inner: count * circleArea(support.diameter - 2 * support.wall),
    height: airCeiling(reservoir),
    vents: support.vents,
  };
}

const circleArea = (diameter: number): number => (Math.PI / 4) * diameter * diameter;
