import {
  absenceOf,
  applyPatch,
  daysLasted,
  evaluate,
  lastsFrom,
  levelSpread,
  runSeason,
  spreadOf,
  totalsOf,
  weatherOf,
  whatIfs,
  type Message,
  type Patch,
  type PlanterDesign,
  type SeasonOptions,
  type SeasonRun,
  type WeatherDay,
} from '@huerta/core';
import type { Mend, SeasonMessage, SeasonQuestion } from './season';

/** Works a season out, away from the screen. */
interface Asked {
  id: number;
  part: 'season' | 'outlook';
  question: SeasonQuestion;
}

self.onmessage = ({ data }: MessageEvent<Asked>) => {
  try {
    if (data.part === 'season') answer(data.id, data.question);
    else outlook(data.id, data.question);
  } catch (error) {
    tell({
      id: data.id,
      kind: 'trouble',
      trouble: `${error instanceof Error ? error.message : 'Something broke'}. The last season is shown.`,
    });
  }
};

const tell = (message: SeasonMessage): void => self.postMessage(message);

/** Longest absence that is looked at, days. */
const MOST_AWAY = 60;
/** Weathers between two looks at the bands. */
const PORTION = 6;

function answer(id: number, question: SeasonQuestion): void {
  const { design, planted, days, away } = question;
  const { planter, assessment } = evaluate(design);
  const { figures } = assessment;
  const options: SeasonOptions = { planted, filling: { kind: 'when-low' } };
  const weather = weatherFrom(question, planted, days, 0);
  const run = runSeason(planter, weather, options, figures.usableLevel);
  const full = planter.storage.volumeBelow(planter.heights.brim);
  const supplied = design.reservoir.supply?.volume ?? 0;
  tell({
    id,
    kind: 'season',
    answer: {
      run,
      weather,
      totals: totalsOf(run),
      lasts: lastsFrom(run, full + supplied, figures.stranded),
    },
  });
  if (away) tellAway(id, question, away);
  tell({
    id,
    kind: 'what-if',
    answer: whatIfs(design).map((one) => {
      try {
        const changed = evaluate(applyPatch(design, one.patch));
        const totals = totalsOf(
          runSeason(
            changed.planter,
            one.weather(weather),
            { ...options, ...one.options },
            changed.assessment.figures.usableLevel,
          ),
        );
        return { id: one.id, label: one.label, totals, trouble: null };
      } catch (error) {
        const trouble = error instanceof Error ? error.message : 'It could not be worked out';
        return { id: one.id, label: one.label, totals: totalsOf({ days: [] }), trouble };
      }
    }),
  });
}

/** The same season in many weathers; days of one's own are one weather only. */
function outlook(id: number, question: SeasonQuestion): void {
  const { design, planted, days, seeds } = question;
  if (!('site' in question.weather)) return;
  const { planter, assessment } = evaluate(design);
  const options: SeasonOptions = { planted, filling: { kind: 'when-low' } };
  const runs: Pick<SeasonRun, 'days'>[] = [];
  for (let seed = 0; seed < seeds; seed += 1) {
    const weather = weatherFrom(question, planted, days, seed);
    runs.push({
      days: runSeason(planter, weather, options, assessment.figures.usableLevel).days,
    });
    if (runs.length % PORTION === 0 || seed === seeds - 1) tellOutlook(id, runs, seeds);
  }
}

function tellOutlook(id: number, runs: readonly Pick<SeasonRun, 'days'>[], of: number): void {
  const totals = runs.map(totalsOf);
  tell({
    id,
    kind: 'outlook',
    of,
    answer: {
      level: levelSpread(runs),
      fills: spreadOf(totals.map(({ fills }) => fills)),
      filled: spreadOf(totals.map(({ filled }) => filled)),
      shortDays: spreadOf(totals.map(({ dryDays, drownedDays }) => dryDays + drownedDays)),
      seeds: runs.length,
    },
  });
}

/** How long it lasts from a date, and which changes would make it last longer. */
function tellAway(
  id: number,
  question: SeasonQuestion,
  away: NonNullable<SeasonQuestion['away']>,
): void {
  const own = absence(question, question.design, away);
  const mends =
    own.safe >= away.days
      ? []
      : changesOf(question.design)
          .map(({ label, patch }): Mend => {
            const changed = applyPatch(question.design, patch);
            return { label, safe: absence(question, changed, away).safe };
          })
          .filter(({ safe }) => safe > own.safe)
          .sort((a, b) => b.safe - a.safe);
  tell({ id, kind: 'away', answer: own, mends });
}

/** Most remedies of the bench that are tried. */
const MOST_REMEDIES = 4;

/** What may help: remedies of what the bench finds at fault, and the usual changes. */
function changesOf(design: PlanterDesign): { label: Message; patch: Patch }[] {
  const { findings } = evaluate(design).assessment;
  const remedies = findings
    .filter(({ severity }) => severity === 'fault')
    .flatMap(({ remedies: all }) => all)
    .slice(0, MOST_REMEDIES);
  const usual = whatIfs(design)
    .filter(({ patch, id }) => patch.length > 0 && id !== 'open' && id !== 'sun')
    .map(({ label, patch }) => ({ label: [label], patch }));
  return [...remedies, ...usual];
}

function absence(
  question: SeasonQuestion,
  design: PlanterDesign,
  away: NonNullable<SeasonQuestion['away']>,
) {
  const { planter, assessment } = evaluate(design);
  const options: SeasonOptions = {
    planted: question.planted,
    filling: { kind: 'never' },
    untilShort: true,
  };
  const count = 'site' in question.weather ? question.seeds : 1;
  const lasted = Array.from({ length: count }, (_, seed) => {
    const weather = weatherFrom(question, away.from, MOST_AWAY, seed);
    return daysLasted(runSeason(planter, weather, options, assessment.figures.usableLevel));
  });
  return absenceOf(lasted, away.days, MOST_AWAY);
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
