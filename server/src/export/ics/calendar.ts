import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { daysBetween } from '@huerta/core/physics/climate';
import {
  calendarOf,
  usualHour,
  type GardenAbsence,
  type TendedQuestion,
} from '@huerta/core/journal';
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

/**
 * The garden's calendar (RFC 5545): whole days, each event under an id that stays. Of fillings and visits one is
 * reminded on the likely day, at the hour at which one usually fills.
 */
export function calendarFile({ planters, away, units }: CalendarJob): string {
  const calendar = ical({
    name: 'Huerta',
    prodId: { company: 'Huerta', product: 'Huerta', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: ASK_AGAIN,
  });
  const hour = usualHour(planters.map(({ question }) => question));
  for (const { uid, kind, from, until, likely, title, about } of calendarOf(planters, away)) {
    const event = calendar.createEvent({
      id: `${uid}@huerta`,
      start: from,
      end: until,
      allDay: true,
      summary: tell(title, units),
      description: tell(about, units),
      stamp: new Date(),
    });
    if ((kind === 'fill' || kind === 'visit') && likely !== null)
      event.createAlarm({
        type: ICalAlarmType.display,
        triggerAfter: daysBetween(from, likely) * 86_400 + hour * 3600,
        description: tell(title, units),
      });
  }
  return calendar.toString();
}
