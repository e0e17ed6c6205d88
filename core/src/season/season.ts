import { cropOf, MULCHES } from '../catalog';
import { daysBetween, dryingOf, exposureOf, type WeatherDay } from '../climate';
import { solver, type End, type Step, type Medium } from '../column';
import { stageOn } from '../crop';
import { openWater, type Planter } from '../planter';
import type { Watering } from './plan';
import type { SeasonDay, SeasonOptions, SeasonRun } from './run';
import { cellsOf, reservoirOf } from './setting';
import { supplyOfWicks } from './supply';
import { rootsTo, takeUp } from './uptake';

// By name: looked up once, these loops run millions of times.
const { abs, log, min, max, sin, PI, ceil } = Math;

/**
 * A planter through its days: a column of soil over a reservoir whose level moves. The soil follows
 * Richards' equation; the wicks between water and soil are quasi-steady, because they answer within the
 * hour while the soil takes days. Their flow is that of the bench's own figures, at the suction that the
 * soil base has at the time. So cloth, cups, columns, shoulders of mix and several of them together are
 * one function, and what they hold is part of the reservoir's litres, as everywhere else in Huerta.
 */

const HOURS = 24;
const HOUR = 3600;
const CELLS = 60;
/** Below this share of what they ask plants count as going short. */
const SHORT = 0.9;
/** Share of rain that comes through a cover with plant holes; mulch lets all of it in. */
const THROUGH_COVER = 0.03;
/** Part of a crop coefficient that is the soil's own evaporation (FAO-56, table 17). */
const SOIL_PART_OF_KC = 0.05;
/** When the stick is read, and how near its mark it must be to be filled. */
const MORNING = 7;
/** Dark hours that one step may take together. */
const NIGHT = 3;
const NEAR_LOW = 0.002;
const LEAST_LEFT = 0.08;
/** A step shorter than this, in seconds, will not come to rest either. */
const SHORTEST = 1e-5;
/** Suctions at the surface between which it dries, metres. */
const STILL_MOIST = 0.5;
const CRUST = 20;
/** Rain of a day falls at most this fast, metres an hour, from this hour on. */
const HEAVY = 0.008;
const RAIN_FROM = 14;

/** Heads that matter to plants are centimetres; the mass is kept far better than this. */
const REST = { metres: 2e-5, share: 2e-3 };

/** Share of a day's evaporation in each hour: a half sine from six to six. */
const DAYLIGHT = Array.from({ length: HOURS }, (_, hour) =>
  max(sin((PI * (hour + 0.5 - 6)) / 12), 0),
);
const SUN_SUM = DAYLIGHT.reduce((sum, one) => sum + one, 0);

/**
 * Runs a planter through some days of weather, beginning with a full reservoir and soil that hangs above
 * it.
 *
 * @param low level at which the stick says to fill, metres
 */
export function runSeason(
  planter: Planter,
  weather: readonly WeatherDay[],
  options: SeasonOptions,
  low: number,
): SeasonRun {
  const { design, heights } = planter;
  const count = options.cells ?? CELLS;
  const cells = cellsOf(planter, count);
  const { dz, face, media } = cells;
  const lowest = media[0] as Medium;
  const highest = media[count - 1] as Medium;
  const solve = solver(cells, REST);
  const supply = supplyOfWicks(planter, options.broken ?? false);
  const reservoir = reservoirOf(planter, options.clogged ?? false);
  const { brim, base } = heights;
  const depth = count * dz;
  const surface = face[count] as number;
  const exposure = exposureOf(design.place);
  const foliage = design.planting.count * (PI / 4) * design.planting.foliage ** 2;
  const open = design.place.rain === 'open';
  const letsIn = design.soil.mulch === 'cover' ? THROUGH_COVER : 1;
  const tray = openWater(planter);
  const bag = design.bed?.kind === 'bag';
  const mulch = MULCHES[design.soil.mulch].evaporation;
  const roots = cropOf(design.planting.crop).roots;

  const h = Float64Array.from({ length: count }, (_, i) => brim - base - (i + 0.5) * dz);
  const sink = new Float64Array(count);
  const two = new Float64Array(2);
  let water = reservoir.holds(brim);
  let barrel = design.reservoir.supply?.volume ?? 0;
  let pond = 0;
  let level = brim;
  const begin = solve.stored(h) + water + barrel;
  const sum = { in: 0, out: 0 };

  // The ends read these at every look.
  let rainRate = 0;
  let dryRate = 0;
  let span = HOUR;
  let held = false;
  const before = new Float64Array(count);
  const bottom: End = {
    flux(head, out) {
      const wet = head + dz / 2;
      if (bag && level > base) {
        // The mix stands in the water itself.
        const G = ((face[0] as number) * (lowest.soil.Ks + lowest.K(head))) / 2 / (dz / 2);
        upTo(G * (level - base - wet), -G, out);
        return;
      }
      const lip = reservoir.lip(water);
      if (wet > lip) {
        // Water stands on the base and runs through it.
        const G = ((face[0] as number) * lowest.soil.Ks) / (dz / 2);
        supply.look(level, 0, two);
        out[0] = min(two[0] as number, 0) - G * (wet - lip);
        out[1] = -G;
        return;
      }
      if (lip > 0 && wet > 0) {
        out[0] = 0;
        out[1] = 0;
        return;
      }
      supply.look(level, -wet, two);
      const flow = two[0] as number;
      // A reservoir that is full and shut takes nothing back.
      if (flow < 0 && lip === Infinity) {
        out[0] = 0;
        out[1] = 0;
        return;
      }
      upTo(flow, -(two[1] as number), out);
    },
  };
  /** A flow out of the reservoir, no more than is there. */
  function upTo(flow: number, slope: number, out: Float64Array): void {
    const most = max(water, 0) / span;
    out[0] = min(flow, most);
    out[1] = flow > most ? 0 : slope;
  }
  const top: End = {
    flux(head, out) {
      if (held) {
        // Water stands on the surface.
        const G = (surface * (highest.soil.Ks + highest.K(head))) / 2 / (dz / 2);
        out[0] = G * (pond - head + dz / 2);
        out[1] = -G;
        return;
      }
      const offered = rainRate + (pond * surface) / span;
      if (offered > 0) {
        out[0] = offered;
        out[1] = 0;
        return;
      }
      const dry = dryness(head);
      out[0] = -dryRate * dry;
      // Drier soil gives less; the slope keeps the step calm.
      out[1] = dry > 0 && dry < 1 ? -dryRate / (log(CRUST / STILL_MOIST) * -head) : 0;
    },
  };

  const heightsOf = Float64Array.from({ length: count }, (_, i) => base + (i + 0.5) * dz);
  const moisture = new Float32Array(weather.length * count);
  const full = reservoir.holds(brim);
  let sinceFill = 0;
  let density = rootsTo(roots, depth, count);
  let dt = 600;

  const days: SeasonDay[] = [];
  for (const [d, air] of weather.entries()) {
    const day = through(air, d);
    days.push(day);
    if (options.untilShort && day.stress !== 'none') break;
  }

  const end = solve.stored(h) + water + barrel + pond * surface;
  const passed = max(sum.in + sum.out, begin * 1e-3);
  return {
    days,
    heights: heightsOf,
    full: full + (design.reservoir.supply?.volume ?? 0),
    moisture: moisture.slice(0, days.length * count),
    balance: abs(begin + sum.in - sum.out - end) / passed,
    evaluations: solve.evaluations(),
  };

  function through(air: WeatherDay, d: number): SeasonDay {
    const stage = stageOn(design.planting.crop, daysBetween(options.planted, air.date));
    density = rootsTo(max(roots * stage.roots, 2 * dz), depth, count);
    const thirst = max(stage.kc - SOIL_PART_OF_KC, 0) * air.et * foliage * stage.cover * exposure;
    const drying = mulch * air.et * surface * exposure;
    const fromTray = dryingOf(tray, air.et, foliage * stage.cover) * exposure;
    const wetHours = min(max(ceil(air.rain / HEAVY), 1), HOURS);
    const from = min(RAIN_FROM, HOURS - wetHours);
    const day: SeasonDay = {
      date: air.date,
      stage: stage.name,
      level,
      crest: 0,
      water,
      asked: 0,
      drunk: 0,
      evaporated: 0,
      rain: 0,
      overflow: 0,
      filled: 0,
      poured: 0,
      stress: 'none',
    };
    const quiet = (hour: number): boolean =>
      hour < HOURS &&
      DAYLIGHT[hour] === 0 &&
      !(open && air.rain > 0 && hour >= from && hour < from + wetHours);
    // Dark hours without rain are all alike, and are taken together.
    const together = (hour: number): number => {
      let hours = 1;
      while (hours < NIGHT && quiet(hour) && quiet(hour + hours)) hours += 1;
      return hours;
    };
    let lackOfAir = 0;
    let lackOfWater = 0;
    for (let hour = 0; hour < HOURS; hour += together(hour)) {
      if (hour === MORNING) {
        fill(day);
        for (const one of options.waterings ?? []) if (one.date === air.date) give(one, day);
      }
      const falls = open && air.rain > 0 && hour >= from && hour < from + wetHours;
      const perHour = falls ? air.rain / wetHours : 0;
      rainRate = (perHour * surface * letsIn) / HOUR;
      const light = (HOURS * (DAYLIGHT[hour] as number)) / SUN_SUM;
      dryRate = drying * light;
      const asks = thirst * light;
      const lasts = together(hour) * HOUR;
      const caught = perHour * tray.area;
      water += caught;
      day.rain += caught + rainRate * HOUR;
      sum.in += caught + rainRate * HOUR;
      for (let t = 0; t < lasts - 1e-6;) {
        span = min(dt, lasts - t, options.longest ?? lasts);
        topUp();
        const taken = takeUp(h, density, asks, sink);
        const result = advance();
        if (!result.done) {
          dt = span / 3;
          if (dt < SHORTEST) throw new Error('The soil’s water does not come to rest');
          continue;
        }
        t += span;
        const drunk = asks * taken.share * span;
        day.asked += asks * span;
        day.drunk += drunk;
        sum.out += drunk;
        if (asks > 0) {
          lackOfAir += (1 - taken.air) * span;
          lackOfWater += (1 - taken.moist) * span;
        }
        const offered = rainRate * span + pond * surface;
        if (offered > 0) {
          pond = max(offered - result.top * span, 0) / surface;
          if (!falls && pond > 0) {
            const gone = min(drying * light * span, pond * surface);
            pond -= gone / surface;
            day.evaporated += gone;
            sum.out += gone;
          }
          if (pond > design.soil.freeboard) {
            const runs = (pond - design.soil.freeboard) * surface;
            pond = design.soil.freeboard;
            day.overflow += runs;
            sum.out += runs;
          }
        } else {
          const gone = -result.top * span;
          day.evaporated += gone;
          sum.out += gone;
        }
        water -= result.bottom * span;
        const dried = min(fromTray * light * span, max(water, 0));
        water -= dried;
        day.evaporated += dried;
        sum.out += dried;
        const over = reservoir.over(water);
        if (over > 0) {
          water -= over;
          day.overflow += over;
          sum.out += over;
        }
        level = reservoir.level(water);
        if (result.iterations <= 4) dt = min(span * 1.5, NIGHT * HOUR);
        else dt = result.iterations >= 9 ? span * 0.6 : span;
      }
    }
    for (let i = 0; i < count; i += 1) {
      moisture[d * count + i] = (media[i] as Medium).theta(h[i] as number);
    }
    // Water that stands in the soil stands above the reservoir; a bag's is that of its tray.
    const inSoil = !bag && level >= base - 1e-6 ? max((h[0] as number) + dz / 2, 0) : 0;
    day.level = level + inSoil;
    day.crest = max(day.crest, day.level);
    day.water = water + barrel;
    if (day.asked > 0 && day.drunk < SHORT * day.asked) {
      day.stress = lackOfAir > lackOfWater ? 'drowned' : 'dry';
    }
    return day;
  }

  /**
   * One step. Rain either all goes in, or stands on the surface, whose head is then kept; which of the
   * two holds is seen from the outcome, and the step is taken again if it was the other.
   */
  function advance(): Step {
    const offered = rainRate + (pond * surface) / span;
    held = offered > 0 && (pond > 0 || (h[count - 1] as number) > -dz / 2);
    before.set(h);
    const first = solve.step(h, span, bottom, top, sink);
    if (!first.done || offered <= 0) return first;
    const other = held
      ? first.top > offered * (1 + 1e-9)
      : (h[count - 1] as number) - dz / 2 > pond + 1e-6;
    if (!other) return first;
    h.set(before);
    held = !held;
    return solve.step(h, span, bottom, top, sink);
  }

  /** What the gardener does in the morning. */
  function fill(day: SeasonDay): void {
    sinceFill += 1;
    const { filling } = options;
    const supplied = design.reservoir.supply;
    const lowNow = supplied
      ? barrel <= supplied.volume * LEAST_LEFT
      : level <= low + NEAR_LOW || water <= full * LEAST_LEFT;
    const now =
      filling.kind === 'when-low' ? lowNow : filling.kind === 'every' && sinceFill >= filling.days;
    if (!now) return;
    pourIn(Infinity, day);
    sinceFill = 0;
  }

  /** Water through the tube, or into the supply barrel, until there is no more room. */
  function pourIn(most: number, day: SeasonDay): void {
    const supplied = design.reservoir.supply;
    const room = supplied ? supplied.volume - barrel : full - water;
    const more = min(max(room, 0), most);
    if (supplied) barrel += more;
    else water += more;
    day.filled += more;
    sum.in += more;
    level = reservoir.level(water);
    day.crest = level;
  }

  /** A watering by hand; on the surface it stands until it has soaked in. */
  function give({ where, volume }: Watering, day: SeasonDay): void {
    if (where === 'tube') {
      pourIn(volume ?? Infinity, day);
      return;
    }
    pond += volume / surface;
    day.poured += volume;
    sum.in += volume;
  }

  /** What a float valve lets in from its barrel. */
  function topUp(): void {
    const supplied = design.reservoir.supply;
    if (!supplied || barrel <= 0) return;
    const want = min(max(reservoir.holds(min(supplied.level, brim)) - water, 0), barrel);
    barrel -= want;
    water += want;
    level = reservoir.level(water);
  }

  function dryness(head: number): number {
    if (-head <= STILL_MOIST) return 1;
    return max(1 - log(-head / STILL_MOIST) / log(CRUST / STILL_MOIST), 0);
  }
}
