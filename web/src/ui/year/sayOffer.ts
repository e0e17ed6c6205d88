import type { SowNow } from '@huerta/core/simulation/season';
import { plural } from '@huerta/core/units';
import { writeDate } from '../dates';

/** What could be sown: how many, when, and from when on it is picked, in words. @param today ISO date */
export function sayOffer({ count, start, on, after, harvest }: SowNow, today: string): string {
  const what =
    start === 'seed'
      ? `${count} ${plural(count, 'place')} of seed`
      : `${count} young ${plural(count, 'plant')}`;
  const day = writeDate(on, 'short');
  const when = on === today ? 'today' : after === null ? `on ${day}` : `after ${after} on ${day}`;
  return `${what} ${when}; first harvest about ${writeDate(harvest, 'long')}`;
}
