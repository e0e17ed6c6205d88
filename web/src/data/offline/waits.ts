/** Waits between tries at a server that does not take something now, milliseconds: twice as long each time. */
const FIRST_MS = 2000;
const LONGEST_MS = 60_000;

export interface Waits {
  next(): number;
  /** It works again, or may. */
  reset(): void;
}

export function growingWaits(first = FIRST_MS, longest = LONGEST_MS): Waits {
  let ms = first;
  return {
    next() {
      const now = ms;
      ms = Math.min(ms * 2, longest);
      return now;
    },
    reset() {
      ms = first;
    },
  };
}
