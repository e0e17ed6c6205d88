import type { Sequelize } from 'sequelize';
import { DOCUMENT_KINDS } from '@huerta/contract';
import { statementsOf, type Statement } from './statements';

/**
 * Damage stays where it is: a row that cannot be is moved out of its table with its bytes as they are, so that all
 * other statements may trust what they read. What a row may be is said here, once for each table.
 */

/** Programs may write ids with large letters. */
const HEX = '[0-9a-fA-F]';
const hex = (count: number): string => HEX.repeat(count);
const UUID = `'${[8, 4, 4, 4, 12].map(hex).join('-')}'`;
const isUuid = (column: string): string => `${column} GLOB ${UUID}`;
const isText = (column: string): string => `typeof(${column}) = 'text'`;
const isTime = (column: string): string =>
  `(${column} GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]T[0-9][0-9]:[0-9][0-9]:[0-9][0-9]*Z'
    AND julianday(${column}) IS NOT NULL)`;
const isCount = (column: string): string => `(typeof(${column}) = 'integer' AND ${column} >= 1)`;
const isJson = (column: string): string => `(${isText(column)} AND json_valid(${column}))`;
const orNull = (column: string, is: string): string => `(${column} IS NULL OR ${is})`;

const oneOf = (names: readonly string[]): string => names.map((name) => `'${name}'`).join(', ');
/** Kinds that a garden has one of, under a name instead of an id. */
const SINGLE = ['prices', 'weather', 'crops', 'round'];
const MANY = DOCUMENT_KINDS.filter((kind) => !SINGLE.includes(kind));
const isDocument = `((kind IN (${oneOf(SINGLE)}) AND id = 'garden') OR (kind IN (${oneOf(MANY)}) AND ${isUuid('id')}))`;

interface TableRule {
  /** How one row is named among all of its table. */
  key: string;
  /** Its name for a person, as SQL. */
  name: string;
  columns: readonly string[];
  /** What holds of each row that is whole; the first that does not is why it is set aside. */
  must: Readonly<Record<string, string>>;
}

const ROWID = 'rowid';
/** A key that is text may hold bytes that are none: it is compared by its bytes. */
const keyOf = (column: string): string => (column === ROWID ? ROWID : `CAST(${column} AS BLOB)`);

/** Tables whose rows are looked at, with what holds of each. */
const TABLES = {
  documents: {
    key: ROWID,
    name: 'name',
    columns: [
      ...['kind', 'id', 'name', 'text', 'format', 'revision', 'save_id', 'created_at'],
      ...['updated_at', 'deleted_at'],
    ],
    must: {
      id: isDocument,
      name: isText('name'),
      revision: isCount('revision'),
      created_at: isTime('created_at'),
      updated_at: isTime('updated_at'),
      deleted_at: orNull('deleted_at', isTime('deleted_at')),
      text: isText('text'),
    },
  },
  document_revisions: {
    key: ROWID,
    name: `'Earlier version of ' || kind`,
    columns: ['kind', 'id', 'revision', 'text', 'created_at'],
    must: {
      id: isDocument,
      revision: isCount('revision'),
      created_at: isTime('created_at'),
      text: isJson('text'),
    },
  },
  progress: {
    key: ROWID,
    name: 'key',
    columns: ['planter_id', 'key', 'value', 'at'],
    must: {
      planter_id: isUuid('planter_id'),
      key: isText('key'),
      at: isTime('at'),
      value: isJson('value'),
    },
  },
  log_entries: {
    key: 'id',
    name: `'Log entry of ' || substr(at, 1, 10)`,
    columns: ['id', 'planter', 'at', 'entry', 'received_at'],
    must: {
      entry: isJson('entry'),
      id: `(${isUuid('id')} AND id = json_extract(entry, '$.id'))`,
      planter: `planter = json_extract(entry, '$.planter')`,
      at: `(${isTime('at')} AND abs(julianday(at) - julianday(json_extract(entry, '$.at'))) < 1e-6)`,
    },
  },
  readings: {
    key: 'id',
    name: `'Reading of ' || sensor`,
    columns: ['id', 'planter', 'at', 'sensor', 'kind', 'depth', 'feels', 'received_at'],
    must: {
      id: isUuid('id'),
      planter: isUuid('planter'),
      at: isTime('at'),
      sensor: isText('sensor'),
      kind: `kind IN ('level', 'finger')`,
      depth: `(typeof(depth) IN ('real', 'integer') AND depth BETWEEN 0 AND 3)`,
      feels: orNull('feels', `feels IN ('dry', 'moist', 'wet')`),
    },
  },
  weather_days: {
    key: 'date',
    name: `'Weather of ' || date`,
    columns: ['date', 'day', 'received_at'],
    must: {
      day: isJson('day'),
      date: `(date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]' AND date = json_extract(day, '$.date'))`,
    },
  },
  photos: {
    key: 'id',
    name: `'Photo of ' || substr(received_at, 1, 10)`,
    columns: ['id', 'hash', 'width', 'height', 'received_at'],
    must: {
      id: isUuid('id'),
      hash: `hash GLOB '${hex(64)}'`,
      width: isCount('width'),
      height: isCount('height'),
    },
  },
  devices: {
    key: 'id',
    name: 'name',
    columns: ['id', 'name', 'hash', 'created_at', 'last_at'],
    must: {
      id: isUuid('id'),
      name: isText('name'),
      hash: `(${isText('hash')} AND length(hash) = 43)`,
      created_at: isTime('created_at'),
      last_at: isTime('last_at'),
    },
  },
  feeds: {
    key: 'id',
    name: 'name',
    columns: ['id', 'name', 'kind', 'planter', 'hash', 'created_at', 'last_at'],
    must: {
      id: isUuid('id'),
      name: isText('name'),
      kind: `kind IN ('calendar', 'weather', 'readings')`,
      planter: orNull('planter', isUuid('planter')),
      hash: `(${isText('hash')} AND length(hash) = 43)`,
      created_at: isTime('created_at'),
      last_at: orNull('last_at', isTime('last_at')),
    },
  },
  settings: {
    key: ROWID,
    name: 'key',
    columns: ['key', 'value'],
    must: { key: isText('key'), value: isJson('value') },
  },
} satisfies Readonly<Record<string, TableRule>>;
export type CheckedTable = keyof typeof TABLES;
export const CHECKED_TABLES = Object.keys(TABLES) as CheckedTable[];

/** A row that was set aside. `row` is JSON: each column's value, or its bytes in hex where they are no text. */
interface SetAsideRow {
  n: number;
  origin: string;
  name: string;
  why: string;
  row: string;
}

export interface SetAsideTable {
  /** Looks at every row of some tables and sets aside those that cannot be. @returns how many */
  check(tables?: readonly CheckedTable[]): Promise<number>;
  /** Sets one row aside that was met and cannot be read. @param key its value of the table's key column */
  move(table: CheckedTable, key: string | number, why: string): Promise<void>;
  all(): Promise<Omit<SetAsideRow, 'row'>[]>;
  one(n: number): Promise<SetAsideRow | null>;
}

const WHY = 'Its row is damaged';

export function setAsideTable(sequelize: Sequelize): SetAsideTable {
  const ask = statementsOf(sequelize);
  return {
    async check(tables = CHECKED_TABLES) {
      let moved = 0;
      for (const table of tables) {
        const { key, must } = TABLES[table];
        const cases = Object.entries(must)
          .map(([column, holds]) => `WHEN (${holds}) IS NOT TRUE THEN '${column}'`)
          .join(' ');
        const bad = await ask<{ key: number | Buffer; at: string }>(
          `SELECT * FROM (SELECT ${keyOf(key)} AS key, CASE ${cases} END AS at FROM ${table})
           WHERE at IS NOT NULL`,
          {},
        );
        for (const { key: found, at } of bad)
          await moveRow(ask, table, found, `${WHY} at ‘${at.replaceAll('_', ' ')}’.`);
        moved += bad.length;
      }
      return moved;
    },
    move: (table, key, why) =>
      moveRow(ask, table, typeof key === 'string' ? Buffer.from(key) : key, why),
    all: () =>
      ask<Omit<SetAsideRow, 'row'>>('SELECT n, origin, name, why FROM set_aside ORDER BY n', {}),
    async one(n) {
      const [row] = await ask<SetAsideRow>(
        'SELECT n, origin, name, why, row FROM set_aside WHERE n = $n',
        { n },
      );
      return row ?? null;
    },
  };
}

/** Copies a row with its bytes, then takes it out of its table; a cut between the two leaves it in both. */
async function moveRow(
  ask: Statement,
  table: CheckedTable,
  key: number | Buffer,
  why: string,
): Promise<void> {
  const { key: column, columns, name } = TABLES[table];
  const bytes = columns
    .map((one) => `typeof(${one}) AS "type ${one}", CAST(${one} AS BLOB) AS "${one}"`)
    .join(', ');
  const [row] = await ask<Record<string, string | Buffer | null>>(
    `SELECT ${bytes}, ${name} AS "a person's name" FROM ${table} WHERE ${keyOf(column)} IS $key`,
    { key },
  );
  if (!row) return;
  const values = Object.fromEntries(
    columns.map((one) => [one, readable(row[one] ?? null, String(row[`type ${one}`]))]),
  );
  await ask(
    `INSERT INTO set_aside (origin, name, why, row, at) VALUES ($table, $name, $why, $row, $now)`,
    {
      table,
      name: String(row["a person's name"] ?? '').slice(0, 200),
      why,
      row: JSON.stringify(values),
      now: new Date().toISOString(),
    },
  );
  await ask(`DELETE FROM ${table} WHERE ${keyOf(column)} IS $key`, { key });
}

/** A column's value as JSON can say it without losing a byte. */
function readable(value: string | Buffer | null, type: string): unknown {
  if (value === null || type === 'null') return null;
  const bytes = Buffer.isBuffer(value) ? value : Buffer.from(value);
  const text = bytes.toString('utf8');
  if (!Buffer.from(text, 'utf8').equals(bytes)) return { hex: bytes.toString('hex') };
  return type === 'integer' || type === 'real' ? Number(text) : text;
}
