import { timeIn, zonedTime } from '@huerta/core/physics/climate';
import { gardenZone } from '../data/gardenDay';

/**
 * When something was done, as it is written into the log.
 *
 * @param date ISO date
 * @param time `HH:MM`, or null where only the day is known: now today, else noon
 * @param before seconds before that, where several things were done one after the other
 * @returns ISO time in the garden's zone, never still to come
 */
export function whenNoted(date: string, today: string, time: string | null, before = 0): string {
  const zone = gardenZone();
  const told =
    date === today && time === null ? Date.now() : Date.parse(timeIn(zone, date, time ?? '12:00'));
  // A time of today that is still to come was meant as about now.
  return zonedTime(Math.min(told, Date.now()) - before * 1000, zone);
}
