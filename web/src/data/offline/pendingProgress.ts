import { merged, type ProgressEntry } from '@huerta/core/fabrication';
import { wakeOutbox } from './pendingSaves';
import { safeShelf } from './store';

/** Marks of builds that were made here and have not reached the server yet. */

/** Those of one planter. */
export interface Marks {
  planter: string;
  entries: ProgressEntry[];
}

const marks = safeShelf<Marks, Marks>('marks', {
  key: ({ planter }) => planter,
  join: (now, { planter, entries }) => ({ planter, entries: merged(now?.entries ?? [], entries) }),
});

/** What waits of one planter. */
export const marksOf = async (planter: string): Promise<ProgressEntry[]> =>
  (await marks.get(planter))?.entries ?? [];

export const allMarks = (): Promise<Marks[]> => marks.all();

/** Keeps a mark until the server has it. */
export async function keepMark(planter: string, entry: ProgressEntry): Promise<void> {
  await marks.add({ planter, entries: [entry] });
  wakeOutbox();
}

/** Takes away what the server has; a newer mark for the same key stays. */
export async function marksSent(planter: string, sent: readonly ProgressEntry[]): Promise<void> {
  await marks.change(planter, (now) => {
    const entries = (now?.entries ?? []).filter(
      (one) => !sent.some(({ key, at }) => key === one.key && at === one.at),
    );
    return entries.length > 0 ? { planter, entries } : undefined;
  });
}
