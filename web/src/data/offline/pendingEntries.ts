import type { LogEntry } from '@huerta/core/journal';
import { wakeOutbox } from './pendingSaves';
import { durableStore } from './store';

/** Log entries that were written on this device and have not reached the server yet. */
const logged = durableStore<LogEntry, LogEntry>('logged', {
  key: ({ id }) => id,
  join: (_now, entry) => entry,
});

export const pendingEntries = (): Promise<LogEntry[]> => logged.all();

/** Keeps entries until the server has them. */
export async function addPendingEntries(entries: readonly LogEntry[]): Promise<void> {
  // All of them are noted before the first is waited for.
  await Promise.all(entries.map((entry) => logged.add(entry)));
  wakeOutbox();
}

/** Takes away what the server has. */
export async function removePendingEntries(entries: readonly LogEntry[]): Promise<void> {
  await Promise.all(entries.map(({ id }) => logged.change(id, () => undefined)));
}
