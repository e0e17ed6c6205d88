import { problemSchema, type Problem } from './problem';

/**
 * What an answer means for what was sent, decided once for every queue, the bench and all pages.
 *
 * - `later`: not now. No answer, too many requests, a full disk, a broken server or proxy. It is sent again.
 * - `let-in`: this device has to be let in again before anything of it is taken.
 * - `for-good`: sent again as it is, it would be refused again. A person mends it or drops it.
 */
export type RefusalKind = 'later' | 'let-in' | 'for-good';

export interface Refusal {
  kind: RefusalKind;
  /** HTTP status; null where nothing was answered, or nothing that Huerta's server says. */
  status: number | null;
  /** For the person: what happened, what is safe, what to do. */
  sentence: string;
  /** What the server said, where the answer was its own. */
  problem: Problem | null;
}

/** Statuses below 500 that are over by themselves: timeout, too early, too many. */
const LATER: ReadonlySet<number> = new Set([408, 425, 429]);
const LET_IN: ReadonlySet<number> = new Set([401, 403]);

/** @param status of the answer; null where there was none, or one that is not Huerta's */
export function refusalKindOf(status: number | null): RefusalKind {
  if (status === null || status < 400 || status >= 500 || LATER.has(status)) return 'later';
  return LET_IN.has(status) ? 'let-in' : 'for-good';
}

/**
 * Reads an answer that is no success.
 *
 * @param status HTTP status; null where nothing was answered
 * @param body of the answer as JSON, whatever it is
 * @param keeps whether this device keeps what is done until the server has it
 */
export function refusalOf(status: number | null, body: unknown, keeps = true): Refusal {
  const parsed = problemSchema.safeParse(body);
  const problem = parsed.success ? parsed.data : null;
  const kind = refusalKindOf(status);
  const what = problem?.detail ?? usualSentence(kind, status);
  const safe = keeps
    ? 'What you do is kept on this device and sent later.'
    : 'This browser keeps nothing: leave this page open until it is sent.';
  return { kind, status, sentence: kind === 'later' ? `${what} ${safe}` : what, problem };
}

/** What is said of an answer that is not Huerta's own. */
function usualSentence(kind: RefusalKind, status: number | null): string {
  switch (kind) {
    case 'later':
      if (status === 507) return 'The server’s disk is full: make room on it.';
      if (status === 429) return 'Too much was asked at once.';
      return status === null || (status >= 502 && status <= 504)
        ? 'Huerta’s server does not answer; see that it is running.'
        : 'Huerta’s server cannot take this just now.';
    case 'let-in':
      return 'This device is not let in. At home, open Settings, Let a phone in, and scan a new code.';
    case 'for-good':
      if (status === 413) return 'This is larger than the server takes. Make it smaller.';
      if (status === 404)
        return 'The server does not have this any more. It may have been deleted.';
      return 'The server does not take this as it is.';
  }
}
