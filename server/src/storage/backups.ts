import { copyFile, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Sequelize } from 'sequelize';
import { quoted, withConnection, type Connection } from './connection';
import { withWritesHeld } from './statements';

/**
 * Copies of the whole garden beside it: one a day on which it changed, one before each putting back, and one where a
 * day's copy would have taken the place of a better one. Pictures lie under their hash and are never changed or
 * removed, so a copy of the database is a copy of them too.
 */

/** A day, and for what is not the day's own copy the time: `2026-07-15`, `2026-07-15T081500`. */
const NAME = /^huerta-(\d{4}-\d{2}-\d{2}(?:T\d{6})?)\.sqlite$/;
const DAY_MS = 86_400_000;
const DAYS = 7;
const WEEKS = 4;
const MONTHS = 6;
/** How long copies beside the days' own are kept. */
const BESIDE_DAYS = 28;

export const backupFolder = (file: string): string => join(dirname(file), 'backups');

/** The copies of a garden by their names, oldest first. */
export async function backupsOf(file: string): Promise<string[]> {
  const names = await readdir(backupFolder(file)).catch(() => []);
  return names.flatMap((name) => NAME.exec(name)?.[1] ?? []).sort();
}

export const backupFile = (file: string, name: string): string =>
  join(backupFolder(file), `huerta-${name}.sqlite`);

const isOfDay = (name: string): boolean => !name.includes('T');
const dayOf = (name: string): string => name.slice(0, 10);
/** The name of a copy that is not the day's own. */
const nameBeside = (now: Date): string =>
  `${now.toISOString().slice(0, 10)}T${now.toISOString().slice(11, 19).replaceAll(':', '')}`;

/**
 * The copies that are not kept: of each of the last seven days, four weeks and six months the newest is, and what is
 * beside them for four weeks.
 *
 * @param names of the copies, in any order; @param today the ISO day from which it is counted
 */
export function expired(names: readonly string[], today: string): string[] {
  const ago = (name: string) => Math.round((Date.parse(today) - Date.parse(dayOf(name))) / DAY_MS);
  const kept = new Set<string>(names.filter((name) => !isOfDay(name) && ago(name) < BESIDE_DAYS));
  const seen = new Set<string>();
  for (const day of names.filter(isOfDay).sort().reverse()) {
    const age = ago(day);
    const month = day.slice(0, 7);
    const months =
      (Number(today.slice(0, 4)) - Number(day.slice(0, 4))) * 12 +
      Number(today.slice(5, 7)) -
      Number(day.slice(5, 7));
    const places = [
      ...(age < DAYS ? [`day ${day}`] : []),
      ...(age < DAYS * WEEKS ? [`week ${Math.floor(age / DAYS)}`] : []),
      ...(months < MONTHS ? [`month ${month}`] : []),
    ];
    for (const place of places) {
      if (!seen.has(place)) kept.add(day);
      seen.add(place);
    }
  }
  return [...names].filter((name) => !kept.has(name)).sort();
}

/**
 * Copies the garden by SQLite itself, if it changed since the last copy, and drops what is too old. The copy
 * appears under its name only when it is whole; one of the same day that holds more is kept beside it.
 *
 * @param now when it is made
 * @returns whether a copy was made
 */
export async function backUp(file: string, now: Date): Promise<boolean> {
  const names = await backupsOf(file);
  const last = names.at(-1);
  if (last && (await changedAt(file)) <= (await stat(backupFile(file, last))).mtimeMs) return false;
  const day = now.toISOString().slice(0, 10);
  const half = await copied(file);
  const today = backupFile(file, day);
  if (names.includes(day) && (await holdsMore(today, half)))
    await rename(today, backupFile(file, nameBeside(now)));
  await rename(half, today);
  for (const old of expired(await backupsOf(file), day))
    await rm(backupFile(file, old), { force: true });
  return true;
}

/** Copies the garden as it is now under a name of its own. */
async function backUpBeside(file: string, now: Date): Promise<string> {
  const half = await copied(file);
  const taken = new Set(await backupsOf(file));
  let name = nameBeside(now);
  for (let later = 1; taken.has(name); later += 1)
    name = nameBeside(new Date(now.getTime() + later * 1000));
  await rename(half, backupFile(file, name));
  return name;
}

/** A whole copy that has no name yet. */
async function copied(file: string): Promise<string> {
  const folder = backupFolder(file);
  await mkdir(folder, { recursive: true });
  const half = join(folder, 'half-written.sqlite');
  await rm(half, { force: true });
  // On a connection of its own: others are answered meanwhile.
  await withConnection(file, (connection) => connection.exec(`VACUUM INTO ${quoted(half)};`));
  return half;
}

/** Tables that hold the garden, in the order in which they are put back. */
const GARDEN_TABLES = [
  'document_revisions',
  'progress',
  'log_entries',
  'readings',
  'weather_days',
  'photos',
  'set_aside',
] as const;
const ALL_TABLES = ['documents', ...GARDEN_TABLES] as const;

/** Whether one copy holds rows in a table where another has none, or far fewer: it lost them. */
async function holdsMore(one: string, other: string): Promise<boolean> {
  const [before, after] = [await countsOf(one), await countsOf(other)];
  return ALL_TABLES.some(
    (table) => (before[table] ?? 0) > 0 && (after[table] ?? 0) < (before[table] ?? 0) / 2,
  );
}

async function countsOf(file: string): Promise<Partial<Record<string, number>>> {
  return withConnection(
    file,
    async (copy) => {
      const counts: Partial<Record<string, number>> = {};
      for (const table of ALL_TABLES) {
        const [row] = await copy
          .all<{ n: number }>(`SELECT count(*) AS n FROM ${table}`)
          // A copy of an earlier Huerta has no such table.
          .catch(() => [{ n: 0 }]);
        counts[table] = row?.n ?? 0;
      }
      return counts;
    },
    true,
  );
}

/** When a garden was last written, its log included. Milliseconds. */
async function changedAt(file: string): Promise<number> {
  const times = await Promise.all(
    [file, `${file}-wal`].map((one) =>
      stat(one).then(
        ({ mtimeMs, size }) => (size > 0 ? mtimeMs : 0),
        () => 0,
      ),
    ),
  );
  return Math.max(...times);
}

/**
 * Puts the whole garden back as it was in a copy, in one transaction, after copying it as it is under a name of its
 * own: nothing that was acknowledged before it is in neither. Devices that were let in, addresses with a secret and
 * settings stay as they are. A copy of an earlier Huerta is brought up to date first, beside the garden.
 *
 * @param file of the garden that is open; @param name of the copy; @param now when it is put back
 * @param migrate brings a database up to date
 * @returns the name of the copy of what was there
 * @throws Error when the copy cannot be read: then nothing has changed
 */
export async function putBack(
  sequelize: Sequelize,
  file: string,
  name: string,
  now: Date,
  migrate: (copy: string) => Promise<void>,
): Promise<string> {
  const copy = join(backupFolder(file), 'putting-back.sqlite');
  await copyFile(backupFile(file, name), copy);
  try {
    await migrate(copy);
    return await withWritesHeld(sequelize, () =>
      withConnection(file, async (connection) => {
        await connection.exec(`ATTACH ${quoted(copy)} AS old; BEGIN IMMEDIATE;`);
        try {
          // From here on nobody else writes, so what is copied now is what is replaced.
          const before = await backUpBeside(file, now);
          await connection.exec(await replacing(connection));
          await connection.exec('COMMIT;');
          return before;
        } catch (error) {
          await connection.exec('ROLLBACK;');
          throw error;
        }
      }),
    );
  } finally {
    for (const end of ['', '-wal', '-shm']) await rm(`${copy}${end}`, { force: true });
  }
}

/**
 * Statements that replace the garden by the copy. A document's revision never comes again with another text: what a
 * device makes from the one that it knows is a clash then, and is shown.
 */
async function replacing(connection: Connection): Promise<string> {
  const statements = [
    `CREATE TEMP TABLE before AS SELECT kind, id, revision FROM main.documents`,
    `DELETE FROM main.documents`,
  ];
  for (const table of ALL_TABLES) {
    const columns = (
      await connection.all<{ name: string; hidden: number }>(`PRAGMA main.table_xinfo(${table})`)
    )
      .filter(({ hidden }) => hidden === 0)
      .map(({ name }) => name)
      .join(', ');
    if (table !== 'documents') statements.push(`DELETE FROM main.${table}`);
    statements.push(`INSERT INTO main.${table} (${columns}) SELECT ${columns} FROM old.${table}`);
  }
  return `${[
    ...statements,
    `UPDATE main.documents SET save_id = NULL, revision = 1 + max(revision, (
       SELECT revision FROM temp.before WHERE before.kind = documents.kind AND before.id = documents.id))
     WHERE EXISTS (SELECT 1 FROM temp.before WHERE before.kind = documents.kind
       AND before.id = documents.id AND before.revision <> documents.revision)`,
    'DROP TABLE temp.before',
  ].join(';\n')};`;
}

/**
 * Puts a copy in the place of a garden that cannot be read. The damaged file and its log are kept beside it.
 *
 * @param file of the garden, which nothing holds open; @param name of the copy
 * @param stamp in the names of what is kept; @param migrate opens a database and brings it up to date
 * @throws Error when the copy cannot be read either: then nothing has changed
 */
export async function putInPlace(
  file: string,
  name: string,
  stamp: string,
  migrate: (copy: string) => Promise<void>,
): Promise<void> {
  const copy = join(dirname(file), 'putting-in-place.sqlite');
  await rm(copy, { force: true });
  await copyFile(backupFile(file, name), copy);
  try {
    await migrate(copy);
    for (const end of ['', '-wal', '-shm']) {
      const there = await stat(`${file}${end}`).catch(() => null);
      if (there) await rename(`${file}${end}`, `${file}.damaged-${stamp}${end}`);
    }
    await rename(copy, file);
  } finally {
    for (const end of ['', '-wal', '-shm']) await rm(`${copy}${end}`, { force: true });
  }
}
