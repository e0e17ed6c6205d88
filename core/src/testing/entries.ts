import type { EntryBody, LogEntry } from '../journal';

/** An entry of a log, for tests. @param day ISO date, at six in the morning, or a time in full */
export function logEntry(n: number, day: string, did: EntryBody, planter = 0): LogEntry {
  return {
    id: uuidOf(n),
    planter: uuidOf(planter),
    at: day.includes('T') ? day : `${day}T06:00:00.000Z`,
    by: '',
    did,
    text: '',
    typed: '',
    instead: null,
    gone: false,
  };
}

/** An id that tells its number. */
export const uuidOf = (n: number): string =>
  `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
