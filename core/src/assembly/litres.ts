import { fillMaterial, grainOf, type FillId } from '../catalog';
import { airCeiling, dippingNeck, grainsIn, soilBaseHeight, type BedDesign } from '../document';
import { drainable, mixOf } from '../physics/soil';
import { grown, stacked } from '../geometry/vessels';
import { GIVEN_UP_AT } from './parts/column';
import type { Bed, PlacementSite } from './part';

/** Litres by height for a planter as it stands: everything in it taken into account. */
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
  /** Volume that is left between two heights around all that stands there, m³. */
  aroundBetween(from: number, to: number): number;
  /** Volume that tubes and pipes take of the soil between two heights, m³. */
  pipesInSoil(from: number, to: number): number;
}

/** Share of a platform that is holes. Typical for a lid drilled all over. */
const PLATFORM_OPEN = 0.1;

const clamp = (x: number, low: number, high: number): number => Math.min(Math.max(x, low), high);

/** The litres of what stands on a site. */
export function storageOf(site: Omit<PlacementSite, 'taken'>): Storage {
  const { design, vessel, bed, partGroups } = site;
  const ceiling = Math.min(airCeiling(design), vessel.depth);
  const rooms = partGroups.filter((one) => one.outerBelow(vessel.depth) > 0);
  const layers = layersOf(site, ceiling);

  const takenBelow = (z: number): number => rooms.reduce((sum, one) => sum + one.outerBelow(z), 0);
  const outside = bedOutside(bed);
  const aroundBelow = (z: number): number =>
    vessel.volumeBelow(z) - takenBelow(z) - (bed.separate ? outside(z) : 0);
  const between = (from: number, to: number): number =>
    Math.max(aroundBelow(to) - aroundBelow(from), 0);

  const inBase = (z: number): number => {
    const inLayers = layers.reduce(
      (sum, { from, to, share }) =>
        z <= from ? sum : sum + share * between(from, Math.min(z, to)),
      0,
    );
    return inLayers + rooms.reduce((sum, one) => sum + one.waterBelow(z), 0);
  };

  const pipesInSoil = pipesWithin(site, takenBelow);
  const inBeds = soilWater(site, pipesInSoil);
  const base = soilBaseHeight(design);
  const grains = grainsOf(site);
  const deck = grains[0]?.from ?? base;

  const rim = Math.max(vessel.depth, bed.floor + bed.inside.depth);
  const volumeBelow = (height: number): number => {
    const z = clamp(height, 0, rim);
    if (bed.separate) {
      const high = Math.min(z, vessel.depth);
      const ring = between(Math.min(high, ceiling), high);
      return inBase(Math.min(z, ceiling)) + ring + inBeds(z);
    }
    let volume = inBase(Math.min(z, ceiling));
    if (z > ceiling) volume += PLATFORM_OPEN * vessel.volumeBetween(ceiling, Math.min(z, deck));
    for (const { from, to, share } of grains) {
      if (z > from) volume += share * between(from, Math.min(z, to));
    }
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
      rooms.reduce((sum, one) => sum + one.hollowBelow(Math.max(z, 0)) - one.waterBelow(z), 0),
    fills: design.reservoir.fill.map((_, i) => {
      const layer = layers[i];
      return layer ? between(layer.from, layer.to) : 0;
    }),
    fillAreaAt: (z) =>
      Math.max(vessel.areaAt(z) - rooms.reduce((sum, one) => sum + one.areaAt(z), 0), 0),
    aroundBetween: between,
    pipesInSoil,
  };
}

interface Layer {
  from: number;
  to: number;
  medium: FillId | null;
  /** Share of its volume that is water to be had. */
  share: number;
}

/** What lies around the parts, from the floor up; open water above the last. */
function layersOf({ design, top }: Omit<PlacementSite, 'taken'>, ceiling: number): Layer[] {
  const layers: Layer[] = [];
  let from = 0;
  for (const { medium, upTo } of design.reservoir.fill) {
    const to = Math.max(upTo * Math.min(top, ceiling), from);
    const share = drainable(fillMaterial(medium, mixOf(design.soil)), GIVEN_UP_AT);
    layers.push({ from, to, medium, share });
    from = to;
  }
  return from < ceiling ? [...layers, { from, to: ceiling, medium: null, share: 1 }] : layers;
}

/** Sand and stone that lie on the base, from below. */
function grainsOf({ design }: Pick<PlacementSite, 'design'>): Layer[] {
  const list = grainsIn(design);
  const thick = list.reduce((sum, { thickness }) => sum + thickness, 0);
  let from = soilBaseHeight(design) - thick;
  return list.flatMap(({ what, thickness }): Layer[] => {
    const grain = grainOf(what);
    if (!grain) return [];
    const to = from + thickness;
    const layer = { from, to, medium: what as FillId, share: drainable(grain, GIVEN_UP_AT) };
    from = to;
    return [layer];
  });
}

/** Beds of their own that tubes and pipes go down through; they stand beside or under the others. */
const GONE_THROUGH: readonly (BedDesign['kind'] | undefined)[] = ['nested', 'neck'];

/** What tubes and pipes take of the soil between two heights: no more than they reach up. m³ */
function pipesWithin(
  { design, bed, partGroups }: Omit<PlacementSite, 'taken'>,
  takenBelow: (z: number) => number,
): Storage['pipesInSoil'] {
  if (!bed.separate) return (from, to) => Math.max(takenBelow(to) - takenBelow(from), 0);
  if (!GONE_THROUGH.includes(design.bed?.kind)) return () => 0;
  const pipes = partGroups
    .filter(({ kind }) => kind === 'tube' || kind === 'inspection' || kind === 'worm')
    .flatMap(({ parts }) => parts);
  return (from, to) =>
    pipes.reduce((sum, { foot, from: low, to: high }) => {
      const area = foot.form === 'disc' ? Math.PI * foot.r ** 2 : 0;
      return sum + area * Math.max(Math.min(to, high) - Math.max(from, low), 0);
    }, 0);
}

/** Water that stands in the soil up to a height, and above its surface. m³. */
function soilWater(
  { design, bed }: Omit<PlacementSite, 'taken'>,
  pipesInSoil: Storage['pipesInSoil'],
): (z: number) => number {
  const inMix = drainable(mixOf(design.soil), GIVEN_UP_AT);
  const base = soilBaseHeight(design) - bed.floor - dippingNeck(design);
  const surface = bed.inside.depth - design.soil.freeboard;
  const n = bed.places.length;
  return (height) => {
    const z = height - bed.floor;
    if (z <= base) return 0;
    const low = Math.min(z, surface);
    const pipes = pipesInSoil(base + bed.floor, low + bed.floor);
    const soil = n * bed.inside.volumeBetween(base, low) - pipes;
    const above = z > surface ? n * bed.inside.volumeBetween(surface, z) : 0;
    return inMix * Math.max(soil, 0) + above;
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
