import type { Figures } from '../../assessment';
import type { Site } from '../../catalog';
import { dayAfter, daysBetween, waterDemandOn, type WeatherDay } from '../../physics/climate';
import type { RandomSource } from '../../numerics';
import { growthOn, peakOf, rootsOn, warmthFor } from '../../physics/crop';
import type { Planter } from '../../assembly';
import {
  dayTableOf,
  DRAWN,
  GAINED,
  modelOf,
  SHARE,
  type DayTable,
  type Model,
} from '../../simulation/season';
import {
  BANKS,
  copyParticle,
  sampleByWeight,
  reweigh,
  weightOf,
  type Particles,
} from './particles';
import { WEATHERS, weatherEnsemble, type DayInAll, type WeatherEnsemble } from './weathers';

/** Carries the particles of a planter from day to day. */

/** Errors of the model: of a day's thirst as a share, and of the level, metres; drift of the thirst in a day. */
const OF_DAY = 0.09;
const OF_LEVEL = 0.002;
const DRIFT = 0.05 / Math.sqrt(7);
/** Chances in a day that a leak begins, and that a wick tears; particles that begin so each day. */
const LEAK_BEGINS = 1 / 200;
const WICK_TEARS = 1 / 300;
const BEGIN = 6;
/** Loss of a leak, share of the full reservoir a day: evenly over its logarithm. */
const LEAST_LEAK = 0.03;
const MOST_LEAK = 0.3;
/** Chance in a day that the weather is another one of those that may be. */
const TURNS = 0.1;
/**
 * Chances in a day that it was filled without a note, by who is careful and by who is not: at any time, below the level
 * at which it is usually filled, and once it has been there for some days.
 */
const UNNOTED = [0.002, 0.015] as const;
const UNNOTED_DUE = [0.005, 0.08] as const;
const UNNOTED_OVERDUE = 0.15;
const OVERDUE = 4;
/** Days without a note from one who notes rain are dry but for this share. */
const MISSED_RAIN = 0.25;
const SECONDS = 86_400;
/** Reference evapotranspiration of a hot day, m/s, to scale the table by. */
const HOT_ET = 8e-3 / SECONDS;

export const leakBegun = (luck: RandomSource): number =>
  LEAST_LEAK * (MOST_LEAK / LEAST_LEAK) ** luck.uniform();
export const wickTorn = (luck: RandomSource): number => 0.4 * luck.uniform();

/** What the filter asks of a planter and of the days it is in. */
export interface FilterSetting {
  planter: Planter;
  figures: Pick<Figures, 'usableLevel'>;
  model: Model;
  table: DayTable;
  weathers: WeatherEnsemble;
  planted: string;
  /** Rain that somebody noted, metres by ISO date, and whether those who write here note it. */
  rain: ReadonlyMap<string, number>;
  notesRain: boolean;
  /** Warm days of roots by days after planting. */
  age(date: string): number;
}

export interface FilterSettingInput {
  planter: Planter;
  figures: Pick<Figures, 'usableLevel'>;
  site: Site;
  measured: ReadonlyMap<string, WeatherDay>;
  planted: string;
  rain: ReadonlyMap<string, number>;
}

/** Notes of rain from which on a log counts as one that tells rain. */
const TELLS_RAIN = 2;

export function filterSetting({
  planter,
  figures,
  site,
  measured,
  planted,
  rain,
}: FilterSettingInput): FilterSetting {
  const { design } = planter;
  const model = modelOf(planter);
  const weathers = weatherEnsemble(site, measured, design.place.rain === 'indoors');
  const hot = waterDemandOn(
    design,
    HOT_ET,
    model.surface,
    model.tray,
    peakOf(design.planting).growth,
  );
  const unit = hot.total * SECONDS;
  return {
    planter,
    figures,
    model,
    table: dayTableOf(planter, unit),
    weathers,
    planted,
    rain,
    notesRain: rain.size >= TELLS_RAIN,
    age: warmDays(planter, weathers, planted),
  };
}

/** Warm days that roots have had by a date: those since the eldest of what stands there came. */
function warmDays(
  { design }: Planter,
  weathers: WeatherEnsemble,
  planted: string,
): (date: string) => number {
  const sums = [0];
  return (date) => {
    const day = Math.max(daysBetween(planted, date), 0);
    for (let d = sums.length; d <= day; d += 1) {
      const { tMin, tMax } = weathers.on(dayAfter(planted, d - 1), 0);
      sums.push((sums[d - 1] as number) + warmthFor((tMin + tMax) / 2));
    }
    const had = Math.min(Math.max(rootsOn(design.planting, day).days, 0), day);
    return (sums[day] as number) - (sums[day - had] as number);
  };
}

/** A day's water of a planter by its weather, m³ for each m/s of evapotranspiration. */
interface Asks {
  plants: number;
  surface: number;
  open: number;
  age: number;
}

const UNIT_ET = 1e-7;

function asksOn({ planter, model, planted, age }: FilterSetting, date: string): Asks {
  const { design } = planter;
  const growth = growthOn(design.planting, daysBetween(planted, date));
  const one = waterDemandOn(design, UNIT_ET, model.surface, model.tray, growth);
  const scale = SECONDS / UNIT_ET;
  return {
    plants: one.plants * scale,
    surface: one.surface * scale,
    open: one.open * scale,
    age: age(date),
  };
}

/** A day in each of the weathers that it may have had: noted rain goes with a day that has some. */
function weathersFor(
  { weathers, rain }: FilterSetting,
  date: string,
  luck: RandomSource,
): DayInAll {
  const noted = rain.get(date);
  const all = weathers.inAll(date);
  if (noted === undefined) return all;
  const et = Float64Array.from(all.et);
  if (!weathers.measured(date))
    for (let which = 0; which < WEATHERS; which += 1) {
      let day = { et: all.et[which] as number, rain: all.rain[which] as number };
      for (let k = 0; k < 4 && day.rain > 1e-3 !== noted > 1e-3; k += 1)
        day = weathers.on(date, Math.floor(luck.uniform() * WEATHERS));
      et[which] = day.et;
    }
  return { et, rain: new Float64Array(WEATHERS).fill(noted) };
}

/** What a day looked like in each particle, where it is asked. */
export interface DayBuffers {
  /** Share of what plants asked that they got. */
  share: Float64Array;
  /** Asked by plants and surface, m³. */
  asked: Float64Array;
}

export const dayBuffers = (count: number): DayBuffers => ({
  share: new Float64Array(count),
  asked: new Float64Array(count),
});

/** Water from the barrel beside it, as far as the valve lets in. */
export function topUp({ model, table }: FilterSetting, particles: Particles, i: number): void {
  const { barrel } = model;
  const left = particles.barrel[i] as number;
  if (!barrel || left <= 0) return;
  const wanted = table.holds(Math.min(barrel.level, model.brim)) - (particles.water[i] as number);
  const more = Math.min(Math.max(wanted, 0), left);
  particles.barrel[i] = left - more;
  particles.water[i] = (particles.water[i] as number) + more;
}

/** Fills the reservoir of every particle, and the barrel beside it. */
export function fillUp({ model, table }: FilterSetting, { water, barrel }: Particles): void {
  water.fill(table.full);
  barrel.fill(model.barrel?.volume ?? 0);
}

const now = new Float64Array(3);

/**
 * A day of all particles.
 *
 * @param past what may have happened without a note happens, too; with the level at which it is usually filled, metres
 */
export function advanceDay(
  setting: FilterSetting,
  particles: Particles,
  date: string,
  luck: RandomSource,
  past: { usual: number } | null,
  into?: DayBuffers,
): void {
  const { model, table } = setting;
  const asks = asksOn(setting, date);
  const { full } = table;
  const metre = full / Math.max(model.brim, 1e-3);
  const low = setting.figures.usableLevel;
  const { water, soil, thirst, leak, wick, reach, rain, weather } = particles;
  const start = { water: 0, soil: 0, plants: 0, surface: 0, age: asks.age, level: 0 };
  const day = weathersFor(setting, date, luck);
  // Whoever notes rain and has not on a day that nobody measured: then it was mostly dry.
  const missed =
    past !== null &&
    setting.notesRain &&
    !setting.rain.has(date) &&
    !setting.weathers.measured(date);
  if (past) beginFaults(particles, luck);
  for (let i = 0; i < water.length; i += 1) {
    if (past) happen(setting, particles, i, luck, past.usual);
    if (luck.uniform() < TURNS) weather[i] = Math.floor(luck.uniform() * WEATHERS);
    const which = weather[i] as number;
    const factor = Math.exp(thirst[i] as number) * Math.max(1 + OF_DAY * luck.normal(), 0.3);
    const et = (day.et[which] as number) * factor;
    const falls = day.rain[which] as number;
    if (model.open && falls > 0 && (!missed || luck.uniform() < MISSED_RAIN)) {
      const gets = falls * (rain[i] as number);
      soil[i] = (soil[i] as number) + gets * model.surface * model.letsIn;
      water[i] = Math.min((water[i] as number) + gets * model.tray.area, full);
    }
    topUp(setting, particles, i);
    const stands = table.level(water[i] as number);
    // Where more comes up than is reckoned, it works lower down as it should do above its mark.
    const k = 1 - (reach[i] as number);
    const span = Math.max(model.brim - low * k, 1e-6);
    start.water = water[i] as number;
    start.soil = soil[i] as number;
    start.plants = asks.plants * et;
    start.surface = asks.surface * et;
    start.level = model.brim - ((model.brim - stands) * (model.brim - low)) / span;
    table.step(start, now);
    // Of what is asked a torn wick brings a part, however dry the soil becomes; the rest the soil gives.
    const works = wick[i] as number;
    const gone = asks.open * et + (leak[i] as number) * full;
    const brings = now[DRAWN] as number;
    const torn = works * Math.min(brings, start.plants + start.surface);
    let drawn = works < 1 && brings > 0 ? torn : brings;
    let gained = (now[GAINED] as number) + drawn - brings;
    if (drawn > start.water) {
      gained -= drawn - start.water;
      drawn = start.water;
    }
    const noise = past ? OF_LEVEL * metre * luck.normal() : 0;
    water[i] = Math.min(Math.max(start.water - drawn - gone + noise, 0), full);
    soil[i] = Math.min(Math.max(start.soil + gained, table.least), table.most);
    topUp(setting, particles, i);
    thirst[i] = (thirst[i] as number) + DRIFT * luck.normal();
    if (into) {
      into.share[i] = now[SHARE] as number;
      into.asked[i] = start.plants + start.surface + asks.open * et;
    }
  }
}

/** Faults that begin on a day: some of those particles in which all was well, with what the chance of it weighs. */
function beginFaults(particles: Particles, luck: RandomSource): void {
  beginFault(particles, 'leak', LEAK_BEGINS, luck);
  beginFault(particles, 'torn', WICK_TEARS, luck);
}

/** The particle that weighs least from one to before another, the first of several. */
function lightest(weight: Float64Array, from: number, to: number): number {
  let best = from;
  for (let i = from + 1; i < to; i += 1)
    if ((weight[i] as number) < (weight[best] as number)) best = i;
  return best;
}

function beginFault(
  particles: Particles,
  bank: 'leak' | 'torn',
  hazard: number,
  luck: RandomSource,
): void {
  const { weight, leak, wick } = particles;
  const { from, to } = BANKS[bank];
  const well = weightOf(particles, 'well');
  const had = weightOf(particles, bank);
  // Those that weigh least give way, and their weight goes to the rest.
  const least: number[] = [];
  while (least.length < BEGIN) {
    const i = lightest(weight, from, to);
    least.push(i);
    weight[i] = Infinity;
  }
  for (const i of least) weight[i] = 0;
  reweigh(particles, bank, had);
  for (const i of least) {
    copyParticle(particles, sampleByWeight(particles, 'well', well, luck), i);
    if (bank === 'leak') leak[i] = leakBegun(luck);
    else wick[i] = wickTorn(luck);
    weight[i] = (well * hazard) / BEGIN;
  }
  reweigh(particles, 'well', well * (1 - hazard));
}

/** What may happen to a planter without a word in its log. */
function happen(
  { model, table, figures }: FilterSetting,
  particles: Particles,
  i: number,
  luck: RandomSource,
  usual: number,
): void {
  const { low, water, barrel, careless } = particles;
  const due =
    (barrel[i] as number) <= 0.01 * (model.barrel?.volume ?? 0) &&
    table.level(water[i] as number) <= Math.max(usual, figures.usableLevel) + 1e-4;
  low[i] = due ? (low[i] as number) + 1 : 0;
  const often = (due ? UNNOTED_DUE : UNNOTED)[careless[i] as 0 | 1];
  if (luck.uniform() >= ((low[i] as number) > OVERDUE ? UNNOTED_OVERDUE : often)) return;
  low[i] = 0;
  water[i] = table.full;
  barrel[i] = model.barrel?.volume ?? 0;
}
