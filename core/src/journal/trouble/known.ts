import type { Assessment, Figures } from '../../assessment';
import { CLOTHS } from '../../catalog';
import { daysBetween, type WeatherDay } from '../../physics/climate';
import type { PlanterDesign } from '../../document';
import { q, say, type Message } from '../../units';
import { currentEntries, type EntryBody, type LogEntry } from '../entry';
import type { TendedState } from '../state';
import type { UnexplainedReading } from '../estimator';
import { CAUSE_IDS, CAUSES, type Cause } from './causes';

/** What a planter's own design, log and forecast say of a trouble, before anybody looks. */

/** Something that is known: how many times as likely it makes each cause. */
export interface Known {
  text: Message;
  times: Partial<Record<Cause, number>>;
}

export interface KnownQuestion {
  design: PlanterDesign;
  figures: Pick<Figures, 'gross'>;
  findings: Assessment['findings'];
  state: TendedState | null;
  entries: readonly LogEntry[];
  /** Weather of the days up to today. */
  weather: readonly WeatherDay[];
  /** ISO date. */
  today: string;
}

/** How many times as likely a cause is which a finding on the bench speaks of. */
const SPOKEN_OF = 3;
/** Days for which a surprise in the log counts. */
const LATELY = 30;
const WEEK = 7;
/** Rain in a week that soaks, metres, and how much hotter than mild a hot week is. */
const SOAKING = 0.04;
const HOT = 1.2;
/** Nights that freeze water in a planter, and that are too cold for what likes warmth, °C. */
const FREEZES = -1;
const COLD = 8;
/** Thirst from which on a planter counts as thirsty. */
const THIRSTY = 1.25;
/** Days that cotton holds in wet soil, and after which salts and hunger are thought of. Typical. */
const SEASON = 150;
const UNFLUSHED = 60;
const UNFED = 60;

/** All that is known, what says most first. */
export function knownOf(question: KnownQuestion): Known[] {
  return [level, surprises, findings, lacking, wick, salts, feed, thirst, weather, young].flatMap(
    (ask) => ask(question),
  );
}

function level({ state, figures }: KnownQuestion): Known[] {
  if (!state || !state.certain) return [];
  const share = state.forecast.water.middle / Math.max(figures.gross, 1e-9);
  const water = q(state.forecast.water.middle, 'volume');
  if (share > 0.5)
    return [
      {
        text: say`By its log about ${water} are left, more than half.`,
        times: { empty: 0.15, column: 1.3, wick: 1.3, drowned: 1.3, blocked: 1.3, stillFull: 2 },
      },
    ];
  return share < 0.2
    ? [
        {
          text: say`By its log only about ${water} are left.`,
          times: {
            empty: 4,
            drowned: 0.4,
            blocked: 0.4,
            rain: 0.5,
            calcium: 1.5,
            bolting: 1.3,
            stillFull: 0.1,
          },
        },
      ]
    : [];
}

const SURPRISED: Record<UnexplainedReading['kind'], Partial<Record<Cause, number>>> = {
  'falls-fast': { leak: 6, thirsty: 1.5, airlock: 1.5, drowned: 0.4, still: 0.3 },
  stays: { wick: 4, column: 4, drowned: 2, still: 3, blocked: 1.5, leak: 0.2, thirsty: 0.3 },
  'at-once': { airlock: 8, column: 1.5, leak: 0.3 },
  rises: { rain: 3, blocked: 2, drowned: 2, column: 1.5, wick: 1.5, leak: 0.3 },
};
const SAW: Record<UnexplainedReading['kind'], string> = {
  'falls-fast': 'Its log says that it lost more lately than any thirst explains.',
  stays: 'Its log says that it drank less lately than any thirst explains.',
  'at-once': 'Its log says that it ran over almost at once though the stick was low.',
  rises: 'Its log says that the water stood higher lately than it can without a filling.',
};

function surprises({ state, today }: KnownQuestion): Known[] {
  const lately = (state?.thirst.surprises ?? []).filter(
    ({ entry }) => daysBetween(entry.at.slice(0, 10), today) <= LATELY,
  );
  const last = lately.at(-1);
  return last ? [{ text: [SAW[last.kind]], times: SURPRISED[last.kind] }] : [];
}

function findings({ findings: all }: KnownQuestion): Known[] {
  return all.flatMap(({ id, text }): Known[] => {
    const spoken = CAUSE_IDS.filter((cause) =>
      CAUSES[cause].speaks.some((one) => id === one || id.startsWith(`${one}-`)),
    );
    if (spoken.length === 0) return [];
    return [{ text, times: Object.fromEntries(spoken.map((cause) => [cause, SPOKEN_OF])) }];
  });
}

/** The last day on which something was noted, or the day from which on it is followed. */
function lastDay(
  { entries, state, today }: KnownQuestion,
  is: (did: EntryBody) => boolean,
): string | null {
  const days = currentEntries(entries)
    .filter(({ did }) => is(did))
    .map(({ at }) => at.slice(0, 10));
  const last = days.sort().at(-1) ?? state?.past.from ?? null;
  return last !== null && last <= today ? last : null;
}

/** What is not there cannot be at fault. */
const NONE = 0.02;

function lacking({ design }: KnownQuestion): Known[] {
  const known: Known[] = [];
  if (design.wicks.length === 0 && design.bed?.kind !== 'neck')
    known.push({
      text: say`It has no wick that could wear out.`,
      times: { wick: NONE, wickFilm: NONE },
    });
  if (!design.overflow || design.overflow.kind === 'rim')
    known.push({
      text: say`It has no overflow that could be blocked.`,
      times: { blocked: NONE, notFull: NONE, stillFull: NONE },
    });
  if (design.soil.mulch !== 'straw')
    known.push({ text: say`No straw lies on it.`, times: { film: 0.3 } });
  return known;
}

function wick(question: KnownQuestion): Known[] {
  const { design, today } = question;
  const cotton = design.wicks.some(
    (one) => one.kind === 'cloth' && CLOTHS[one.material].seasons <= CLOTHS['cotton-cloth'].seasons,
  );
  if (design.wicks.length === 0) return [];
  if (!cotton)
    return [{ text: say`Its wick is not of cotton and lasts for years.`, times: { wick: 0.4 } }];
  const since = lastDay(question, (did) => did.kind === 'did' && did.what === 'wick');
  if (since === null) return [];
  const age = daysBetween(since, today);
  return age > SEASON
    ? [
        {
          text: say`Its cotton wick has been in for ${q(age, 'days')}: cotton rots in a season or three.`,
          times: { wick: 4 },
        },
      ]
    : [];
}

function salts(question: KnownQuestion): Known[] {
  const { design, today } = question;
  if (design.place.rain === 'open') return [];
  const since = lastDay(question, (did) => did.kind === 'did' && did.what === 'flushed');
  const days = since === null ? 0 : daysBetween(since, today);
  return days > UNFLUSHED
    ? [
        {
          text: say`No rain falls on it, and it was not flushed from the top for ${q(days, 'days')}.`,
          times: { salts: 2.5 },
        },
      ]
    : [];
}

function feed(question: KnownQuestion): Known[] {
  const since = lastDay(question, ({ kind }) => kind === 'fed');
  if (since === null) return [];
  const days = daysBetween(since, question.today);
  return days > UNFED
    ? [{ text: say`It was not fed for ${q(days, 'days')}.`, times: { hungry: 2.5, salts: 0.7 } }]
    : [];
}

function thirst({ state }: KnownQuestion): Known[] {
  const factor = state?.thirst.factor.middle ?? 1;
  return factor > THIRSTY
    ? [
        {
          text: say`It drinks ${q(factor, 'ratio')} times what was worked out.`,
          times: { thirsty: 3, weak: 1.5 },
        },
      ]
    : [];
}

function weather({ weather: was, design }: KnownQuestion): Known[] {
  const week = was.slice(-WEEK);
  if (week.length < WEEK) return [];
  const rain = week.reduce((sum, day) => sum + day.rain, 0);
  const et = week.reduce((sum, day) => sum + day.et, 0) / WEEK;
  const known: Known[] = [];
  const open = design.place.rain === 'open';
  if (rain > SOAKING && open)
    known.push({
      text: say`${q(rain, 'length')} of rain fell in the last week.`,
      times: { rain: 5, blocked: 2, empty: 0.4, bolting: 0.5 },
    });
  // What did not happen is not suspected.
  else
    known.push({
      text: open ? say`No soaking rain fell in the last week.` : say`No rain falls on it.`,
      times: { rain: 0.02 },
    });
  const coldest = Math.min(...week.map(({ tMin }) => tMin));
  if (coldest < FREEZES)
    known.push({
      text: say`It froze in the last week.`,
      times: { frozen: 6, cold: 3, setHeat: 1.5, bolting: 0.5 },
    });
  else known.push({ text: say`It did not freeze in the last week.`, times: { frozen: 0.05 } });
  if (coldest >= FREEZES && week.filter(({ tMin }) => tMin < COLD).length > WEEK / 2)
    known.push({
      text: say`The nights of the last week were cold.`,
      times: { cold: 3, setHeat: 2 },
    });
  if (et > HOT * design.place.etMild)
    known.push({ text: say`The last week was hot.`, times: { heat: 2, bolting: 2, weak: 1.5 } });
  return known;
}

/** Days for which plants are young. */
const YOUNG = 28;

function young({ state, today }: KnownQuestion): Known[] {
  if (!state) return [];
  const days = daysBetween(state.planted, today);
  return days <= YOUNG
    ? [
        {
          text: say`It was planted ${q(days, 'days')} ago, so roots are still short.`,
          times: { shallow: 3, still: 2, wick: 0.5, salts: 0.3, hungry: 0.4, cramped: 0.1 },
        },
      ]
    : [{ text: say`Its plants are past their first weeks.`, times: { shallow: 0.3 } }];
}
