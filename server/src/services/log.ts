import { logEntrySchema, type LogEntry } from '@huerta/core';
import type { LogTable } from '../store/log';

/** The log of the garden. */
export interface LogService {
  /** Takes entries in; one that is known is left as it is. @returns how many were new */
  add(entries: readonly LogEntry[]): Promise<number>;
  /** Entries of a planter, or of all, latest first; what cannot be read is left out. */
  of(planter: string | null, since?: string, most?: number): Promise<LogEntry[]>;
}

/** More entries than a garden has in a lifetime are not sent in one answer. */
const MOST = 20_000;

export function logService(table: LogTable, now: () => Date = () => new Date()): LogService {
  return {
    add: (entries) =>
      table.add(
        entries.map((entry) => ({
          id: entry.id,
          planter: entry.planter,
          at: new Date(entry.at).toISOString(),
          entry: JSON.stringify(entry),
        })),
        now().toISOString(),
      ),
    async of(planter, since = '', most = MOST) {
      const texts = await table.of(planter, since, Math.min(most, MOST));
      return texts.flatMap((text) => {
        const read = logEntrySchema.safeParse(parsed(text));
        return read.success ? [read.data] : [];
      });
    },
  };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
