import { ConvergenceError } from '../../numerics';
import {
  daysBetween,
  waterDemandOn,
  type WaterDemand,
  type WeatherDay,
} from '../../physics/climate';
import type { End, ColumnStep } from '../../physics/column';
import {
  ENOUGH,
  FROM_BELOW,
  growthOn,
  rootsOn,
  SHORT,
  takeUp,
  type Growth,
  type Uptake,
} from '../../physics/crop';
import type { Planter } from '../../assembly';
import { bottomEnd, topEnd, type Air } from './boundaries';
import { blocksOf, HOUR, MORNING, wetHours, type Block } from './forcing';
import { topUp, waterInTheMorning } from './irrigation';
import { modelOf, type Model } from './model';
import { growRoots, rootsBring } from './roots';
import type { SeasonDay, SeasonOptions, SeasonRun } from './run';
import { fullState, waterIn, type State } from './state';

// By name: looked up once, these loops run millions of times.
const { abs, min, max } = Math;

/**
 * A planter through its days: a column of soil over a reservoir whose level moves. The soil follows
 * Richards' equation; the wicks between water and soil are quasi-steady, because they answer within the
 * hour while the soil takes days. Their flow is that of the bench's own figures, at the suction that the
 * soil base has at the time. So cloth, cups, columns, shoulders of mix and several of them together are
 * one function, and what they hold is part of the reservoir's litres, as everywhere else in Huerta.
 */

/** Longest step and the shortest: one that is shorter will not converge either. Seconds. */
const LONGEST = 12 * HOUR;
const SHORTEST = 1e-5;
/** Iterations up to which a step may grow, and from which on it must shrink. */
const EASY = 5;
const HARD = 10;

/** Runs a planter through some days of weather, beginning with a full reservoir. */
export function runSeason(
  planter: Planter,
  weather: readonly WeatherDay[],
  options: SeasonOptions,
): SeasonRun {
  const model = modelOf(planter, options);
  const { count, cells, base, half } = model;
  const age = weather[0] ? daysBetween(options.planted, weather[0].date) : 0;
  const run = runner(model, fullState(model, age), options);
  const { state } = run;
  const begin = waterIn(state, model);
  const moisture = new Float32Array(weather.length * count);
  const days: SeasonDay[] = [];
  for (const air of weather) {
    const day = run.through(air);
    moisture.set(state.soil.held, days.length * count);
    days.push(day);
    if (options.until?.(day)) break;
  }
  return {
    days,
    heights: Float64Array.from({ length: count }, (_, i) => base + i * cells.dz + half),
    full: model.full + (model.barrel?.volume ?? 0),
    moisture: moisture.slice(0, days.length * count),
    balance: missing(days, begin, waterIn(state, model)),
    evaluations: state.soil.evaluations(),
  };
}

/** Water that is not accounted for, as a share of all that passed through. */
function missing(days: readonly SeasonDay[], begin: number, end: number): number {
  let came = 0;
  let went = 0;
  for (const day of days) {
    came += day.rain + day.filled + day.poured;
    went += day.drunk + day.evaporated + day.overflow;
  }
  return abs(begin + came - went - end) / max(came + went, begin * 1e-3);
}

/** Takes a planter from day to day. */
// eslint-disable-next-line max-lines-per-function -- the day of a season, whose parts share its state from dawn to night.
export function runner(model: Model, state: State, options: SeasonOptions) {
  const air: Air = { rain: 0, dries: 0, below: 0, span: HOUR, ponded: false };
  const bottom = bottomEnd(model, state, air);
  const top = topEnd(model, state, air);
  const uptake: Uptake = { share: 1, air: 1, moist: 1 };
  /** What plants lacked of a day, weighted by time. */
  const lack = { air: 0, water: 0, of: 0 };

  function through(weather: WeatherDay): SeasonDay {
    const { planting } = model.design;
    const age = daysBetween(options.planted, weather.date);
    const growth = growthOn(planting, age);
    growRoots(model, state, (weather.tMin + weather.tMax) / 2, rootsOn(planting, age));
    const asks = waterDemandOn(model.design, weather.et, model.surface, model.tray, growth);
    const day = emptyDay(weather.date, growth, state);
    throughHours(asks, model.open ? weather.rain : 0, day);
    return day;
  }

  /** A day with roots as they are. @param rain metres */
  function throughHours(asks: WaterDemand, rain: number, day: SeasonDay): void {
    const wet = wetHours(rain);
    lack.air = 0;
    lack.water = 0;
    lack.of = 0;
    for (const block of blocksOf(wet, options.hourly)) {
      if (block.from === MORNING) waterInTheMorning(model, state, options, day);
      throughBlock(block, asks, block.rains ? rain / wet : 0, day);
    }
    close(day);
  }

  /** @param rain metres an hour */
  function throughBlock(block: Block, asks: WaterDemand, rain: number, day: SeasonDay): void {
    const lasts = (block.to - block.from) * HOUR;
    air.rain = (rain * model.surface * model.letsIn) / HOUR;
    air.dries = rain > 0 ? 0 : asks.surface * block.light;
    const caught = rain * model.tray.area * (block.to - block.from);
    state.water += caught;
    day.rain += caught + air.rain * lasts;
    const thirst = asks.plants * block.light;
    for (let t = 0; t < lasts - 1e-6;) {
      air.span = min(state.step, lasts - t, options.longest ?? LONGEST);
      if (lasts - t - air.span < 0.1 * air.span) air.span = lasts - t;
      topUp(model, state);
      // Where most roots stand without air, those at the water do too.
      const aired = min(uptake.air / ENOUGH, 1);
      // What a way lets through is of a day: its roots draw as the sun draws on the leaves.
      const roots = aired * block.light * rootsBring(model, state);
      const can = min(roots, max(state.water, 0) / air.span);
      const below = min(can, thirst * FROM_BELOW);
      air.below = below;
      takeUp(state.h, state.roots, thirst - below, state.sink, uptake);
      const result = advance(model, state, air, bottom, top);
      if (!result.done) {
        state.step = air.span / 3;
        if (state.step < SHORTEST) throw new ConvergenceError('the soil’s water in a season');
        continue;
      }
      t += air.span;
      // What roots in the soil lack, those at the water bring as far as they can.
      const asked = thirst - below;
      const left = max(state.water / air.span - below - result.bottom, 0);
      const atWater = below + min(can - below, asked * (1 - uptake.share), left);
      state.water -= atWater * air.span;
      const drunk = (asked * uptake.share + atWater) * air.span;
      day.asked += thirst * air.span;
      day.drunk += drunk;
      if (thirst > 0) {
        lack.air += (1 - uptake.air) * air.span;
        lack.water += (1 - uptake.moist) * air.span;
        lack.of += air.span;
      }
      settleSurface(result, rain > 0, asks.surface * block.light, day);
      settleReservoir(result, asks.open * block.light, day);
      // A step cut short by the end of its block says nothing about the next.
      const cut = air.span < state.step;
      if (result.iterations <= EASY) state.step = max(cut ? state.step : 0, air.span * 1.6);
      else if (result.iterations >= HARD) state.step = air.span * 0.5;
      else if (!cut) state.step = air.span;
      state.step = min(state.step, LONGEST);
    }
  }

  /** What stands on the surface after a step, runs over the rim or dries up. @param sun m³/s */
  function settleSurface(result: ColumnStep, falls: boolean, sun: number, day: SeasonDay): void {
    const { surface, freeboard } = model;
    const offered = air.rain * air.span + state.pond * surface;
    if (offered <= 0) {
      day.evaporated -= result.top * air.span;
      return;
    }
    state.pond = max(offered - result.top * air.span, 0) / surface;
    if (!falls && state.pond > 0) {
      const gone = min(sun * air.span, state.pond * surface);
      state.pond -= gone / surface;
      day.evaporated += gone;
    }
    if (state.pond > freeboard) {
      day.overflow += (state.pond - freeboard) * surface;
      state.pond = freeboard;
    }
  }

  /** @param sun what open water gives to the air, m³/s */
  function settleReservoir(result: ColumnStep, sun: number, day: SeasonDay): void {
    state.water -= result.bottom * air.span;
    const dried = min(sun * air.span, max(state.water, 0));
    state.water -= dried;
    day.evaporated += dried;
    const over = model.reservoir.over(state.water);
    state.water -= over;
    day.overflow += over;
    state.level = model.reservoir.level(state.water);
  }

  /** What the day's end shows. */
  function close(day: SeasonDay): void {
    const { bag, base, half } = model;
    // Water that stands in the soil stands above the reservoir; a bag's is that of its tray.
    const inSoil = !bag && state.level >= base - 1e-6 ? max((state.h[0] as number) + half, 0) : 0;
    day.level = state.level + inSoil;
    day.crest = max(day.crest, day.level);
    day.water = state.water + state.barrel;
    day.roots = state.tip;
    // A day on which more than half of all roots want air is one of drowning, whatever was drunk on it.
    const drowned = lack.of > 0 && lack.air > (1 - ENOUGH) * lack.of;
    if (drowned) day.stress = 'drowned';
    else if (day.asked > 0 && day.drunk < SHORT * day.asked)
      day.stress = lack.air > lack.water ? 'drowned' : 'dry';
  }

  return { state, through, throughHours };
}

export const emptyDay = (date: string, { stage }: Growth, { level, water }: State): SeasonDay => ({
  date,
  stage,
  level,
  crest: 0,
  water,
  roots: 0,
  asked: 0,
  drunk: 0,
  evaporated: 0,
  rain: 0,
  overflow: 0,
  filled: 0,
  poured: 0,
  stress: 'none',
});

/**
 * One step. Rain either all goes in, or stands on the surface, whose head is then kept; which of the
 * two holds is seen from the outcome, and the step is taken again if it was the other.
 */
function advance(model: Model, state: State, air: Air, bottom: End, top: End): ColumnStep {
  const { soil, h, sink, pond } = state;
  const { count, half } = model;
  const offered = air.rain + (pond * model.surface) / air.span;
  air.ponded = offered > 0 && (pond > 0 || (h[count - 1] as number) > -half);
  const first = soil.attempt(air.span, bottom, top, sink);
  if (first.done && offered > 0) {
    const other = air.ponded
      ? first.top > offered * (1 + 1e-9)
      : (soil.tried[count - 1] as number) - half > pond + 1e-6;
    if (other) {
      air.ponded = !air.ponded;
      soil.attempt(air.span, bottom, top, sink);
    }
  }
  if (first.done) soil.accept();
  return first;
}
