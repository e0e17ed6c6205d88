import { copyFile, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';

/** Copies of the whole garden beside it, one a day on which it changed. */

const NAME = /^huerta-(\d{4}-\d{2}-\d{2})\.sqlite$/;
const DAY_MS = 86_400_000;
const DAYS = 7;
const WEEKS = 4;
const MONTHS = 6;

export const backupFolder = (file: string): string => join(dirname(file), 'backups');

/** The copies of a garden, oldest first, as days. */
export async function backupsOf(file: string): Promise<string[]> {
  const names = await readdir(backupFolder(file)).catch(() => []);
  return names.flatMap((name) => NAME.exec(name)?.[1] ?? []).sort();
}

export const backupFile = (file: string, day: string): string =>
  join(backupFolder(file), `huerta-${day}.sqlite`);

/**
 * The copies that are not kept: of each of the last seven days, four weeks and six months the newest is.
 *
 * @param days ISO days of the copies, in any order; @param today the day from which it is counted
 */
export function expired(days: readonly string[], today: string): string[] {
  const ago = (day: string) => Math.round((Date.parse(today) - Date.parse(day)) / DAY_MS);
  const kept = new Set<string>();
  const seen = new Set<string>();
  for (const day of [...days].sort().reverse()) {
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
  return [...days].filter((day) => !kept.has(day)).sort();
}

/**
 * Copies the garden by SQLite itself, if it changed since the last copy, and drops what is too old. The copy
 * appears under its name only when it is whole.
 *
 * @param day ISO date of today
 * @returns whether a copy was made
 */
export async function backUp(sequelize: Sequelize, file: string, day: string): Promise<boolean> {
  const folder = backupFolder(file);
  const days = await backupsOf(file);
  const last = days[days.length - 1];
  if (last && (await changedAt(file)) <= (await stat(backupFile(file, last))).mtimeMs) return false;
  await mkdir(folder, { recursive: true });
  const half = join(folder, 'half-written.sqlite');
  await rm(half, { force: true });
  await sequelize.query('VACUUM INTO :half', { replacements: { half } });
  await rename(half, backupFile(file, day));
  for (const old of expired([...new Set([...days, day])], day)) {
    await rm(backupFile(file, old), { force: true });
  }
  return true;
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

/** What is put back from a copy. Devices that were let in and settings stay as they are. */
const PUT_BACK = ['documents', 'document_revisions', 'progress'] as const;

/**
 * Puts the garden back as it was on a day, in one transaction, after copying it as it is. A copy of an earlier
 * Huerta is brought up to date first, beside the garden.
 *
 * @param file of the garden that is open; @param day of the copy; @param today under which it is copied
 * @param migrate brings a database up to date
 * @throws Error when the copy cannot be read: then nothing has changed
 */
export async function putBack(
  sequelize: Sequelize,
  file: string,
  day: string,
  today: string,
  migrate: (copy: string) => Promise<void>,
): Promise<void> {
  const copy = join(backupFolder(file), 'putting-back.sqlite');
  await copyFile(backupFile(file, day), copy);
  try {
    await migrate(copy);
    if (day !== today) await backUp(sequelize, file, today);
    const tables = PUT_BACK.map(
      (table) => `DELETE FROM main.${table}; INSERT INTO main.${table} SELECT * FROM old.${table};`,
    );
    await runScript(
      file,
      `PRAGMA busy_timeout = 5000; ATTACH '${copy.replaceAll("'", "''")}' AS old;
       BEGIN IMMEDIATE; ${tables.join(' ')} COMMIT; DETACH old;`,
    );
  } finally {
    for (const end of ['', '-wal', '-shm']) await rm(`${copy}${end}`, { force: true });
  }
}

/**
 * Puts a copy in the place of a garden that cannot be read. The damaged file and its log are kept beside it.
 *
 * @param file of the garden, which nothing holds open; @param day of the copy
 * @param stamp in the names of what is kept; @param migrate opens a database and brings it up to date
 * @throws Error when the copy cannot be read either: then nothing has changed
 */
export async function putInPlace(
  file: string,
  day: string,
  stamp: string,
  migrate: (copy: string) => Promise<void>,
): Promise<void> {
  const copy = join(dirname(file), 'putting-in-place.sqlite');
  await rm(copy, { force: true });
  await copyFile(backupFile(file, day), copy);
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

/** Runs statements on a connection of their own, so that no other work falls into their transaction. */
async function runScript(file: string, sql: string): Promise<void> {
  const connection = await new Promise<sqlite3.Database>((done, fail) => {
    const opened = new sqlite3.Database(file, (error) => (error ? fail(error) : done(opened)));
  });
  try {
    await new Promise<void>((done, fail) => {
      connection.exec(sql, (error) => (error ? fail(error) : done()));
    });
  } finally {
    await new Promise<void>((done) => connection.close(() => done()));
  }
}
