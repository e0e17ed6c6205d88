import { countOf, deepestRoots, peakOf, standsOn } from '../physics/crop';
import { cropIn, type Planted } from '../document';
import {
  BEARERS,
  discsOf,
  plantingPlan,
  rootWays,
  type Planter,
  type PlantPlace,
} from '../assembly';
import { bedsInSection } from './contents';
import { plantShapes, supportShapes } from './habits';
import { line, type Point, type Shape } from './shape';

/** Plants are drawn no taller than this, or than this share of the planter, so that it keeps its size. */
const TALLEST = 0.13;
const TALLEST_SHARE = 0.3;
/** How far the topmost leaf stands over its twig, as a share of the height. */
const LEAF_TIP = 0.2;
/** Plants drawn side by side at the most. */
const MOST_DRAWN = 10;
/** Plants that stand nearer along the section than this are behind one another, metres. */
const SAME = 0.05;

/** Plantings that are drawn: those that stand there at the thirstiest time, or on a day of a season. */
const drawnOn = ({ design: { planting } }: Planter, day = peakOf(planting).day): number[] =>
  planting.crops.flatMap((planted, i) =>
    planted.count > 0 && standsOn(planted, Math.max(day, 0)) ? [i] : [],
  );

/** How tall a planting is drawn, metres: the tallest as tall as the picture bears, the others by their share. */
function heightsOf(planter: Planter): (of: number) => number {
  const { design, heights } = planter;
  const most = Math.max(TALLEST, TALLEST_SHARE * (heights.rim - heights.base));
  const own = design.planting.crops.map((planted) => cropIn(planted).height);
  const top = Math.max(...own, 0.01);
  const tallest = Math.min(most, top * 0.6);
  // By the root, so that low ones are still seen beside tall ones.
  return (of) => tallest * Math.sqrt((own[of] ?? 0) / top);
}

/** Height that the drawn foliage needs above the soil, metres. */
export function foliageHeight(planter: Planter): number {
  const drawn = drawnOn(planter);
  if (drawn.length === 0) return 0;
  const tall = heightsOf(planter);
  return Math.max(...drawn.map(tall)) * (1 + LEAF_TIP);
}

/**
 * A sketch of roots, leaves and what holds them up, always the same.
 *
 * @param tip how far down the roots are, metres above the inside floor
 * @param day after the first planting; the thirstiest where it is left out
 */
export function plantsOf(planter: Planter, tip = grownTip(planter), day?: number): Shape[] {
  const drawn = drawnOn(planter, day);
  if (drawn.length === 0) return [];
  return [...sketched(planter, tip, drawn), ...rootsBelow(planter, tip)];
}

/** A sketch for each plan of plants: a line that is dragged leaves most plants as they were. */
const sketches = new WeakMap<readonly PlantPlace[], { key: string; shapes: Shape[] }>();

/** The plants themselves, with the roots in their own soil. @param drawn plantings that are */
function sketched(planter: Planter, tip: number, drawn: readonly number[]): Shape[] {
  const { rim, base, surface } = planter.heights;
  const { places } = plantingPlan(planter);
  const far = reachOf(planter) + OVER;
  const depth = surface - Math.max(tip, base);
  const key = [rim, base, surface, far, depth, ...drawn].join();
  const before = sketches.get(places);
  if (before?.key === key) return before.shapes;
  const shapes = sketchesOf(planter, depth, far, drawn);
  sketches.set(places, { key, shapes });
  return shapes;
}

/** @param depth of soil that roots are in, and how far leaves may reach from the middle, metres */
function sketchesOf(
  planter: Planter,
  depth: number,
  far: number,
  drawn: readonly number[],
): Shape[] {
  const { design, heights } = planter;
  const tall = heightsOf(planter);
  const { places } = plantingPlan(planter);
  const inside = withinWalls(planter);
  const seen = inSection(places.filter(({ of }) => drawn.includes(of)));
  return seen.flatMap(({ x, of, room }, i) => {
    const planted = design.planting.crops[of] as Planted;
    const { habit, roots } = cropIn(planted);
    const id = `${i}`;
    const deep = Math.min(depth, Math.max(roots * DEEPER, depth * 0.5));
    const spread = Math.max(Math.min(planted.foliage / 2, room * 1.3, far - Math.abs(x)), 0.03);
    const at = { id: `leaf-${id}`, x, base: heights.surface, height: tall(of), spread };
    return [
      ...rootsAt(
        `root-${id}`,
        x,
        heights.surface,
        deep,
        Math.min(spread * 0.9, deep * 0.6),
        inside,
      ),
      ...supportShapes(planted.support, at),
      ...plantShapes(habit, at),
    ];
  });
}

/** How far the beds reach to either side, and leaves are drawn beyond, metres. */
const reachOf = ({ bed }: Planter): number =>
  Math.max(...bed.places.map(({ x }) => Math.abs(x))) + bed.inside.halfAt(bed.inside.depth);
const OVER = 0.04;

/** Roots of a crop are drawn so much deeper than the root room that it asks for, where there is soil. */
const DEEPER = 1.6;

/** Plants that are seen in the section, from left to right, at most so many; `room` to either side. */
function inSection(places: readonly PlantPlace[]): { x: number; of: number; room: number }[] {
  const all: PlantPlace[] = [];
  for (const place of [...places].sort((a, b) => a.x - b.x || a.y - b.y)) {
    const same = all.findLast(({ of }) => of === place.of);
    // Those behind one another are seen as one.
    if (!same || place.x - same.x > SAME) all.push(place);
  }
  const chosen =
    all.length <= MOST_DRAWN
      ? all
      : Array.from(
          { length: MOST_DRAWN },
          (_, i) => all[Math.floor(((i + 0.5) * all.length) / MOST_DRAWN)] as PlantPlace,
        );
  return chosen.map(({ x, of, r }, i) => {
    const left = i > 0 ? x - (chosen[i - 1] as PlantPlace).x : Infinity;
    const right = i < chosen.length - 1 ? (chosen[i + 1] as PlantPlace).x - x : Infinity;
    const between = Math.min(left, right, 2 * r + WIDE) / 2;
    return { x, of, room: Math.max(between, r * LEAST_ROOM) };
  });
}

/** Leaves are drawn so far beyond half the spacing where nothing is beside them, and over what is beside them. */
const WIDE = 0.2;
const LEAST_ROOM = 0.6;

/** How far down the roots of grown plants are: at the water where they have a way there. */
export function grownTip(planter: Planter): number {
  const { design, heights } = planter;
  const limit = heights.surface - deepestRoots(design.planting);
  const ways = rootWays(planter);
  const water = ways.length > 0 ? Math.min(heights.brim, heights.base) : heights.base;
  return Math.max(limit, water);
}

/** Strands that a way through the base is drawn with, and how far apart they are where all of it is one. */
const STRANDS = 3;
const APART = 0.12;

/** Roots below the soil: down packed cups and columns, and through what fills the base. */
function rootsBelow(planter: Planter, tip: number): Shape[] {
  const { base } = planter.heights;
  if (tip >= base - 1e-3 || countOf(planter.design.planting) === 0) return [];
  const inside = withinWalls(planter);
  return planter.wicks.flatMap((wick): Shape[] => {
    if (wick.throat <= 0) return [];
    const to = Math.max(tip, wick.foot);
    const group = planter.partGroups.find(
      ({ kind, index }) => kind === wick.kind && index === wick.index,
    );
    if (group) {
      // Those that the section goes through.
      const cut = discsOf(group).filter(({ y, r }) => Math.abs(y) < r);
      return cut.flatMap(({ x, r }, i) =>
        rootsAt(`root-down-${group.id}-${i}`, x, base, base - to, r * 0.7, inside, STRANDS),
      );
    }
    return freeToGrow(planter, (base + to) / 2).flatMap((x, i) =>
      rootsAt(`root-down-${i}`, x, base, base - to, APART * 0.25, inside, STRANDS),
    );
  });
}

/** Roots turn down where they meet the wall: so far from it they are drawn, metres. */
const FROM_WALL = 0.006;

/** Keeps a place of the section within the walls of its bed, or of the vessel below it. */
function withinWalls({ bed, vessel, heights }: Planter): (x: number, z: number) => number {
  return (x, z) => {
    const soil = bed.separate && z >= heights.base;
    const middle = soil
      ? bed.places.reduce(
          (near, at) => (Math.abs(at.x - x) < Math.abs(near - x) ? at.x : near),
          bed.places[0]?.x ?? 0,
        )
      : 0;
    const half = soil ? bed.inside.halfAt(z - bed.floor) : vessel.halfAt(Math.max(z, 0));
    const most = Math.max(half - FROM_WALL, 0);
    return middle + Math.min(Math.max(x - middle, -most), most);
  };
}

function rootsAt(
  id: string,
  x: number,
  top: number,
  depth: number,
  spread: number,
  inside: (x: number, z: number) => number,
  strands = 5,
): Shape[] {
  return Array.from({ length: strands }, (_, k) => {
    const lean = (k - (strands - 1) / 2) / ((strands - 1) / 2);
    const reach = depth * (1 - 0.35 * Math.abs(lean));
    const points = Array.from({ length: 7 }, (_unused, s): Point => {
      const t = s / 6;
      const wander = Math.sin(t * 9 + k * 2.3) * 0.05 * spread * t;
      const z = top - reach * t;
      return [inside(x + lean * spread * t ** 0.7 + wander, z), z];
    });
    return line(`${id}-${k}`, 'root', points);
  });
}

/** Places along the section where nothing hollow is in the way of roots at a height, about a hand apart. */
function freeToGrow(planter: Planter, z: number): number[] {
  if (planter.bed.separate) return bedsInSection(planter).map(({ x }) => x);
  const hollow = planter.partGroups
    .filter(({ kind }) => BEARERS.includes(kind))
    .flatMap(({ parts }) => parts)
    .flatMap(({ x, foot }): [number, number][] => {
      // Where roots grow between the sticks, nothing is in their way.
      if (foot.form === 'none' || foot.form === 'outline') return [];
      return [[x, foot.form === 'box' ? foot.a : foot.r]];
    });
  const half = planter.vessel.halfAt(z) - APART * 0.25;
  const free: number[] = [];
  for (let x = -half; x <= half + 1e-9; x += APART / 6) {
    const clear = hollow.every(([at, r]) => Math.abs(x - at) > r + 0.005);
    const last = free[free.length - 1];
    if (clear && (last === undefined || x - last >= APART)) free.push(x);
  }
  return free;
}
