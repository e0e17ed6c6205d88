import { cropIn, type PlanterDesign } from '../../document';
import {
  drilledTo,
  platformOpenings,
  plantingPlan,
  soilBeds,
  type PartGroup,
  type PartKind,
  type Planter,
} from '../../assembly';
import { frustumCell, loopOf, withoutWedge, type Cell, type Plane, type Vec3 } from './cell';
import { cellsOf, filling, floorOf } from './solids';
import type { SceneFace } from './view';

/** What stands in a planter, ready to be looked at. */

/** What a face is inked as. */
export type RoundInk =
  | 'wall'
  | 'support'
  | 'clear'
  | 'platform'
  | 'pipe'
  | 'cloth'
  | 'stone'
  | 'sand'
  | 'soil'
  | 'straw'
  | 'wood'
  | 'leaf'
  | 'water'
  | 'film'
  | 'opening';

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

/** What is cut open with the vessel; wicks, tubes and what stands on the floor stay whole. */
const CUT_OPEN: readonly PartKind[] = [
  'vessel',
  'liner',
  'platform',
  'layer',
  'mulch',
  'fill',
  'nested',
  'neck',
  'row',
  'bag',
  'ring',
];

const STONES = ['gravel', 'pea-gravel', 'crushed', 'rock', 'brick'];

function inkOf(group: PartGroup): RoundInk {
  switch (group.kind) {
    case 'vessel':
    case 'nested':
    case 'neck':
    case 'row':
      return group.kind === 'vessel' && group.spec.kind === 'frame' ? 'wood' : 'wall';
    case 'liner':
      return 'film';
    case 'platform':
      return 'platform';
    case 'cloth':
    case 'bag':
      return 'cloth';
    case 'tube':
    case 'inspection':
    case 'worm':
    case 'lying':
      return 'pipe';
    case 'column':
      return group.spec.medium === 'mix' ? 'soil' : 'sand';
    case 'cup':
      return 'support';
    case 'sticks':
      return 'wood';
    case 'mulch':
      return 'straw';
    case 'fill':
      return group.spec.medium === 'mix'
        ? 'soil'
        : STONES.some((one) => group.spec.medium.includes(one))
          ? 'stone'
          : 'sand';
    case 'layer':
      return 'sand';
    case 'standing':
      return group.spec.what === 'bottle' || group.spec.what === 'jug' ? 'clear' : 'support';
    default:
      return 'support';
  }
}

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

/** How far a mark lies over what it marks, metres. */
const OVER = 0.0004;

/** Everything of a planter that is to be seen. */
export function sceneOf(planter: Planter, options: SceneOptions): Scene {
  const gatherer = new Gatherer(options);
  for (const group of planter.partGroups) {
    const opened = CUT_OPEN.includes(group.kind);
    for (const part of group.parts)
      gatherer.cells(part.id, group.id, inkOf(group), cellsOf(group, part, planter), opened);
    floorsOf(planter, group).forEach((cells, i) =>
      gatherer.cells(`${group.id}-floor-${i}`, group.id, inkOf(group), cells),
    );
  }
  openings(planter, gatherer);
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

/** Floors of the vessel, or of beds of their own: they stay whole where the walls are cut open. */
function floorsOf({ vessel, bed }: Planter, group: PartGroup): Cell[][] {
  switch (group.kind) {
    case 'vessel':
      return vessel.flat && (group.spec.kind !== 'frame' || group.spec.legs > 0)
        ? [floorOf(vessel)]
        : [];
    case 'nested':
    case 'row':
    case 'bag':
      return bed.places.map(({ x, y }) => floorOf(bed.inside, { x, y, z: bed.floor }));
    default:
      return [];
  }
}

/** Holes of the sheet and of the wall, as marks on both their faces. */
function openings(planter: Planter, gatherer: Gatherer): void {
  const sheet = planter.partGroups.find(({ kind }) => kind === 'platform');
  if (sheet && planter.platformOutline) {
    platformOpenings(planter).forEach((hole, i) => {
      if (gatherer.cutAwayAt(hole.x, hole.y)) return;
      const r = drilledTo(hole) / 2;
      for (const z of [sheet.parts[0]!.to + OVER, sheet.parts[0]!.from - OVER])
        gatherer.sheet(
          `${sheet.id}-hole-${i}-${z > sheet.parts[0]!.from}`,
          sheet.id,
          'opening',
          discAt(hole.x, hole.y, z, r),
        );
    });
  }
  for (const group of planter.partGroups) {
    if (group.kind !== 'hole' && group.kind !== 'fitting' && group.kind !== 'rows') continue;
    for (const part of group.parts) {
      const r = (part.to - part.from) / 2;
      const away = Math.hypot(part.x, part.y) || 1;
      const [ux, uy] = [part.x / away, part.y / away];
      for (const out of [planter.vessel.wall + 2 * OVER + 0.0025, -2 * OVER]) {
        const [x, y] = [part.x + ux * out, part.y + uy * out];
        const z = (part.from + part.to) / 2;
        const points = Array.from({ length: 14 }, (_, i): Vec3 => {
          const t = (2 * Math.PI * i) / 14;
          return [x - uy * r * Math.cos(t), y + ux * r * Math.cos(t), z + r * Math.sin(t)];
        });
        gatherer.sheet(`${part.id}-${out > 0}`, group.id, 'opening', points);
      }
    }
  }
}

const discAt = (x: number, y: number, z: number, r: number): Vec3[] =>
  loopOf({ a: r, b: r, c: r }, 4).map(([u, v]): Vec3 => [x + u, y + v, z]);

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
