import { merged, type ProgressEntry } from '@huerta/core/fabrication';
import { wakeOutbox } from './pendingSaves';
import { durableStore } from './store';
import type { PendingProgress } from './types';

/** Marks of builds that were made here and have not reached the server yet. */

const marks = durableStore<PendingProgress, PendingProgress>('marks', {
  key: ({ planter }) => planter,
  join: (now, { planter, entries }) => ({ planter, entries: merged(now?.entries ?? [], entries) }),
});

/** What waits of one planter. */
export const pendingProgressOf = async (planter: string): Promise<ProgressEntry[]> =>
  (await marks.get(planter))?.entries ?? [];

export const allPendingProgress = (): Promise<PendingProgress[]> => marks.all();

/** Keeps a mark until the server has it. */
export async function addPendingProgress(planter: string, entry: ProgressEntry): Promise<void> {
  await marks.add({ planter, entries: [entry] });
  wakeOutbox();
}

/** Takes away what the server has; a newer mark for the same key stays. */
export async function removePendingProgress(
  planter: string,
  sent: readonly ProgressEntry[],
): Promise<void> {
  await marks.change(planter, (now) => {
    const entries = (now?.entries ?? []).filter(
      (one) => !sent.some(({ key, at }) => key === one.key && at === one.at),
    );
    return entries.length > 0 ? { planter, entries } : undefined;
  });
}
