import { hydraulicTableFor, type Cells } from '../../physics/column';
import { freeWaterBelow, soilBeds, surfaceArea, type Planter } from '../../assembly';
import { mixOf } from '../../physics/soil';

// By name: looked up once, these are asked millions of times.
const { min, max } = Math;

/** The soil as cells, from its base to its surface. */
export function columnCells(planter: Planter, count: number): Cells {
  const { bed, heights, design } = planter;
  const depth = max(heights.surface - heights.base, 0.02);
  const dz = depth / count;
  const from = heights.base - bed.floor;
  const beds = soilBeds(planter);
  const areaAt = (z: number): number => bed.places.length * bed.inside.areaAt(from + z);
  const face = Float64Array.from({ length: count + 1 }, (_, i) => areaAt(i * dz));
  face[count] = max(surfaceArea(planter), 1e-6);
  return {
    dz,
    area: Float64Array.from({ length: count }, (_, i) => areaAt((i + 0.5) * dz)),
    face,
    media: Array.from({ length: count }, (_, i) => {
      const z = heights.base + (i + 0.5) * dz;
      const at = beds.find(({ to }) => z <= to) ?? beds[beds.length - 1];
      return hydraulicTableFor(at?.mix ?? mixOf(design.soil));
    }),
  };
}

const ENTRIES = 200;

/**
 * Where to begin to look in a rising table, by the share of its last value (Chen and Asau 1974): one entry a share, the
 * last index whose value is at most the share's lower end.
 */
function guideTable(table: Float64Array, shares: number): Uint16Array {
  const whole = table[table.length - 1] as number;
  const guide = new Uint16Array(shares + 1);
  let at = 0;
  for (let k = 0; k <= shares; k += 1) {
    const from = (whole * k) / shares;
    while (at < table.length - 2 && (table[at + 1] as number) <= from) at += 1;
    // Rounding may put a value into the share above its own.
    guide[k] = Math.max(at - 1, 0);
  }
  return guide;
}

/** The reservoir: its level by what it holds, and what runs over. */
export function seasonReservoir(planter: Planter, clogged: boolean) {
  const { heights, design } = planter;
  const { base, brim, invert } = heights;
  // Bags stand in their tray's water, which runs over its rim if nowhere else.
  const bag = design.bed?.kind === 'bag';
  const most = bag ? heights.waterRim : min(max(base, brim), heights.rim);
  const holds = (z: number): number => freeWaterBelow(planter, z);
  const table = Float64Array.from({ length: ENTRIES + 1 }, (_, i) => holds((most * i) / ENTRIES));
  const whole = table[ENTRIES] as number;
  const guides = whole > 0 ? ENTRIES / whole : 0;
  const guide = guideTable(table, ENTRIES);
  const runs = bag || (invert !== null && !clogged);
  const lip = invert !== null && !clogged ? min(invert, most) : most;
  const room = runs ? holds(lip) : whole;
  return {
    /** Water below a height, m³. */
    holds,
    level(volume: number): number {
      if (volume <= 0) return 0;
      if (volume >= whole) return most;
      let a = guide[(volume * guides) | 0] as number;
      while ((table[a + 1] as number) <= volume) a += 1;
      const v0 = table[a] as number;
      const v1 = table[a + 1] as number;
      return (most * (a + (v1 > v0 ? (volume - v0) / (v1 - v0) : 0))) / ENTRIES;
    },
    over: (volume: number): number => (runs ? max(volume - room, 0) : 0),
    /** Head at the soil base above which water runs through it. */
    lip(volume: number): number {
      if (bag) return 0;
      const takes = volume < whole * 0.9999;
      if (takes) return 0;
      return runs ? max(lip - base, 0) : Infinity;
    },
  };
}
