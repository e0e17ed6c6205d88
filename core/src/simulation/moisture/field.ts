import { waterDemandOn } from '../../physics/climate';
import { hydraulicTableFor, surfaceGives, type HydraulicTable } from '../../physics/column';
import { FROM_BELOW, peakOf, shareOf, slopeOf, standsOn, ENOUGH } from '../../physics/crop';
import { grainsIn, type Planted } from '../../document';
import { grainOf } from '../../catalog';
import {
  discsOf,
  openWater,
  plantingPlan,
  rootSupply,
  rootWays,
  soilBeds,
  surfaceArea,
  type Planter,
} from '../../assembly';
import type { Circle } from '../../geometry/packing';
import { mixOf } from '../../physics/soil';
import { columnAt, gridOf, widthFor, type Body, type Grid } from './grid';
import { flowCurve, type FlowCurve } from './flowCurve';
import { coveredOfRing, fromRings, isAlikeRound, isRings, ringsOf } from './axisymmetric';
import { steadyFlow, type Problem, type Steady } from './steady';

/** Where in the soil of a planter the water gets to, on a day that goes on and on. */
export interface Field {
  readonly grid: Grid;
  /** Pressure head of each box, metres. */
  readonly h: Float64Array;
  /** Roots of each box as shares that sum to 1 over the whole grid. */
  readonly roots: Float64Array;
  /** Share of the roots that stand wet, easy and dry. */
  readonly shares: Readonly<Record<Moisture, number>>;
  /** What plants drink, as a share of what they ask. */
  readonly drunk: number;
  /** What does not add up, as a share of what comes in. */
  readonly imbalance: number;
}

/** How soil feels to roots: no air, water for the taking, or water that comes hard. */
export type Moisture = 'wet' | 'easy' | 'dry';
/** Suctions between them, metres: want of air ends, and uptake begins to suffer. */
const WET_TO = 0.05;
const EASY_TO = 1;

/** @param h pressure head, metres */
export const moistureAt = (h: number): Moisture =>
  -h < WET_TO ? 'wet' : -h <= EASY_TO ? 'easy' : 'dry';

export interface FieldQuestion {
  /** How high the water stands, metres above the inside floor. */
  level: number;
  /** Reference evapotranspiration of the day, m/s. */
  et: number;
}

/** Boxes of the grid, all and one above the other: usual. */
export interface Fineness {
  boxes: number;
  layers: number;
}
const USUAL: Fineness = { boxes: 2400, layers: 12 };

/** Works the moisture of one bed of a planter out; the others of a row are like it. */
export function moistureField(
  planter: Planter,
  { level, et }: FieldQuestion,
  fineness: Fineness = USUAL,
): Field {
  const { heights, bed, design } = planter;
  const sand = grainsIn(design).reduce((sum, { thickness }) => sum + thickness, 0);
  const from = heights.base - sand;
  const feeds = feedsOf(planter, level);
  const plants = plantsOf(planter);
  const discs = [...feeds.flatMap(({ discs: own }) => own ?? []), ...plants];
  const body: Body = {
    outlineAt: (z) => bed.inside.outlineAt(Math.max(z, heights.base) - bed.floor),
    from,
    to: heights.surface,
    ...alike(discs),
  };
  const beds = bed.places.length;
  const asks = waterDemandOn(design, et, surfaceArea(planter), openWater(planter));
  const below = Math.min(
    rootSupply(rootWays(planter), level) / Math.max(asks.plants, 1e-15),
    FROM_BELOW,
  );
  const on = (grid: Grid) => {
    const roots = rootsIn(grid, plants, heights.base, heights.surface);
    const thirst = (asks.plants * (1 - below)) / beds / grid.times;
    const problem: Problem = {
      grid,
      media: mediaOf(planter, grid),
      bottom: bottomOf(grid, feeds),
      top: surfaceOf(grid, asks.surface / beds / grid.times),
      sink: (h, taken, slope) => uptake(roots, thirst, h, taken, slope),
    };
    return { roots, problem };
  };
  const grids = gridsOf(body, fineness);
  const grid = grids[grids.length - 1] as Grid;
  const { roots, problem } = on(grid);
  const flow = isAlikeRound(body, discs)
    ? inRings(body, grid, (one) => on(one).problem, level)
    : throughGrids(grids, (one) => (one === grid ? problem : on(one).problem), level);
  const shares = { wet: 0, easy: 0, dry: 0 };
  flow.h.forEach((h, c) => {
    shares[moistureAt(h)] += roots[c] as number;
  });
  const asked = (asks.plants * (1 - below)) / beds;
  return {
    grid,
    h: flow.h,
    roots,
    shares,
    drunk: asked > 0 ? below + (1 - below) * (flow.taken / asked) : 1,
    imbalance: flow.imbalance,
  };
}

/** A grid with fewer boxes than this is begun from a guess. */
const FEW_BOXES = 900;
/** So many times fewer boxes has the grid that a fine one is begun from, and of layers. */
const COARSER = { boxes: 6, layers: 2 };

/** The grid that is asked for, and before it one or more that are coarser. */
function gridsOf(body: Body, { boxes, layers }: Fineness): Grid[] {
  const { a, b } = body.outlineAt(body.to);
  const [long, broad] = [(body.alikeX ? 1 : 2) * a, (body.alikeY ? 1 : 2) * b];
  const grid = gridOf(body, widthFor(long, broad, layers, boxes), layers);
  if (boxes < FEW_BOXES || layers < 2 * COARSER.layers) return [grid];
  const coarser = { boxes: boxes / COARSER.boxes, layers: Math.ceil(layers / COARSER.layers) };
  return [...gridsOf(body, coarser), grid];
}

/** What is known of a flow on some grid. */
interface KnownFlow {
  grid: Grid;
  h: Float64Array;
}

/** So many times more rings than boxes from the middle to the wall: they cost little. */
const FINER = 2;

/** The flow of a body that is alike all about its axis, in rings, as it is in the boxes of a grid. */
function inRings(
  body: Body,
  grid: Grid,
  problemOn: (grid: Grid) => Problem,
  level: number,
): Pick<Steady, 'h' | 'taken' | 'imbalance'> {
  const rings = ringsOf(
    body,
    FINER * Math.max(Math.round(grid.nx / (body.alikeX ? 1 : 2)), 2),
    grid.nz,
  );
  const flow = throughGrids([rings], problemOn, level);
  return { ...flow, h: fromRings(rings, flow.h, grid) };
}

/** The flow on the last of some grids, each begun from what the one before it found. */
function throughGrids(
  grids: readonly Grid[],
  problemOn: (grid: Grid) => Problem,
  level: number,
): Steady {
  const guessed = (problem: Problem) =>
    steadyFlow(problem, (_box, z) => Math.min(level - z, -0.02));
  const onGrid = (grid: Grid, known: KnownFlow | null): Steady => {
    const problem = problemOn(grid);
    if (!known) return guessed(problem);
    try {
      return steadyFlow(problem, (box) => headFrom(known, grid, box), true);
    } catch {
      // What a coarser grid found may be no beginning; a guess always is one.
      return guessed(problem);
    }
  };
  let known: KnownFlow | null = null;
  for (const grid of grids.slice(0, -1)) {
    try {
      known = { grid, h: onGrid(grid, known).h };
    } catch {
      known = null;
    }
  }
  return onGrid(grids[grids.length - 1] as Grid, known);
}

/** The head that a coarser grid has where a box of a finer one stands: between the layers, of the nearest column. */
function headFrom({ grid, h }: KnownFlow, fine: Grid, box: number): number {
  const { nx, ny, nz, dx, dy, dz, x0, y0, z0 } = grid;
  const { x, y } = columnAt(fine, Math.floor(box / fine.nz));
  const z = fine.z0 + ((box % fine.nz) + 0.5) * fine.dz;
  const within = (value: number, most: number) => Math.min(Math.max(value, 0), most);
  const i = within(Math.floor((x - x0) / dx), nx - 1);
  const j = within(Math.floor((y - y0) / dy), ny - 1);
  const up = within((z - z0) / dz - 0.5, nz - 1);
  const k = Math.min(Math.floor(up), nz - 2);
  const at = (j * nx + i) * nz + k;
  const [low, high] = [h[at] as number, h[at + 1] as number];
  return low + (high - low) * (up - k);
}

/** A wick of the bed: where it meets the soil, all over or in discs, and its flow in each by suction. */
interface Feed {
  discs: readonly Circle[] | null;
  curve: FlowCurve;
}

function feedsOf(planter: Planter, level: number): Feed[] {
  const place = planter.bed.places[0] ?? { x: 0, y: 0 };
  const beds = planter.bed.places.length;
  return planter.wicks.flatMap((wick): Feed[] => {
    if (wick.index === null) {
      return [{ discs: null, curve: flowCurve((s) => wick.flowAt(level, s) / beds) }];
    }
    const group = planter.partGroups.find(
      ({ kind, index }) => kind === wick.kind && index === wick.index,
    );
    if (!group || group.parts.length === 0) return [];
    const spread = group.kind === 'cloth' ? group.spec.spread : 0;
    const all = discsOf(group).map((one) => ({
      x: one.x - place.x,
      y: one.y - place.y,
      r: Math.max(one.r, spread),
    }));
    const { a, b } = planter.bed.inside.outlineAt(0);
    const discs = beds > 1 ? all.filter(({ x, y }) => Math.abs(x) <= a && Math.abs(y) <= b) : all;
    if (discs.length === 0) return [];
    return [{ discs, curve: flowCurve((s) => wick.flowAt(level, s) / all.length) }];
  });
}

/** Plants of the bed at its thirstiest, seen from its middle: discs as wide as their roots reach. */
function plantsOf(planter: Planter): Circle[] {
  const { crops } = planter.design.planting;
  const { day } = peakOf(planter.design.planting);
  const place = planter.bed.places[0] ?? { x: 0, y: 0 };
  const { a, b } = planter.bed.inside.outlineAt(planter.heights.surface - planter.bed.floor);
  return plantingPlan(planter)
    .places.filter(({ of }) => standsOn(crops[of] as Planted, day))
    .map(({ x, y, of }) => {
      const { spacing, foliage } = crops[of] as Planted;
      return { x: x - place.x, y: y - place.y, r: Math.max(spacing, foliage) / 2 };
    })
    .filter(({ x, y }) => Math.abs(x) <= a && Math.abs(y) <= b);
}

/** Whether the left half of some discs is as the right one, and the front as the back. */
function alike(discs: readonly Circle[]): { alikeX: boolean; alikeY: boolean } {
  const has = (x: number, y: number, r: number): boolean =>
    discs.some((d) => Math.hypot(d.x - x, d.y - y) < 2e-3 && Math.abs(d.r - r) < 1e-6);
  return {
    alikeX: discs.every(({ x, y, r }) => has(-x, y, r)),
    alikeY: discs.every(({ x, y, r }) => has(x, -y, r)),
  };
}

/** Sand and mixes by layer of boxes. */
function mediaOf(planter: Planter, { nz, dz, z0 }: Grid): HydraulicTable[] {
  const { design, heights } = planter;
  const beds = soilBeds(planter);
  let below = z0;
  const grains = grainsIn(design).flatMap(({ what, thickness }) => {
    below += thickness;
    const grain = grainOf(what);
    return grain ? [{ to: below, matter: grain }] : [];
  });
  return Array.from({ length: nz }, (_, k) => {
    const z = z0 + (k + 0.5) * dz;
    const grain = z < heights.base ? grains.find(({ to }) => z <= to) : undefined;
    const mix = beds.find(({ to }) => z <= to)?.mix ?? mixOf(design.soil);
    return hydraulicTableFor(grain?.matter ?? mix);
  });
}

/** Looks across a box, each way, at how much of it a disc covers. */
const LOOKS = 4;

/** The wicks at the base: each column of boxes has its part of each wick's flow. */
function bottomOf(grid: Grid, feeds: readonly Feed[]): Problem['bottom'] {
  const columns = grid.nx * grid.ny;
  const parts = feeds.map(({ discs, curve }) => {
    const share = new Float64Array(columns);
    let whole = 0;
    for (let c = 0; c < columns; c += 1) {
      const covered = discs ? coveredOf(grid, c, discs) : 1;
      share[c] = (grid.base[c] as number) * covered;
      whole += share[c] as number;
    }
    // A disc that lies in more than this part of the body has its flow in all of them.
    const count = (discs?.length ?? 1) / (whole > 0 ? whole * grid.times : 1);
    return { curve, share: share.map((one) => one * count) };
  });
  const one = new Float64Array(2);
  return (column, h, out) => {
    out[0] = 0;
    out[1] = 0;
    for (const { curve, share } of parts) {
      const part = share[column] as number;
      if (part === 0) continue;
      // From the middle of the lowest box down to the base.
      curve(-(h + grid.dz / 2), one);
      out[0] += part * (one[0] as number);
      out[1] -= part * (one[1] as number);
    }
  };
}

function coveredOf(grid: Grid, column: number, discs: readonly Circle[]): number {
  if (isRings(grid)) return coveredOfRing(grid, column, discs);
  const { x, y } = columnAt(grid, column);
  const { dx, dy } = grid;
  let inside = 0;
  for (let u = 0; u < LOOKS; u += 1) {
    for (let v = 0; v < LOOKS; v += 1) {
      const px = x + ((u + 0.5) / LOOKS - 0.5) * dx;
      const py = y + ((v + 0.5) / LOOKS - 0.5) * dy;
      if (discs.some((d) => Math.hypot(px - d.x, py - d.y) <= Math.max(d.r, dx / 2))) inside += 1;
    }
  }
  return inside / LOOKS ** 2;
}

/** Evaporation, shared by the surface, less where that has dried. @param sun m³/s of the grid's part */
function surfaceOf(grid: Grid, sun: number): Problem['top'] {
  const { up, nz } = grid;
  const columns = grid.nx * grid.ny;
  let whole = 0;
  for (let c = 0; c < columns; c += 1) whole += up[c * nz + nz - 1] as number;
  return (column, h, out) => {
    const open = up[column * nz + nz - 1] as number;
    surfaceGives((sun * open) / Math.max(whole, 1e-12), h, out);
  };
}

/** Roots about the plants' places, most near the surface, none in sand below the soil. */
function rootsIn(
  grid: Grid,
  plants: readonly Circle[],
  base: number,
  surface: number,
): Float64Array {
  const { nz, dz, z0, volume } = grid;
  const roots = new Float64Array(volume.length);
  let sum = 0;
  for (let c = 0; c < grid.nx * grid.ny; c += 1) {
    const { x, y } = columnAt(grid, c);
    const near = plants.reduce(
      (all, p) => all + Math.exp(-(((x - p.x) ** 2 + (y - p.y) ** 2) / p.r ** 2)),
      0,
    );
    for (let k = 0; k < nz; k += 1) {
      const z = z0 + (k + 0.5) * dz;
      if (z < base) continue;
      const depth = 1 - (0.7 * (surface - z)) / (surface - base);
      roots[c * nz + k] = near * depth * (volume[c * nz + k] as number);
      sum += roots[c * nz + k] as number;
    }
  }
  return sum > 0 ? roots.map((one) => one / sum) : roots;
}

/** What roots take (Feddes and others 1978; Jarvis 1989), as in the season. */
function uptake(
  roots: Float64Array,
  thirst: number,
  h: Float64Array,
  taken: Float64Array,
  slope: Float64Array,
): void {
  let both = 0;
  for (let c = 0; c < h.length; c += 1) {
    const root = roots[c] as number;
    taken[c] = root === 0 ? 0 : root * shareOf(h[c] as number);
    both += taken[c] as number;
  }
  const scale = both > 0 ? (thirst * Math.min(both / ENOUGH, 1)) / both : 0;
  for (let c = 0; c < h.length; c += 1) {
    const root = roots[c] as number;
    slope[c] = root === 0 ? 0 : scale * root * slopeOf(h[c] as number);
    taken[c] = (taken[c] as number) * scale;
  }
}
