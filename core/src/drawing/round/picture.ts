import { nameOf, type PartGroup, type PartKind, type Planter } from '../../assembly';
import type { Named } from './labels';
import { linesOf } from './lines';
import { TIERS } from './partRound';
import { lookOf } from './parts';
import { PLANTS, sceneOf, SOIL, WATER, type RoundStyle, type Scene, type Standing } from './scene';
import { grown, type Vessel } from '../../geometry/vessels';
import { dot, loopOf } from './cell';
import {
  axesOf,
  fillsOf,
  projected,
  type Axes,
  type Camera,
  type Fill,
  type Line,
  type Point2,
} from './view';

/** Pictures of a planter in the round: as it stands, and as it grows step by step. */

/** An arrow on the page that says where what is new comes from. */
export interface Arrow {
  from: Point2;
  to: Point2;
}

/** A height above the inside floor that a picture gives, beside the vessel or on what it is marked on. */
interface Measure {
  from: Point2;
  to: Point2;
  /** Metres. */
  value: number;
}

/** A picture on the page: metres, y up. */
export interface RoundPicture {
  /** Back to front. */
  fills: readonly Fill[];
  lines: readonly Line[];
  arrows: readonly Arrow[];
  measures: readonly Measure[];
  styles: readonly RoundStyle[];
  /** What may be named beside it, the most telling first. */
  names: readonly Named[];
  /** What a name’s line may go over: what others stand in. */
  enclosing: ReadonlySet<string>;
  bounds: { left: number; right: number; low: number; top: number };
}

/** Heights of the eye, radians: at the planter, into it, and on a piece that lies flat. */
const LOW = 0.42;
const INTO = 0.56;
const FLAT = 1.0;
/** Half of the wedge that is cut away, radians. */
const HALF_CUT = 1.15;
/** How far the wedge's middle and the eye are from before the overflow, so that both are seen. */
const WEDGE_ASIDE = 1.45;
const EYE_ASIDE = 1.1;

/** The way an eye looks at a bearing: see `axesOf`. */
const turnTo = (bearing: number): number => bearing + Math.PI / 2;

const isOutlet = (group: PartGroup): boolean => lookOf(group).outlet === true;
const isPipe = (group: PartGroup): boolean => lookOf(group).tier === 'pipe';

/** Bearing of the first of some groups from the middle; null where none stands off it. */
function bearingOf(
  groups: readonly PartGroup[],
  wanted: (group: PartGroup) => boolean,
): number | null {
  for (const group of groups.filter(wanted)) {
    const [part] = group.parts;
    if (part && Math.hypot(part.x, part.y) > 1e-3) return Math.atan2(part.y, part.x);
  }
  return null;
}

/** Bearings of the eye and of the wedge that is cut away, from which overflow and tube are both seen. */
export function viewOf({ partGroups }: Pick<Planter, 'partGroups'>): {
  eye: number;
  wedge: number;
} {
  const out = bearingOf(partGroups, isOutlet);
  const tube = bearingOf(partGroups, isPipe);
  if (out === null) return { eye: FRONT, wedge: FRONT };
  const side = (sign: 1 | -1) => ({ eye: out + sign * EYE_ASIDE, wedge: out + sign * WEDGE_ASIDE });
  const [one, other] = [side(1), side(-1)];
  // What stands behind the wedge is seen through it, what stands beside it is in the soil.
  const before = ({ eye }: typeof one): number => (tube === null ? 0 : Math.cos(eye - tube));
  return before(one) <= before(other) ? one : other;
}

/** Where one looks from where nothing says otherwise. */
const FRONT = -Math.PI / 3;

/** What is asked of a picture of the whole planter. */
export interface WholeOptions {
  /** How far it is turned from its usual view, and how high the eye is, radians. */
  turn?: number;
  height?: number;
  /** Half of the wedge that is cut away, radians; 0 for none. */
  open?: number;
  /** How far it is taken apart, 0 to 1. */
  apart?: number;
  /** How high water stands, metres; the full mark where it is left out. */
  water?: number;
}

/** The planter as it stands, cut open. */
export function roundPicture(planter: Planter, options: WholeOptions = {}): RoundPicture {
  const { turn = 0, height = LOW, open = HALF_CUT, apart = 0, water } = options;
  const view = viewOf(planter);
  const lifts = apart > 0 ? liftsOf(planter, apart) : null;
  const scene = sceneOf(planter, {
    standing: () => 'plain',
    cut: open > 0.02 ? { bearing: view.wedge + turn, half: Math.min(open, 1.5) } : null,
    water: apart > 0.02 ? null : (water ?? planter.heights.brim),
    ...(lifts ? { lift: (id: string) => lifts.get(id) ?? 0 } : {}),
  });
  const picture = pictureOf(scene, { turn: turnTo(view.eye) + turn, height });
  return withNames(picture, planter, (id) => id === WATER || !id.startsWith('vessel'));
}

/** Names of what is asked for, and what their lines may go over. */
function withNames(
  picture: RoundPicture,
  { partGroups, design }: Planter,
  wanted: (id: string) => boolean,
): RoundPicture {
  const named: Named[] = [
    ...partGroups
      .filter(({ parts }) => parts.length > 0)
      .map((group) => ({
        of: group.id,
        text: lookOf(group).called?.(group as PartGroup<PartKind>) ?? nameOf(group),
      })),
    { of: SOIL, text: 'mix' },
    { of: WATER, text: 'water' },
    ...(design.planting.crops.length > 0 ? [{ of: PLANTS, text: 'plants' }] : []),
  ];
  const enclosing = new Set([SOIL, PLANTS, WATER]);
  for (const group of partGroups) if (lookOf(group).opened) enclosing.add(group.id);
  // Of several with one name one is named.
  const names = named.filter(
    ({ of, text }, i) =>
      wanted(of) && !named.slice(0, i).some((one) => one.text === text && wanted(one.of)),
  );
  return { ...picture, names, enclosing };
}

/** How far each is lifted when the planter is taken apart, metres. */
function liftsOf({ partGroups, heights }: Planter, apart: number): Map<string, number> {
  const step = apart * 0.4 * Math.max(heights.rim, 0.1);
  const lifts = new Map<string, number>();
  for (const group of partGroups) lifts.set(group.id, step * TIERS.indexOf(lookOf(group).tier));
  const top = TIERS.indexOf('top');
  lifts.set(SOIL, step * top);
  lifts.set(PLANTS, step * (top + 0.5));
  return lifts;
}

/** The place in the order of steps at which each comes; -1 for what is there from the beginning. */
function comesAt({ partGroups }: Planter, order: readonly string[]): Map<string, number> {
  const first = (steps: readonly string[]): number => {
    const found = steps.find((step) => order.includes(step));
    return found === undefined ? -1 : order.indexOf(found);
  };
  const sheet = order.includes('set') || order.includes('stand');
  const at = new Map<string, number>();
  for (const group of partGroups) at.set(group.id, first(lookOf(group).comes(sheet)));
  at.set(SOIL, order.includes('fill') ? order.indexOf('fill') : order.length);
  at.set(PLANTS, order.includes('plant') ? order.indexOf('plant') : order.length);
  return at;
}

/** Steps in which one looks at the wall from outside. */
const OUTSIDE = ['inspect', 'saw', 'seal', 'measure', 'overflow', 'pierce', 'box', 'dig'];
/** Steps in which water stands in it. */
const POURED = ['test', 'water'];

/**
 * A step's picture: what stands already is pale, what the step adds stands out, with an arrow that says where it comes
 * from; a sheet that is made lies by itself.
 *
 * @param order ids of the sheet's steps in their order
 * @param step one of them
 */
export function stepPicture(
  planter: Planter,
  order: readonly string[],
  step: string,
): RoundPicture {
  const at = comesAt(planter, order);
  const now = order.indexOf(step);
  const sheet = planter.of('platform')[0];
  if (sheet && (step === 'platform' || step === 'wick')) return pieces(planter, sheet.id, step);
  const outside = OUTSIDE.includes(step);
  const view = viewOf(planter);
  const adds = [...at.values()].includes(now);
  const wet = POURED.includes(step);
  const standing = (id: string): Standing | null => {
    const comes = id === WATER ? now : (at.get(id) ?? -1);
    if (comes > now) return null;
    // Where nothing comes, the vessel itself is what one looks at.
    if (comes === now || (!adds && !wet && id.startsWith('vessel'))) return 'now';
    return 'before';
  };
  const out = bearingOf(planter.partGroups, isOutlet);
  const scene = sceneOf(planter, {
    standing,
    cut: outside ? null : { bearing: view.wedge, half: HALF_CUT },
    water: wet ? planter.heights.brim : null,
  });
  const turn = turnTo(outside && out !== null ? out + EYE_ASIDE / 2 : view.eye);
  const picture = pictureOf(
    scene,
    { turn, height: outside ? LOW : INTO },
    outside ? [] : null,
    wet ? tubeTop(planter, (id) => (at.get(id) ?? -1) <= now) : null,
    heightOf(planter, step),
  );
  return withNames(picture, planter, (id) => (id === WATER ? wet : at.get(id) === now));
}

/** A height in a picture: where it is marked, or null beside the vessel. */
interface MarkedHeight {
  z: number;
  at: { x: number; y: number } | null;
  vessel: Vessel;
}

/** The height that a step is about; null where it is about none. */
function heightOf(
  { design, heights, partGroups, vessel }: Planter,
  step: string,
): MarkedHeight | null {
  const beside = (z: number): MarkedHeight => ({ z, at: null, vessel });
  switch (step) {
    case 'overflow': {
      const part = partGroups.find(isOutlet)?.parts[0];
      if (!part) return null;
      const out = 1 + (vessel.wall + 0.004) / Math.max(Math.hypot(part.x, part.y), 0.01);
      return { z: (part.from + part.to) / 2, at: { x: part.x * out, y: part.y * out }, vessel };
    }
    case 'supports':
    case 'lay':
      return beside(design.reservoir.top);
    case 'set':
      return beside(heights.base);
    case 'test':
    case 'water':
      return beside(heights.brim);
    case 'fill':
      return beside(heights.surface);
    default:
      return null;
  }
}

/** How far a height beside the vessel stands off it, as a share of the picture. */
const OFF = 0.05;
/** Room for its number, likewise. */
const NUMBER = 0.26;

/** The line of a height on the page. */
function measured({ z, at, vessel }: MarkedHeight, axes: Axes, off: number): Measure {
  const place = (height: number): Point2 => {
    if (at) return projected(axes, [at.x, at.y, height]);
    const outline = grown(vessel.outlineAt(height), vessel.wall);
    const [x, y] = loopOf(outline, 8).reduce((left, one) =>
      dot(axes.right, [one[0], one[1], 0]) < dot(axes.right, [left[0], left[1], 0]) ? one : left,
    );
    const [u, v] = projected(axes, [x, y, height]);
    return [u - off, v];
  };
  return { from: place(0), to: place(z), value: z };
}

/** The sheet by itself, and with its wicks once they are pulled through. */
function pieces(planter: Planter, sheet: string, step: string): RoundPicture {
  const wicks = planter.partGroups.filter((group) => lookOf(group).hangs);
  const shown = step === 'wick' ? wicks.map(({ id }) => id) : [];
  const scene = sceneOf(planter, {
    standing: (id) =>
      id === sheet ? (step === 'wick' ? 'before' : 'now') : shown.includes(id) ? 'now' : null,
    cut: null,
    water: null,
  });
  const camera = { turn: turnTo(viewOf(planter).eye), height: step === 'wick' ? LOW : FLAT };
  const named = step === 'wick' ? shown : [sheet];
  return withNames(pictureOf(scene, camera, []), planter, (id) => named.includes(id));
}

/** Where one pours. */
function tubeTop(
  planter: Planter,
  stands: (id: string) => boolean,
): readonly [number, number, number] {
  const tube = planter.of('tube').find(({ id }) => stands(id))?.parts[0];
  return tube ? [tube.x, tube.y, tube.to] : [0, 0, planter.heights.rim];
}

/** Length of an arrow and its distance from what it means, as shares of the picture. */
const ARROW = 0.16;
const GAP = 0.02;

const NOTHING: ReadonlySet<string> = new Set();

/** @param marks where arrows point, in space; of what is new where null @param pour where water is poured */
function pictureOf(
  scene: Scene,
  camera: Camera,
  marks: readonly (readonly [number, number, number])[] | null = [],
  pour: readonly [number, number, number] | null = null,
  height: MarkedHeight | null = null,
): RoundPicture {
  const axes = axesOf(camera);
  const fills = fillsOf(scene.faces, camera);
  const lines = linesOf(scene.faces, camera);
  const bounds = boundsOf(fills);
  const span = Math.max(bounds.right - bounds.left, bounds.top - bounds.low, 0.01);
  const tips = pour ? [pour] : (marks ?? newTops(scene));
  const arrows = tips.map((tip): Arrow => {
    const [x, y] = projected(axes, tip);
    return { from: [x, y + (ARROW + GAP) * span], to: [x, y + GAP * span] };
  });
  const top = arrows.reduce((most, { from }) => Math.max(most, from[1]), bounds.top);
  const measures = height ? [measured(height, axes, OFF * span)] : [];
  const left = measures.reduce(
    (least, { from, to }) => Math.min(least, Math.min(from[0], to[0]) - NUMBER * span),
    bounds.left,
  );
  return {
    ...{ fills, lines, arrows, measures, styles: scene.styles },
    ...{ names: [], enclosing: NOTHING },
    bounds: { ...bounds, top, left },
  };
}

/** The top of all that is new, in its middle. */
function newTops({ faces, styles }: Scene): (readonly [number, number, number])[] {
  const fresh = faces.filter(
    ({ style, twoSided }) => styles[style]?.standing === 'now' && !twoSided,
  );
  const points = fresh.flatMap(({ points: all }) => all);
  if (points.length === 0) return [];
  const top = points.reduce((most, [, , z]) => Math.max(most, z), -Infinity);
  const high = points.filter(([, , z]) => z > top - 1e-3);
  const middle = (k: 0 | 1): number => high.reduce((sum, p) => sum + p[k], 0) / high.length;
  return [[middle(0), middle(1), top]];
}

function boundsOf(fills: readonly Fill[]): RoundPicture['bounds'] {
  const bounds = { left: Infinity, right: -Infinity, low: Infinity, top: -Infinity };
  for (const { points } of fills)
    for (const [x, y] of points) {
      bounds.left = Math.min(bounds.left, x);
      bounds.right = Math.max(bounds.right, x);
      bounds.low = Math.min(bounds.low, y);
      bounds.top = Math.max(bounds.top, y);
    }
  return fills.length > 0 ? bounds : { left: 0, right: 0.1, low: 0, top: 0.1 };
}
