import { figuresOf, type Figures } from '../assess';
import type { Site } from '../catalog';
import {
  dayAfter,
  dayOfYear,
  daysBetween,
  hargreavesEt,
  roomDay,
  weatherOf,
  type MeasuredDay,
  type WeatherDay,
} from '../climate';
import type { PlanterDesign } from '../design';
import { assemble } from '../planter';
import { plantedOn } from '../season';
import { dutiesOf, type Duty } from './duties';
import { holding, type LogEntry } from './entry';
import { forecastOf, type Forecast } from './forecast';
import { runThirsty, thirstOf, wateringsOf, withRain, type Thirst, type Tended } from './thirst';

/** What is asked about a planter that is tended. */
export interface TendedQuestion {
  design: PlanterDesign;
  /** The day of planting that is planned, or null. */
  planted: string | null;
  /** The planter's log, as it came. */
  entries: readonly LogEntry[];
  /** A made-up site, or days of one's own; days that are missing are made up for the site. */
  site: Site;
  days: readonly MeasuredDay[];
  /** ISO date. */
  today: string;
}

/** How a planter stands today. */
export interface TendedState {
  thirst: Thirst;
  forecast: Forecast;
  /** Litres that fill it now, m³: tenth, half and nine tenths. */
  room: Forecast['water'];
  /** Days from today until it is to be filled: earliest, likely. */
  daysLeft: { early: number; likely: number };
  /** `now`: fill it; `look`: not sure, dip it first; `soon`: within two days; `later`. */
  wants: 'now' | 'look' | 'soon' | 'later';
  /** What else is due. */
  duties: readonly Duty[];
  /** Whether a filling was ever noted, or all is reckoned from the day of planting. */
  certain: boolean;
  /** How it likely was since planting: level by day, metres, and what was filled, m³, measured or worked out. */
  past: { from: string; levels: readonly number[]; filled: readonly number[] };
}

/** Weathers to come that a forecast goes through, and its farthest day. */
const AHEAD = 3;
const FARTHEST = 45;
const NEAREST = 6;
/** Longest that a season is followed after planting, days; what was planted before that has its log alone. */
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

/** The weather that was: days of one's own where there are any, made up for the site where not. */
export function weatherThatWas(
  { site, days }: Pick<TendedQuestion, 'site' | 'days'>,
  from: string,
  until: string,
): WeatherDay[] {
  const count = Math.max(daysBetween(from, until), 0);
  const own = new Map(days.map((day) => [day.date, day]));
  const latitude = (site.latitude * Math.PI) / 180;
  return weatherOf(site, from, count, 0).map((day) => {
    const measured = own.get(day.date);
    if (!measured) return day;
    const et = measured.et ?? hargreavesEt(measured, { latitude }, dayOfYear(day.date));
    return { ...measured, et };
  });
}

/** A planter with its log and the weather that was, ready to be run. */
export interface ReadyTended {
  tended: Tended;
  figures: Figures;
  /** The day of planting, also where that is too long ago to be run from. */
  began: string;
  /** A weather to come: so many days from today on, made up by a seed. */
  ahead(days: number, seed: number): WeatherDay[];
}

/**
 * Puts a planter together with its log and the weather that was.
 *
 * @returns null before it is planted, or where nobody has said when
 */
export function tendedOf(question: TendedQuestion): ReadyTended | null {
  const entries = holding(question.entries);
  const { design, site, today } = question;
  // Nobody has said that anything grows in it.
  if (entries.length === 0 && question.planted === null) return null;
  const began = followedFrom({ ...question, entries });
  if (began > today) return null;
  const planted = daysBetween(began, today) > LONGEST ? dayAfter(today, -LONGEST) : began;
  const planter = assemble(design);
  // Figures alone: its findings are the bench's.
  const figures = figuresOf(planter);
  const indoors = design.place.rain === 'indoors';
  const inside = (days: WeatherDay[]) => (indoors ? days.map(roomDay) : days);
  const weather = inside(weatherThatWas(question, planted, today));
  return {
    tended: { planter, figures, planted, entries, weather },
    figures,
    began,
    ahead: (days, seed) => inside(weatherOf(site, today, days, seed)),
  };
}

/**
 * How a planter stands today, by its season, the weather that was, and its log.
 *
 * @returns null before it is planted, or where nobody has said when
 */
export function stateOf(question: TendedQuestion): TendedState | null {
  const made = tendedOf(question);
  if (!made) return null;
  const { design, site, today } = question;
  const { tended, figures, began } = made;
  const { entries } = tended;
  const thirst = thirstOf(tended);
  const lasts = Number.isFinite(figures.lastsMild.days) ? figures.lastsMild.days : FARTHEST;
  const far = Math.round(Math.min(Math.max(lasts * 1.5 + NEAREST, NEAREST), FARTHEST));
  const ahead = Array.from({ length: AHEAD }, (_, seed) => made.ahead(far, seed + 1));
  const forecast = forecastOf(tended, thirst, ahead);
  const full = figures.gross;
  const early = daysBetween(today, forecast.next.early);
  const likely = daysBetween(today, forecast.next.likely);
  const { water } = forecast;
  return {
    thirst,
    forecast,
    room: {
      low: Math.max(full - water.high, 0),
      middle: Math.max(full - water.middle, 0),
      high: Math.max(full - water.low, 0),
    },
    daysLeft: { early, likely },
    wants: wantsOf(early, likely, thirst.certain),
    duties: dutiesOf({ design, figures, planted: began, today, site, entries }),
    certain: thirst.certain,
    past: pastOf(tended, thirst),
  };
}

/** How it likely was, by the middle of what is believed of its thirst. */
function pastOf(tended: Tended, thirst: Thirst): TendedState['past'] {
  const { planted, entries } = tended;
  const weather = withRain(tended.weather, entries);
  const { days } = runThirsty(tended, weather, thirst.factor.middle, wateringsOf(entries));
  const measured = new Map<string, number>();
  for (const { at, did } of entries) {
    if (did.kind !== 'filled' || did.volume === null) continue;
    const date = at.slice(0, 10);
    measured.set(date, (measured.get(date) ?? 0) + did.volume);
  }
  return {
    from: planted,
    levels: days.map(({ level }) => level),
    filled: days.map(({ date, filled }) => measured.get(date) ?? filled),
  };
}

function wantsOf(early: number, likely: number, certain: boolean): TendedState['wants'] {
  if (likely <= 0) return certain ? 'now' : 'look';
  if (early <= 0) return 'look';
  return likely <= 2 ? 'soon' : 'later';
}
