import { cropIn, type PlanterDesign } from '../../document';
import {
  plantingPlan,
  soilBeds,
  type PartGroup,
  type PartKind,
  type Planter,
} from '../../assembly';
import { frustumCell, loopOf, withoutWedge, type Cell, type Plane, type Vec3 } from './cell';
import type { RoundInk } from './partRound';
import { cellsOf, lookOf } from './parts';
import { filling } from './solids';
import type { SceneFace } from './view';

/** What stands in a planter, ready to be looked at. */

/** How what is drawn stands in a picture: as it is, as it was there before, or as what comes now. */
export type Standing = 'plain' | 'before' | 'now';

export interface RoundStyle {
  ink: RoundInk;
  standing: Standing;
}

/** What is to be seen. */
export interface SceneOptions {
  /** How each group of parts stands; null leaves it out. Soil, plants and water have names of their own. */
  standing(id: string): Standing | null;
  /** Bearing of the middle of the wedge that is cut away, radians, and its half width; null for none. */
  cut: { bearing: number; half: number } | null;
  /** How high water stands, metres; null for none. */
  water: number | null;
  /** How far each group is lifted, metres. */
  lift?(id: string): number;
}

export interface Scene {
  faces: SceneFace[];
  styles: RoundStyle[];
}

/** Names of what is no group of parts. */
export const SOIL = 'soil';
export const PLANTS = 'plants';
export const WATER = 'water';

/** Planes of an upright wedge about the middle, its inner side within both. */
function wedgeOf({ bearing, half }: { bearing: number; half: number }): [Plane, Plane] {
  const side = (turn: number, sign: 1 | -1): Plane => ({
    n: [-sign * Math.sin(turn), sign * Math.cos(turn), 0],
    d: 0,
  });
  return [side(bearing + half, 1), side(bearing - half, -1)];
}

/** What stands so near to the edge of the wedge still has its foot on something, metres. */
const NEAR_APEX = 0.01;

/** Gathers faces, each with the style that it is drawn in. */
class Gatherer {
  readonly faces: SceneFace[] = [];
  readonly styles: RoundStyle[] = [];

  constructor(private readonly options: SceneOptions) {}

  private styleOf(ink: RoundInk, standing: Standing): number {
    const known = this.styles.findIndex((one) => one.ink === ink && one.standing === standing);
    if (known >= 0) return known;
    this.styles.push({ ink, standing });
    return this.styles.length - 1;
  }

  /** Whether what stands at a place would stand on nothing, because it is cut away there. */
  cutAwayAt(x: number, y: number): boolean {
    if (!this.options.cut) return false;
    return wedgeOf(this.options.cut).every(({ n }) => n[0] * x + n[1] * y < -NEAR_APEX);
  }

  /** @param id of the part, by which its edges are found; @param of what it stands for */
  cells(id: string, of: string, ink: RoundInk, cells: readonly Cell[], opened = false): void {
    const standing = this.options.standing(of);
    if (!standing) return;
    const wedge = opened && this.options.cut ? wedgeOf(this.options.cut) : null;
    const left = wedge ? cells.flatMap((cell) => withoutWedge(cell, wedge)) : cells;
    for (const { faces } of left)
      for (const { points, kind } of faces) this.face(id, of, ink, standing, points, kind);
  }

  sheet(id: string, of: string, ink: RoundInk, points: readonly Vec3[]): void {
    const standing = this.options.standing(of);
    if (standing) this.face(id, of, ink, standing, points, 'skin', true);
  }

  private face(
    id: string,
    of: string,
    ink: RoundInk,
    standing: Standing,
    points: readonly Vec3[],
    kind: SceneFace['kind'],
    twoSided = false,
  ): void {
    const up = this.options.lift?.(of) ?? 0;
    this.faces.push({
      points: up === 0 ? points : points.map(([x, y, z]): Vec3 => [x, y, z + up]),
      ...{ kind, part: id, of, twoSided, clear: ink === 'water' },
      style: this.styleOf(ink, standing),
    });
  }
}

/** Everything of a planter that is to be seen. */
export function sceneOf(planter: Planter, options: SceneOptions): Scene {
  const gatherer = new Gatherer(options);
  for (const group of planter.partGroups) groupOf(planter, group, gatherer);
  soil(planter, gatherer);
  plants(planter, gatherer);
  if (options.water !== null && options.water > 1e-4)
    gatherer.cells(
      WATER,
      WATER,
      'water',
      filling(planter.vessel, 0, options.water, undefined, 0.0012),
    );
  return { faces: gatherer.faces, styles: gatherer.styles };
}

/** A group of parts: their bodies, floors and what lies on their faces. */
function groupOf(planter: Planter, group: PartGroup, gatherer: Gatherer): void {
  const look = lookOf(group);
  const any = group as PartGroup<PartKind>;
  const ink = look.ink(any);
  for (const part of group.parts) {
    gatherer.cells(part.id, group.id, ink, cellsOf(group, part, planter), look.opened);
    look.marks?.(any, part, planter).forEach(({ points }, i) => {
      const [x, y] = middleOf(points);
      // What is cut open has no marks where it is cut away.
      if (!look.opened || !gatherer.cutAwayAt(x, y))
        gatherer.sheet(`${part.id}-mark-${i}`, group.id, 'opening', points);
    });
  }
  look
    .floors?.(any, planter)
    .forEach((cells, i) => gatherer.cells(`${group.id}-floor-${i}`, group.id, ink, cells));
}

const middleOf = (points: readonly Vec3[]): [number, number] => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
];

/** Growing mix in all beds. */
function soil(planter: Planter, gatherer: Gatherer): void {
  const { bed } = planter;
  for (const { part, from, to } of soilBeds(planter))
    bed.places.forEach(({ x, y }, i) =>
      gatherer.cells(
        `${SOIL}-${part}-${i}`,
        SOIL,
        'soil',
        filling(bed.inside, from - bed.floor, to - bed.floor, { x, y, z: bed.floor }),
        true,
      ),
    );
  const mulched = planter.of('mulch')[0];
  if (mulched && planter.design.soil.mulch === 'straw')
    bed.places.forEach(({ x, y }, i) => {
      const top = planter.heights.surface - bed.floor;
      const to = Math.min(top + MULCH, bed.inside.depth - 0.001);
      gatherer.cells(
        `mulch-${i}`,
        mulched.id,
        'straw',
        filling(bed.inside, top + 0.0005, to, { x, y, z: bed.floor }),
        true,
      );
    });
}

/** Straw or chip on the soil is drawn so thick, metres. */
const MULCH = 0.012;

/** Most plants that are drawn, and leaves of each in a tier. */
const MOST_PLANTS = 40;
const LEAVES = 6;
/** Tall crops are drawn at most so high, metres, or the planter would be a dot below them. */
const MOST_HIGH = 0.5;

function plants(planter: Planter, gatherer: Gatherer): void {
  const { heights, design } = planter;
  const { places } = plantingPlan(planter);
  const stand = places.filter(({ x, y }) => !gatherer.cutAwayAt(x, y));
  for (const [i, { of, x, y }] of (stand.length > 0 ? stand : places)
    .slice(0, MOST_PLANTS)
    .entries())
    onePlant(`${PLANTS}-${i}`, design, of, x, y, heights.surface, gatherer);
}

function onePlant(
  id: string,
  { planting }: PlanterDesign,
  of: number,
  x: number,
  y: number,
  z: number,
  gatherer: Gatherer,
): void {
  const planted = planting.crops[of];
  if (!planted) return;
  const { height } = cropIn(planted);
  const tall = Math.min(height, MOST_HIGH);
  const reach = Math.min(planted.foliage / 2, tall * 0.9);
  const stem = Math.max(tall * 0.012, 0.0025);
  const ring = (at: number) => ({
    z: at,
    loop: loopOf({ a: stem, b: stem, c: stem }, 1).map(([u, v]) => [x + u, y + v] as const),
  });
  gatherer.cells(`${id}-stem`, PLANTS, 'leaf', [frustumCell(ring(z), ring(z + tall * 0.9))]);
  const tiers = tall > 0.3 ? 3 : 2;
  for (let tier = 0; tier < tiers; tier += 1) {
    const from = z + tall * (0.3 + (0.55 * tier) / tiers);
    const long = reach * (1 - 0.22 * tier);
    for (let k = 0; k < LEAVES; k += 1) {
      const t = (2 * Math.PI * (k + tier / 2)) / LEAVES;
      gatherer.sheet(`${id}-leaf-${tier}-${k}`, PLANTS, 'leaf', leaf(x, y, from, t, long, tall));
    }
  }
}

/** A leaf that rises a little on its way out. */
function leaf(x: number, y: number, z: number, t: number, long: number, tall: number): Vec3[] {
  const [c, s] = [Math.cos(t), Math.sin(t)];
  const at = (along: number, aside: number): Vec3 => [
    x + along * c - aside * s,
    y + along * s + aside * c,
    z + (along / Math.max(long, 1e-6)) * tall * 0.16,
  ];
  const wide = long * 0.22;
  return [at(0.15 * long, 0), at(0.5 * long, -wide), at(long, 0), at(0.5 * long, wide)];
}
