import { progressEntrySchema } from '@huerta/core/fabrication';
import { seasonPlanSchema } from '@huerta/core/simulation/season';
import { z } from 'zod';
import { addPendingSave } from './pendingSaves';
import { addPendingProgress } from './pendingProgress';

/**
 * What an earlier Huerta left in `localStorage` and had not sent: marks of builds, and plans of seasons. It goes
 * the way of all that waits now, and is taken out of its old place once it lies there.
 */

const waitingMarks = z.object({ state: z.object({ waiting: z.array(progressEntrySchema) }) });

const readers: readonly {
  prefix: string;
  /** Hands over what was read. @returns whether it could be read */
  take(planter: string, found: unknown): Promise<boolean>;
}[] = [
  {
    prefix: 'huerta.progress.',
    take: async (planter, found) => {
      const read = waitingMarks.safeParse(found);
      for (const entry of read.data?.state.waiting ?? []) await addPendingProgress(planter, entry);
      return read.success;
    },
  },
  {
    prefix: 'huerta.plan.',
    take: async (planter, found) => {
      const read = seasonPlanSchema.safeParse(found);
      // Which revision it was made on was not noted: where the server has another, both are shown.
      if (read.success) await addPendingSave('season', planter, 0, { plan: read.data });
      return read.success;
    },
  },
];

function textAt(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null');
  } catch {
    return null;
  }
}

/** Hands over what lies in the old places. What cannot be read stays where it is. Never throws. */
export async function migrateLegacyStorage(): Promise<void> {
  try {
    for (const key of Object.keys(localStorage)) {
      const reader = readers.find(({ prefix }) => key.startsWith(prefix));
      if (!reader) continue;
      const planter = key.slice(reader.prefix.length);
      if (await reader.take(planter, textAt(key))) localStorage.removeItem(key);
    }
  } catch {
    // Storage is closed: then nothing was left in it either.
  }
}
