import type { ProgressResource } from '@huerta/contract';
import { merged, type ProgressEntry } from '@huerta/core';
import type { ProgressModel, ProgressRow } from '../store/progress';
import type { Documents } from './documents';

/** How far builds have come. */
export interface ProgressService {
  get(planter: string): Promise<ProgressResource>;
  /** Takes entries in; of two for one key the later holds, whichever comes first. */
  send(planter: string, entries: readonly ProgressEntry[]): Promise<ProgressResource>;
}

/**
 * One statement for each entry, so that two devices that send at once cannot undo each other. The
 * comparison is the one of core's `merged`.
 */
const KEEP_LATER = `
  INSERT INTO progress (planter_id, key, value, at) VALUES ($planter, $key, $value, $at)
  ON CONFLICT (planter_id, key) DO UPDATE SET value = excluded.value, at = excluded.at
  WHERE excluded.at > progress.at OR (excluded.at = progress.at AND excluded.value > progress.value)
`;

export function progressService(
  progress: ProgressModel,
  planters: Documents<unknown>,
  now: () => Date = () => new Date(),
): ProgressService {
  const all = async (planterId: string): Promise<ProgressResource> => {
    const rows = await progress.findAll({ where: { planterId }, order: [['key', 'ASC']] });
    return { entries: rows.map(toEntry) };
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
        await progress.sequelize?.query(KEEP_LATER, {
          bind: { planter, key, value: JSON.stringify(value), at: when },
        });
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

const toEntry = ({ key, value, at }: ProgressRow): ProgressEntry => ({
  key,
  value: JSON.parse(value) as ProgressEntry['value'],
  at,
});
