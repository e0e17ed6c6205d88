import { figuresOf, type Figures } from '../assessment';
import type { Site } from '../catalog';
import {
  dayAfter,
  dayOfYear,
  daysBetween,
  hargreavesEt,
  type MeasuredDay,
  type WeatherDay,
} from '../physics/climate';
import { hash32 } from '../numerics';
import type { PlanterDesign } from '../document';
import { assemble, type Planter } from '../assembly';
import { plantedOn } from '../simulation/season';
import { dutiesOf, type Duty } from './duties';
import { currentEntries, type LogEntry } from './entry';
import {
  initialEstimate,
  runFilterCached,
  forecastFrom,
  freeVolume,
  filterSetting,
  quantilesOf,
  estimateCache,
  weatherEnsemble,
  type FilterSetting,
  type Forecast,
  type Quantiles,
  type Estimate,
  type UnexplainedReading,
  type WeatherEnsemble,
  fillingsAhead,
  type FillingAhead,
} from './estimator';
import { suppliedBy } from '../simulation/waterLine';
import { cacheKeyOf, type JoinedTo } from './cacheKey';

/** What is asked about a planter that is tended. */
export interface TendedQuestion {
  design: PlanterDesign;
  /** The line that it is joined to: its share of that water comes to it through the valve. */
  joined?: JoinedTo;
  /** The day of planting that is planned, or null. */
  planted: string | null;
  /** The planter's log, as it came. */
  entries: readonly LogEntry[];
  /** A made-up site, or days of one's own; days that are missing are spread over many that the site may have. */
  site: Site;
  days: readonly MeasuredDay[];
  /** ISO date. */
  today: string;
}

const supplied = new WeakMap<TendedQuestion, TendedQuestion>();

/** The question about a planter as its line supplies it; the same where it stands alone. */
export function suppliedQuestion(question: TendedQuestion): TendedQuestion {
  const { joined, ...alone } = question;
  if (!joined) return question;
  const known = supplied.get(question);
  if (known) return known;
  const design = suppliedBy(question.design, joined.planter, joined);
  const made = { ...alone, design };
  supplied.set(question, made);
  return made;
}

/** What was learned of a planter from its log. */
export interface Thirst {
  /** How many times what is reckoned its plants drink. */
  factor: Quantiles;
  /** Readings that it comes from. */
  readings: number;
  surprises: readonly UnexplainedReading[];
  /** The day of the last filling that ran; null where none is noted. */
  fullOn: string | null;
}

/** How a planter stands today. */
export interface TendedState {
  /** The day of planting. */
  planted: string;
  thirst: Thirst;
  forecast: Forecast;
  /** Litres that fill it now, m³: tenth, half and nine tenths. */
  room: Quantiles;
  /** Days from today until it is to be filled: earliest, likely. */
  daysLeft: { early: number; likely: number };
  /** `now`: fill it; `look`: not sure, dip it first; `soon`: within two days; `later`. */
  wants: 'now' | 'look' | 'soon' | 'later';
  /** What else is due. */
  duties: readonly Duty[];
  /** Whether anything of its water was ever noted: a filling, a dip, or a planting not long ago. */
  certain: boolean;
  /** How it likely was: level by evening, metres, and what was filled, m³, measured or worked out. */
  past: { from: string; levels: readonly number[]; filled: readonly number[] };
}

/** Days for which a strange reading is still told. */
const RECENT = 21;
/** The farthest and the nearest day that is looked ahead. */
const FARTHEST = 45;
const NEAREST = 6;
/** Longest that a planter is followed, days; what was planted before that has its log alone. */
const LONGEST = 360;

/** The day of the first planting in a log, or null. @param entries those that hold */
export const plantedInLog = (entries: readonly LogEntry[]): string | null =>
  entries
    .filter(({ did }) => did.kind === 'did' && (did.what === 'planted' || did.what === 'sown'))
    .map(({ at }) => at.slice(0, 10))
    .sort()[0] ?? null;

/** The day from which on a planter is followed: the first planting in its log, the one planned, or the usual one. */
export const followedFrom = ({ design, planted, entries, site, today }: TendedQuestion): string =>
  plantedInLog(entries) ?? plantedOn(planted, design.planting, today, site.latitude);

/** Days as they were measured, with what they evaporate. */
export function measuredOf({ site, days }: Pick<TendedQuestion, 'site' | 'days'>): WeatherDay[] {
  const latitude = (site.latitude * Math.PI) / 180;
  return days.map((day) => ({
    ...day,
    et: day.et ?? hargreavesEt(day, { latitude }, dayOfYear(day.date)),
  }));
}

const byDate = (days: readonly WeatherDay[]): Map<string, WeatherDay> =>
  new Map(days.map((day) => [day.date, day]));

/** Weathers that may have been and may come where a garden stands, by what was measured. */
export const weathersThere = (
  question: Pick<TendedQuestion, 'site' | 'days'>,
  indoors = false,
): WeatherEnsemble => weatherEnsemble(question.site, byDate(measuredOf(question)), indoors);

/** Rain that somebody noted, metres by ISO date. */
export const rainIn = (entries: readonly LogEntry[]): Map<string, number> =>
  new Map(
    entries.flatMap(({ at, did }) =>
      did.kind === 'rain' ? [[at.slice(0, 10), did.depth] as const] : [],
    ),
  );

/** A planter with its log, ready to be followed. */
export interface ReadyTended {
  planter: Planter;
  figures: Figures;
  setting: FilterSetting;
  /** Entries that hold since planting, in their order. */
  entries: readonly LogEntry[];
  /** The day of planting, also where that is too long ago to be followed from. */
  began: string;
  seed: number;
}

/**
 * Puts a planter together with its log.
 *
 * @returns null before it is planted, or where nobody has said when
 */
export function tendedOf(asked: TendedQuestion): ReadyTended | null {
  const question = suppliedQuestion(asked);
  const held = currentEntries(question.entries);
  const { design, site, today } = question;
  // Nobody has said that anything grows in it.
  if (held.length === 0 && question.planted === null) return null;
  const began = followedFrom({ ...question, entries: held });
  if (began > today) return null;
  const planted = daysBetween(began, today) > LONGEST ? dayAfter(today, -LONGEST) : began;
  const entries = held.filter(({ at }) => at.slice(0, 10) >= planted).reverse();
  const planter = assembled(design);
  // Figures alone: its findings are the bench's.
  const figures = figuresOf(planter);
  const measured = byDate(measuredOf(question));
  const setting = filterSetting({
    planter,
    figures,
    site,
    measured,
    planted,
    rain: rainIn(entries),
  });
  const seed = hash32(held[0]?.planter ?? design.name);
  return { planter, figures, setting, entries, began, seed };
}

/** Planters put together lately, by what their designs say: a garden asks for each again and again. */
const recentPlanters = new Map<string, Planter>();
const MOST_RECENT_PLANTERS = 60;

function assembled(design: PlanterDesign): Planter {
  // Planters that differ in their names alone are one, and so is all that was worked out for them.
  const nameless = { ...design, name: '', notes: '', place: { ...design.place, name: '' } };
  const mark = cacheKeyOf(nameless);
  const known = recentPlanters.get(mark) ?? assemble(nameless);
  recentPlanters.delete(mark);
  recentPlanters.set(mark, known);
  const [oldest] = recentPlanters.keys();
  if (recentPlanters.size > MOST_RECENT_PLANTERS && oldest !== undefined)
    recentPlanters.delete(oldest);
  return known;
}

/** Stories of planters followed here. */
const keeper = estimateCache();

/** Follows a planter through its log until this morning. */
export function estimateOf(asked: TendedQuestion, ready: ReadyTended): Estimate {
  const question = suppliedQuestion(asked);
  const { setting, entries, seed } = ready;
  const { design, site, today, days } = question;
  const always = [design, site].map(cacheKeyOf);
  const { date: from } = initialEstimate(setting.planted, today, entries);
  const mark = (evening: string): string => {
    const until = entries.filter(({ at }) => at.slice(0, 10) <= evening);
    const noted = until.map(({ id }) => id);
    const measured = days.filter(({ date }) => date >= from && date <= evening);
    return [
      ...always,
      from,
      setting.notesRain,
      cacheKeyOf(noted.join()),
      cacheKeyOf(measured),
    ].join(' ');
  };
  return runFilterCached(keeper, `${seed}`, setting, entries, today, seed, mark);
}

/**
 * How a planter stands today, by its season, the weather that was, and its log.
 *
 * @returns null before it is planted, or where nobody has said when
 */
export function stateOf(asked: TendedQuestion): TendedState | null {
  const question = suppliedQuestion(asked);
  const ready = tendedOf(question);
  if (!ready) return null;
  const { design, site, today } = question;
  const { setting, figures, entries, began, seed } = ready;
  const story = estimateOf(question, ready);
  const { particles } = story;
  const { days: low, short } = figures.lastsMild;
  const lasts = Math.max(2 * low, 1.5 * short);
  const far = Math.round(Math.min(Math.max(lasts + NEAREST, NEAREST), FARTHEST));
  const forecast = forecastFrom(setting, particles, today, far, seed);
  const early = daysBetween(today, forecast.next.early);
  const likely = daysBetween(today, forecast.next.likely);
  const certain = story.readings > 0 || story.fullOn !== null || story.begun;
  return {
    planted: began,
    thirst: {
      factor: quantilesOf(particles, (i) => Math.exp(particles.thirst[i] as number)),
      readings: story.readings,
      surprises: story.surprises.filter(
        ({ entry }) => daysBetween(entry.at.slice(0, 10), today) <= RECENT,
      ),
      fullOn: story.fullOn,
    },
    forecast,
    room: quantilesOf(particles, (i) => freeVolume(setting, particles, i)),
    daysLeft: { early, likely },
    wants: wantsOf(forecast, today, certain),
    duties: dutiesOf({ design, figures, planted: began, today, site, entries }),
    certain,
    past: {
      from: story.evenings[0]?.date ?? today,
      levels: story.evenings.map(({ level }) => level),
      filled: story.evenings.map(({ filled }) => filled),
    },
  };
}

/**
 * The fillings of the weeks ahead, if it is filled whenever it reads low.
 *
 * @param days that are looked ahead
 * @returns none before it is planted
 */
export function fillingsOf(question: TendedQuestion, days: number): readonly FillingAhead[] {
  const known = fillings.get(question);
  if (known?.days === days) return known.ahead;
  const ready = tendedOf(question);
  if (!ready) return [];
  const { particles } = estimateOf(question, ready);
  const ahead = fillingsAhead(ready.setting, particles, question.today, days, ready.seed);
  fillings.set(question, { days, ahead });
  return ahead;
}

/** What was answered to a question: a calendar and its picture ask the same. */
const fillings = new WeakMap<TendedQuestion, { days: number; ahead: readonly FillingAhead[] }>();

/** Days from which on a filling is soon; and days in which a wick that fails may be mended before plants go short. */
const SOON = 2;
const TO_MEND = 7;

/** Whether plants likely go short before the water can read low: it is there, and does not come up. */
export const notComingUp = ({ next, short }: Pick<Forecast, 'next' | 'short'>): boolean =>
  short.likely !== null && short.likely < next.early;

function wantsOf({ next, short }: Forecast, today: string, certain: boolean): TendedState['wants'] {
  const until = (date: string): number => daysBetween(today, date);
  if (!certain) return 'look';
  if (until(next.likely) <= 0) return 'now';
  if (until(next.early) <= 0) return 'look';
  // Water is there and likely does not come up; what one story in ten says is no reason to look at a wick.
  if (notComingUp({ next, short }) && until(short.likely as string) <= TO_MEND) return 'look';
  return until(next.likely) <= SOON ? 'soon' : 'later';
}
