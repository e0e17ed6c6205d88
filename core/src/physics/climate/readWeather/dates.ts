/** Days and hours as tables write them, in whatever order. */

/** Month names by their first letters, in the languages that weather tables come in. */
const MONTHS: readonly RegExp[] = [
  /^(?:jan|ene|gen)/,
  /^(?:feb|fev)/,
  /^(?:mar|mae|mrt|mrz)/,
  /^(?:apr|abr|avr)/,
  /^(?:may|mai|mag|mei)/,
  /^(?:jun|juin|giu)/,
  /^(?:jul|juil|lug)/,
  /^(?:aug|ago|aou)/,
  /^(?:sep|set)/,
  /^(?:oct|okt|ott|out)/,
  /^(?:nov)/,
  /^(?:dec|dez|dic)/,
];

/** A day as it is written: its parts, or the two that may be day or month in either order. */
type Written =
  { year: number; month: number; day: number } | { year: number; first: number; second: number };

const CENTURY = 100;
/** Years of two digits up to this are of this century. */
const RECENT = 69;
const full = (year: number): number =>
  year >= CENTURY ? year : year + (year <= RECENT ? 2000 : 1900);

const monthNamed = (word: string): number => {
  const bare = word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
  return MONTHS.findIndex((one) => one.test(bare)) + 1;
};

/** The parts of a date cell; null where it is none. */
function writtenDay(cell: string): Written | null {
  const text = cell.trim();
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?!\d)/.exec(text);
  if (iso) return { year: Number(iso[1]), month: Number(iso[2]), day: Number(iso[3]) };
  const packed = /^(\d{4})(\d{2})(\d{2})(?:\d{2}(?:\d{2})?)?$/.exec(text);
  if (packed) return { year: Number(packed[1]), month: Number(packed[2]), day: Number(packed[3]) };
  const numbers = /^(\d{1,2})([-/.])(\d{1,2})\2(\d{4}|\d{2})(?!\d)/.exec(text);
  if (numbers) {
    const [first, second] = [Number(numbers[1]), Number(numbers[3])];
    const year = full(Number(numbers[4]));
    // With full stops the day stands first.
    return numbers[2] === '.' ? { year, month: second, day: first } : { year, first, second };
  }
  const named = /^(\d{1,2})\.?[\s-]+(?:de )?(\p{L}{3,})\.?[\s,-]+(?:de )?(\d{4}|\d{2})(?!\d)/u.exec(
    text,
  );
  if (named && monthNamed(named[2]!) > 0)
    return { year: full(Number(named[3])), month: monthNamed(named[2]!), day: Number(named[1]) };
  const american = /^(\p{L}{3,})\.? (\d{1,2}),? (\d{4})/u.exec(text);
  if (american && monthNamed(american[1]!) > 0)
    return { year: Number(american[3]), month: monthNamed(american[1]!), day: Number(american[2]) };
  return null;
}

const pad = (n: number, digits: number): string => String(n).padStart(digits, '0');

/** An ISO date, or null where there is no such day. */
function isoOf(year: number, month: number, day: number): string | null {
  const iso = `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
  const at = Date.parse(`${iso}T00:00:00Z`);
  return Number.isNaN(at) || new Date(at).getUTCDate() !== day ? null : iso;
}

/**
 * Whether the month stands before the day in a column: by a number that can be no month, else by the order in which
 * more days follow each other, else as the reader is used to.
 */
export function monthStandsFirst(cells: readonly string[], usual: boolean): boolean {
  const open = cells.flatMap((cell) => {
    const written = writtenDay(cell);
    return written && 'first' in written ? [written] : [];
  });
  if (open.some(({ first }) => first > 12)) return false;
  if (open.some(({ second }) => second > 12)) return true;
  const follow = (monthFirst: boolean): number => {
    const days = open.map(({ year, first, second }) =>
      Date.UTC(year, (monthFirst ? first : second) - 1, monthFirst ? second : first),
    );
    return days.filter((day, i) => i > 0 && Math.abs(day - days[i - 1]!) <= 86_400_000).length;
  };
  const [monthFirst, dayFirst] = [follow(true), follow(false)];
  return monthFirst === dayFirst ? usual : monthFirst > dayFirst;
}

/** The ISO date of a cell, or null where it is none. */
export function dayIn(cell: string, monthFirst: boolean): string | null {
  const written = writtenDay(cell);
  if (!written) return null;
  if ('month' in written) return isoOf(written.year, written.month, written.day);
  const { year, first, second } = written;
  return monthFirst ? isoOf(year, first, second) : isoOf(year, second, first);
}

/** Whether a date cell tells an hour, too. */
export const hasHour = (cell: string): boolean =>
  /\d[T ]+\d{1,2}(?::\d{2}|\s*[ap]m)|^\d{10}(?:\d{2})?$/i.test(cell.trim());
