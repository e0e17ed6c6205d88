import type { Sequelize } from 'sequelize';
import { statementsOf } from './statements';

/** One entry of a build's progress. `value` is JSON text, `at` an ISO time in full. */
interface ProgressRow {
  /** Its place in the table. */
  row: number;
  key: string;
  value: string;
  at: string;
}

/** The table of how far builds have come. */
export interface ProgressTable {
  of(planter: string): Promise<ProgressRow[]>;
  /**
   * Takes one in; of two for one key the later holds. One statement, so that two devices that send at once cannot undo
   * each other; the comparison is the one of core's `merged`.
   */
  keepLater(entry: { planter: string; key: string; value: string; at: string }): Promise<void>;
  /** How many steps are done, by planter. */
  doneSteps(): Promise<{ id: string; done: number }[]>;
}

export function progressTable(sequelize: Sequelize): ProgressTable {
  const ask = statementsOf(sequelize);
  return {
    of: (planter) =>
      ask<ProgressRow>(
        'SELECT rowid AS row, key, value, at FROM progress WHERE planter_id = $planter ORDER BY key',
        { planter },
      ),
    async keepLater(entry) {
      await ask(
        `INSERT INTO progress (planter_id, key, value, at) VALUES ($planter, $key, $value, $at)
         ON CONFLICT (planter_id, key) DO UPDATE SET value = excluded.value, at = excluded.at
         WHERE excluded.at > progress.at OR (excluded.at = progress.at AND excluded.value > progress.value)`,
        entry,
      );
    },
    doneSteps: () =>
      ask(
        `SELECT planter_id AS id, count(*) AS done FROM progress
         WHERE key LIKE 'done/%' AND value = 'true' GROUP BY planter_id`,
        {},
      ),
  };
}
