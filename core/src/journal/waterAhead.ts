import { daysBetween } from '../physics/climate';
import type { AwayCourse, GardenAwayAnswer } from './away';
import { CALENDAR_AHEAD, gapAbout, type CalendarEvent } from './calendar';
import type { GardenAbsence } from './plan';
import { fillingsOf, stateOf, tendedOf, type TendedQuestion } from './state';

/** A planter's water in the weeks ahead as it likely falls, filled on the days on which its calendar has it filled. */
export interface WaterAhead {
  /** Its likely path: shares of the full height at days after this morning, in their order; it steps up at a filling. */
  path: readonly { day: number; share: number }[];
  /** Where it reads low, a share of the full height. */
  low: number;
  fillings: readonly WaterFilling[];
}

/** A filling to come, by oneself or by a neighbour: days after this morning, and what it likely takes, m³. */
export interface WaterFilling {
  day: number;
  /** From when till when it likely comes to read low; `until` is the first day after it. */
  from: number;
  until: number;
  volume: number;
}

/** Hour of a day at which it is filled, as a share of the day. */
const NOON = 0.5;

/** An absence to come, with how the garden fares in it. */
export interface AbsenceAhead extends GardenAbsence {
  answer: GardenAwayAnswer;
}

/** A filling of which it is still to be said how much it takes. */
type Due = Omit<WaterFilling, 'volume'> & { volume: number | null };

/** What the calendar and the visits fill of a planter, in its order; of one day what is filled by oneself. */
function dueIn(
  id: string,
  today: string,
  events: readonly CalendarEvent[],
  visits: GardenAwayAnswer['visits'],
): Due[] {
  const at = (date: string): number => daysBetween(today, date);
  const own = events.flatMap(({ kind, planter, likely, from, until, volume }): Due[] =>
    kind === 'fill' && (planter === id || planter === null) && likely !== null
      ? [{ day: at(likely), from: at(from), until: at(until), volume }]
      : [],
  );
  const others = visits.flatMap(({ date, fills }): Due[] => {
    const fill = fills.find((one) => one.id === id);
    const day = at(date);
    return fill ? [{ day, from: day, until: day + 1, volume: fill.volume }] : [];
  });
  const days = new Map([...others, ...own].map((one) => [one.day, one]));
  return [...days.values()]
    .filter(({ day }) => day >= 0 && day < CALENDAR_AHEAD)
    .sort((a, b) => a.day - b.day);
}

const within = (share: number): number => Math.min(Math.max(share, 0), 1);

/** What a planter's water goes by. */
interface Fall {
  low: number;
  /** Share of its water for which a barrel keeps it full. */
  keeps: number;
  /** All of it that is of use, m³. */
  whole: number;
  /** Days for which a filling about a day lasts. */
  lasts(day: number): number;
}

/**
 * A planter's water in the weeks ahead.
 *
 * @param events of the calendar, those of the planter among them
 * @param away an absence to come: its days are as its own page has them
 * @returns null before it is planted, and where nothing is known of its water
 */
export function waterAheadOf(
  { id, question }: { id: string; question: TendedQuestion },
  events: readonly CalendarEvent[],
  away: AbsenceAhead | null,
): WaterAhead | null {
  const ready = tendedOf(question);
  const state = stateOf(question);
  if (!ready || !state?.certain) return null;
  const { heights } = ready.planter;
  if (heights.brim <= 0) return null;
  const fall = fallOf(question, ready);
  const { low, whole } = fall;
  const due = dueIn(id, question.today, events, away?.answer.visits ?? []);
  const fan = state.forecast.fan.map(({ middle }) => within(middle / heights.brim));
  const first = due[0]?.day ?? CALENDAR_AHEAD;
  const path = fan.slice(0, first + 1).map((share, day) => ({ day, share }));
  const last = (): number => path.at(-1)?.share ?? low;
  const now = within(state.forecast.water.middle / Math.max(whole, 1e-9));
  const leaves = away ? daysBetween(question.today, away.from) : Infinity;
  const back = away ? daysBetween(question.today, away.until) : Infinity;
  const course = away?.answer.courses.find((one) => one.id === id);
  const fillings = due.map(({ day, from, until, volume }, i): WaterFilling => {
    const at = day + NOON;
    if (i === 0) path.push({ day: at, share: fan[day + 1] ?? last() });
    const before = due[i - 1];
    // With a barrel beside it the level says nothing of what is gone.
    const gone =
      fall.keeps === 0
        ? (1 - last()) / Math.max(1 - low, 1e-9)
        : before
          ? (day - before.day) / fall.lasts(before.day)
          : 1 - now + day / fall.lasts(day);
    path.push({ day: at, share: 1 });
    const next = due[i + 1];
    const end = next ? next.day + NOON : CALENDAR_AHEAD;
    path.push(
      ...(course && day >= leaves && day < back
        ? courseFrom(course, leaves, at, end)
        : fallsFrom(at, end, fall.lasts(day), fall)),
    );
    return { day, from, until, volume: volume ?? whole * within(gone) };
  });
  const end = path.at(-1);
  if (end && end.day < CALENDAR_AHEAD) path.push({ day: CALENDAR_AHEAD, share: end.share });
  return { path, low, fillings };
}

function fallOf(
  question: TendedQuestion,
  { planter, figures, setting }: NonNullable<ReturnType<typeof tendedOf>>,
): Fall {
  const low = within(figures.usableLevel / planter.heights.brim);
  const barrel = setting.model.barrel?.volume ?? 0;
  const usual = fillingsOf(question, CALENDAR_AHEAD).map(({ likely }) =>
    daysBetween(question.today, likely),
  );
  return {
    low,
    keeps: barrel / Math.max(barrel + figures.standing, 1e-9),
    whole: barrel + figures.standing * (1 - low),
    // Of one that is filled once in these weeks at the most only its own figures say it.
    lasts: (day) => (usual.length > 1 ? gapAbout(usual, day) : figures.lastsHot.days),
  };
}

/** The water of an absence from a filling to the next, as its own page has it. @param leaves day of leaving */
function courseFrom(
  { levels, brim }: AwayCourse,
  leaves: number,
  at: number,
  end: number,
): { day: number; share: number }[] {
  const evenings = levels.map((level, k) => ({
    day: leaves + k + 1,
    share: within(level / Math.max(brim, 1e-9)),
  }));
  const points = evenings.filter(({ day }) => day > at && day < end);
  const last = points.at(-1) ?? evenings.findLast(({ day }) => day <= at);
  return [...points, { day: end, share: last?.share ?? 1 }];
}

/**
 * How a full planter's water falls.
 *
 * @param until the day that is looked at
 * @param lasts days until it reads low
 */
function fallsFrom(
  at: number,
  until: number,
  lasts: number,
  { keeps, low }: Pick<Fall, 'keeps' | 'low'>,
): { day: number; share: number }[] {
  if (!Number.isFinite(lasts)) return [{ day: until, share: 1 }];
  const falls = at + keeps * lasts;
  const dry = at + lasts;
  const shareOn = (day: number): number =>
    day <= falls ? 1 : 1 - ((1 - low) * (day - falls)) / Math.max(dry - falls, 1e-9);
  const turns = [falls, dry].filter((day) => day > at && day < until);
  return [...turns, until].map((day) => ({ day, share: Math.max(shareOn(day), low) }));
}
