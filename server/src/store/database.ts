import { mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { backupFile, backupsOf } from './backups';
import { deviceTable, type DeviceTable } from './devices';
import { documentTable, type DocumentTable } from './documents';
import { logTable, type LogTable } from './log';
import { weatherDayTable, type WeatherDayTable } from './weatherDays';
import { migrateDatabase } from './migrate';
import { letGo } from './statements';
import { photoTable, type PhotoTable } from './photos';
import { defineProgress, type ProgressModel } from './progress';

export interface Database {
  sequelize: Sequelize;
  documents: DocumentTable;
  devices: DeviceTable;
  progress: ProgressModel;
  log: LogTable;
  weatherDays: WeatherDayTable;
  photos: PhotoTable;
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
  const code = (error as { parent?: { code?: string } }).parent?.code;
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
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: file,
    logging: false,
  });
  // Sequelize keeps one connection to a SQLite file, so these hold for all that follows.
  try {
    for (const pragma of ['journal_mode = WAL', 'synchronous = FULL', 'foreign_keys = ON']) {
      await sequelize.query(`PRAGMA ${pragma}`);
    }
    await mustBeWhole(sequelize, file);
    await migrateDatabase(sequelize);
  } catch (error) {
    await sequelize.close();
    throw await inWords(error, file);
  }
  return {
    sequelize,
    documents: documentTable(sequelize),
    devices: deviceTable(sequelize),
    progress: defineProgress(sequelize),
    log: logTable(sequelize),
    weatherDays: weatherDayTable(sequelize),
    photos: photoTable(sequelize),
    file,
    close: async () => {
      await letGo(sequelize);
      await sequelize.close();
    },
  };
}
