import { dayAfter, daysBetween } from '../../physics/climate';
import { withDays } from './vocabulary';

/** The day and time of day that a line tells of, as people write them. */

export interface When {
  /** ISO date; today where the line names none. */
  date: string;
  /** Whether the line names a day. */
  dated: boolean;
  /** `HH:MM`, where the line says so. */
  time: string | null;
  /** The line without them. */
  rest: string;
}

const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const DAY_NAME =
  '(sun(?:day)?|mon(?:day)?|tue(?:s(?:day)?)?|wed(?:nesday)?|thu(?:rs?(?:day)?)?|fri(?:day)?|sat(?:urday)?)';
const MONTH_NAME =
  '(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)';
/** Before and after a date stands no other sign. */
const FROM = String.raw`(?:^|(?<=[\s,;(]))`;
const TO = String.raw`(?=$|[\s,;.:)])`;

const COUNTS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  'a couple of': 2,
  'a few': 3,
};
const COUNT = `(\\d{1,3}|${Object.keys(COUNTS).join('|')})`;
const countOf = (word: string): number => COUNTS[word.toLowerCase()] ?? Number(word);

const pad = (n: number): string => String(n).padStart(2, '0');

/** A day of a month in the year that makes it the latest not after today; with a year, that one. */
function dayOf(day: number, month: number, year: string | undefined, today: string): string | null {
  const of = (full: number): string | null => {
    const date = `${full}-${pad(month)}-${pad(day)}`;
    const parsed = new Date(`${date}T00:00:00Z`);
    return !Number.isNaN(parsed.getTime()) && parsed.toISOString().startsWith(date) ? date : null;
  };
  if (year) return of(year.length === 2 ? 2000 + Number(year) : Number(year));
  const here = Number(today.slice(0, 4));
  const now = of(here);
  // A day that is soon to come is meant so, and asked about; one that is far off was last year's.
  return now !== null && daysBetween(today, now) > 60 ? of(here - 1) : now;
}

type Pattern = readonly [
  RegExp,
  (match: RegExpMatchArray, today: string, monthFirst: boolean) => string | null,
];
const pattern = (source: string): RegExp => new RegExp(FROM + source + TO, 'i');
const monthOf = (name: string): number => MONTHS.indexOf(name.slice(0, 3).toLowerCase()) + 1;

/** The nearest such weekday that is over. */
function weekday(name: string, today: string): string {
  const now = new Date(`${today}T00:00:00Z`).getUTCDay();
  const back = (now - WEEKDAYS.indexOf(name.slice(0, 3).toLowerCase()) + 7) % 7 || 7;
  return dayAfter(today, -back);
}

const DATES: readonly Pattern[] = [
  [
    pattern(String.raw`(?:on )?(\d{4})-(\d{2})-(\d{2})`),
    ([, year, month, day], today) => dayOf(Number(day), Number(month), year, today),
  ],
  [
    pattern(`${COUNT} (day|week)s? (?:ago|back)`),
    ([, count, unit], today) =>
      dayAfter(today, -countOf(count!) * (unit!.toLowerCase() === 'week' ? 7 : 1)),
  ],
  [pattern('(?:the )?day before yesterday'), (_, today) => dayAfter(today, -2)],
  [pattern('(?:yesterday|yest|yday)'), (_, today) => dayAfter(today, -1)],
  [pattern('last (?:night|evening)'), (_, today) => dayAfter(today, -1)],
  [pattern('last week'), (_, today) => dayAfter(today, -7)],
  [pattern('(?:today|tdy)'), (_, today) => today],
  [pattern('tomorrow'), (_, today) => dayAfter(today, 1)],
  [
    pattern(
      String.raw`(?:on )?(?:the )?(\d{1,2})(?:st|nd|rd|th)?\.? (?:of )?${MONTH_NAME}\.?(?:,? (\d{4}))?`,
    ),
    ([, day, month, year], today) => dayOf(Number(day), monthOf(month!), year, today),
  ],
  [
    pattern(String.raw`(?:on )?${MONTH_NAME}\.? (\d{1,2})(?:st|nd|rd|th)?(?:,? (\d{4}))?`),
    ([, month, day, year], today) => dayOf(Number(day), monthOf(month!), year, today),
  ],
  [
    // 14.11. and 14.11.2026 are days first everywhere.
    pattern(String.raw`(?:on )?(\d{1,2})\.(\d{1,2})\.(\d{4}|\d{2})?`),
    // A number at the end of a sentence, after what it measures, is none: `stick 3.5. filled`.
    (match, today) =>
      isMeasure(match) ? null : dayOf(Number(match[1]), Number(match[2]), match[3], today),
  ],
  [
    pattern(String.raw`(?:on )(\d{1,2})\/(\d{1,2})(?:\/(\d{4}|\d{2}))?`),
    (match, today, monthFirst) => slashed(match, today, monthFirst),
  ],
  [
    pattern(String.raw`(\d{1,2})\/(\d{1,2})(?:\/(\d{4}|\d{2}))?`),
    (match, today, monthFirst) => {
      const [, a, b, year] = match;
      if (!year && isMeasure(match)) return null;
      // 1/2 and 3/4 are parts of something, and so is what a unit stands behind.
      if (!year && [2, 3, 4, 8, 16].includes(Number(b)) && Number(a) < Number(b)) return null;
      const after = (match.input ?? '').slice((match.index ?? 0) + match[0].length);
      if (
        !year &&
        /^ ?(?:[a-z"]+)/i.test(after) &&
        /^ ?(?:in|cm|ft|gal|l|can|cup|tbsp|tsp|lb|full)/i.test(after)
      )
        return null;
      return slashed(match, today, monthFirst);
    },
  ],
  [
    pattern(`(?:on |last |this )?${DAY_NAME}`),
    (match, today) => (isWord(match) ? null : weekday(match[1]!, today)),
  ],
];

/** Days that are words as well: they count at the end or the beginning of a line, or after `on` and `last`. */
function isWord({ 0: whole, 1: name, index = 0, input = '' }: RegExpMatchArray): boolean {
  if (!/^(?:sun|sat|wed|mon)$/i.test(name!) || whole !== name) return false;
  const before = input.slice(0, index).trim();
  const after = input.slice(index + whole.length).trim();
  if (
    /\b(?:the|full|in|more|much|hot|direct|of|morning|evening|afternoon|it|we|i|and)$/i.test(before)
  )
    return true;
  if (after === '' || /^[,;:]/.test(after)) return false;
  return (
    before !== '' ||
    !/^(?:\d|filled|watered|stick|dip|level|rain|fed|picked|planted|sowed|topped|gave|morning|evening|afternoon|noon)/i.test(
      after,
    )
  );
}

/** Whether a number stands right after what it is a measure of. */
const isMeasure = ({ index = 0, input = '' }: RegExpMatchArray): boolean =>
  /\b(?:stick|dip|dipped|level|float|gauge|reads|rain|rained|filled|refilled|fed|picked|finger|dug|with|at)\s*:?\s*$/i.test(
    input.slice(0, index),
  );

/** Month first where people measure in inches, day first elsewhere; the other way round where only that can be. */
function slashed(match: RegExpMatchArray, today: string, monthFirst: boolean): string | null {
  const [, a, b, year] = match;
  const [first, second] = [Number(a), Number(b)];
  const usual = monthFirst ? dayOf(second, first, year, today) : dayOf(first, second, year, today);
  return (
    usual ?? (monthFirst ? dayOf(first, second, year, today) : dayOf(second, first, year, today))
  );
}

const TIMES: readonly (readonly [RegExp, (match: RegExpMatchArray) => string | null])[] = [
  [
    pattern(String.raw`(?:at )?(\d{1,2}):(\d{2}) ?(am|pm|h)?`),
    ([, hour, minute, half]) => clock(Number(hour), Number(minute), half),
  ],
  [
    // With a point it is an hour only where that is said: 2.50 is an amount.
    pattern(
      String.raw`(?:at (\d{1,2})\.(\d{2})|(\d{1,2})\.(\d{2}) ?(am|pm|h))(?! ?(?:mm|cm|in|l|gal|m)\b)`,
    ),
    ([, hour, minute, other, minutes, half]) =>
      clock(Number(hour ?? other), Number(minute ?? minutes), half),
  ],
  [
    pattern(String.raw`(?:at )?(\d{1,2}) ?(am|pm)`),
    ([, hour, half]) => clock(Number(hour), 0, half),
  ],
  [
    pattern(String.raw`at (\d{1,2})(?: o'?clock)?(?! ?(?:mm|cm|in|l|gal|m|full)\b)`),
    ([, hour]) => clock(Number(hour), 0, undefined),
  ],
  [pattern('(?:at )?noon'), () => '12:00'],
  [pattern('(?:(?:this|in the|early this|early) )?morning'), () => '08:00'],
  [pattern('(?:(?:this|in the) )?afternoon'), () => '15:00'],
  [pattern('(?:(?:this|in the) )?evening|tonight'), () => '19:00'],
];

function clock(hour: number, minute: number, half: string | undefined): string | null {
  const of = half === 'pm' && hour < 12 ? hour + 12 : half === 'am' && hour === 12 ? 0 : hour;
  return of < 24 && minute < 60 ? `${pad(of)}:${pad(minute)}` : null;
}

const without = (line: string, match: RegExpMatchArray): string =>
  `${line.slice(0, match.index)} ${line.slice((match.index ?? 0) + match[0].length)}`
    .replace(/\s+([,;.])/g, '$1')
    .replace(/^[\s,;:]+|[\s,;:]+$/g, '')
    .replace(/\s+/g, ' ');

/** What stands after a sign that makes a number a level, and no hour: `level at 7` is seven of one's units. */
const READS = /\b(?:stick|dip|level|float|gauge|reads|water|finger|reservoir)\b[^,;]*\bat \d/i;

/** Before a day that the line is not of. */
const NOT_THEN = /\b(?:until|till|til|before|by|next|for|since|every|each)\s*$/i;

/** The day and time of a line. @param monthFirst decides between 11/14 and 14/11 */
export function whenIn(line: string, today: string, monthFirst: boolean): When {
  let rest = withDays(line);
  let date: string | null = null;
  let evening: string | null = null;
  for (const [of, read] of DATES) {
    const match = of.exec(rest);
    if (!match || NOT_THEN.test(rest.slice(0, match.index))) continue;
    date = read(match, today, monthFirst);
    if (date === null) continue;
    if (/night|evening/i.test(match[0])) evening = '19:00';
    rest = without(rest, match);
    break;
  }
  let time: string | null = null;
  for (const [of, read] of TIMES) {
    const match = of.exec(rest);
    if (!match || (/^at \d/.test(match[0]) && READS.test(rest))) continue;
    time = read(match);
    if (time === null) continue;
    rest = without(rest, match);
    break;
  }
  return { date: date ?? today, dated: date !== null, time: time ?? evening, rest };
}
