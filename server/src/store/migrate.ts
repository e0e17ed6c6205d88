import { type QueryInterface, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug, type RunnableMigration } from 'umzug';
import { createPlanters } from './migrations/001-create-planters';
import { createVessels } from './migrations/002-create-vessels';
import { createBuild } from './migrations/003-create-build';
import { createWeather } from './migrations/004-create-weather';
import { createSeasons } from './migrations/005-create-seasons';
import { addSaves } from './migrations/006-add-saves';
import { addDevices } from './migrations/008-add-devices';
import { addLog } from './migrations/009-add-log';
import { addWeatherDays } from './migrations/010-add-weather-days';
import { addPhotos } from './migrations/011-add-photos';
import { oneTableOfDocuments } from './migrations/007-one-table-of-documents';

/** Every change of the tables, oldest first. A migration that has been released is never edited. */
const MIGRATIONS: RunnableMigration<QueryInterface>[] = [
  createPlanters,
  createVessels,
  createBuild,
  createWeather,
  createSeasons,
  addSaves,
  oneTableOfDocuments,
  addDevices,
  addLog,
  addWeatherDays,
  addPhotos,
];

/** The migrations that a file has seen, also those that this Huerta does not know. */
async function namesIn(sequelize: Sequelize): Promise<string[]> {
  const [tables] = await sequelize.query(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name = 'migrations'",
  );
  if (tables.length === 0) return [];
  const [rows] = await sequelize.query('SELECT name FROM migrations');
  return (rows as { name: string }[]).map(({ name }) => name);
}

/**
 * Runs the migrations that this file has not seen yet.
 *
 * @param to name of the last one to run; all without
 */
export async function migrateDatabase(sequelize: Sequelize, to?: string): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS,
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  if ((await namesIn(sequelize)).some((name) => !known.has(name))) {
    throw new Error(
      'this garden was kept by a newer Huerta. Start that one, or point HUERTA_DATA at another folder.',
    );
  }
  await umzug.up(to ? { to } : {});
}
