import { QueryTypes, type QueryInterface, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { readingId } from '../readings';

interface Logged {
  id: string;
  entry: string;
  received_at: string;
}

interface Read {
  planter: string;
  at: string;
  by: string;
  did: { kind: string; depth: number; feels?: string };
}

/** Rows that are moved at once. */
const AT_ONCE = 2000;

/**
 * Readings of floats and sensors as a series of their own, thinned with age, instead of entries among those of people;
 * and what the log's entries are, to be asked for without reading each.
 */
export const addReadings: RunnableMigration<QueryInterface> = {
  name: '012-add-readings',
  async up({ context: { sequelize } }) {
    await sequelize.query(`
      CREATE TABLE readings (
        id TEXT PRIMARY KEY, planter TEXT NOT NULL, at TEXT NOT NULL, sensor TEXT NOT NULL, kind TEXT NOT NULL,
        depth REAL NOT NULL, feels TEXT, received_at TEXT NOT NULL) WITHOUT ROWID`);
    await sequelize.query('CREATE INDEX readings_by_planter ON readings (planter, at)');
    await move(sequelize);
    // What a planter's state hangs on however long ago it was: work, feed, duties, and what takes another's place.
    await sequelize.query(`
      ALTER TABLE log_entries ADD COLUMN lasting INTEGER GENERATED ALWAYS AS (
        CASE WHEN json_valid(entry) THEN
          json_extract(entry, '$.did.kind') IN ('fed', 'todo')
          OR (json_extract(entry, '$.did.kind') = 'did'
              AND json_extract(entry, '$.did.what') NOT IN ('note', 'trouble'))
          OR json_extract(entry, '$.instead') IS NOT NULL
        ELSE 0 END) VIRTUAL`);
    await sequelize.query(
      'CREATE INDEX log_lasting ON log_entries (planter, at) WHERE lasting = 1',
    );
  },
};

/** Moves the entries whose ids say that a sensor told them. */
async function move(sequelize: Sequelize): Promise<void> {
  let after = '';
  for (;;) {
    const rows = await sequelize.query<Logged>(
      `SELECT id, entry, received_at FROM log_entries
       WHERE id > $after AND substr(id, 15, 1) = '5' AND json_valid(entry) ORDER BY id LIMIT ${AT_ONCE}`,
      { bind: { after }, type: QueryTypes.SELECT },
    );
    const last = rows.at(-1);
    if (!last) return;
    after = last.id;
    const told = rows.filter(({ id, entry }) => {
      const { planter, at, by, did } = JSON.parse(entry) as Read;
      return did?.kind !== undefined && id === readingId(planter, by, at, did.kind);
    });
    const ids = JSON.stringify(told.map(({ id }) => id));
    await sequelize.query(
      `INSERT OR IGNORE INTO readings (id, planter, at, sensor, kind, depth, feels, received_at)
       SELECT id, planter, at, json_extract(entry, '$.by'), json_extract(entry, '$.did.kind'),
         json_extract(entry, '$.did.depth'), json_extract(entry, '$.did.feels'), received_at
       FROM log_entries WHERE id IN (SELECT value FROM json_each($ids))`,
      { bind: { ids } },
    );
    await sequelize.query(
      'DELETE FROM log_entries WHERE id IN (SELECT value FROM json_each($ids))',
      { bind: { ids } },
    );
  }
}
