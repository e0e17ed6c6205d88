import type { Sequelize } from 'sequelize';
import { statementsOf } from './statements';

/** An entry as it lies in the table: `entry` is JSON text, `at` an ISO time in full. */
interface LoggedRow {
  id: string;
  planter: string;
  at: string;
  entry: string;
}

/** Which entries of a planter, or of all, are asked for: within a time, latest first. */
interface LogRange {
  planter: string | null;
  /** ISO times; from the first on, and before the second. */
  since: string;
  before: string;
  most: number;
}

/** The table of log entries. Nothing in it is ever changed. */
export interface LogTable {
  /** Adds what is not there yet in one statement; an id that is known stays as it is. @returns how many came */
  add(rows: readonly LoggedRow[], receivedAt: string): Promise<number>;
  of(range: LogRange): Promise<Pick<LoggedRow, 'id' | 'entry'>[]>;
  /** Those from before a time that count however old they are: work, feed, duties, corrections. Latest first. */
  lasting(planter: string | null, before: string): Promise<Pick<LoggedRow, 'id' | 'entry'>[]>;
}

export function logTable(sequelize: Sequelize): LogTable {
  const ask = statementsOf(sequelize);
  const mine = (planter: string | null) => (planter === null ? '' : 'planter = $planter AND');
  const bound = (planter: string | null) => (planter === null ? {} : { planter });
  return {
    async add(rows, receivedAt) {
      const added = await ask(
        `INSERT INTO log_entries (id, planter, at, entry, received_at)
         SELECT value ->> 'id', value ->> 'planter', value ->> 'at', value ->> 'entry', $receivedAt
         FROM json_each($rows) WHERE true ON CONFLICT (id) DO NOTHING RETURNING id`,
        { rows: JSON.stringify(rows), receivedAt },
      );
      return added.length;
    },
    of: ({ planter, since, before, most }) =>
      ask(
        `SELECT id, entry FROM log_entries WHERE ${mine(planter)} at >= $since AND at < $before
         ORDER BY at DESC, id DESC LIMIT $most`,
        { ...bound(planter), since, before, most },
      ),
    lasting: (planter, before) =>
      ask(
        `SELECT id, entry FROM log_entries WHERE ${mine(planter)} lasting = 1 AND at < $before
         ORDER BY at DESC, id DESC`,
        { ...bound(planter), before },
      ),
  };
}
