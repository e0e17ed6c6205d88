import type { Sequelize } from 'sequelize';
import { statementsOf } from './statements';

/** An entry as it lies in the table: `entry` is JSON text, `at` an ISO time in full. */
interface LoggedRow {
  id: string;
  planter: string;
  at: string;
  entry: string;
}

/** The table of log entries. Nothing in it is ever changed. */
export interface LogTable {
  /** Adds what is not there yet; an id that is known stays as it is. @returns how many came */
  add(rows: readonly LoggedRow[], receivedAt: string): Promise<number>;
  /** Those of a planter, or of all; latest first, from a time on. */
  of(planter: string | null, since: string, most: number): Promise<string[]>;
}

export function logTable(sequelize: Sequelize): LogTable {
  const ask = statementsOf(sequelize);
  return {
    async add(rows, receivedAt) {
      let came = 0;
      for (const row of rows) {
        const added = await ask(
          `INSERT INTO log_entries (id, planter, at, entry, received_at)
           VALUES ($id, $planter, $at, $entry, $receivedAt) ON CONFLICT (id) DO NOTHING RETURNING id`,
          { ...row, receivedAt },
        );
        came += added.length;
      }
      return came;
    },
    async of(planter, since, most) {
      const rows = await ask<{ entry: string }>(
        planter === null
          ? 'SELECT entry FROM log_entries WHERE at >= $since ORDER BY at DESC, id LIMIT $most'
          : `SELECT entry FROM log_entries WHERE planter = $planter AND at >= $since
             ORDER BY at DESC, id LIMIT $most`,
        planter === null ? { since, most } : { planter, since, most },
      );
      return rows.map(({ entry }) => entry);
    },
  };
}
