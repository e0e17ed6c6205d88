import { dayAfter, daysBetween } from '../physics/climate';
import { q, say, type Message } from '../units';
import { yearOf } from '../simulation/season';
import { gardenAway, type GardenAwayAnswer } from './away';
import { dutiesOf, type Duty } from './duties';
import { currentEntries } from './entry';
import type { FillingAhead } from './estimator';
import type { GardenAbsence } from './plan';
import { fillingsOf, stateOf, tendedOf, type TendedQuestion, type TendedState } from './state';

/** What a garden's calendar has in it: whole days, each under a name of its own that stays the same. */

export interface CalendarEvent {
  /** Stable: an event that is made anew takes the place of the one of before. */
  uid: string;
  kind: 'fill' | 'duty' | 'plant' | 'pick' | 'away' | 'visit';
  /** Whose it is; null for what is of the whole garden. */
  planter: string | null;
  /** ISO dates; `until` is the first day after it. */
  from: string;
  until: string;
  /** The day that it stands on where one has to be chosen; null for what goes on all the while. */
  likely: string | null;
  /** What a filling likely takes, m³; null for all else. */
  volume: number | null;
  /** What is to be done, without whose it is: the same for all planters that want the same. */
  task: Message;
  title: Message;
  about: Message;
}

/** Hour at which one is reminded where no filling is noted yet. */
const USUAL_HOUR = 8;

/** The hour of the day at which somebody usually fills, by the log's own times: the middle one of the fillings noted. */
export function usualHour(questions: readonly Pick<TendedQuestion, 'entries'>[]): number {
  const hours = questions
    .flatMap(({ entries }) => currentEntries(entries))
    .filter(({ did }) => did.kind === 'filled')
    .map(({ at }) => Number(at.slice(11, 13)))
    .sort((a, b) => a - b);
  return hours[Math.floor(hours.length / 2)] ?? USUAL_HOUR;
}

/** How far ahead duties are looked for, days, and in which steps. */
export const CALENDAR_AHEAD = 28;
const STEP = 7;

/** A single day of an event. */
const wholeDay = (date: string): Pick<CalendarEvent, 'from' | 'until' | 'likely' | 'volume'> => ({
  from: date,
  until: dayAfter(date, 1),
  likely: date,
  volume: null,
});

type Tended = readonly { id: string; question: TendedQuestion }[];

/** How a garden fares in an absence that is still to come; one that is over, or under way, has its sheet already. */
export function absenceAhead(
  planters: Tended,
  away: GardenAbsence | null,
): GardenAwayAnswer | null {
  if (!away || planters.length === 0 || isUnderWay(planters, away)) return null;
  return gardenAway({ planters, from: away.from, until: away.until });
}

/** All events of a garden. @param absence how it fares in it, where that is known */
export function calendarOf(
  planters: Tended,
  away: GardenAbsence | null,
  absence: GardenAwayAnswer | null = absenceAhead(planters, away),
): CalendarEvent[] {
  // Who leaves fills all before; of an absence that is under way nobody knows whether that was done.
  const unlessAway = ({ likely }: CalendarEvent): boolean =>
    !away ||
    likely === null ||
    likely < away.from ||
    likely >= away.until ||
    isUnderWay(planters, away);
  const events = planters.flatMap(({ id, question }) => {
    const state = stateOf(question);
    if (!state) return [];
    const fillings = state.certain ? fillingsOf(question, CALENDAR_AHEAD) : [];
    return [
      ...filling(id, question, state, fillings).filter(unlessAway),
      ...later(id, question, state, fillingsAround(fillings, question.today, away)),
      ...duties(id, question),
      ...plants(id, question),
    ];
  });
  if (away) {
    events.push({
      uid: 'away',
      kind: 'away',
      planter: null,
      from: away.from,
      until: away.until,
      likely: null,
      volume: null,
      task: say`Nobody at home`,
      title: say`Nobody at home`,
      about: say`Fill all on the first morning.`,
    });
    events.push(...visitEvents(planters, absence?.visits ?? []));
    if (!isUnderWay(planters, away))
      events.push(ofAll('leave', away.from, say`Fill all, before you leave`));
    events.push(ofAll('back', away.until, say`Fill all, on the first morning back`));
  }
  return events;
}

const isUnderWay = (planters: Tended, away: GardenAbsence): boolean =>
  planters.some(({ question }) => question.today > away.from);

/** A filling of all planters. */
const ofAll = (uid: string, date: string, task: Message): CalendarEvent => ({
  ...{ uid, kind: 'fill', planter: null, ...wholeDay(date) },
  ...{ task, title: task, about: say`From then on each lasts as long as a full one does.` },
});

/** Each visit, with what each planter takes then, in the order of the walk. */
const visitEvents = (planters: Tended, visits: GardenAwayAnswer['visits']): CalendarEvent[] =>
  visits.map(({ date, fills }, i) => ({
    uid: `visit-${i + 1}`,
    kind: 'visit',
    planter: null,
    ...wholeDay(date),
    task: say`A neighbour waters`,
    title: say`A neighbour waters`,
    about: planters.reduce(
      (about: Message, { id, question }) => {
        const fill = fills.find((one) => one.id === id);
        if (!fill) return about;
        const line = say`${question.design.name}: about ${q(fill.volume, 'volume')}, at most ${q(fill.most, 'volume')}`;
        return about.length > 0 ? say`${about}; ${line}` : line;
      },
      say``,
    ),
  }));

function filling(
  id: string,
  { design, today }: TendedQuestion,
  { forecast: { next, until: farthest }, room, certain }: TendedState,
  [first]: readonly FillingAhead[],
): CalendarEvent[] {
  // Nothing to fill as far as it is looked ahead.
  if (certain && next.likely >= farthest) return [];
  const from = next.early < today || !certain ? today : next.early;
  const last = next.late ?? next.likely;
  // One of which nothing is known is dipped today.
  const likely = next.likely < today || !certain ? today : next.likely;
  return [
    {
      uid: `fill-${id}`,
      kind: 'fill',
      planter: id,
      from,
      until: dayAfter(last < from ? from : last, 1),
      likely,
      volume: first?.volume ?? room.middle,
      task: certain ? say`Fill` : say`Dip, and fill if it is low`,
      title: certain ? say`Fill ${design.name}` : say`Dip ${design.name}, and fill it if it is low`,
      about: certain
        ? say`Likely on ${likely}. It takes about ${q(room.middle, 'volume')} today.`
        : say`How high its water stands is not known. Full it holds ${q(room.high, 'volume')} more at most.`,
    },
  ];
}

/** Fillings ahead that are likely sooner than so many days one after the other say no more than that it is filled daily. */
const DAILY = 1;

/** Days from one filling to the next about a day, by the days of a sequence; Infinity where there is but one. */
export function gapAbout(days: readonly number[], at: number): number {
  const after = days.findIndex((day, i) => i > 0 && day > at);
  const i = after < 0 ? days.length - 1 : after;
  return i < 1 ? Infinity : Math.max((days[i] as number) - (days[i - 1] as number), 1);
}

/**
 * The fillings after the next one around an absence: none while nobody is at home, and those afterwards from the first
 * morning back on, on which all are filled.
 *
 * @param fillings as they would be without it
 */
export function fillingsAround(
  fillings: readonly FillingAhead[],
  today: string,
  away: GardenAbsence | null,
): FillingAhead[] {
  const later = fillings.slice(1);
  if (!away || away.until <= today) return later;
  const days = fillings.map(({ likely }) => daysBetween(today, likely));
  const around = later.filter(({ likely }) => likely < away.from);
  const back = daysBetween(today, away.until);
  for (let at = back + gapAbout(days, back); at < CALENDAR_AHEAD; at += gapAbout(days, at)) {
    const like = later.reduce((best, one) =>
      Math.abs(daysBetween(today, one.likely) - at) < Math.abs(daysBetween(today, best.likely) - at)
        ? one
        : best,
    );
    const shifted = (date: string): string => dayAfter(today, at + daysBetween(like.likely, date));
    const { early, late, volume } = like;
    around.push({
      early: shifted(early),
      likely: dayAfter(today, at),
      late: shifted(late),
      volume,
    });
  }
  return around;
}

/** The fillings after the next one, as far as it is looked ahead, if it is filled whenever it reads low. */
function later(
  id: string,
  { design, today }: TendedQuestion,
  state: TendedState,
  fillings: readonly FillingAhead[],
): CalendarEvent[] {
  let last = state.forecast.next.likely < today ? today : state.forecast.next.likely;
  return fillings.flatMap(({ early, likely, late, volume }, i): CalendarEvent[] => {
    if (likely < dayAfter(last, DAILY)) return [];
    last = likely;
    return [
      {
        uid: `fill-${id}-${i + 2}`,
        kind: 'fill',
        planter: id,
        from: early,
        until: dayAfter(late < early ? early : late, 1),
        likely,
        volume,
        task: say`Fill`,
        title: say`Fill ${design.name}`,
        about: say`Likely on ${likely}, if it is filled to the brim each time it reads low. It takes about ${q(volume, 'volume')} then.`,
      },
    ];
  });
}

/** What is due now and in the weeks ahead, each from the day on which it is. */
function duties(id: string, question: TendedQuestion): CalendarEvent[] {
  const { design, site, today } = question;
  const made = tendedOf(question);
  if (!made) return [];
  const { began, figures, entries } = made;
  const seen = new Map<string, Duty>();
  for (let on = 0; on <= CALENDAR_AHEAD; on += STEP) {
    const day = dayAfter(today, on);
    const due = dutiesOf({
      design,
      figures,
      planted: began,
      today: day,
      site,
      entries,
    });
    for (const duty of due) if (!seen.has(duty.id)) seen.set(duty.id, duty);
  }
  // Plantings and harvests stand there by themselves.
  const others = [...seen.values()].filter(({ id: duty }) => !/^(plant|harvest)-/.test(duty));
  return others.map(({ id: duty, text, due }): CalendarEvent => {
    const from = due < today ? today : due;
    return {
      uid: `${duty}-${id}`,
      kind: 'duty',
      planter: id,
      ...wholeDay(from),
      task: text,
      title: say`${design.name}: ${text}`,
      about: text,
    };
  });
}

/** Plantings and harvests that are still to come or under way. */
function plants(id: string, question: TendedQuestion): CalendarEvent[] {
  const { design, site, today } = question;
  const made = tendedOf(question);
  if (!made) return [];
  return yearOf(design, made.began, site).bars.flatMap((bar): CalendarEvent[] => {
    if (bar.count === 0 || bar.to <= today) return [];
    const what = say`${q(bar.count, 'count')} ${bar.name.toLowerCase()}`;
    const planting: CalendarEvent = {
      uid: `plant-${bar.of}-${id}`,
      kind: 'plant',
      planter: id,
      ...wholeDay(bar.from),
      task: say`Plant ${what}`,
      title: say`${design.name}: plant ${what}`,
      about: what,
    };
    const harvest: CalendarEvent = {
      uid: `pick-${bar.of}-${id}`,
      kind: 'pick',
      planter: id,
      from: bar.harvest,
      until: dayAfter(bar.picked, 1),
      likely: bar.harvest < today ? today : bar.harvest,
      volume: null,
      task: say`Pick ${bar.name.toLowerCase()}`,
      title: say`${design.name}: pick ${bar.name.toLowerCase()}`,
      about: what,
    };
    const picks = bar.picked > today ? [harvest] : [];
    return bar.from > today ? [planting, ...picks] : picks;
  });
}
