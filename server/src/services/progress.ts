import type { ProgressResource } from '@huerta/contract';
import { merged, type ProgressEntry } from '@huerta/core';
import type { ProgressModel, ProgressRow } from '../store/build';
import type { PlanterService } from './planters';

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
  planters: PlanterService,
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
      await planters.get(planter);
      for (const { key, value, at } of merged(entries)) {
        // A clock that is fast must not hold its entry for ever.
        const when = new Date(Math.min(Date.parse(at), now().getTime())).toISOString();
        await progress.sequelize?.query(KEEP_LATER, {
          bind: { planter, key, value: JSON.stringify(value), at: when },
        });
      }
      return all(planter);
    },
  };
}

const toEntry = ({ key, value, at }: ProgressRow): ProgressEntry => ({
  key,
  value: JSON.parse(value) as ProgressEntry['value'],
  at,
});
