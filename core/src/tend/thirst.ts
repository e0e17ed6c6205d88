import type { Figures } from '../assess';
import { dayAfter, daysBetween, type WeatherDay } from '../climate';
import type { Planter } from '../planter';
import { runSeason, type SeasonRun, type Watering } from '../season';
import { mixOf, waterContent } from '../soil';
import type { LogEntry } from './entry';

/**
 * What a planter's log says of its thirst. The thirst factor multiplies what plants and surface are reckoned to lose.
 * Every filling until the overflow runs makes the reservoir full, so what was filled says what was lost since the one
 * before. The factor is one number that drifts slowly, so its
 * whole distribution is carried on a grid of its logarithm (a histogram filter): exact, the same every time, and the
 * season's engine is asked at a few nodes only, between which losses are interpolated. An ensemble would say the same
 * with more runs and with noise of its own.
 */

/** Grid of ln(factor): from a third to three times what was reckoned. */
const CELLS = 81;
const LEAST = Math.log(0.33);
const MOST = Math.log(3);
const CELL = (MOST - LEAST) / (CELLS - 1);
/** Factors at which the season is run. */
const NODES = 7;
/** Spread of ln(factor) before anything is known, and its drift in a week. Typical. */
const PRIOR = 0.3;
const DRIFT = 0.05;
/** Errors of what is read: of a filling, as a share and in m³; of a stick, metres; of the weather, as a share of loss. */
const OF_FILLING = 0.06;
const OF_CAN = 1.5e-4;
const OF_STICK = 0.006;
const OF_WEATHER = 0.08;
/** A reading may be wrong altogether, or something else has happened. */
const MISTAKEN = 0.03;
/** Days after planting for which it is taken as filled then, and not since. */
const TRUSTED = 8;
/** Standard deviations from which on no thirst explains a reading. */
const SURPRISING = 3.2;
/** Suctions from which on a finger says moist, and dry; below, wet. Metres. */
const FEELS_MOIST = 0.08;
const FEELS_DRY = 2.5;

const factorAt = (cell: number): number => Math.exp(LEAST + cell * CELL);

/** A distribution of the factor: weights of the grid's cells that sum to 1. */
type Belief = readonly number[];

export interface Quantiles {
  low: number;
  middle: number;
  high: number;
}

/** A reading that no thirst explains. */
export interface Surprise {
  kind: 'falls-fast' | 'stays' | 'rises';
  entry: LogEntry;
  /** What was read and what was to be expected: m³ for fillings, metres for levels. */
  read: number;
  expected: number;
}

export interface Thirst {
  belief: Belief;
  factor: Quantiles;
  /** Readings that it comes from. */
  readings: number;
  surprises: readonly Surprise[];
  /** When the reservoir was last full for certain. */
  fullOn: string;
  /** Whether that was a filling until it ran, and not the day of planting. */
  certain: boolean;
}

/** What the estimate is made from. */
export interface Tended {
  planter: Planter;
  figures: Pick<Figures, 'usableLevel' | 'stranded'>;
  /** ISO date of planting, on which the reservoir was first filled. */
  planted: string;
  /** Entries that hold, in any order. */
  entries: readonly LogEntry[];
  /** Weather of each day from planting to today, without gaps. */
  weather: readonly WeatherDay[];
}

const normalised = (weights: readonly number[]): number[] => {
  const sum = weights.reduce((total, one) => total + one, 0);
  return sum > 0 ? weights.map((one) => one / sum) : weights.map(() => 1 / weights.length);
};

const prior = (): number[] =>
  normalised(
    Array.from({ length: CELLS }, (_, i) => Math.exp(-0.5 * ((LEAST + i * CELL) / PRIOR) ** 2)),
  );

/** The belief some days later: a little wider. */
function drifted(belief: Belief, days: number): number[] {
  const spread = DRIFT * Math.sqrt(Math.max(days, 0) / 7);
  if (spread < CELL / 4) return [...belief];
  const reach = Math.ceil((3 * spread) / CELL);
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, k) =>
    Math.exp(-0.5 * (((k - reach) * CELL) / spread) ** 2),
  );
  return normalised(
    belief.map((_, i) =>
      kernel.reduce((sum, weight, k) => sum + weight * (belief[i + k - reach] ?? 0), 0),
    ),
  );
}

/** Factors below which a tenth, half and nine tenths of the belief lie. */
export function quantilesOf(belief: Belief): Quantiles {
  return { low: below(belief, 0.1), middle: below(belief, 0.5), high: below(belief, 0.9) };
}

/** The factor below which so much of the belief lies. */
function below(belief: Belief, share: number): number {
  let sum = 0;
  for (let i = 0; i < belief.length; i += 1) {
    const weight = belief[i] as number;
    if (sum + weight >= share) return factorAt(i - 0.5 + (share - sum) / Math.max(weight, 1e-12));
    sum += weight;
  }
  return factorAt(CELLS - 1);
}

/** An episode run at some factors: the values of something at each cell of the grid, between the nodes in a line. */
function overGrid(runs: readonly SeasonRun[], of: (run: SeasonRun) => number): number[] {
  const values = runs.map(of);
  return Array.from({ length: CELLS }, (_, i) => {
    const at = (i / (CELLS - 1)) * (NODES - 1);
    const low = Math.min(Math.floor(at), NODES - 2);
    const [a, b] = [values[low] as number, values[low + 1] as number];
    return a + (b - a) * (at - low);
  });
}

/** A planter through days with its thirst so many times what is reckoned, beginning full. */
export function runThirsty(
  { planter, planted }: Pick<Tended, 'planter' | 'planted'>,
  weather: readonly WeatherDay[],
  factor: number,
  waterings: readonly Watering[] = [],
): SeasonRun {
  const thirsty = weather.map((day) => ({ ...day, et: day.et * factor }));
  return runSeason(planter, thirsty, {
    planted,
    filling: { kind: 'never' },
    refillAt: 0,
    waterings,
  });
}

const dayOf = ({ at }: LogEntry): string => at.slice(0, 10);
const isReset = ({ did }: LogEntry): boolean =>
  did.kind === 'filled' && did.where === 'tube' && did.ran;

/** What was given, as the season takes it: until it ran, or so much. */
function wateringsOf(entries: readonly LogEntry[]): Watering[] {
  return entries.flatMap((entry): Watering[] => {
    const { did } = entry;
    const date = dayOf(entry);
    if (did.kind !== 'filled') return [];
    if (isReset(entry)) return [{ where: 'tube', date, volume: null }];
    if (did.volume === null || did.volume < 1e-5) return [];
    return [{ where: did.where, date, volume: did.volume }];
  });
}

/** Rain that somebody measured, instead of what the weather says. */
function withRain(weather: readonly WeatherDay[], entries: readonly LogEntry[]): WeatherDay[] {
  const seen = new Map(
    entries.flatMap((entry) =>
      entry.did.kind === 'rain' ? [[dayOf(entry), entry.did.depth] as const] : [],
    ),
  );
  return weather.map((day) => ({ ...day, rain: seen.get(day.date) ?? day.rain }));
}

/** Learns a planter's thirst from its log. */
export function thirstOf(tended: Tended): Thirst {
  const { planted } = tended;
  const entries = [...tended.entries]
    .filter((entry) => dayOf(entry) >= planted)
    .sort((a, b) => a.at.localeCompare(b.at));
  const hearing = hearingOf(tended, entries);
  let belief: number[] = prior();
  let readings = 0;
  let before = planted;
  let full: LogEntry | null = null;
  const surprises: Surprise[] = [];
  for (const entry of entries) {
    const fullOn: string | null = full ? dayOf(full) : null;
    if (isReset(entry)) full = entry;
    // Long after planting somebody has filled it without a note: nothing is certain before the first filling that ran.
    const unknown = fullOn === null && daysBetween(planted, dayOf(entry)) > TRUSTED;
    if (unknown) continue;
    const believed = drifted(belief, daysBetween(before, dayOf(entry)));
    const heard = hearing(entry, fullOn ?? planted, believed);
    if (!heard) continue;
    ({ belief } = heard);
    before = dayOf(entry);
    readings += 1;
    if (heard.surprise) surprises.push(heard.surprise);
  }
  return {
    belief,
    factor: quantilesOf(belief),
    readings,
    surprises,
    fullOn: full ? dayOf(full) : planted,
    certain: full !== null,
  };
}

interface Heard {
  belief: number[];
  surprise: Surprise | null;
}

/**
 * Listens to the readings of a log. The season is run from planting on at each node, with all that was given, so that
 * the soil is as wet at every filling as it is in the garden.
 *
 * @returns what a reading says, given when it was last full and what was believed; null where it says nothing
 */
function hearingOf(tended: Tended, entries: readonly LogEntry[]) {
  const { planter } = tended;
  const last = entries.at(-1);
  const known = withRain(tended.weather, entries);
  const latest = known.at(-1);
  // A filling in the morning of a day whose weather is not known yet.
  const more = last && latest && dayOf(last) > latest.date;
  const weather = more ? [...known, { ...latest, date: dayOf(last) }] : known;
  const index = new Map(weather.map(({ date }, i) => [date, i]));
  const waterings = wateringsOf(entries);
  let kept: SeasonRun[] | null = null;
  const runs = (): SeasonRun[] =>
    (kept ??= Array.from({ length: NODES }, (_, k) =>
      runThirsty(tended, weather, factorAt((k / (NODES - 1)) * (CELLS - 1)), waterings),
    ));

  return (entry: LogEntry, fullOn: string, belief: number[]): Heard | null => {
    const { did } = entry;
    const day = dayOf(entry);
    const at = index.get(day);
    if (at === undefined || day === fullOn) return null;
    const told = (value: number, expects: number[], spread: (x: number) => number): Heard => {
      const { z, expected, belief: after } = heardOf(belief, value, expects, spread);
      if (Math.abs(z) <= SURPRISING) return { belief: after, surprise: null };
      return { belief: after, surprise: { kind: kindOf(entry, z), entry, read: value, expected } };
    };
    if (did.kind === 'filled') {
      if (!isReset(entry) || did.volume === null) return null;
      const { volume } = did;
      const expects = overGrid(runs(), (run) => run.days[at]?.filled ?? 0);
      return told(volume, expects, (lost) =>
        Math.hypot(OF_CAN, OF_FILLING * volume, OF_WEATHER * lost),
      );
    }
    // A reading is that of the evening before.
    if (at === 0) return null;
    if (did.kind === 'level') {
      const expects = overGrid(runs(), (run) => run.days[at - 1]?.level ?? 0);
      const full = planter.heights.brim;
      return told(did.depth, expects, (level) =>
        Math.hypot(OF_STICK, OF_WEATHER * Math.max(full - level, 0)),
      );
    }
    if (did.kind === 'finger')
      return { belief: felt(planter, belief, runs(), at - 1, did), surprise: null };
    return null;
  };
}

/** Bayes for a reading with a normal error about what each factor lets expect, or a mistake. */
function heardOf(
  belief: Belief,
  value: number,
  expects: readonly number[],
  spread: (expected: number) => number,
): { belief: number[]; z: number; expected: number } {
  const expected = belief.reduce((sum, weight, i) => sum + weight * (expects[i] as number), 0);
  const variance = belief.reduce((sum, weight, i) => {
    const at = expects[i] as number;
    return sum + weight * ((at - expected) ** 2 + spread(at) ** 2);
  }, 0);
  const z = (value - expected) / Math.sqrt(Math.max(variance, 1e-18));
  const flat = MISTAKEN / (6 * Math.sqrt(Math.max(variance, 1e-18)));
  const weights = belief.map((weight, i) => {
    const at = expects[i] as number;
    const sd = Math.max(spread(at), 1e-9);
    const near = Math.exp(-0.5 * ((value - at) / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));
    return weight * ((1 - MISTAKEN) * near + flat);
  });
  return { belief: normalised(weights), z, expected };
}

const kindOf = ({ did }: LogEntry, z: number): Surprise['kind'] => {
  if (did.kind === 'level') return z > 0 ? 'rises' : 'falls-fast';
  return z > 0 ? 'falls-fast' : 'stays';
};

/** How likely a finger says what it said where the soil is so moist. */
const SAYS = { same: 0.85, near: 0.12, far: 0.03 } as const;
const FEEL_ORDER = ['dry', 'moist', 'wet'] as const;

function felt(
  planter: Planter,
  belief: Belief,
  runs: readonly SeasonRun[],
  day: number,
  { depth, feels }: { depth: number; feels: 'dry' | 'moist' | 'wet' },
): number[] {
  const mix = mixOf(planter.design.soil);
  const [dry, wet] = [waterContent(mix, FEELS_DRY), waterContent(mix, FEELS_MOIST)];
  const held = overGrid(runs, (run) => {
    const count = run.heights.length;
    const top = planter.heights.surface;
    const at = run.heights.findIndex((z) => z >= top - depth);
    return run.moisture[day * count + (at < 0 ? count - 1 : at)] ?? 0;
  });
  const said = FEEL_ORDER.indexOf(feels);
  return normalised(
    belief.map((weight, i) => {
      const theta = held[i] as number;
      const is = theta < dry ? 0 : theta > wet ? 2 : 1;
      const off = Math.abs(is - said);
      return weight * (off === 0 ? SAYS.same : off === 1 ? SAYS.near : SAYS.far);
    }),
  );
}

/** What is to come. */
export interface Forecast {
  /** The level now, metres, and the water in it, m³: tenth, half and nine tenths. */
  level: Quantiles;
  water: Quantiles;
  /** The day on which it is to be filled again; null where that lies beyond the days that are looked at. */
  next: { early: string; likely: string; late: string | null };
  /** Days of the level to come, metres. */
  fan: readonly Quantiles[];
  /** The day on which plants begin to go short if nobody fills; null where none does. */
  short: string | null;
}

/** Days before it was last full from which on a forecast is run, so that the soil is as wet as it is. */
const WARM_UP = 14;

/** Parts of the belief that the forecast is run for, one each. */
const SHARES = [0.1, 0.3, 0.5, 0.7, 0.9] as const;

/**
 * What a planter does from now on if nobody fills it.
 *
 * @param ahead weathers to come, each from the day after the last known one on
 */
export function forecastOf(
  tended: Tended,
  thirst: Thirst,
  ahead: readonly (readonly WeatherDay[])[],
): Forecast {
  const warm = dayAfter(thirst.fullOn, -WARM_UP);
  const begin = warm > tended.planted ? warm : tended.planted;
  const entries = tended.entries.filter((entry) => dayOf(entry) >= begin);
  const past = withRain(tended.weather, entries).filter(({ date }) => date >= begin);
  const waterings = wateringsOf(entries);
  const today = past.length;
  const runs = SHARES.flatMap((share) => {
    const factor = below(thirst.belief, share);
    return ahead.map((days) => runThirsty(tended, [...past, ...days], factor, waterings));
  });
  const length = Math.min(...runs.map(({ days }) => days.length));
  const spread = (of: (run: SeasonRun) => number): Quantiles => {
    const sorted = runs.map(of).sort((a, b) => a - b);
    const at = (share: number): number =>
      sorted[Math.min(Math.round(share * (sorted.length - 1)), sorted.length - 1)] as number;
    return { low: at(0.1), middle: at(0.5), high: at(0.9) };
  };
  // Filled this morning it is full now, whatever the evening before was like.
  const filledNow = ahead[0]?.[0]?.date === thirst.fullOn;
  const now = Math.max(today - 1, 0);
  const brim = tended.planter.heights.brim;
  const levelOn = (run: SeasonRun, i: number): number =>
    (filledNow || today === 0) && i === now ? brim : (run.days[i]?.level ?? 0);
  const from = filledNow ? today : now;
  const low = (run: SeasonRun): number => {
    const at = run.days.findIndex(
      ({ level }, i) => i >= from && level <= tended.figures.usableLevel + 1e-4,
    );
    return at < 0 ? length : at;
  };
  const when = spread(low);
  const dateOf = (i: number): string => dayAfter(begin, Math.round(i));
  const shorts = runs
    .map(({ days }) => days.findIndex(({ stress }, i) => i >= from && stress === 'dry'))
    .map((i) => (i < 0 ? Infinity : i))
    .sort((a, b) => a - b);
  const short = shorts[Math.floor(shorts.length * 0.1)] ?? Infinity;
  return {
    level: spread((run) => levelOn(run, now)),
    water: spread((run) => (filledNow || today === 0 ? run.full : (run.days[now]?.water ?? 0))),
    next: {
      early: dateOf(when.low),
      likely: dateOf(when.middle),
      late: when.high >= length ? null : dateOf(when.high),
    },
    fan: Array.from({ length: Math.max(length - now, 0) }, (_, i) =>
      spread((run) => levelOn(run, now + i)),
    ),
    short: Number.isFinite(short) ? dateOf(short) : null,
  };
}
