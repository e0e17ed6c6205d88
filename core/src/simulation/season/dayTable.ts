import { ROOTS_PLANTED, rootsTo } from '../../physics/crop';
import type { Planter } from '../../assembly';
import { modelOf, type Model } from './model';
import { rootsAfter } from './roots';
import { emptyDay, runner } from './season';
import { stateAt } from './state';

// By name: looked up once, these loops run millions of times.
const { abs, floor, max, min } = Math;

/**
 * A day of a planter as a function: from the water in the reservoir, the water in the soil, what plants and surface
 * ask and how far down the roots are to what has moved by the evening. The function is a table whose entries are days
 * of the season's own model, each begun from water at rest, worked out when first looked up; between them it is linear.
 * A forecast by many particles costs thousands of days, and the model a tenth of a millisecond for each.
 */

/** What a day begins with. */
interface DayStart {
  /** In the reservoir, without a supply barrel, m³. */
  water: number;
  /** In the soil, m³. */
  soil: number;
  /** What plants and soil surface ask of the day, m³. */
  plants: number;
  surface: number;
  /** Warm days that the roots have had. */
  age: number;
  /** Level at which wicks and roots work as they would at the reservoir's own, metres; its own by default. */
  level?: number;
}

/** What a day does, written into by `step`: `DRAWN` out of the reservoir, `GAINED` by the soil, `SHARE` that plants drank. */
export const DRAWN = 0;
export const GAINED = 1;
export const SHARE = 2;
const OUT = 3;

export interface DayTable {
  /** What the reservoir holds when it is full, m³. */
  readonly full: number;
  /** What the soil holds, m³: above a full reservoir, and where all pores are filled. */
  readonly rested: number;
  readonly most: number;
  readonly least: number;
  /** Level by water, metres. */
  level(water: number): number;
  holds(level: number): number;
  /** Suction at the soil base by water in the soil, metres. */
  suction(soil: number): number;
  /** A day, into `out`. */
  step(start: DayStart, out: Float64Array): void;
  /** Entries worked out so far. */
  size(): number;
}

/** Cells of the column, and the longest step in seconds. */
const CELLS = 20;
const LONGEST = 86_400;
const DAY = 86_400;
/** The first step of a day, seconds. */
const FIRST_STEP = 7200;
/** Levels as shares of the full height. */
const LEVELS = [0, 0.04, 0.15, 0.4, 1];
/** Suctions at the soil base beyond that above a full reservoir, metres. */
const SUCTIONS = [-0.3, -0.1, 0, 0.03, 0.07, 0.13, 0.22, 0.4, 0.8, 2, 5, 15];
/** What is asked, as shares of the thirstiest day's. */
const ASKED = [0, 0.3, 1, 2.2, 4.5];
/** How much of it the surface asks. */
const SURFACES = [0.12, 0.6];
/** Steps in which roots go down. */
const ROOTS = 3;

const tables = new WeakMap<Planter, Map<number, DayTable>>();

/**
 * The table of a planter.
 *
 * @param hottest what plants and surface ask on the thirstiest day, m³
 */
export function dayTableOf(planter: Planter, hottest: number): DayTable {
  const known = tables.get(planter) ?? new Map<number, DayTable>();
  tables.set(planter, known);
  const table = known.get(hottest) ?? makeTable(modelOf(planter, { cells: CELLS }), hottest);
  known.set(hottest, table);
  return table;
}

/** The place of a value among rising ones: the index before it and the share of the way to the next. */
function placeIn(values: ArrayLike<number>, value: number, out: { i: number; u: number }): void {
  const last = values.length - 2;
  let i = 0;
  while (i < last && value >= (values[i + 1] as number)) i += 1;
  const [a, b] = [values[i] as number, values[i + 1] as number];
  out.i = i;
  out.u = min(max((value - a) / (b - a), 0), 1);
}

const nearest = (values: readonly number[], value: number): number =>
  values.reduce(
    (best, one, i) => (abs(one - value) < abs((values[best] as number) - value) ? i : best),
    0,
  );

// eslint-disable-next-line max-lines-per-function -- its loops share tables that are filled in one pass.
function makeTable(model: Model, hottest: number): DayTable {
  const { base, brim, full, reservoir, top } = model;
  const rest = base - brim;
  const suctions = SUCTIONS.map((more) => rest + more);
  const storedAt = (suction: number): number =>
    stateAt(model, { suction, water: 0, barrel: 0, tip: base }).soil.stored();
  // Rising with the water in it, so from dry to wet.
  const soils = [...suctions].reverse().map(storedAt);
  for (let i = 1; i < soils.length; i += 1)
    soils[i] = max(soils[i] as number, (soils[i - 1] as number) + 1e-12);
  const waters = LEVELS.map((share) => reservoir.holds(share * brim));
  const unit = max(hottest, 1e-9);
  const asked = ASKED.map((share) => share * unit);
  const deep = max(top - min(base, ...model.ways.map(({ foot }) => foot)), 0.05);
  const count = LEVELS.length * SUCTIONS.length * ASKED.length * SURFACES.length * ROOTS;
  const values = new Float64Array(OUT * count).fill(NaN);
  let size = 0;

  const work = (w: number, s: number, a: number, c: number, r: number): Float64Array => {
    const level = (LEVELS[w] as number) * brim;
    const suction = suctions[suctions.length - 1 - s] as number;
    const grown = (deep * (r + 1)) / ROOTS;
    const young = rootsAfter(model, 0, level);
    const tip = max(min(top - grown, young), rootsAfter(model, 1e4, level));
    const state = {
      ...stateAt(model, { suction, water: waters[w] as number, barrel: 0, tip }),
      step: FIRST_STEP,
    };
    rootsTo(max(top - tip, 4 * model.half), model.depth, state.roots);
    const before = state.soil.stored();
    const { water } = state;
    const all = asked[a] as number;
    const surface = (SURFACES[c] as number) * all;
    const day = emptyDay('', { stage: 'grown', thirst: 0, foliage: 0 }, state);
    const run = runner(model, state, {
      planted: '',
      filling: { kind: 'never' },
      refillAt: 0,
      longest: LONGEST,
    });
    const asks = {
      plants: (all - surface) / DAY,
      surface: surface / DAY,
      total: all / DAY,
      open: 0,
    };
    run.throughHours(asks, 0, day);
    return Float64Array.of(
      water - state.water,
      state.soil.stored() - before,
      day.asked > 0 ? day.drunk / day.asked : 1,
    );
  };
  /** Works an entry out. @param at its place among the values */
  const fill = (at: number, w: number, s: number, a: number, c: number, r: number): void => {
    values.set(work(w, s, a, c, r), at);
    size += 1;
  };

  /** Adds what a day at a level does, between the entries for soil and thirst. */
  const add = (w: number, weight: number, c: number, r: number, out: Float64Array): void => {
    if (weight === 0) return;
    for (let k = 0; k < 4; k += 1) {
      const ds = k >> 1;
      const da = k & 1;
      const part = weight * (ds ? S.u : 1 - S.u) * (da ? A.u : 1 - A.u);
      if (part === 0) continue;
      const s = S.i + ds;
      const a = A.i + da;
      const at =
        OUT * ((((w * SUCTIONS.length + s) * ASKED.length + a) * SURFACES.length + c) * ROOTS + r);
      if (Number.isNaN(values[at])) fill(at, w, s, a, c, r);
      out[DRAWN] = (out[DRAWN] as number) + part * (values[at] as number);
      out[GAINED] = (out[GAINED] as number) + part * (values[at + GAINED] as number);
      out[SHARE] = (out[SHARE] as number) + part * (values[at + SHARE] as number);
    }
  };
  const [W, S, A] = [
    { i: 0, u: 0 },
    { i: 0, u: 0 },
    { i: 0, u: 0 },
  ];
  return {
    full,
    rested: storedAt(rest),
    most: soils.at(-1) as number,
    least: soils[0] as number,
    level: (water) => reservoir.level(water),
    holds: (level) => reservoir.holds(level),
    suction(soil) {
      placeIn(soils, soil, S);
      const [wet, dry] = [
        suctions[suctions.length - 2 - S.i] as number,
        suctions[suctions.length - 1 - S.i] as number,
      ];
      return dry + (wet - dry) * S.u;
    },
    step({ water, soil, plants, surface, age, level }, out) {
      const all = plants + surface;
      const share = brim > 0 ? (level ?? reservoir.level(water)) / brim : 0;
      placeIn(LEVELS, share, W);
      placeIn(soils, soil, S);
      placeIn(asked, all, A);
      const c = nearest(SURFACES, all > 0 ? surface / all : 0);
      const down = model.rootPace * max(age, 0) + ROOTS_PLANTED;
      const r = min(max(floor((down / deep) * ROOTS + 0.5) - 1, 0), ROOTS - 1);
      out.fill(0);
      if (W.i > 0) {
        add(W.i, 1 - W.u, c, r, out);
        add(W.i + 1, W.u, c, r, out);
        return;
      }
      // The last of the water is drawn as fast as that above it, until it is gone.
      add(1, 1, c, r, out);
      const drawn = out[DRAWN] as number;
      if (drawn <= water) return;
      const has = max(water, 0) / drawn;
      for (let k = 0; k < OUT; k += 1) out[k] = has * (out[k] as number);
      add(0, 1 - has, c, r, out);
    },
    size: () => size,
  };
}
