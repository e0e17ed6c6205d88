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

export const useConnectivity = create<Heard>()(
  persist((): Heard => ({ away: false, later: false, last: 0 }), {
    name: 'huerta.heard',
    storage: createJSONStorage(() => localStorage),
    partialize: ({ last }) => ({ last }),
  }),
);

/** Between two notes of an answer, milliseconds: each is written to the device. */
const OFTEN = 5000;

/** The server answered, and took or gave what was asked. */
export function noteAnswer(now = Date.now()): void {
  const { away, later, last } = useConnectivity.getState();
  if (away || later || now - last > OFTEN)
    useConnectivity.setState({ away: false, later: false, last: now });
}

/** A gateway before the server says so in its place. */
const GATEWAY: ReadonlySet<number> = new Set([502, 503, 504]);

/** The server refused, or nothing was heard of it. */
export function noteRefusedAnswer({ kind, status, problem }: Refusal): void {
  if (kind !== 'later') {
    noteAnswer();
    return;
  }
  const away = problem === null && (status === null || GATEWAY.has(status));
  const now = useConnectivity.getState();
  if (away !== now.away || !now.later) useConnectivity.setState({ away, later: true });
}

/** Calls back when the server answers again after it did not, or could not take something. @returns ends it */
export const onRecovered = (recovered: () => void): (() => void) =>
  useConnectivity.subscribe((now, before) => {
    if (before.later && !now.later) recovered();
  });
