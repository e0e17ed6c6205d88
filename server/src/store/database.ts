import { mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { definePlanters, type PlanterModel } from './planters';
import { migrateDatabase } from './migrate';
import { definePriceBooks, defineProgress, type PriceBookModel, type ProgressModel } from './build';
import { defineRevisions, type RevisionModel } from './revisions';
import { defineSeasons, defineWeather, type TextModel } from './texts';
import { defineVessels, type VesselModel } from './vessels';

export interface Database {
  sequelize: Sequelize;
  planters: PlanterModel;
  revisions: RevisionModel;
  vessels: VesselModel;
  progress: ProgressModel;
  priceBooks: PriceBookModel;
  weather: TextModel;
  seasons: TextModel;
  close(): Promise<void>;
}

/**
 * Opens the SQLite file, making its folder if need be, and brings its tables up to date.
 *
 * Write-ahead log with full synchronous writes: a save is answered only when it is on the disk, so
 * that nothing acknowledged is lost to a power cut.
 *
 * @param file path of the database
 */
export async function openDatabase(file: string): Promise<Database> {
  await mkdir(dirname(file), { recursive: true });
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: file,
    logging: false,
  });
  // Sequelize keeps one connection to a SQLite file, so these hold for all that follows.
  for (const pragma of ['journal_mode = WAL', 'synchronous = FULL', 'foreign_keys = ON']) {
    await sequelize.query(`PRAGMA ${pragma}`);
  }
  await migrateDatabase(sequelize);
  return {
    sequelize,
    planters: definePlanters(sequelize),
    revisions: defineRevisions(sequelize),
    vessels: defineVessels(sequelize),
    progress: defineProgress(sequelize),
    priceBooks: definePriceBooks(sequelize),
    weather: defineWeather(sequelize),
    seasons: defineSeasons(sequelize),
    close: () => sequelize.close(),
  };
}
