import type { Sequelize } from 'sequelize';
import { v5 as uuidOf } from 'uuid';
import { statementsOf } from './statements';

/** A reading of a float or a sensor. `at` is an ISO time in full, `depth` metres. */
export interface ReadingRow {
  id: string;
  planter: string;
  at: string;
  /** Who reads: the name of the sensor. */
  sensor: string;
  kind: 'level' | 'finger';
  depth: number;
  feels: string | null;
}

/** The name under which ids of readings are made. */
const READINGS = '5b0e7c3a-6d52-4c3a-9a8e-0d4b5d1f7a11';

/** The id of a reading: told twice it is the same. */
export const readingId = (planter: string, sensor: string, at: string, kind: string): string =>
  uuidOf(`${planter} ${sensor} ${at} ${kind}`, READINGS);

/** The table of readings. One that is known stays as it is; old ones are thinned. */
export interface ReadingTable {
  /** @returns how many came */
  add(rows: readonly ReadingRow[], receivedAt: string): Promise<number>;
  /** Those of a planter, or of all; latest first, within a time. */
  of(planter: string | null, since: string, before: string, most: number): Promise<ReadingRow[]>;
  /** Keeps of each sensor's older readings the last one of each hour, day or week, by age. */
  thin(planter: string | null, now: Date): Promise<void>;
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** All of two days, then one an hour for two weeks, one a day for a season and more, one a week. */
const STEPS: readonly (readonly [olderThan: number, each: number])[] = [
  [2 * DAY_MS, HOUR_MS],
  [14 * DAY_MS, DAY_MS],
  [420 * DAY_MS, 7 * DAY_MS],
];

const COLUMNS = 'id, planter, at, sensor, kind, depth, feels';

export function readingTable(sequelize: Sequelize): ReadingTable {
  const ask = statementsOf(sequelize);
  return {
    async add(rows, receivedAt) {
      const added = await ask(
        `INSERT INTO readings (id, planter, at, sensor, kind, depth, feels, received_at)
         SELECT value ->> 'id', value ->> 'planter', value ->> 'at', value ->> 'sensor', value ->> 'kind',
           value ->> 'depth', value ->> 'feels', $receivedAt
         FROM json_each($rows) WHERE true ON CONFLICT (id) DO NOTHING RETURNING id`,
        { rows: JSON.stringify(rows), receivedAt },
      );
      return added.length;
    },
    of: (planter, since, before, most) =>
      ask<ReadingRow>(
        planter === null
          ? `SELECT ${COLUMNS} FROM readings WHERE at >= $since AND at < $before
             ORDER BY at DESC, id DESC LIMIT $most`
          : `SELECT ${COLUMNS} FROM readings WHERE planter = $planter AND at >= $since AND at < $before
             ORDER BY at DESC, id DESC LIMIT $most`,
        { ...(planter === null ? {} : { planter }), since, before, most },
      ),
    async thin(planter, now) {
      for (const [olderThan, each] of STEPS) {
        const before = new Date(now.getTime() - olderThan).toISOString();
        await ask(
          `DELETE FROM readings WHERE at < $before AND ($planter IS NULL OR planter = $planter) AND id NOT IN (
             SELECT id FROM (
               SELECT id, row_number() OVER (
                 PARTITION BY planter, sensor, kind, CAST(unixepoch(at) * 1000 / $each AS INTEGER)
                 ORDER BY at DESC, id DESC) AS place
               FROM readings WHERE at < $before AND ($planter IS NULL OR planter = $planter))
             WHERE place = 1)`,
          { before, each, planter },
        );
      }
    },
  };
}
