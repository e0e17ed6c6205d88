import { merged, type ProgressEntry } from '@huerta/core';
import { wakeOutbox } from './kept';
import { shelf } from './store';

/** Marks of builds that were made here and have not reached the server yet. */

/** Those of one planter. */
export interface Marks {
  planter: string;
  entries: ProgressEntry[];
}

const marks = shelf<Marks>('marks');

/** What waits of one planter. */
export const marksOf = async (planter: string): Promise<ProgressEntry[]> =>
  (await marks.get(planter))?.entries ?? [];

export const allMarks = (): Promise<Marks[]> => marks.all();

const change = (planter: string, next: (entries: ProgressEntry[]) => ProgressEntry[]) =>
  marks.change(planter, (now) => {
    const entries = next(now?.entries ?? []);
    return entries.length > 0 ? { planter, entries } : undefined;
  });

/** Keeps a mark until the server has it. */
export async function keepMark(planter: string, entry: ProgressEntry): Promise<void> {
  await change(planter, (entries) => merged(entries, [entry]));
  wakeOutbox();
}

/** Takes away what the server has; a newer mark for the same key stays. */
export async function marksSent(planter: string, sent: readonly ProgressEntry[]): Promise<void> {
  await change(planter, (entries) =>
    entries.filter((one) => !sent.some(({ key, at }) => key === one.key && at === one.at)),
  );
}
