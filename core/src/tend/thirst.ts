import type { Figures } from '../assess';
import { daysBetween, type WeatherDay } from '../climate';
import type { Planter } from '../planter';
import { runSeason, type SeasonOptions, type SeasonRun, type Watering } from '../season';
import { mixOf, waterContent } from '../soil';
import {
  drifted,
  heardOf,
  NODE_FACTORS,
  normalised,
  overGrid,
  prior,
  quantilesOf,
  type Belief,
  type Quantiles,
} from './belief';
import type { LogEntry } from './entry';

/**
 * What a planter's log says of its thirst. The thirst factor multiplies what plants and surface are reckoned to lose.
 * Every filling until the overflow runs makes the reservoir full, so what was filled says what was lost since the one
 * before. The factor is one number that drifts slowly, so its
 * whole distribution is carried on a grid of its logarithm (a histogram filter): exact, the same every time, and the
 * season's engine is asked at a few nodes only, between which losses are interpolated. An ensemble would say the same
 * with more runs and with noise of its own.
 */

/** Errors of what is read: of a filling, as a share and in m³; of a stick, metres; of the weather, as a share of loss. */
const OF_FILLING = 0.06;
const OF_CAN = 1.5e-4;
const OF_STICK = 0.006;
const OF_WEATHER = 0.08;
/** Days after planting for which it is taken as filled then, and not since. */
const TRUSTED = 8;
/** Standard deviations from which on no thirst explains a reading. */
const SURPRISING = 3.2;
/** Suctions from which on a finger says moist, and dry; below, wet. Metres. */
const FEELS_MOIST = 0.08;
const FEELS_DRY = 2.5;

/** A reading that no thirst explains. */
export interface Surprise {
  kind: 'falls-fast' | 'stays' | 'rises' | 'at-once';
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

/**
 * Cells of the column here. Levels are those of sixty within half a millimetre, where a stick is read to six.
 */
const CELLS = 40;
/** Longest step, seconds: as long as a part of the day lasts. */
const LONGEST_STEP = 86_400;

/** A planter through days with its thirst so many times what is reckoned, beginning full. */
export function runThirsty(
  { planter, planted }: Pick<Tended, 'planter' | 'planted'>,
  weather: readonly WeatherDay[],
  factor: number,
  waterings: readonly Watering[] = [],
  other: Partial<SeasonOptions> = {},
): SeasonRun {
  const thirsty = weather.map((day) => ({ ...day, et: day.et * factor }));
  return runSeason(planter, thirsty, {
    planted,
    filling: { kind: 'never' },
    refillAt: 0,
    waterings,
    cells: CELLS,
    longest: LONGEST_STEP,
    ...other,
  });
}

export const dayOf = ({ at }: LogEntry): string => at.slice(0, 10);
const isReset = ({ did }: LogEntry): boolean =>
  did.kind === 'filled' && did.where === 'tube' && did.ran;

/** What was given, as the season takes it: until it ran, or so much. */
export function wateringsOf(entries: readonly LogEntry[]): Watering[] {
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
export function withRain(
  weather: readonly WeatherDay[],
  entries: readonly LogEntry[],
): WeatherDay[] {
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
    if (heard.surprise) surprises.push(atOnce(tended, entries, heard.surprise));
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

/** Days before a filling for which a dip still tells how it stood, and the share of the depth that counts as low. */
const DIPPED = 1;
const LOW = 0.5;

/** A filling that ran almost at once though the stick was low is no small thirst: the water does not get in. */
function atOnce({ planter }: Tended, entries: readonly LogEntry[], found: Surprise): Surprise {
  if (found.kind !== 'stays' || found.entry.did.kind !== 'filled') return found;
  const day = dayOf(found.entry);
  const low = entries.some(
    ({ at, did }) =>
      did.kind === 'level' &&
      at <= found.entry.at &&
      daysBetween(at.slice(0, 10), day) <= DIPPED &&
      did.depth < LOW * planter.heights.brim,
  );
  return low ? { ...found, kind: 'at-once' } : found;
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
    (kept ??= NODE_FACTORS.map((factor) => runThirsty(tended, weather, factor, waterings)));

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
