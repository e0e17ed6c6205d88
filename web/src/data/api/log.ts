import { LOG } from '@huerta/contract';
import {
  currentEntries,
  takenOut,
  putBack,
  type EntryBody,
  type LogEntry,
} from '@huerta/core/journal';
import { zonedTime } from '@huerta/core/physics/climate';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { v4 as uuid } from 'uuid';
import { gardenZone } from '../gardenDay';
import { addPendingEntries, pendingEntries } from '../offline/pendingEntries';
import { callRoute } from './client';

/** @returns the ids that the server has now */
export const sendLog = (entries: readonly LogEntry[]): Promise<{ has: readonly string[] }> =>
  callRoute(LOG.add, { body: { entries } });

/** What holds of some entries and of those that wait on this device. */
async function withWaiting(
  fetched: Promise<{ entries: LogEntry[] }>,
  mine: (entry: LogEntry) => boolean,
): Promise<LogEntry[]> {
  const waiting = (await pendingEntries()).filter(mine);
  const { entries } = await fetched.catch((error: unknown) => {
    // What was written here is shown, also where nothing was ever heard of the server.
    if (waiting.length > 0) return { entries: [] };
    throw error;
  });
  return currentEntries([...entries, ...waiting]);
}

/** What a planter's state hangs on of its log, latest first, with what waits on this device. */
export const useLog = (planter: string) =>
  useQuery({
    queryKey: ['log', planter],
    queryFn: () =>
      withWaiting(callRoute(LOG.tendedOf, { id: planter }), (entry) => entry.planter === planter),
    networkMode: 'always',
  });

/** The same of the whole garden. */
export const useWholeLog = () =>
  useQuery({
    queryKey: ['log'],
    queryFn: () => withWaiting(callRoute(LOG.tended), () => true),
    networkMode: 'always',
  });

const OF_ROUND = ['log', 'of', 'round'] as const;

/** The same of the planters of the round. */
export const useRoundLog = () =>
  useQuery({
    queryKey: OF_ROUND,
    queryFn: () => withWaiting(callRoute(LOG.tended, { query: { of: 'round' } }), () => true),
    networkMode: 'always',
  });

/** Entries of a planter, or of all, from before a time, a part at a time until there are no more. */
export async function* earlierEntries(
  planter: string | null,
  before?: string,
): AsyncGenerator<LogEntry[]> {
  let at = before;
  for (;;) {
    const query: Record<string, string> = at === undefined ? {} : { before: at };
    const { entries, more } =
      planter === null
        ? await callRoute(LOG.all, { query })
        : await callRoute(LOG.of, { id: planter, query });
    yield entries;
    const last = entries.at(-1);
    if (!more || !last) return;
    // Several of one moment may be parted: they come again, and count once.
    at = new Date(Date.parse(last.at) + 1).toISOString();
  }
}

/** The whole log, however long, with what waits on this device. @param planter null for all */
export async function wholeLog(planter: string | null): Promise<LogEntry[]> {
  const all = (await pendingEntries()).filter((one) => planter === null || one.planter === planter);
  for await (const entries of earlierEntries(planter)) all.push(...entries);
  return currentEntries(all);
}

/** Says who writes on this device. */
export function setWriter(name: string): void {
  try {
    localStorage.setItem(BY, name.trim().slice(0, MOST_BY));
  } catch {
    // A window that keeps nothing asks again.
  }
}

/** What is written down: done when, by a line or by a press. */
export interface Written {
  did: EntryBody;
  /** ISO time; now where it is left out. */
  at?: string;
  text?: string;
  typed?: string;
  /** The entry whose place it takes. */
  instead?: string;
}

const BY = 'huerta.by';
/** Longest name of who writes. */
export const MOST_BY = 40;

/** Who writes on this device. */
export function writer(): string {
  try {
    return localStorage.getItem(BY) ?? '';
  } catch {
    return '';
  }
}

/** Writes into the log: kept on this device at once, sent when the server answers. */
export function useWriteLog() {
  const client = useQueryClient();
  const keep = async (entries: readonly LogEntry[]) => {
    // On this device first, then shown; what the server has comes after.
    const kept = addPendingEntries(entries);
    await client.cancelQueries({ queryKey: ['log'] });
    const shows = (planter: string | null) => (now: LogEntry[] | undefined) =>
      now &&
      currentEntries([
        ...entries.filter((one) => one.planter === (planter ?? one.planter)),
        ...now,
      ]);
    client.setQueryData<LogEntry[]>(['log'], shows(null));
    client.setQueryData<LogEntry[]>(OF_ROUND, shows(null));
    for (const planter of new Set(entries.map((entry) => entry.planter)))
      client.setQueryData<LogEntry[]>(['log', planter], shows(planter));
    await kept;
    await client.invalidateQueries({ queryKey: ['log'] });
  };
  return {
    /** Entries as they are, as from a table. */
    keep,
    /** The same for several planters. @returns the entries */
    async write(planters: readonly string[], { did, at, text, typed, instead }: Written) {
      const entries = planters.map((planter): LogEntry => ({
        id: uuid(),
        planter,
        at: at ?? zonedTime(Date.now(), gardenZone()),
        by: writer(),
        did,
        text: text ?? '',
        typed: typed ?? '',
        instead: instead ?? null,
        gone: false,
      }));
      await keep(entries);
      return entries;
    },
    /** @returns what puts it back */
    async takeOut(entry: LogEntry) {
      const out = takenOut(entry, uuid());
      await keep([out]);
      return () => keep([putBack(entry, out, uuid())]);
    },
  };
}
