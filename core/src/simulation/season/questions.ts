import { evaluate, type Figures } from '../../assessment';
import { dayAfter, daysBetween, roomDay, weatherOf, type WeatherDay } from '../../physics/climate';
import type { Site } from '../../catalog';
import { applyPatch, type Patch, type PlanterDesign } from '../../document';
import { contradictions, type Planter } from '../../assembly';
import { q, say, type Message } from '../../units';
import {
  absenceOf,
  daysLasted,
  freezesOn,
  lastsFrom,
  totalsOf,
  type Absence,
  type Totals,
} from './outlook';
import type { Filling, Watering } from './plan';
import { plantsSuffer, type SeasonOptions, type SeasonRun } from './run';
import { runSeason } from './season';
import { allOf, whatIfs, type WhatIf } from './whatIf';

/**
 * Questions about a season: the season itself, the same in many weathers, an absence with what would make it
 * longer, and what could be otherwise. They run anywhere; a page has them worked out away from its screen.
 */

/** What a season is asked with. */
export interface SeasonQuestion {
  design: PlanterDesign;
  /** A made-up site, or days of one's own. */
  weather: { site: Site } | { days: readonly WeatherDay[] };
  planted: string;
  filling: Filling;
  waterings: readonly Watering[];
  days: number;
  /** How many weathers the bands and absences come from. */
  seeds: number;
}

/** An absence of some days from a date on. */
export interface AwayQuestion extends SeasonQuestion {
  from: string;
  away: number;
}

/** Several what-ifs at once. */
export interface TogetherQuestion extends SeasonQuestion {
  together: readonly string[];
}

/** A season worked out. */
export interface SeasonAnswer {
  run: SeasonRun;
  weather: readonly WeatherDay[];
  totals: Totals;
  /** Days that a full reservoir lasts from each day on; null where the season is too short to say. */
  lasts: (number | null)[];
  /** The first day on which its water may freeze; null indoors and where it is warm. */
  freezes: string | null;
}

/** What some weathers tell: level by day and sums of each. */
export interface WeathersRun {
  levels: readonly (readonly number[])[];
  totals: readonly Totals[];
}

/** A change with which it would last longer: of the design, or somebody who waters meanwhile. */
export interface SeasonRemedy {
  label: Message;
  safe: number;
  patch: Patch;
  waterings: readonly Watering[];
}

export interface AwayAnswer {
  answer: Absence;
  mends: readonly SeasonRemedy[];
  /** Changes that are still being tried. */
  trying: boolean;
}

export interface WhatIfAnswer {
  id: string;
  label: Message;
  totals: Totals;
  /** By day, metres. */
  level: number[];
  /** Why it could not be worked out. */
  trouble: string | null;
}

/** The parts of an answer, with the question of each and what its worker tells, bit by bit. */
export interface SeasonParts {
  season: { question: SeasonQuestion; told: SeasonAnswer };
  outlook: { question: SeasonQuestion; told: WeathersRun };
  away: { question: AwayQuestion; told: AwayAnswer };
  'what-if': { question: SeasonQuestion; told: WhatIfAnswer };
  together: { question: TogetherQuestion; told: WhatIfAnswer };
}
export type SeasonPart = keyof SeasonParts;

/** What a worker is sent; of several workers on one part each has its share. */
export type SeasonAsked = {
  [P in SeasonPart]: { part: P; question: SeasonParts[P]['question']; share: number; of: number };
}[SeasonPart];

/** What is told, bit by bit. */
type SeasonTold = SeasonParts[SeasonPart]['told'];

/** Works a part of an answer out, and tells what it has as it goes. */
export function* answersTo({ part, question, share, of }: SeasonAsked): Generator<SeasonTold> {
  switch (part) {
    case 'season':
      yield answer(question);
      return;
    case 'outlook':
      yield* outlook(question, share, of);
      return;
    case 'away':
      yield* absences(question);
      return;
    case 'what-if':
      for (const one of whatIfs(question.design)) yield otherwise(question, one);
      return;
    case 'together':
      yield otherwise(
        question,
        allOf(whatIfs(question.design).filter(({ id }) => question.together.includes(id))),
      );
  }
}

/** Longest absence that is looked at, days. */
const MOST_AWAY = 60;
/** Weathers after which the band is looked at for the first time; the rest is told together. */
const FIRST_LOOK = 3;

/** A design put together and judged once, however many weathers it goes through. */
interface Ready {
  planter: Planter;
  figures: Figures;
}

function ready(design: PlanterDesign): Ready {
  const { planter, assessment } = evaluate(design);
  return { planter, figures: assessment.figures };
}

/** A season as the question plans it, or otherwise. */
function season(
  { planted, filling, waterings }: SeasonQuestion,
  { planter, figures }: Ready,
  weather: readonly WeatherDay[],
  other: Partial<SeasonOptions> = {},
): SeasonRun {
  const days = planter.design.place.rain === 'indoors' ? weather.map(roomDay) : weather;
  const refillAt = figures.usableLevel;
  return runSeason(planter, days, { planted, filling, waterings, refillAt, ...other });
}

function answer(question: SeasonQuestion): SeasonAnswer {
  const { design, planted, days } = question;
  const weather = weatherFrom(question, planted, days, 0);
  const { planter, figures } = ready(design);
  const run = season(question, { planter, figures }, weather);
  return {
    run,
    weather,
    totals: totalsOf(run),
    lasts: lastsFrom(run, figures.stranded),
    freezes: design.place.rain === 'indoors' ? null : freezesOn(weather),
  };
}

/** The season with something otherwise. */
function otherwise(question: SeasonQuestion, one: WhatIf): WhatIfAnswer {
  const { id, label } = one;
  try {
    const weather = weatherFrom(question, question.planted, question.days, 0);
    const design = applyPatch(question.design, one.patch);
    if (contradictions(design).length > 0) throw new Error('These do not go together here');
    const run = season(question, ready(design), one.weather(weather), one.options);
    const level = run.days.map((day) => day.level);
    return { id, label, totals: totalsOf(run), level, trouble: null };
  } catch (error) {
    const trouble = error instanceof Error ? error.message : 'It could not be worked out';
    return { id, label, totals: totalsOf({ days: [] }), level: [], trouble };
  }
}

/** This worker’s share of many weathers; days of one's own are one weather only. */
function* outlook(question: SeasonQuestion, share: number, of: number): Generator<WeathersRun> {
  const { design, planted, days, seeds } = question;
  if (!('site' in question.weather)) return;
  const made = ready(design);
  let portion: { levels: number[][]; totals: WeathersRun['totals'][number][] } = {
    levels: [],
    totals: [],
  };
  for (let seed = share; seed < seeds; seed += of) {
    const run = season(question, made, weatherFrom(question, planted, days, seed));
    portion.levels.push(run.days.map(({ level }) => level));
    portion.totals.push(totalsOf(run));
    if (seed === share + (FIRST_LOOK - 1) * of || seed + of >= seeds) {
      yield portion;
      portion = { levels: [], totals: [] };
    }
  }
}

/** How long it lasts from a date, and which changes would make it last longer, best first. */
function* absences(question: AwayQuestion): Generator<AwayAnswer> {
  const { design, away } = question;
  const own = absence(question, design);
  if (own.safe >= away) {
    yield { answer: own, mends: [], trying: false };
    return;
  }
  let mends: SeasonRemedy[] = [];
  yield { answer: own, mends, trying: true };
  const tries = changesOf(design);
  const attempt = (one: Try): SeasonRemedy => {
    const planned = { ...question, waterings: [...question.waterings, ...one.waterings] };
    return { ...one, safe: absence(planned, applyPatch(design, one.patch)).safe };
  };
  const keep = (one: SeasonRemedy | null): void => {
    if (one && one.safe > own.safe) mends = [...mends, one].sort((a, b) => b.safe - a.safe);
  };
  keep(neighbour(question, attempt));
  yield { answer: own, mends, trying: tries.length > 0 };
  for (const [i, one] of tries.entries()) {
    keep(attempt(one));
    yield { answer: own, mends, trying: i < tries.length - 1 };
  }
}

type Try = Omit<SeasonRemedy, 'safe'>;

/** Most times that a neighbour is asked to come. */
const MOST_VISITS = 4;

/** A neighbour who fills it as seldom as is enough, at even distances; null when a few visits are not. */
function neighbour(
  { away, from }: AwayQuestion,
  attempt: (one: Try) => SeasonRemedy,
): SeasonRemedy | null {
  for (let times = 1; times <= Math.min(MOST_VISITS, away - 1); times += 1) {
    const waterings = Array.from({ length: times }, (_, i): Watering => {
      const after = Math.floor((away * (i + 1)) / (times + 1));
      return { where: 'tube', date: dayAfter(from, after), volume: null };
    });
    const label =
      times === 1
        ? say`A neighbour fills it once, on ${writtenDay(waterings)}`
        : say`A neighbour fills it ${q(times, 'count')} times, on ${writtenDay(waterings)}`;
    const mend = attempt({ label, patch: [], waterings });
    if (mend.safe >= away) return mend;
  }
  return null;
}

/** Months as they are said. */
export const MONTH_NAMES = [
  ...['January', 'February', 'March', 'April', 'May', 'June', 'July'],
  ...['August', 'September', 'October', 'November', 'December'],
];

/** The days of some waterings, in words. */
const writtenDay = (waterings: readonly Watering[]): string =>
  waterings
    .map(({ date }) => `${Number(date.slice(8))} ${MONTH_NAMES[Number(date.slice(5, 7)) - 1]}`)
    .join(' and ');

/** Most remedies of the bench that are tried. */
const MOST_REMEDIES = 4;

/** What may help: remedies of what the bench finds at fault, and the usual changes. */
export function changesOf(design: PlanterDesign): Try[] {
  const { findings } = evaluate(design).assessment;
  const remedies = findings
    .filter(({ severity }) => severity === 'fault')
    .flatMap(({ remedies: all }) => all)
    .slice(0, MOST_REMEDIES);
  const usual = whatIfs(design)
    .filter(({ patch, id }) => patch.length > 0 && id !== 'open' && id !== 'sun')
    .map(({ label, patch }) => ({ label, patch }));
  return [...remedies, ...usual].map(({ label, patch }: { label: Message; patch: Patch }) => ({
    label,
    patch,
    waterings: [],
  }));
}

/** Days before leaving on which it is filled each morning, so that its soil is as wet as it is then, as in the absence of the garden. */
const KEPT_FULL = 2;

function absence(question: AwayQuestion, design: PlanterDesign): Absence {
  const { from, away, seeds, planted, waterings } = question;
  const count = 'site' in question.weather ? seeds : 1;
  const made = ready(design);
  const kept = Math.min(Math.max(daysBetween(planted, from), 0), KEPT_FULL);
  const before = Array.from({ length: kept }, (_, i): Watering => {
    return { where: 'tube', date: dayAfter(from, i - kept), volume: null };
  });
  const leaving: Watering = { where: 'tube', date: from, volume: null };
  const asked = { ...question, waterings: [...before, leaving, ...waterings] };
  const lasted = Array.from({ length: count }, (_, seed) => {
    const weather = weatherFrom(question, dayAfter(from, -kept), kept + MOST_AWAY, seed);
    const { days } = season(asked, made, weather, {
      filling: { kind: 'never' },
      until: (day) => day.date >= from && plantsSuffer(day),
    });
    return daysLasted({ days: days.filter(({ date }) => date >= from) });
  });
  return absenceOf(lasted, away, MOST_AWAY);
}

function weatherFrom(
  { weather }: SeasonQuestion,
  from: string,
  days: number,
  seed: number,
): WeatherDay[] {
  if ('site' in weather) return weatherOf(weather.site, from, days, seed);
  const own = weather.days.filter(({ date }) => date >= from).slice(0, days);
  if (own.length === 0) throw new Error(`Your weather has no day from ${from} on`);
  return own;
}
