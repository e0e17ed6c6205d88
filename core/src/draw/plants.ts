import { cropOf } from '../catalog';
import { rootLimit } from '../crop';
import { discsOf, rootWays, type Planter } from '../planter';
import { bedsInSection } from './contents';
import { area, line, type Point, type Shape } from './shape';

/** Plants are drawn no taller than this, or than this share of the planter, so that it keeps its size. */
const TALLEST = 0.13;
const TALLEST_SHARE = 0.3;
/** How far the topmost leaf stands over its twig, as a share of the height. */
const LEAF_TIP = 0.2;
/** Plants drawn side by side in one bed at the least, where there are as many, and at the most. */
const FEW = 3;
const MOST_DRAWN = 8;

/** Height that the drawn foliage needs above the soil, metres. */
export function foliageHeight({ design, heights }: Planter): number {
  const { planting } = design;
  if (planting.count === 0) return 0;
  const tallest = Math.max(TALLEST, TALLEST_SHARE * (heights.rim - heights.base));
  const grown = Math.max(planting.foliage, cropOf(planting.crop).roots) * 0.45;
  return Math.min(grown, tallest) * (1 + LEAF_TIP);
}

/**
 * A sketch of roots and leaves, always the same.
 *
 * @param tip how far down the roots are, metres above the inside floor
 */
export function plantsOf(planter: Planter, tip = grownTip(planter)): Shape[] {
  const { design, heights, bed } = planter;
  const { planting } = design;
  const places = bedsInSection(planter);
  const R = bed.inside.halfAt(heights.surface - bed.floor);
  const each = Math.ceil(planting.count / bed.places.length);
  const fitting = Math.round((2 * R) / planting.spacing);
  const drawn = Math.min(each, Math.min(Math.max(FEW, fitting), MOST_DRAWN));
  const [stands] = planter.of('tube').flatMap(discsOf);
  const tube = stands && places.length === 1 ? stands.r : 0;
  const depth = heights.surface - Math.max(tip, heights.base);
  const height = foliageHeight(planter) / (1 + LEAF_TIP);
  return places
    .slice(0, planting.count)
    .flatMap((place, p) =>
      Array.from({ length: drawn }, (_, i) => {
        const x = place.x + ((i + 0.5) / drawn - 0.5) * 2 * (R - tube * 1.4) - tube * 1.1;
        const spread = (R / drawn) * 0.75;
        const id = `${p}-${i}`;
        const leaves = Math.min(planting.foliage / 2, spread * 1.15);
        return [
          ...rootsAt(`root-${id}`, x, heights.surface, depth, Math.min(spread, depth * 0.6)),
          ...leavesAt(`leaf-${id}`, x, heights.surface, height, leaves),
        ];
      }).flat(),
    )
    .concat(planting.count > 0 ? rootsBelow(planter, tip) : []);
}

/** How far down the roots of grown plants are: at the water where they have a way there. */
export function grownTip(planter: Planter): number {
  const { design, heights } = planter;
  const limit = heights.surface - rootLimit(design.planting.crop);
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
  if (tip >= base - 1e-3) return [];
  return planter.wicks.flatMap((wick): Shape[] => {
    if (wick.throat <= 0) return [];
    const to = Math.max(tip, wick.foot);
    const lot = planter.lots.find(({ kind, index }) => kind === wick.kind && index === wick.index);
    if (lot) {
      // Those that the section goes through.
      const cut = discsOf(lot).filter(({ y, r }) => Math.abs(y) < r);
      return cut.flatMap(({ x, r }, i) =>
        rootsAt(`root-down-${lot.id}-${i}`, x, base, base - to, r * 0.7, STRANDS),
      );
    }
    return freeToGrow(planter, (base + to) / 2).flatMap((x, i) =>
      rootsAt(`root-down-${i}`, x, base, base - to, APART * 0.25, STRANDS),
    );
  });
}

function rootsAt(
  id: string,
  x: number,
  top: number,
  depth: number,
  spread: number,
  strands = 5,
): Shape[] {
  return Array.from({ length: strands }, (_, k) => {
    const lean = (k - (strands - 1) / 2) / ((strands - 1) / 2);
    const reach = depth * (1 - 0.35 * Math.abs(lean));
    const points = Array.from({ length: 7 }, (_unused, s): Point => {
      const t = s / 6;
      const wander = Math.sin(t * 9 + k * 2.3) * 0.05 * spread * t;
      return [x + lean * spread * t ** 0.7 + wander, top - reach * t];
    });
    return line(`${id}-${k}`, 'root', points);
  });
}

function leavesAt(id: string, x: number, base: number, height: number, spread: number): Shape[] {
  const stems = 5;
  return Array.from({ length: stems }, (_, k) => {
    const lean = (k - (stems - 1) / 2) / ((stems - 1) / 2);
    const tip: Point = [x + lean * spread, base + height * (1 - 0.3 * Math.abs(lean))];
    const bend: Point = [x + lean * spread * 0.35, base + height * 0.5];
    const leaf = height * 0.16;
    return [
      line(`${id}-stem-${k}`, 'stem', [[x, base], bend, tip]),
      leafShape(`${id}-tip-${k}`, bend, tip, leaf),
      ...(k === 2 ? [] : [leafShape(`${id}-side-${k}`, [x, base], bend, leaf * 0.8)]),
    ];
  }).flat();
}

/** A pointed oval at the far end of a twig. */
function leafShape(id: string, from: Point, to: Point, size: number): Shape {
  const dx = to[0] - from[0];
  const dz = to[1] - from[1];
  const length = Math.hypot(dx, dz) || 1;
  const [ux, uz] = [dx / length, dz / length];
  const at = (along: number, across: number): Point => [
    to[0] + ux * along * size - uz * across * size,
    to[1] + uz * along * size + ux * across * size,
  ];
  return area(id, 'leaf', [
    at(-1.3, 0),
    at(-0.5, 0.44),
    at(0.3, 0.36),
    at(1.1, 0),
    at(0.3, -0.36),
    at(-0.5, -0.44),
  ]);
}

/** Places along the section where nothing hollow is in the way of roots at a height, about a hand apart. */
function freeToGrow(planter: Planter, z: number): number[] {
  if (planter.bed.separate) return bedsInSection(planter).map(({ x }) => x);
  const hollow = (['lying', 'standing', 'crates', 'arch', 'ring'] as const).flatMap((kind) =>
    planter.of(kind).flatMap(({ pieces }) =>
      pieces.map(({ x, foot }): [number, number] => {
        const half =
          foot.form === 'box'
            ? foot.a
            : foot.form === 'none' || foot.form === 'outline'
              ? 0
              : foot.r;
        return [x, half];
      }),
    ),
  );
  const half = planter.vessel.halfAt(z) - APART * 0.25;
  const free: number[] = [];
  for (let x = -half; x <= half + 1e-9; x += APART / 6) {
    const clear = hollow.every(([at, r]) => Math.abs(x - at) > r + 0.005);
    const last = free[free.length - 1];
    if (clear && (last === undefined || x - last >= APART)) free.push(x);
  }
  return free;
}
