import { randomUUID } from 'node:crypto';
import { copyFile, mkdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Different, DocumentKind, RestorePreview, RestoreChange } from '@huerta/contract';
import { quoted, withConnection, type Connection } from '../../storage/connection';
import { parsedJson } from './format';
import { stagedDatabase, stagedPhoto, type Staged } from './read';

/** Compares what was unpacked with the garden, and brings it in, in one transaction. */

interface StagedRow {
  kind: DocumentKind;
  id: string;
  name: string;
  text: string;
  format: string | null;
  revision: number;
  createdAt: string;
  updatedAt: string;
}

interface Here {
  text: string;
  revision: number;
  updatedAt: string;
  deletedAt: string | null;
}

/** Documents that are compared at once. */
const AT_ONCE = 100;

/**
 * @param different what becomes of documents that the garden has otherwise; null only looks
 * @param garden file of the garden; @param folder of what was unpacked
 */
export async function bring(
  garden: string,
  folder: string,
  { madeAt, leftOut }: Staged,
  different: Different | null,
  now: Date,
): Promise<RestorePreview> {
  return withConnection(garden, async (connection) => {
    await connection.exec(`ATTACH ${quoted(stagedDatabase(folder))} AS file;`);
    if (different) await bringPictures(connection, folder, join(dirname(garden), 'photos'));
    await connection.exec(different ? 'BEGIN IMMEDIATE;' : 'BEGIN;');
    try {
      const seen: RestorePreview['documents'] = [];
      let came = 0;
      for await (const staged of stagedDocuments(connection)) {
        const here = await find(connection, staged);
        const standing = standingOf(staged, here);
        seen.push({
          kind: staged.kind,
          id: staged.id,
          name: staged.name,
          standing,
          updatedAt: staged.updatedAt,
          hereAt: here && here.deletedAt === null ? here.updatedAt : null,
        });
        if (different && (await put(connection, staged, here, standing, different, now))) came += 1;
      }
      const counts = await fresh(connection, different !== null);
      if (different) await bringRows(connection, now);
      await connection.exec('COMMIT;');
      return { madeAt, documents: seen, leftOut, came: different ? came : null, ...counts };
    } catch (error) {
      await connection.exec('ROLLBACK;');
      throw error;
    }
  });
}

async function* stagedDocuments(connection: Connection): AsyncGenerator<StagedRow> {
  for (let after = 0; ;) {
    const rows = await connection.all<StagedRow & { row: number }>(
      `SELECT rowid AS row, kind, id, name, text, format, revision, created_at AS createdAt,
         updated_at AS updatedAt FROM file.documents WHERE rowid > $after ORDER BY rowid LIMIT ${AT_ONCE}`,
      { after },
    );
    const last = rows.at(-1);
    if (!last) return;
    after = last.row;
    yield* rows;
  }
}

async function find(connection: Connection, { kind, id }: StagedRow): Promise<Here | null> {
  const [row] = await connection.all<Here>(
    `SELECT text, revision, updated_at AS updatedAt, deleted_at AS deletedAt FROM main.documents
     WHERE kind = $kind AND id = $id`,
    { kind, id },
  );
  return row ?? null;
}

function standingOf({ text, updatedAt }: StagedRow, here: Here | null): RestoreChange {
  if (!here || here.deletedAt !== null) return 'new';
  if (sameJson(here.text, text)) return 'same';
  return updatedAt > here.updatedAt ? 'newer' : 'older';
}

/** Puts one document in as it is wished. @returns whether it came */
async function put(
  connection: Connection,
  staged: StagedRow,
  here: Here | null,
  standing: RestoreChange,
  wish: Different,
  now: Date,
): Promise<boolean> {
  if (standing === 'same' || (standing !== 'new' && wish === 'keep')) return false;
  const { kind, id } = staged;
  if (standing !== 'new' && wish === 'both') {
    if (kind !== 'planter' && kind !== 'vessel') return false;
    const name = `${staged.name.slice(0, 60)} (from the file)`;
    const copy = { ...staged, id: randomUUID(), name, revision: 1 };
    await insert(connection, {
      ...copy,
      ...(kind === 'planter' ? { text: renamed(staged.text, name), format: null } : {}),
    });
    return true;
  }
  if (here) {
    // Over what is here it is one more save, so that what was here lies in the history.
    const { name, text, format } = staged;
    await connection.run(
      `UPDATE main.documents SET name = $name, text = $text, format = $format, save_id = NULL,
         revision = revision + 1, updated_at = $now, summary = NULL, deleted_at = NULL
       WHERE kind = $kind AND id = $id`,
      { kind, id, name, text, format, now: now.toISOString() },
    );
    return true;
  }
  await insert(connection, staged);
  await connection.run(
    `INSERT OR IGNORE INTO main.document_revisions (kind, id, revision, text, created_at)
     SELECT kind, id, revision, text, created_at FROM file.document_revisions
     WHERE kind = $kind AND id = $id`,
    { kind, id },
  );
  return true;
}

async function insert(connection: Connection, row: StagedRow): Promise<void> {
  const { kind, id, name, text, format, revision, createdAt, updatedAt } = row;
  await connection.run(
    `INSERT INTO main.documents (kind, id, name, text, format, revision, created_at, updated_at)
     VALUES ($kind, $id, $name, $text, $format, $revision, $createdAt, $updatedAt)`,
    { kind, id, name, text, format, revision, createdAt, updatedAt },
  );
}

/** Marks that hold over those that are here; of planters that are not here, none once all have come. */
const FRESH_MARKS = `
  FROM file.progress AS come LEFT JOIN main.progress AS here
    ON here.planter_id = come.planter_id AND here.key = come.key
  WHERE here.key IS NULL OR come.at > here.at OR (come.at = here.at AND come.value > here.value)`;
const KNOWN = `come.planter_id IN (
  SELECT id FROM main.documents WHERE kind = 'planter' AND deleted_at IS NULL)`;

/** What the garden does not have yet of all that is no document. */
async function fresh(connection: Connection, brought: boolean) {
  const count = async (from: string): Promise<number> =>
    (await connection.all<{ n: number }>(`SELECT count(*) AS n ${from}`))[0]?.n ?? 0;
  const missing = (table: string, key = 'id') =>
    count(`FROM file.${table} WHERE ${key} NOT IN (SELECT ${key} FROM main.${table})`);
  return {
    marks: await count(
      `FROM (SELECT come.* ${FRESH_MARKS}) AS come ${brought ? `WHERE ${KNOWN}` : ''}`,
    ),
    log: await missing('log_entries'),
    readings: await missing('readings'),
    weatherDays: await missing('weather_days', 'date'),
    photos: await missing('photos'),
  };
}

/** Brings in the rows that are no documents. What is known stays as it is. */
async function bringRows(connection: Connection, now: Date): Promise<void> {
  await connection.exec(`
    INSERT OR REPLACE INTO main.progress (planter_id, key, value, at)
      SELECT come.planter_id, come.key, come.value, come.at
      FROM (SELECT come.* ${FRESH_MARKS}) AS come WHERE ${KNOWN};`);
  const at = now.toISOString();
  for (const sql of [
    `INSERT OR IGNORE INTO main.log_entries (id, planter, at, entry, received_at)
       SELECT id, planter, at, entry, $at FROM file.log_entries`,
    `INSERT OR IGNORE INTO main.readings (id, planter, at, sensor, kind, depth, feels, received_at)
       SELECT id, planter, at, sensor, kind, depth, feels, $at FROM file.readings`,
    `INSERT OR IGNORE INTO main.weather_days (date, day, received_at)
       SELECT date, day, $at FROM file.weather_days`,
    `INSERT OR IGNORE INTO main.photos (id, hash, width, height, received_at)
       SELECT id, hash, width, height, $at FROM file.photos`,
  ])
    await connection.run(sql, { at });
}

/** Pictures lie under their hash: one that is there already is the same, and one too many does no harm. */
async function bringPictures(
  connection: Connection,
  folder: string,
  photos: string,
): Promise<void> {
  const rows = await connection.all<{ hash: string }>('SELECT DISTINCT hash FROM file.photos');
  if (rows.length > 0) await mkdir(photos, { recursive: true });
  for (const { hash } of rows)
    for (const size of ['whole', 'small'] as const) {
      const from = stagedPhoto(folder, hash, size);
      await copyFile(from, join(photos, from.slice(folder.length + 1)));
    }
}

const renamed = (text: string, name: string): string =>
  JSON.stringify({ ...(JSON.parse(text) as object), name });

/** Whether two JSON texts say the same, whatever the order of their names. */
function sameJson(one: string, other: string): boolean {
  if (one === other) return true;
  const [a, b] = [parsedJson(one), parsedJson(other)];
  return a !== null && JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}
const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : value && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, of]) => [key, sorted(of)]),
        )
      : value;
