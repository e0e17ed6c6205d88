import { dayAfter } from '../physics/climate';
import type { CalendarEvent } from './calendar';

/** The days on which a week begins, as people count. */
export const WEEK_STARTS = ['monday', 'sunday', 'saturday'] as const;
export type WeekStart = (typeof WEEK_STARTS)[number];

/** Days after a Sunday. */
const AFTER_SUNDAY: Readonly<Record<WeekStart, number>> = { sunday: 0, monday: 1, saturday: 6 };

/** A day of a calendar, with what stands on it. */
export interface CalendarDay {
  /** ISO date. */
  date: string;
  events: CalendarEvent[];
}

/** What is due by today and can be done on any day, which stands apart; and what stands on its day. */
export function partedAt(
  events: readonly CalendarEvent[],
  today: string,
): [now: CalendarEvent[], ahead: CalendarEvent[]] {
  const isNow = ({ kind, from }: CalendarEvent): boolean =>
    (kind === 'duty' || kind === 'plant' || kind === 'pick') && from <= today;
  return [events.filter(isNow), events.filter((event) => !isNow(event))];
}

/** The first day of the week that a day lies in; both ISO dates. */
export function weekOf(date: string, starts: WeekStart): string {
  const weekday = new Date(`${date}T00:00:00Z`).getUTCDay();
  return dayAfter(date, -((weekday - AFTER_SUNDAY[starts] + 7) % 7));
}

/**
 * Events laid out in weeks of seven days, from the week of today on. What takes several days stands on its likely
 * day; what goes on all the while stands on each.
 */
export function weeksOf(
  events: readonly CalendarEvent[],
  today: string,
  starts: WeekStart,
  weeks: number,
): CalendarDay[][] {
  const first = weekOf(today, starts);
  return Array.from({ length: weeks }, (_, week) =>
    Array.from({ length: 7 }, (__, day): CalendarDay => {
      const date = dayAfter(first, 7 * week + day);
      const on = ({ from, until, likely }: CalendarEvent): boolean =>
        likely === null ? from <= date && date < until : likely === date;
      return { date, events: events.filter(on) };
    }),
  );
}
