import type { Refusal } from '@huerta/contract';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Whether the server answers, and when it last did. */
interface Heard {
  /** Nothing is heard of it. */
  away: boolean;
  /** It was away, or said that it cannot take something just now, and has not taken anything since. */
  later: boolean;
  /** Milliseconds; 0 before the first answer. */
  last: number;
}

export const useHeard = create<Heard>()(
  persist((): Heard => ({ away: false, later: false, last: 0 }), {
    name: 'huerta.heard',
    storage: createJSONStorage(() => localStorage),
    partialize: ({ last }) => ({ last }),
  }),
);

/** Between two notes of an answer, milliseconds: each is written to the device. */
const OFTEN = 5000;

/** The server answered, and took or gave what was asked. */
export function heard(now = Date.now()): void {
  const { away, later, last } = useHeard.getState();
  if (away || later || now - last > OFTEN)
    useHeard.setState({ away: false, later: false, last: now });
}

/** A gateway before the server says so in its place. */
const GATEWAY: ReadonlySet<number> = new Set([502, 503, 504]);

/** The server refused, or nothing was heard of it. */
export function heardRefusal({ kind, status, problem }: Refusal): void {
  if (kind !== 'later') {
    heard();
    return;
  }
  const away = problem === null && (status === null || GATEWAY.has(status));
  const now = useHeard.getState();
  if (away !== now.away || !now.later) useHeard.setState({ away, later: true });
}

/** Calls back when the server answers again after it did not, or could not take something. @returns ends it */
export const onRecovered = (recovered: () => void): (() => void) =>
  useHeard.subscribe((now, before) => {
    if (before.later && !now.later) recovered();
  });
