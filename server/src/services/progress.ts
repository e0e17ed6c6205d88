import type { ProgressResource } from '@huerta/contract';
import { merged, progressEntrySchema, type ProgressEntry } from '@huerta/core/fabrication';
import type { ProgressTable } from '../storage/progress';
import type { SetAsideTable } from '../storage/setAside';
import type { Documents } from './documents';
import { parsedJson } from './json';

/** How far builds have come. */
export interface ProgressService {
  get(planter: string): Promise<ProgressResource>;
  /** Takes entries in; of two for one key the later holds, whichever comes first. */
  send(planter: string, entries: readonly ProgressEntry[]): Promise<ProgressResource>;
}

export function progressService(
  progress: ProgressTable,
  planters: Documents<unknown>,
  setAside: Pick<SetAsideTable, 'move'>,
  now: () => Date = () => new Date(),
): ProgressService {
  const all = async (planterId: string): Promise<ProgressResource> => {
    const rows = await progress.of(planterId);
    const entries: ProgressEntry[] = [];
    for (const { row, key, value, at } of rows) {
      const read = progressEntrySchema.safeParse({ key, value: parsedJson(value), at });
      if (read.success) entries.push(read.data);
      else await setAside.move('progress', row, 'It cannot be read.');
    }
    return { entries };
  };
  return {
    async get(planter) {
      await planters.get(planter);
      return all(planter);
    },
    async send(planter, entries) {
      const known = new Map(
        (await this.get(planter)).entries.map((entry) => [entry.key, entry.at]),
      );
      for (const { key, value, at } of merged(entries)) {
        const when = orderedAt(at, known.get(key) ?? null, now());
        await progress.keepLater({ planter, key, value: JSON.stringify(value), at: when });
      }
      return all(planter);
    },
  };
}

/**
 * When an entry counts as made. A clock that is fast must not hold its entry for ever, so it is not later than
 * the server's own; but what was made after an entry stays after it, also where the server's clock went back.
 *
 * @param at by the device's clock; @param known of the entry that stands
 */
export function orderedAt(at: string, known: string | null, now: Date): string {
  const made = Date.parse(at);
  const stands = known === null ? -Infinity : Date.parse(known);
  const latest = Math.max(now.getTime(), stands + 1);
  return new Date(Math.min(made, latest)).toISOString();
}
