import { CLOTHS, fillMedium, PIPES } from '../catalog';
import { airCeiling, soilBaseHeight, type PlanterDesign } from '../design';
import { drainable, mixOf } from '../soil';
import { grown, stacked } from '../vessel';
import { CUP_WALL, PIPE_WALL, type Bed, type FloorLayout, type StandingWick } from './layout';

/** Litres by height for a planter as built: parts, wicks, pipes, fill and mix taken into account. */
export interface Storage {
  /** Water that stands in the planter up to height z, m³. Never falls as z rises. */
  volumeBelow(z: number): number;
  /** Of that, what stands in the soil of the beds, m³. */
  soilBelow(z: number): number;
  /** The height at which `volume` m³ of water stands, metres; the top when there is more. */
  heightFor(volume: number): number;
  /** Volume of water kept out by air caught in parts, with water at height z, m³. */
  caughtAir(z: number): number;
  /** Volume of each layer of fill in the base, m³. */
  readonly fills: readonly number[];
  /** Plan area of what fills the base around the parts, at height z. m². */
  fillAreaAt(z: number): number;
}

/**
 * Suction at which the mix in a wick column or between bottles has given what it stores, metres.
 * The rest of its water stays in the mix for the plants.
 */
const GIVEN_UP_AT = 0.5;
/** Share of a platform that is holes. Typical for a lid drilled all over. */
const PLATFORM_OPEN = 0.1;

const circleArea = (diameter: number): number => (Math.PI / 4) * diameter * diameter;
const clamp = (x: number, low: number, high: number): number => Math.min(Math.max(x, low), high);

/** The storage of a design whose layout is known. */
export function storageOf(design: PlanterDesign, layout: FloorLayout): Storage {
  const { vessel, bed, parts } = layout;
  const { reservoir, soil } = design;
  const ceiling = Math.min(airCeiling(design), vessel.depth);
  const uprights = uprightsOf(design, layout);
  const layers = layersOf(design, ceiling);

  const takenBelow = (z: number): number =>
    parts.reduce((sum, part) => sum + part.outerBelow(z), 0) +
    uprights.reduce((sum, upright) => sum + upright.taken * wetted(upright, z), 0);
  const aroundBelow = (z: number): number => vessel.volumeBelow(z) - takenBelow(z);
  const between = (from: number, to: number): number =>
    Math.max(aroundBelow(to) - aroundBelow(from), 0);

  const inBase = (z: number): number => {
    const inLayers = layers.reduce(
      (sum, { from, to, share }) =>
        z <= from ? sum : sum + share * between(from, Math.min(z, to)),
      0,
    );
    const inParts = parts.reduce((sum, part) => sum + part.waterBelow(z), 0);
    const inUprights = uprights.reduce((sum, u) => sum + u.given * wetted(u, z), 0);
    return inLayers + inParts + inUprights;
  };

  const inBeds = soilWater(design, bed);
  const outside = bedOutside(bed);
  const base = soilBaseHeight(design);
  const deck = base - (reservoir.blanket?.thickness ?? 0);
  const blanket = reservoir.blanket
    ? drainable(fillMedium(reservoir.blanket.medium, mixOf(soil)), GIVEN_UP_AT)
    : 0;

  const rim = Math.max(vessel.depth, bed.floor + bed.inside.depth);
  const volumeBelow = (height: number): number => {
    const z = clamp(height, 0, rim);
    if (bed.separate) {
      const low = Math.min(z, ceiling);
      const high = Math.min(z, vessel.depth);
      const ring = vessel.volumeBetween(low, high) - (outside(high) - outside(low));
      return Math.max(inBase(low) - outside(low), 0) + Math.max(ring, 0) + inBeds(z);
    }
    let volume = inBase(Math.min(z, ceiling));
    if (z > ceiling) volume += PLATFORM_OPEN * vessel.volumeBetween(ceiling, Math.min(z, deck));
    if (z > deck) volume += blanket * vessel.volumeBetween(deck, Math.min(z, base));
    return volume + inBeds(z);
  };

  return {
    volumeBelow,
    soilBelow: inBeds,
    heightFor(volume) {
      if (volume <= 0) return 0;
      if (volume >= volumeBelow(rim)) return rim;
      let low = 0;
      let high = rim;
      for (let i = 0; i < 52 && high - low > 1e-12; i += 1) {
        const middle = (low + high) / 2;
        if (volumeBelow(middle) < volume) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    },
    caughtAir: (z) =>
      parts.reduce((sum, part) => sum + part.hollowBelow(Math.max(z, 0)) - part.waterBelow(z), 0),
    fills: reservoir.fill.map((_, i) => {
      const layer = layers[i];
      return layer ? between(layer.from, layer.to) : 0;
    }),
    fillAreaAt(z) {
      const inParts = parts.reduce((sum, part) => sum + part.areaAt(z), 0);
      const inUprights = uprights.reduce(
        (sum, u) => sum + (z >= u.foot && z <= u.top ? u.taken : 0),
        0,
      );
      return Math.max(vessel.areaAt(z) - inParts - inUprights, 0);
    },
  };
}

interface Layer {
  from: number;
  to: number;
  /** Share of its volume that is water to be had. */
  share: number;
}

/** What lies around the parts, from the floor up; open water above the last. */
function layersOf({ reservoir, soil }: PlanterDesign, ceiling: number): Layer[] {
  const layers: Layer[] = [];
  let from = 0;
  for (const { medium, upTo } of reservoir.fill) {
    const to = Math.max(upTo * ceiling, from);
    layers.push({ from, to, share: drainable(fillMedium(medium, mixOf(soil)), GIVEN_UP_AT) });
    from = to;
  }
  return from < ceiling ? [...layers, { from, to: ceiling, share: 1 }] : layers;
}

/** Something upright of one cross-section: what it takes out, and what water it lets in again. */
interface Upright {
  foot: number;
  top: number;
  taken: number;
  given: number;
}

const wetted = ({ foot, top }: Upright, z: number): number => Math.max(Math.min(z, top) - foot, 0);

/** Tube, pipes, cups, columns and cloth. */
function uprightsOf(design: PlanterDesign, layout: FloorLayout): Upright[] {
  const { vessel, tube, pipes } = layout;
  const mix = mixOf(design.soil);
  const inMix = drainable(mix, GIVEN_UP_AT);
  const base = soilBaseHeight(design);
  const hollow = (foot: number, top: number, outer: number, inner: number): Upright => ({
    foot,
    top: Math.min(top, vessel.depth),
    taken: circleArea(outer),
    given: circleArea(inner),
  });
  const list = pipes.map(({ foot, r }) =>
    hollow(foot, vessel.depth, 2 * r, 2 * Math.max(r - PIPE_WALL, 0)),
  );
  if (tube && design.fillTube) {
    const { outside, inside } = PIPES[design.fillTube.pipe];
    list.push(hollow(tube.foot, tube.foot + design.fillTube.length, outside, inside));
  }
  design.wicks.forEach((wick, i) => {
    const mine = (all: readonly StandingWick[]) => all.filter((one) => one.wick === i).length;
    const add = (taken: number, given: number) =>
      list.push({ foot: wick.foot, top: base, taken, given });
    if (wick.kind === 'cloth') {
      const section = wick.legs * wick.width * wick.thickness;
      add(section, section * CLOTHS[wick.material].porosity);
    } else if (wick.kind === 'cup') {
      const n = mine(layout.cups);
      add(n * circleArea(wick.diameter + 2 * CUP_WALL), n * inMix * circleArea(wick.diameter));
    } else {
      const section = mine(layout.columns) * circleArea(wick.diameter);
      add(section, section * drainable(fillMedium(wick.medium, mix), GIVEN_UP_AT));
    }
  });
  return list;
}

/** Water that stands in the soil up to a height, and above its surface. m³. */
function soilWater(design: PlanterDesign, bed: Bed): (z: number) => number {
  const inMix = drainable(mixOf(design.soil), GIVEN_UP_AT);
  const base = soilBaseHeight(design) - bed.floor;
  const surface = bed.inside.depth - design.soil.freeboard;
  const n = bed.places.length;
  return (height) => {
    const z = height - bed.floor;
    if (z <= base) return 0;
    const soaked = inMix * bed.inside.volumeBetween(base, Math.min(z, surface));
    const above = z > surface ? bed.inside.volumeBetween(surface, z) : 0;
    return n * (soaked + above);
  };
}

/** Volume that beds of their own take of the water's vessel below a height, walls included. m³. */
function bedOutside(bed: Bed): (z: number) => number {
  if (!bed.separate) return () => 0;
  const { inside, wall, floor, places } = bed;
  const body = stacked(
    inside.bends.map((z) => ({ z, ...grown(inside.outlineAt(z), wall) })),
    wall,
  );
  const slab = body.areaAt(0);
  return (z) =>
    places.length * (slab * clamp(z - floor + wall, 0, wall) + body.volumeBelow(z - floor));
}
