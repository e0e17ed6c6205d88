import { logEntrySchema, type LogEntry } from '@huerta/core/journal';
import { measuredDaySchema, zoned, type MeasuredDay } from '@huerta/core/physics/climate';
import type { Reading } from '@huerta/contract';
import type { LogTable } from '../storage/log';
import { readingId, type ReadingRow, type ReadingTable } from '../storage/readings';
import type { SetAsideTable } from '../storage/setAside';
import type { WeatherDayTable } from '../storage/weatherDays';
import { parsedJson } from './json';

/** Which entries are asked for. */
interface LogAsked {
  /** One planter's; those of all where it is left out. */
  planter?: string | null;
  /** ISO times; from the first on, and before the second. */
  since?: string | undefined;
  before?: string | undefined;
  most?: number | undefined;
}

/** The log of the garden: what people wrote, and the series that sensors tell, together. */
export interface LogService {
  /** Takes entries in; one that is known is left as it is. @returns how many were new */
  add(entries: readonly LogEntry[]): Promise<number>;
  /** Takes readings in, each once; older ones are thinned. @returns how many were new */
  read(planter: string, by: string, readings: readonly Reading[]): Promise<number>;
  /** A part of the log, latest first, and whether there is more of it before. */
  of(asked?: LogAsked): Promise<{ entries: LogEntry[]; more: boolean }>;
  /** All that the state of some planters, or of all, on a day hangs on: a season and more, and what counts however old it is. */
  tended(planters: readonly string[] | null, today: string): Promise<LogEntry[]>;
}

/** Entries that are sent in one answer at the most; the rest is asked for by `before`. */
const MOST_ENTRIES = 5000;
/** Days that a season is followed back, with some to spare. */
const SEASON_DAYS = 420;
const DAY_MS = 86_400_000;
/** After every time. */
const NEVER = '9999';

interface Parts {
  log: LogTable;
  readings: ReadingTable;
  setAside: Pick<SetAsideTable, 'move'>;
  /** Told after entries came in. */
  /** The time zone of the garden: entries that do not say their own offset are told in it. */
  zone?(): string;
  onAdd?(): void;
  now?(): Date;
}

export function logService({
  log,
  readings,
  setAside,
  zone = () => 'UTC',
  onAdd = () => undefined,
  now = () => new Date(),
}: Parts): LogService {
  /** Entries from their texts; one that cannot be read is set aside, and the rest goes on. */
  const read = async (rows: readonly { id: string; entry: string }[]): Promise<LogEntry[]> => {
    const entries: LogEntry[] = [];
    for (const { id, entry } of rows) {
      const parsed = logEntrySchema.safeParse(parsedJson(entry));
      if (parsed.success) entries.push(parsed.data);
      else await setAside.move('log_entries', id, 'It cannot be read.');
    }
    return entries;
  };
  const latestFirst = (entries: LogEntry[]): LogEntry[] =>
    zoned(entries, zone()).sort((a, b) => timeOf(b) - timeOf(a) || (a.id < b.id ? 1 : -1));
  return {
    async add(entries) {
      const rows = entries.map((entry) => ({
        id: entry.id,
        planter: entry.planter,
        at: new Date(entry.at).toISOString(),
        entry: JSON.stringify(entry),
      }));
      const came = await log.add(rows, now().toISOString());
      onAdd();
      return came;
    },
    async read(planter, by, told) {
      const rows = told.flatMap((reading) => rowsOf(planter, by, reading));
      const came = await readings.add(rows, now().toISOString());
      await readings.thin(planter, now());
      onAdd();
      return came;
    },
    async of({ planter = null, since = '', before = NEVER, most = MOST_ENTRIES } = {}) {
      const range = { planter, since, before, most: Math.min(most, MOST_ENTRIES) + 1 };
      const [rows, series] = await Promise.all([
        log.of(range),
        readings.of(planter, since, before, range.most),
      ]);
      const all = latestFirst([...(await read(rows)), ...series.map(entryOf)]);
      return { entries: all.slice(0, range.most - 1), more: all.length >= range.most };
    },
    async tended(planters, today) {
      const since = new Date(Date.parse(today) - SEASON_DAYS * DAY_MS).toISOString();
      const all: LogEntry[] = [];
      for (const planter of planters ?? [null]) {
        const range = { planter, since, before: NEVER, most: -1 };
        const [rows, lasting, series] = await Promise.all([
          log.of(range),
          log.lasting(planter, since),
          readings.of(planter, since, NEVER, -1),
        ]);
        all.push(...(await read([...rows, ...lasting])), ...series.map(entryOf));
      }
      return latestFirst(all);
    },
  };
}

const timeOf = ({ at }: LogEntry): number => Date.parse(at);

function rowsOf(planter: string, sensor: string, { at, level, moisture }: Reading): ReadingRow[] {
  const row = (kind: ReadingRow['kind'], depth: number, feels: string | null): ReadingRow => ({
    id: readingId(planter, sensor, at, kind),
    planter,
    at: new Date(at).toISOString(),
    sensor,
    kind,
    depth,
    feels,
  });
  return [
    ...(level === undefined ? [] : [row('level', level, null)]),
    ...(moisture === undefined ? [] : [row('finger', moisture.depth, moisture.feels)]),
  ];
}

/** A reading as an entry of the log. */
function entryOf({ id, planter, at, sensor, kind, depth, feels }: ReadingRow): LogEntry {
  const did: LogEntry['did'] =
    kind === 'level'
      ? { kind, depth }
      : { kind, depth, feels: (feels ?? 'moist') as 'dry' | 'moist' | 'wet' };
  return { id, planter, at, by: sensor, did, text: '', typed: '', instead: null, gone: false };
}

/** The weather that was, as a station or another program tells it. */
export interface WeatherDayService {
  put(days: readonly MeasuredDay[]): Promise<void>;
  from(date?: string): Promise<MeasuredDay[]>;
}

export const weatherDayService = (
  table: WeatherDayTable,
  setAside: Pick<SetAsideTable, 'move'>,
  onPut: () => void = () => undefined,
  now: () => Date = () => new Date(),
): WeatherDayService => {
  const from = async (date = ''): Promise<MeasuredDay[]> => {
    const days: MeasuredDay[] = [];
    for (const row of await table.from(date)) {
      const read = measuredDaySchema.safeParse(parsedJson(row.day));
      if (read.success) days.push(read.data);
      else await setAside.move('weather_days', row.date, 'It cannot be read.');
    }
    return days;
  };
  return {
    from,
    async put(days) {
      const told = await from(days.map(({ date }) => date).sort()[0]);
      const measured = new Set(told.filter(({ forecast }) => !forecast).map(({ date }) => date));
      // What is expected never takes the place of what was measured.
      const taken = days.filter(({ date, forecast }) => !forecast || !measured.has(date));
      await table.put(
        taken.map((day) => ({ date: day.date, day: JSON.stringify(day) })),
        now().toISOString(),
      );
      onPut();
    },
  };
};
