import {
  absenceOf,
  allOf,
  applyPatch,
  contradictions,
  dayAfter,
  daysLasted,
  evaluate,
  lastsFrom,
  runSeason,
  say,
  totalsOf,
  weatherOf,
  whatIfs,
  type Absence,
  type Message,
  type Patch,
  type PlanterDesign,
  type SeasonOptions,
  type Watering,
  type WeatherDay,
  type WhatIf,
} from '@huerta/core';
import { format, parseISO } from 'date-fns';
import type {
  AwayAnswer,
  AwayQuestion,
  Mend,
  SeasonAnswer,
  SeasonAsked,
  SeasonMessage,
  SeasonQuestion,
  WeathersRun,
  WhatIfAnswer,
} from './season';

/** Works a season out, away from the screen, and tells what it has as it goes. */
self.onmessage = ({ data }: MessageEvent<SeasonAsked>) => {
  try {
    for (const told of answers(data)) tell({ kind: 'told', told });
    tell({ kind: 'done' });
  } catch (error) {
    const why = error instanceof Error ? error.message : 'Something broke';
    tell({ kind: 'trouble', trouble: `${why}. What was worked out last is shown.` });
  }
};

const tell = (message: SeasonMessage): void => self.postMessage(message);

type Told = Extract<SeasonMessage, { kind: 'told' }>['told'];

function* answers({ part, question, share, of }: SeasonAsked): Generator<Told> {
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
/** Weathers between two looks at the bands. */
const PORTION = 3;

/** A season of a design as the question plans it, or otherwise. */
function season(
  { planted, filling, waterings }: SeasonQuestion,
  design: PlanterDesign,
  weather: readonly WeatherDay[],
  other: Partial<SeasonOptions> = {},
) {
  const { planter, assessment } = evaluate(design);
  const options = { planted, filling, waterings, ...other };
  const run = runSeason(planter, weather, { ...options, refillAt: assessment.figures.usableLevel });
  return { figures: assessment.figures, run };
}

function answer(question: SeasonQuestion): SeasonAnswer {
  const { design, planted, days } = question;
  const weather = weatherFrom(question, planted, days, 0);
  const { figures, run } = season(question, design, weather);
  return {
    run,
    weather,
    totals: totalsOf(run),
    lasts: lastsFrom(run, figures.stranded),
  };
}

/** The season with something otherwise. */
function otherwise(question: SeasonQuestion, one: WhatIf): WhatIfAnswer {
  const { id, label } = one;
  try {
    const weather = weatherFrom(question, question.planted, question.days, 0);
    const design = applyPatch(question.design, one.patch);
    if (contradictions(design).length > 0) throw new Error('These do not go together here');
    const { run } = season(question, design, one.weather(weather), one.options);
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
  let portion: { levels: number[][]; totals: WeathersRun['totals'][number][] } = {
    levels: [],
    totals: [],
  };
  for (let seed = share; seed < seeds; seed += of) {
    const { run } = season(question, design, weatherFrom(question, planted, days, seed));
    portion.levels.push(run.days.map(({ level }) => level));
    portion.totals.push(totalsOf(run));
    if (portion.totals.length === PORTION || seed + of >= seeds) {
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
  let mends: Mend[] = [];
  yield { answer: own, mends, trying: true };
  const tries = changesOf(design);
  const attempt = (one: Try): Mend => {
    const planned = { ...question, waterings: [...question.waterings, ...one.waterings] };
    return { ...one, safe: absence(planned, applyPatch(design, one.patch)).safe };
  };
  const keep = (one: Mend | null): void => {
    if (one && one.safe > own.safe) mends = [...mends, one].sort((a, b) => b.safe - a.safe);
  };
  keep(neighbour(question, attempt));
  yield { answer: own, mends, trying: tries.length > 0 };
  for (const [i, one] of tries.entries()) {
    keep(attempt(one));
    yield { answer: own, mends, trying: i < tries.length - 1 };
  }
}

type Try = Omit<Mend, 'safe'>;

/** Most times that a neighbour is asked to come. */
const MOST_VISITS = 4;

/** A neighbour who fills it as seldom as is enough, at even distances; null when a few visits are not. */
function neighbour({ away, from }: AwayQuestion, attempt: (one: Try) => Mend): Mend | null {
  for (let times = 1; times <= Math.min(MOST_VISITS, away - 1); times += 1) {
    const waterings = Array.from({ length: times }, (_, i): Watering => {
      const after = Math.floor((away * (i + 1)) / (times + 1));
      return { where: 'tube', date: dayAfter(from, after), volume: null };
    });
    const dates = waterings.map(({ date }) => format(parseISO(date), 'd MMMM')).join(' and ');
    const mend = attempt({ label: say`A neighbour fills it on ${dates}`, patch: [], waterings });
    if (mend.safe >= away) return mend;
  }
  return null;
}

/** Most remedies of the bench that are tried. */
const MOST_REMEDIES = 4;

/** What may help: remedies of what the bench finds at fault, and the usual changes. */
function changesOf(design: PlanterDesign): Try[] {
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

function absence(question: AwayQuestion, design: PlanterDesign): Absence {
  const { from, away, seeds } = question;
  const count = 'site' in question.weather ? seeds : 1;
  const lasted = Array.from({ length: count }, (_, seed) => {
    const weather = weatherFrom(question, from, MOST_AWAY, seed);
    const alone = { filling: { kind: 'never' }, untilShort: true } as const;
    return daysLasted(season(question, design, weather, alone).run);
  });
  return absenceOf(lasted, away, MOST_AWAY);
}

/** Days of weather: made up for a site, or of one's own from a date on. */
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
