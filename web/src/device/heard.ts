import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Whether the server answers, and when it last did. */
interface Heard {
  away: boolean;
  /** Milliseconds; 0 before the first answer. */
  last: number;
}

export const useHeard = create<Heard>()(
  persist((): Heard => ({ away: false, last: 0 }), {
    name: 'huerta.heard',
    storage: createJSONStorage(() => localStorage),
    partialize: ({ last }) => ({ last }),
  }),
);

/** Between two notes of an answer, milliseconds: each is written to the device. */
const OFTEN = 5000;

export function heard(now = Date.now()): void {
  const { away, last } = useHeard.getState();
  if (away || now - last > OFTEN) useHeard.setState({ away: false, last: now });
}

export function notHeard(): void {
  if (!useHeard.getState().away) useHeard.setState({ away: true });
}
