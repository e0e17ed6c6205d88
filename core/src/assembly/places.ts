import { cropIn, type Patch, type Planted, type SpotDesign } from '../document';
import type { Planter } from './assemble';
import { standsOn } from '../physics/crop';
import { PART_DEFINITIONS, nameOf } from './parts';
import { movePlant, plantingPlan } from './plants';
import type { PartGroup, ChosenSpots } from './part';

/** Something that can be moved in the plan by hand. Metres, from the middle of the floor. */
export interface Place {
  /** Stable: `group-number`. */
  id: string;
  /** The group of parts that it is of, by its id. */
  group: string;
  name: string;
  /** Which of several it is, from 1; null where there is one only. */
  number: number | null;
  x: number;
  y: number;
  /** Half of its width and depth, metres; the corners of a box are square, all else is round. */
  a: number;
  b: number;
  box: boolean;
  /** Whether it stands there, or was put where it does not fit. */
  stands: boolean;
  /** Whether it was put there by hand. */
  byHand: boolean;
  /** Whether it only moves along the wall. */
  onWall: boolean;
}

const NEAR = 1e-6;
/** To a tenth of a millimetre: finer than anyone sets a thing down. */
const mm = (metres: number): number => Math.round(metres * 1e4) / 1e4;

/** All that can be moved in the plan: what stands on the floor or in the sheet, and the overflow. */
export function placesOf(planter: Planter): Place[] {
  return [
    ...planter.partGroups.flatMap((group) => placesOfLot(planter, group)),
    ...overflowOf(planter),
  ];
}

/** Stems are taken hold of by a disc of at most this, metres. */
const STEM = 0.06;

/**
 * All plants that can be moved on the surface, with the planting of each.
 *
 * @param day those that stand there so many days after the first; all where it is left out
 */
export function plantPlacesOf(planter: Planter, day?: number): (Place & { of: number })[] {
  const { crops } = planter.design.planting;
  const there = plantingPlan(planter).places.filter(
    ({ of }) => day === undefined || standsOn(crops[of] as Planted, day),
  );
  return there.map(({ of, number, x, y, r, stands, byHand }) => {
    const planted = crops[of] as Planted;
    const a = Math.min(r, STEM);
    return {
      id: `planting-${of}-${number}`,
      of,
      group: `planting-${of}`,
      name: cropIn(planted).name,
      number: planted.count > 1 ? number + 1 : null,
      ...{ x, y, a, b: a, stands, byHand },
      box: false,
      onWall: false,
    };
  });
}

/** The patch that moves a plant, or null where an id is not one's. */
function plantTo(planter: Planter, id: string, to: SpotDesign): Patch | null {
  const plants = plantPlacesOf(planter);
  const plant = plants.find((one) => one.id === id);
  if (!plant) return null;
  const before = plants.filter(({ of }) => of === plant.of).findIndex((one) => one.id === id);
  return movePlant(planter, plant.of, before, to);
}

/** Where a kind keeps the places that were chosen for it, or null where it has none. */
function spotsOf({ design }: Pick<Planter, 'design'>, group: PartGroup): ChosenSpots | null {
  return PART_DEFINITIONS[group.kind].spots?.(group.index, design) ?? null;
}

/** Where the pieces of a group of parts stand, so far as one can be moved without the others. */
type Stood = Pick<Place, 'x' | 'y' | 'a' | 'b' | 'box'>;
const standing = (group: PartGroup): Stood[] =>
  group.parts.flatMap(({ x, y, foot }): Stood[] => {
    if (foot.form === 'disc') return [{ x, y, a: foot.r, b: foot.r, box: false }];
    return foot.form === 'box' ? [{ x, y, a: foot.a, b: foot.b, box: true }] : [];
  });

/** What can be moved of one group of parts. */
export function placesOfLot(planter: Pick<Planter, 'design'>, group: PartGroup): Place[] {
  const spots = spotsOf(planter, group);
  if (!spots) return [];
  const stand = standing(group);
  const like = stand[0] ?? { a: 0.02, b: 0.02, box: false };
  const chosen = spots.chosen?.slice(0, spots.many ? group.wanted : 1) ?? [];
  const there = (spot: SpotDesign) =>
    stand.find(({ x, y }) => Math.hypot(x - spot.x, y - spot.y) < NEAR);
  // What was put by hand is listed where it was put; the rest stands where Huerta found room.
  const left = stand.filter(
    (one) => !chosen.some(({ x, y }) => Math.hypot(one.x - x, one.y - y) < NEAR),
  );
  const rest = spots.many || chosen.length === 0 ? left : [];
  const all = [
    ...chosen.map((spot) => {
      const one = there(spot);
      return { ...(one ?? like), ...spot, stands: one !== undefined, byHand: true };
    }),
    ...rest.map((spot) => ({ ...spot, stands: true, byHand: false })),
  ];
  return all.map((one, i) => ({
    ...one,
    id: `${group.id}-${i}`,
    group: group.id,
    name: nameOf(group, 1),
    number: all.length > 1 ? i + 1 : null,
    onWall: false,
  }));
}

function overflowOf({ design, partGroups }: Planter): Place[] {
  const { overflow } = design;
  if (!overflow || overflow.kind === 'rim') return [];
  const parts = partGroups.find(({ kind }) => kind === overflow.kind)?.parts ?? [];
  // Some holes side by side are moved by their middle, rows by their first.
  const moved = overflow.kind === 'rows' ? parts.slice(0, 1) : parts;
  if (moved.length === 0) return [];
  const mean = (of: (piece: { x: number; y: number }) => number): number =>
    moved.reduce((sum, piece) => sum + of(piece), 0) / moved.length;
  return [
    {
      id: 'overflow',
      group: `${overflow.kind}-0`,
      name: overflow.kind === 'rows' ? 'first air hole' : 'overflow',
      number: null,
      x: mean(({ x }) => x),
      y: mean(({ y }) => y),
      a: overflow.diameter / 2,
      b: overflow.diameter / 2,
      box: false,
      stands: true,
      byHand: overflow.bearing !== 0,
      onWall: true,
    },
  ];
}

/** The angle within half a turn either way. */
const halfTurn = (angle: number): number => {
  const turn = 2 * Math.PI;
  const within = ((((angle + Math.PI) % turn) + turn) % turn) - Math.PI;
  const most = Math.PI;
  return Math.min(Math.max(Math.round(within * 1e4) / 1e4, -most), most);
};

/**
 * What puts one thing in another place. Its fellows keep theirs.
 *
 * @param id of a place of `placesOf`; an unknown one changes nothing
 * @param to metres from the middle; for the overflow, the way to look from there
 */
export function moveTo(planter: Planter, id: string, to: SpotDesign): Patch {
  if (id === 'overflow') {
    const bearing = halfTurn(Math.PI - Math.atan2(to.y, to.x));
    return [{ path: ['overflow', 'bearing'], value: bearing }];
  }
  const plant = plantTo(planter, id, to);
  if (plant) return plant;
  for (const group of planter.partGroups) {
    const places = placesOfLot(planter, group);
    const at = places.findIndex((place) => place.id === id);
    const spots = at < 0 ? null : spotsOf(planter, group);
    if (!spots) continue;
    const put = places.map(({ x, y }, i) => (i === at ? { x: mm(to.x), y: mm(to.y) } : { x, y }));
    return [{ path: spots.path, value: spots.many ? put : put[at] }];
  }
  return [];
}

/** What moves one thing by a step, metres; the overflow goes round the wall by as much, clockwise for more. */
export function moveBy(planter: Planter, id: string, dx: number, dy: number): Patch {
  const place = [...placesOf(planter), ...plantPlacesOf(planter)].find((one) => one.id === id);
  if (!place) return [];
  if (!place.onWall) return moveTo(planter, id, { x: place.x + dx, y: place.y + dy });
  const { overflow } = planter.design;
  const bearing = overflow && overflow.kind !== 'rim' ? overflow.bearing : 0;
  const turned = bearing + (dx + dy) / Math.max(Math.hypot(place.x, place.y), 0.02);
  return [{ path: ['overflow', 'bearing'], value: halfTurn(turned) }];
}

/** What keeps the things of a group of parts where they stand now, to be moved one by one. */
export function keepPlaces(planter: Pick<Planter, 'design'>, group: PartGroup): Patch {
  const spots = spotsOf(planter, group);
  const put = placesOfLot(planter, group).map(({ x, y }) => ({ x, y }));
  return spots && put.length > 0 ? [{ path: spots.path, value: spots.many ? put : put[0] }] : [];
}

/** What leaves the places of a thing, and of its fellows, to Huerta again. */
export function leavePlaces(planter: Planter, id: string): Patch {
  if (id === 'overflow') return [{ path: ['overflow', 'bearing'], value: 0 }];
  const plant = plantPlacesOf(planter).find((one) => one.id === id);
  if (plant) return [{ path: ['planting', 'crops', plant.of, 'places'], value: null }];
  const group = planter.partGroups.find((one) =>
    placesOfLot(planter, one).some((p) => p.id === id),
  );
  const spots = group && spotsOf(planter, group);
  return spots ? [{ path: spots.path, value: null }] : [];
}
