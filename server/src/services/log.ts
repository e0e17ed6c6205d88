import { logEntrySchema, measuredDaySchema, type LogEntry, type MeasuredDay } from '@huerta/core';
import type { LogTable } from '../store/log';
import type { WeatherDayTable } from '../store/weatherDays';

/** The log of the garden. */
export interface LogService {
  /** Takes entries in; one that is known is left as it is. @returns how many were new */
  add(entries: readonly LogEntry[]): Promise<number>;
  /** Entries of a planter, or of all, latest first; what cannot be read is left out. */
  of(planter: string | null, since?: string, most?: number): Promise<LogEntry[]>;
}

/** More entries than a garden has in a lifetime are not sent in one answer. */
const MOST = 20_000;

/** @param onAdd told after entries came in */
export function logService(
  table: LogTable,
  onAdd: () => void = () => undefined,
  now: () => Date = () => new Date(),
): LogService {
  return {
    async add(entries) {
      const came = await table.add(
        entries.map((entry) => ({
          id: entry.id,
          planter: entry.planter,
          at: new Date(entry.at).toISOString(),
          entry: JSON.stringify(entry),
        })),
        now().toISOString(),
      );
      onAdd();
      return came;
    },
    async of(planter, since = '', most = MOST) {
      const texts = await table.of(planter, since, Math.min(most, MOST));
      return texts.flatMap((text) => {
        const read = logEntrySchema.safeParse(parsed(text));
        return read.success ? [read.data] : [];
      });
    },
  };
}

/** The weather that was, as a station or another program tells it. */
export interface WeatherDayService {
  put(days: readonly MeasuredDay[]): Promise<void>;
  from(date?: string): Promise<MeasuredDay[]>;
}

export const weatherDayService = (
  table: WeatherDayTable,
  onPut: () => void = () => undefined,
  now: () => Date = () => new Date(),
): WeatherDayService => ({
  async put(days) {
    await table.put(
      days.map((day) => ({ date: day.date, day: JSON.stringify(day) })),
      now().toISOString(),
    );
    onPut();
  },
  async from(date = '') {
    return (await table.from(date)).flatMap((text) => {
      const read = measuredDaySchema.safeParse(parsed(text));
      return read.success ? [read.data] : [];
    });
  },
});

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
