import { cropIn, type Planted, type SpotDesign } from '../document';
import { together } from '../physics/crop';
import { apart, arrange, EMPTY, filled, spread, type Circle, type Free } from '../geometry/packing';
import { grown, holds, type Outline } from '../geometry/vessels';
import type { Planter } from './assemble';
import { discsOf } from './part';

/**
 * Where plants stand, seen from above. Plants that stand there at the same time keep their spacing, of two kinds the
 * half of each; stems keep clear of walls and of tubes; leaves may hang over the rim.
 */

/** A plant's place: a disc of half its spacing, from the middle of the vessel. */
export interface PlantPlace extends Circle {
  /** Which planting it is of, and which of its plants, from 0. */
  of: number;
  number: number;
  /** The bed that it stands in, from 0. */
  bed: number;
  byHand: boolean;
  /** Whether it keeps clear; what was put by hand stays where it was put. */
  stands: boolean;
}

export interface PlantingPlan {
  places: readonly PlantPlace[];
  /** How many of each planting found a place, and how many would at its spacing beside those before it. */
  stand: readonly number[];
  room: readonly number[];
}

/** Stems stand at least this far from the edge of the soil and from a tube, metres. */
const FROM_EDGE = 0.03;
const FROM_TUBE = 0.015;

type Surface = Pick<Planter, 'design' | 'bed' | 'heights' | 'partGroups'>;

/** What the plan hangs on, beside the plantings themselves: to the tenth of a millimetre. */
const keyOf = (outline: Outline, tubes: readonly Circle[], { bed }: Surface): string =>
  [
    ...[outline.a, outline.b, outline.c],
    ...tubes.flatMap(({ x, y, r }) => [x, y, r]),
    ...bed.places.flatMap(({ x, y }) => [x, y]),
  ]
    .map((one) => one.toFixed(4))
    .join(' ');

/** The last plans of each list of plantings: a line that is dragged, and remedies that are tried, ask for them again. */
const known = new WeakMap<readonly Planted[], { key: string; plan: PlantingPlan }[]>();
const KEPT = 6;

/** Sets out the plants of a design. */
export function plantingPlan(planter: Surface): PlantingPlan {
  const { crops } = planter.design.planting;
  const outline = planter.bed.inside.outlineAt(planter.heights.surface - planter.bed.floor);
  const tubes = planter.partGroups
    .filter(({ kind }) => kind === 'tube' || kind === 'inspection' || kind === 'worm')
    .flatMap(discsOf);
  const key = keyOf(outline, tubes, planter);
  const plans = known.get(crops) ?? [];
  const before = plans.find((one) => one.key === key);
  if (before) return before.plan;
  const plan = setOut(crops, outline, tubes, planter.bed.places);
  known.set(crops, [{ key, plan }, ...plans].slice(0, KEPT));
  return plan;
}

function setOut(
  crops: readonly Planted[],
  outline: Outline,
  tubes: readonly Circle[],
  beds: readonly SpotDesign[],
): PlantingPlan {
  const places: PlantPlace[] = [];
  const stand = crops.map(() => 0);
  const room = crops.map(() => 0);
  const tallest = crops
    .map((planted, of) => ({ planted, of, height: cropIn(planted).height }))
    .sort(
      (a, b) =>
        Number(b.planted.places !== null) - Number(a.planted.places !== null) ||
        b.height - a.height,
    );
  for (const { planted, of } of tallest) {
    const alone = crops.every((other) => other === planted || !together(planted, other));
    const beside = places.filter((place) => together(crops[place.of] as Planted, planted));
    const byHand = putByHand(planted, of, outline, tubes, beds, beside);
    places.push(...byHand);
    const others = [...beside, ...byHand];
    const kept = crops.flatMap((other, k) =>
      k !== of &&
      other.bed !== null &&
      together(other, planted) &&
      !places.some((one) => one.of === k)
        ? [{ bed: Math.min(other.bed, beds.length - 1), count: other.count }]
        : [],
    );
    const sets = shares(planted, planted.count - byHand.length, others, kept, beds.length).map(
      (mine, bed): PlantPlace[] => {
        const { x, y } = beds[bed] as SpotDesign;
        if (mine === null) return [];
        const near = (list: readonly Circle[]) =>
          list.map((one) => ({ x: one.x - x, y: one.y - y, r: one.r }));
        const taken = near(others.filter((one) => one.bed === bed));
        const found = inBed(planted, mine, outline, near(tubes), taken, alone);
        room[of] = (room[of] as number) + found.room;
        return found.places.map((one) => ({
          x: one.x + x,
          y: one.y + y,
          r: one.r,
          of,
          number: 0,
          bed,
          byHand: false,
          stands: true,
        }));
      },
    );
    const set = sets.flat().map((one, i) => ({ ...one, number: byHand.length + i }));
    places.push(...set);
    // What was put by hand stands where it was put, whether that is wise or not.
    stand[of] = byHand.length + set.length;
    room[of] = Math.max((room[of] as number) + byHand.length, stand[of]);
  }
  return { places, stand, room };
}

/**
 * How many plants of a planting each bed gets, the emptiest first; null for a bed that is not its own.
 *
 * @param kept what is still to come into a bed of its own
 */
function shares(
  { bed }: Planted,
  count: number,
  others: readonly PlantPlace[],
  kept: readonly { bed: number; count: number }[],
  beds: number,
): (number | null)[] {
  const there = Array.from(
    { length: beds },
    (_, i) =>
      others.filter((one) => one.bed === i).length +
      kept.reduce((sum, one) => sum + (one.bed === i ? one.count : 0), 0),
  );
  const own = bed === null ? null : Math.min(bed, beds - 1);
  const mine = there.map((): number => 0);
  for (let k = 0; k < count; k += 1) {
    if (own !== null) mine[own] = (mine[own] as number) + 1;
    else {
      const full = (i: number) => (there[i] as number) + (mine[i] as number);
      let least = 0;
      for (let i = 1; i < beds; i += 1) if (full(i) < full(least)) least = i;
      mine[least] = (mine[least] as number) + 1;
    }
  }
  return mine.map((n, i) => (own !== null && own !== i ? null : n));
}

/** Whether a stem keeps clear of the tubes. */
const clearOf =
  (tubes: readonly Circle[]) =>
  ({ x, y }: SpotDesign): boolean =>
    tubes.every((tube) => Math.hypot(x - tube.x, y - tube.y) >= tube.r + FROM_TUBE);

interface InBed {
  places: readonly Circle[];
  room: number;
}

/** Plants of one kind in one bed, about its middle. @param alone with none beside them at any time */
function inBed(
  { spacing }: Planted,
  mine: number,
  outline: Outline,
  tubes: readonly Circle[],
  taken: readonly Circle[],
  alone: boolean,
): InBed {
  const r = spacing / 2;
  const clear = clearOf(tubes);
  const ground = grown(outline, r - FROM_EDGE);
  const free: Free = { ...EMPTY, circle: clear };
  if (alone && taken.length === 0) {
    const most = Math.max(filled(ground, r, free).length, 1);
    const wanted = Math.min(mine, most);
    if (wanted === 0) return { places: [], room: most };
    const set = arrange(ground, r, wanted, free);
    // A plant that is wider than the surface stands in its middle all the same.
    if (set.length === 0) return { places: [{ x: 0, y: 0, r }], room: most };
    return { places: set, room: most };
  }
  const rows = inRows(outline, r, clear, taken);
  const all = rows.flat();
  return { places: fromTheBack(rows, mine), room: all.length };
}

/** Places are looked for so close to one another, as a share of the spacing's half, and of half the surface. */
const ROW = 1 / 2;
const ALONG = 1 / 4;
const FINE = 1 / 8;
/** Nobody sets a plant more exactly, metres. */
const LEAST_STEP = 0.004;

/** Whether a place keeps clear of those placed before it; the latest, which is likeliest in the way, is asked first. */
function clears(one: Circle, placed: readonly Circle[]): boolean {
  for (let i = placed.length - 1; i >= 0; i -= 1)
    if (!apart(one, placed[i] as Circle)) return false;
  return true;
}

/** All places that are free for one kind, in rows from the back to the front. */
function inRows(
  outline: Outline,
  r: number,
  clear: (spot: SpotDesign) => boolean,
  taken: readonly Circle[],
): Circle[][] {
  const stems = grown(outline, -FROM_EDGE);
  const rows: Circle[][] = [];
  /** Places of the rows before that are near enough to be in the way, the latest last. */
  let near: Circle[] = [];
  const down = Math.max(Math.min(r * ROW, stems.b * FINE), LEAST_STEP);
  const along = Math.max(Math.min(r * ALONG, stems.a * FINE), LEAST_STEP);
  for (let y = stems.b; y >= -stems.b - 1e-9; y -= down) {
    const row: Circle[] = [];
    near = near.filter((other) => other.y - y < 2 * r);
    for (let x = -stems.a; x <= stems.a + 1e-9;) {
      const one = { x, y, r };
      const fits =
        holds(stems, x, y) &&
        clear(one) &&
        taken.every((other) => apart(one, other)) &&
        clears(one, near);
      if (fits) {
        row.push(one);
        near.push(one);
      }
      x += fits ? 2 * r + 1e-7 : along;
    }
    if (row.length > 0) rows.push(row);
  }
  return rows;
}

/** So many of the places in rows from the back on, those of the last row spread along it. */
function fromTheBack(rows: readonly (readonly Circle[])[], count: number): Circle[] {
  const chosen: Circle[] = [];
  for (const row of rows) {
    const left = count - chosen.length;
    if (left <= 0) break;
    chosen.push(...(row.length <= left ? row : left === 1 ? [middleOf(row)] : spread(row, left)));
  }
  return chosen;
}

const middleOf = (row: readonly Circle[]): Circle =>
  row.reduce((best, one) => (Math.abs(one.x) < Math.abs(best.x) ? one : best));

/** Places that were put by hand; `stands` where they keep clear. */
function putByHand(
  { places, spacing, count }: Planted,
  of: number,
  outline: Outline,
  tubes: readonly Circle[],
  beds: readonly SpotDesign[],
  beside: readonly PlantPlace[],
): PlantPlace[] {
  const stems = grown(outline, -FROM_EDGE);
  const clear = clearOf(tubes);
  const put: PlantPlace[] = [];
  for (const [number, { x, y }] of (places ?? []).slice(0, count).entries()) {
    const bed = nearest(beds, x, y);
    const middle = beds[bed] as SpotDesign;
    const one = { x, y, r: spacing / 2, of, number, bed, byHand: true };
    const stands =
      holds(stems, x - middle.x, y - middle.y) &&
      clear(one) &&
      [...beside, ...put].every((other) => !other.stands || apart(one, other));
    put.push({ ...one, stands });
  }
  return put;
}

function nearest(beds: readonly SpotDesign[], x: number, y: number): number {
  const far = beds.map((bed) => Math.hypot(bed.x - x, bed.y - y));
  return far.indexOf(Math.min(...far));
}

/** The patch that puts one plant of the plan, by its number, in another place; its fellows keep theirs. */
export function movePlant(
  planter: Surface,
  of: number,
  number: number,
  to: SpotDesign,
): { path: (string | number)[]; value: SpotDesign[] }[] {
  const mm = (metres: number): number => Math.round(metres * 1000) / 1000;
  const mine = plantingPlan(planter)
    .places.filter((place) => place.of === of)
    .sort((a, b) => a.number - b.number);
  if (!mine.some((place) => place.number === number)) return [];
  const value = mine.map((place) =>
    place.number === number ? { x: mm(to.x), y: mm(to.y) } : { x: place.x, y: place.y },
  );
  return [{ path: ['planting', 'crops', of, 'places'], value }];
}
