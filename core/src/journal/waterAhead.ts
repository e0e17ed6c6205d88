import { daysBetween } from '../physics/climate';
import { CALENDAR_AHEAD, gapAbout, type CalendarEvent, type Visits } from './calendar';
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

/** What the calendar's events and the visits fill of a planter, in its order. */
function fillingsIn(
  id: string,
  today: string,
  events: readonly CalendarEvent[],
  away: GardenAbsence | null,
  visits: Visits,
): WaterFilling[] {
  const at = (date: string): number => daysBetween(today, date);
  const own = events.flatMap(({ kind, planter, likely, from, until, volume }): WaterFilling[] =>
    kind === 'fill' && planter === id && likely !== null
      ? [{ day: at(likely), from: at(from), until: at(until), volume: volume ?? 0 }]
      : [],
  );
  const single = (date: string, volume: number): WaterFilling => ({
    ...{ day: at(date), from: at(date), until: at(date) + 1 },
    volume,
  });
  const others = visits.flatMap(({ date, fills }) => {
    const fill = fills.find((one) => one.id === id);
    return fill ? [single(date, fill.volume)] : [];
  });
  // All are filled on the first morning back.
  const back = away && away.until > today ? [single(away.until, own.at(-1)?.volume ?? 0)] : [];
  const days = new Map([...back, ...others, ...own].map((one) => [one.day, one]));
  return [...days.values()]
    .filter(({ day }) => day >= 0 && day < CALENDAR_AHEAD)
    .sort((a, b) => a.day - b.day);
}

/**
 * A planter's water in the weeks ahead.
 *
 * @param events of the calendar, those of the planter among them
 * @param visits of the absence
 * @returns null before it is planted, and where nothing is known of its water
 */
export function waterAheadOf(
  { id, question }: { id: string; question: TendedQuestion },
  events: readonly CalendarEvent[],
  away: GardenAbsence | null,
  visits: Visits,
): WaterAhead | null {
  const ready = tendedOf(question);
  const state = stateOf(question);
  if (!ready || !state?.certain) return null;
  const { planter, figures, setting } = ready;
  const { brim } = planter.heights;
  if (brim <= 0) return null;
  const within = (share: number): number => Math.min(Math.max(share, 0), 1);
  const low = within(figures.usableLevel / brim);
  const fillings = fillingsIn(id, question.today, events, away, visits);
  const fan = state.forecast.fan.map(({ middle }) => within(middle / brim));
  const first = fillings[0]?.day ?? CALENDAR_AHEAD;
  const path = fan.slice(0, first + 1).map((share, day) => ({ day, share }));
  // What waits in a barrel keeps the level where it is before it falls.
  const barrel = setting.model.barrel?.volume ?? 0;
  const keeps = barrel / Math.max(barrel + figures.standing, 1e-9);
  const due = fillingsOf(question, CALENDAR_AHEAD).map(({ likely }) =>
    daysBetween(question.today, likely),
  );
  // Of one that is filled once in these weeks at the most only its own figures say how long it lasts.
  const lastsAbout = (day: number): number =>
    Math.min(gapAbout(due, day), due.length > 1 ? Infinity : figures.lastsHot.days);
  fillings.forEach(({ day }, i) => {
    const at = day + NOON;
    if (i === 0) path.push({ day: at, share: fan[day + 1] ?? path.at(-1)?.share ?? low });
    path.push({ day: at, share: 1 });
    const next = fillings[i + 1];
    const until = next ? next.day + NOON : CALENDAR_AHEAD;
    path.push(...fallsFrom(at, until, lastsAbout(day), { keeps, low }));
  });
  const end = path.at(-1);
  if (end && end.day < CALENDAR_AHEAD) path.push({ day: CALENDAR_AHEAD, share: end.share });
  return { path, low, fillings };
}

/**
 * How a full planter's water falls.
 *
 * @param until the day that is looked at
 * @param lasts days until it reads low
 * @param of the share of its water for which a barrel keeps it full, and where it reads low
 */
function fallsFrom(
  at: number,
  until: number,
  lasts: number,
  { keeps, low }: { keeps: number; low: number },
): { day: number; share: number }[] {
  if (!Number.isFinite(lasts)) return [{ day: until, share: 1 }];
  const falls = at + keeps * lasts;
  const dry = at + lasts;
  const shareOn = (day: number): number =>
    day <= falls ? 1 : 1 - ((1 - low) * (day - falls)) / Math.max(dry - falls, 1e-9);
  const turns = [falls, dry].filter((day) => day > at && day < until);
  return [...turns, until].map((day) => ({ day, share: Math.max(shareOn(day), low) }));
}
