import { tzOffset } from '@date-fns/tz';

/**
 * Days as a garden has them. An instant is written with the offset that its place has at that moment, as in
 * 2026-07-14T20:30:00.000-07:00, so that its first ten letters are the day on which it was there (ISO 8601).
 */

/** The time zone of this machine, as the IANA names it. */
export const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** Whether a name is one of a time zone that is known here. */
export function isZone(name: string): boolean {
  try {
    Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** The time zones that are known here, by name. */
export const zoneNames = (): readonly string[] => Intl.supportedValuesOf('timeZone');

const MINUTE_MS = 60_000;

/** Minutes that a place is before Greenwich at an instant. @param now milliseconds */
const offsetAt = (zone: string, now: number): number => Math.round(tzOffset(zone, new Date(now)));

const two = (value: number): string => String(value).padStart(2, '0');

/** An instant as its place writes it. @param at ISO time, or milliseconds; @param zone IANA name */
export function zonedTime(at: string | number, zone: string): string {
  const now = typeof at === 'number' ? at : Date.parse(at);
  const offset = offsetAt(zone, now);
  const there = new Date(now + offset * MINUTE_MS).toISOString().slice(0, -1);
  const minutes = Math.abs(offset);
  return `${there}${offset < 0 ? '-' : '+'}${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

/** The day that it is at a place. @param now milliseconds */
export const dayIn = (zone: string, now: number = Date.now()): string =>
  zonedTime(now, zone).slice(0, 10);

/** A time of a day at a place. @param date ISO date @param time `HH:MM` */
export function timeIn(zone: string, date: string, time: string): string {
  const there = Date.parse(`${date}T${time}:00Z`);
  const near = there - offsetAt(zone, there) * MINUTE_MS;
  // The clock may be put on or back between the two.
  return zonedTime(there - offsetAt(zone, near) * MINUTE_MS, zone);
}

/** Noon of a day at a place, where only the day is known. @param date ISO date */
export const noonIn = (zone: string, date: string): string => timeIn(zone, date, '12:00');

/** Entries whose times are written as a place has them; those that say their own offset stay as they are. */
export const zoned = <T extends { at: string }>(entries: readonly T[], zone: string): T[] =>
  entries.map((entry) => {
    if (!entry.at.endsWith('Z')) return entry;
    const at = zonedTime(entry.at, zone);
    // Where the place has the time of Greenwich it is written so already.
    return at.endsWith('+00:00') ? entry : { ...entry, at };
  });
