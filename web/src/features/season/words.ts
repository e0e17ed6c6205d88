import { plural } from '@huerta/core/units';
import type { SeasonAnswer, Totals } from '@huerta/core/simulation/season';

import { writeDate } from '../../ui/dates';
import type { OutlookAnswer } from '../../compute/season';

/** What a season comes to, in a sentence or two. */
export function seasonSentence(
  { run, totals, freezes }: SeasonAnswer,
  outlook: OutlookAnswer | null,
  write: (value: number, kind: 'volume') => string,
): string {
  const days = run.days.length;
  const { fills, filled, drunk, dryDays, drownedDays } = totals;
  const given =
    fills === 0
      ? 'it is never filled'
      : `it is filled ${times(fills)}, ${write(filled, 'volume')} in all${often(run.days)}`;
  const short =
    dryDays + drownedDays === 0
      ? 'Plants never go short.'
      : [
          dryDays > 0 ? `Plants go short of water on ${dayCount(dryDays)}.` : '',
          drownedDays > 0 ? `Roots stand in water on ${dayCount(drownedDays)}.` : '',
        ]
          .filter(Boolean)
          .join(' ');
  const many = outlook ? ` In eight weathers of ten it takes ${fillings(outlook.fills)}.` : '';
  const frost = freezes
    ? ` Its water may freeze from ${writeDate(freezes, 'long')} on: empty it before that, and open the overflow.`
    : '';
  return `Over ${days} days plants drink ${write(drunk, 'volume')}, and ${given}. ${short}${many}${frost}`;
}

/** How often it is filled, from the first filling to the last; nothing of one alone. */
function often(days: SeasonAnswer['run']['days']): string {
  const on = days.flatMap(({ filled, poured }, i) => (filled + poured > 0 ? [i] : []));
  const [first, last] = [on[0], on.at(-1)];
  if (first === undefined || last === undefined || on.length < 2) return '';
  const every = Math.round((last - first) / (on.length - 1));
  return `, about every ${every <= 1 ? 'day' : `${every} days`}`;
}

/** So many fillings, or from so many to so many. */
export function fillings({ low, high }: { low: number; high: number }): string {
  const [few, most] = [Math.round(low), Math.round(high)];
  if (most === 0) return 'none';
  const word = plural(most, 'filling');
  return few === most ? `${few} ${word}` : `${few} to ${most} ${word}`;
}

const times = (count: number): string => (count === 1 ? 'once' : `${count} times`);
const dayCount = (count: number): string => (count === 1 ? 'one day' : `${count} days`);

/** How a season that is otherwise differs, in words: what harms plants first. */
export function difference(
  base: Totals,
  other: Totals,
  write: (value: number, kind: 'volume') => string,
): string {
  const parts: string[] = [];
  const wet = other.drownedDays - base.drownedDays;
  if (wet !== 0)
    parts.push(`${dayCount(Math.abs(wet))} ${wet > 0 ? 'more' : 'less'} of standing in water`);
  const dry = other.dryDays - base.dryDays;
  if (dry !== 0) parts.push(`${dayCount(Math.abs(dry))} ${dry > 0 ? 'more' : 'less'} of thirst`);
  const fills = other.fills - base.fills;
  if (fills !== 0) {
    const word = plural(Math.abs(fills), 'filling');
    parts.push(`${Math.abs(fills)} ${fills > 0 ? 'more' : 'fewer'} ${word}`);
  }
  const water = other.filled - base.filled;
  if (Math.abs(water) > 0.02 * Math.max(base.filled, 1e-4)) {
    parts.push(`${write(Math.abs(water), 'volume')} ${water > 0 ? 'more' : 'less'} to give`);
  }
  return parts.length > 0 ? `${parts.join(', ')}.` : 'Next to no difference.';
}
