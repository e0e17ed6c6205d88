import { WEEK_STARTS, type WeekStart } from '@huerta/core/journal';

/** Writing dates in the order that the person chose, by the browser's own Intl. */

export const DATE_ORDERS = {
  'day-first': { name: '1 May 2026', locale: 'en-GB' },
  'month-first': { name: 'May 1, 2026', locale: 'en-US' },
} as const;
export type DateOrder = keyof typeof DATE_ORDERS;

/** As the browser's language has it. */
export const usualOrder = (language: string): DateOrder =>
  /^en-(US|PH|BZ)$/i.test(language) ? 'month-first' : 'day-first';

/** The day that a week begins on, as it is chosen and as Intl counts it, 1 for Monday. */
export const WEEK_CHOICES = {
  monday: { name: 'Monday', day: 1 },
  sunday: { name: 'Sunday', day: 7 },
  saturday: { name: 'Saturday', day: 6 },
} as const satisfies Readonly<Record<WeekStart, { name: string; day: number }>>;

/** What newer browsers know of a language's weeks. */
interface WeekKnown {
  getWeekInfo?(): { firstDay: number };
}

/** As the browser's language has it; Monday where the browser does not say. */
export function usualWeek(language: string): WeekStart {
  const first = (new Intl.Locale(language) as WeekKnown).getWeekInfo?.().firstDay;
  return WEEK_STARTS.find((one) => WEEK_CHOICES[one].day === first) ?? 'monday';
}

let order: DateOrder = 'day-first';

/** Sets the order for all that is written from now on. */
export function setDateOrder(next: DateOrder): void {
  order = next;
}

const KINDS = {
  short: { day: 'numeric', month: 'short' },
  long: { day: 'numeric', month: 'long' },
  weekday: { weekday: 'long' },
  day: { weekday: 'short', day: 'numeric', month: 'short' },
  shortDay: { weekday: 'short' },
  month: { month: 'short' },
  monthLong: { month: 'long' },
  year: { day: 'numeric', month: 'long', year: 'numeric' },
  time: { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', hour12: false },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

/** Formatters by what they write: making one takes far longer than writing with it. */
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterOf(kind: keyof typeof KINDS, isDay: boolean): Intl.DateTimeFormat {
  const { locale } = DATE_ORDERS[order];
  const key = `${locale} ${kind} ${isDay}`;
  const known =
    formatters.get(key) ??
    new Intl.DateTimeFormat(locale, { ...KINDS[kind], ...(isDay ? { timeZone: 'UTC' } : {}) });
  formatters.set(key, known);
  return known;
}

/** A day, or a moment with 'time'. A day is an ISO date, the same in every time zone. */
export function writeDate(date: string | Date, kind: keyof typeof KINDS): string {
  const isDay = typeof date === 'string' && date.length === 10;
  const words = formatterOf(kind, isDay).format(new Date(date));
  // Day and month, in either order, stay on one line.
  return kind === 'day' ? words.replaceAll(' ', '\u00a0') : words.replace(' ', '\u00a0');
}

/** A day of the next weeks as one says it: 'today', 'Wed 8', 'Sat, 1 Aug' of another month. @param today ISO date */
export function writeDayAhead(date: string, today: string): string {
  if (date === today) return 'today';
  if (date.slice(0, 7) !== today.slice(0, 7)) return writeDate(date, 'day');
  return `${writeDate(date, 'shortDay')}\u00a0${Number(date.slice(8))}`;
}

/** A month by its number, 0 for January; 'monthLong' with its whole name. */
export const writeMonth = (month: number, kind: 'month' | 'monthLong' = 'month'): string =>
  writeDate(`2026-${String(month + 1).padStart(2, '0')}-01`, kind);

const STEPS = [
  ['year', 31_557_600],
  ['month', 2_629_800],
  ['week', 604_800],
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
] as const;

/** How long ago, in words: '3 hours ago', or 'just now'. */
export function writeAgo(date: string | Date | number, now = Date.now()): string {
  const seconds = (now - new Date(date).getTime()) / 1000;
  const step = STEPS.find(([, length]) => seconds >= length);
  if (!step) return 'just now';
  const [unit, length] = step;
  return new Intl.RelativeTimeFormat('en', { numeric: 'always' }).format(
    -Math.floor(seconds / length),
    unit,
  );
}

/** An hour of the day as one says it: 'about 7 in the morning'. @param hour from 0 */
export function sayHour(hour: number): string {
  if (hour === 12) return 'about noon';
  if (hour === 0) return 'about midnight';
  const part = hour < 12 ? 'in the morning' : hour < 18 ? 'in the afternoon' : 'in the evening';
  return `about ${hour % 12}\u00a0${part}`;
}
