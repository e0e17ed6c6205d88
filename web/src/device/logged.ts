import type { LogEntry } from '@huerta/core';
import { wakeOutbox } from './kept';
import { shelf } from './store';

/** Log entries that were written on this device and have not reached the server yet. */
const logged = shelf<LogEntry>('logged');

export const waitingLog = (): Promise<LogEntry[]> => logged.all();

/** Keeps entries until the server has them. */
export async function keepLogged(entries: readonly LogEntry[]): Promise<void> {
  for (const entry of entries) await logged.change(entry.id, () => entry);
  wakeOutbox();
}

/** Takes away what the server has. */
export async function loggedSent(entries: readonly LogEntry[]): Promise<void> {
  for (const { id } of entries) await logged.change(id, () => undefined);
}
