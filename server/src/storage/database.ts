import { mkdir, readdir, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { backupFile, backupsOf } from './backups';
import { deviceTable, type DeviceTable } from './devices';
import { documentTable, type DocumentTable } from './documents';
import { logTable, type LogTable } from './log';
import { weatherDayTable, type WeatherDayTable } from './weatherDays';
import { DamagedMigrations, migrateDatabase } from './migrate';
import { letGo } from './statements';
import { photoTable, type PhotoTable } from './photos';
import { planterStateTable, type PlanterStateTable } from './planterStates';
import { progressTable, type ProgressTable } from './progress';
import { feedTable, type FeedTable } from './feeds';
import { readingTable, type ReadingTable } from './readings';
import { setAsideTable, type SetAsideTable } from './setAside';

export interface Database {
  sequelize: Sequelize;
  documents: DocumentTable;
  devices: DeviceTable;
  progress: ProgressTable;
  log: LogTable;
  readings: ReadingTable;
  feeds: FeedTable;
  setAside: SetAsideTable;
  weatherDays: WeatherDayTable;
  photos: PhotoTable;
  planterStates: PlanterStateTable;
  /** Where it lies: pictures lie in a folder beside it. */
  file: string;
  close(): Promise<void>;
}

async function makeFolder(file: string): Promise<void> {
  try {
    await mkdir(dirname(file), { recursive: true });
  } catch {
    throw new Error(
      `the folder ${dirname(file)} cannot be made. Point HUERTA_DATA at a folder that can be written.`,
    );
  }
}

/** @throws DamagedGarden when there is nothing left in the file of a garden that has copies or pictures */
async function mustNotBeEmptied(file: string): Promise<void> {
  const size = await stat(file).then(
    (found) => found.size,
    () => null,
  );
  if (size !== 0) return;
  const pictures = await readdir(join(dirname(file), 'photos')).catch(() => []);
  if (pictures.length > 0 || (await backupsOf(file)).length > 0) throw await damaged(file);
}

/** @throws DamagedGarden when SQLite finds its file damaged */
async function mustBeWhole(sequelize: Sequelize, file: string): Promise<void> {
  const [rows] = await sequelize.query('PRAGMA quick_check(1)');
  const [first] = rows as { quick_check?: string }[];
  if (first?.quick_check !== 'ok') throw await damaged(file);
}

/** A garden whose file SQLite finds damaged, with the days of its copies, oldest first. */
export class DamagedGarden extends Error {
  constructor(
    readonly file: string,
    readonly days: readonly string[],
  ) {
    const last = days.at(-1);
    const copy = last ? `the last one, ${backupFile(file, last)},` : 'a good copy';
    super(`the garden in ${file} is damaged. Put ${copy} in its place and start again.`);
  }
}

const damaged = async (file: string): Promise<DamagedGarden> =>
  new DamagedGarden(file, await backupsOf(file));

/** What SQLite says when it cannot open a file, as a sentence with the path. */
async function inWords(error: unknown, file: string): Promise<unknown> {
  if (error instanceof DamagedMigrations) return damaged(file);
  const code = (error as { parent?: { code?: string } }).parent?.code;
  // A statement that every garden can answer names a table or column that is gone.
  if (code === 'SQLITE_ERROR') return damaged(file);
  if (code === 'SQLITE_CORRUPT' || code === 'SQLITE_NOTADB') return damaged(file);
  if (code === 'SQLITE_CANTOPEN' || code === 'SQLITE_READONLY') {
    return new Error(`${file} cannot be written. Give Huerta the right to write there.`);
  }
  if (code === 'SQLITE_BUSY') {
    return new Error(
      `another program holds ${file}. Close it, or the other Huerta, and start again.`,
    );
  }
  return error;
}

/** Another writer, as one that puts a copy back, is waited for. */
const PRAGMAS = [
  'busy_timeout = 20000',
  'journal_mode = WAL',
  'synchronous = FULL',
  'foreign_keys = ON',
] as const;

/**
 * Opens the SQLite file, making its folder if need be, and brings its tables up to date.
 *
 * Write-ahead log with full synchronous writes: a save is answered only when it is on the disk, so
 * that nothing acknowledged is lost to a power cut.
 *
 * @param file path of the database
 * @throws DamagedGarden; Error with a sentence for what else can be wrong with a file
 */
export async function openDatabase(file: string): Promise<Database> {
  await makeFolder(file);
  await mustNotBeEmptied(file);
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: file,
    logging: false,
  });
  const setAside = setAsideTable(sequelize);
  // Sequelize keeps one connection to a SQLite file, so these hold for all that follows.
  try {
    for (const pragma of PRAGMAS) {
      await sequelize.query(`PRAGMA ${pragma}`);
    }
    await mustBeWhole(sequelize, file);
    await migrateDatabase(sequelize);
    await setAside.check();
  } catch (error) {
    await letGo(sequelize);
    await sequelize.close();
    throw await inWords(error, file);
  }
  return {
    sequelize,
    documents: documentTable(sequelize),
    devices: deviceTable(sequelize),
    progress: progressTable(sequelize),
    log: logTable(sequelize),
    readings: readingTable(sequelize),
    feeds: feedTable(sequelize),
    setAside,
    weatherDays: weatherDayTable(sequelize),
    photos: photoTable(sequelize),
    planterStates: planterStateTable(sequelize),
    file,
    close: () => closed(sequelize),
  };
}

/** How often, and after how many milliseconds, it is closed again where a statement began after the last was let go of. */
const CLOSES = 60;
const CLOSE_AFTER_MS = 50;

async function closed(sequelize: Sequelize): Promise<void> {
  for (let tried = 1; ; tried += 1) {
    await letGo(sequelize);
    try {
      await sequelize.close();
      return;
    } catch (error) {
      const busy = error instanceof Error && error.message.includes('SQLITE_BUSY');
      if (!busy || tried >= CLOSES) throw error;
      await new Promise((done) => setTimeout(done, CLOSE_AFTER_MS));
    }
  }
}
