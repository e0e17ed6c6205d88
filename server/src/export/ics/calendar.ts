import ical, { ICalCalendarMethod } from 'ical-generator';
import { calendarOf, type GardenAbsence, type TendedQuestion } from '@huerta/core/journal';
import { tell, type UnitSystem } from '@huerta/core/units';

/** What a calendar is made from. */
export interface CalendarJob {
  what: 'calendar';
  planters: readonly { id: string; question: TendedQuestion }[];
  away: GardenAbsence | null;
  units: UnitSystem;
}

/** Every so often a calendar that subscribes asks again, seconds. */
const ASK_AGAIN = 6 * 3600;

/** The garden's calendar (RFC 5545): whole days, each event under an id that stays. */
export function calendarFile({ planters, away, units }: CalendarJob): string {
  const calendar = ical({
    name: 'Huerta',
    prodId: { company: 'Huerta', product: 'Huerta', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: ASK_AGAIN,
  });
  for (const { uid, from, until, title, about } of calendarOf(planters, away)) {
    calendar.createEvent({
      id: `${uid}@huerta`,
      start: from,
      end: until,
      allDay: true,
      summary: tell(title, units),
      description: tell(about, units),
      stamp: new Date(),
    });
  }
  return calendar.toString();
}
