import { merged, type ProgressEntry } from '@huerta/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Marks that were made here and have not reached the server yet; they outlive the page. */
export interface WaitingMarks {
  waiting: readonly ProgressEntry[];
  add(entry: ProgressEntry): void;
  /** Takes away what the server has; a newer mark for the same key stays. */
  sent(entries: readonly ProgressEntry[]): void;
}

/** A store for one planter, kept on this device where its storage is open. */
export function waitingMarks(planter: string): StoreApi<WaitingMarks> {
  return createStore<WaitingMarks>()(
    persist(
      (set) => ({
        waiting: [],
        add: (entry) => set(({ waiting }) => ({ waiting: merged(waiting, [entry]) })),
        sent: (entries) =>
          set(({ waiting }) => ({
            waiting: waiting.filter(
              (one) => !entries.some(({ key, at }) => key === one.key && at === one.at),
            ),
          })),
      }),
      {
        name: `huerta.progress.${planter}`,
        storage: createJSONStorage(() => localStorage),
        partialize: ({ waiting }) => ({ waiting }),
      },
    ),
  );
}
