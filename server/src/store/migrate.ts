import { type QueryInterface, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug, type RunnableMigration } from 'umzug';
import { createPlanters } from './migrations/001-create-planters';
import { createVessels } from './migrations/002-create-vessels';
import { createBuild } from './migrations/003-create-build';
import { createWeather } from './migrations/004-create-weather';
import { createSeasons } from './migrations/005-create-seasons';
import { addSaves } from './migrations/006-add-saves';

/** Every change of the tables, oldest first. A migration that has been released is never edited. */
const MIGRATIONS: RunnableMigration<QueryInterface>[] = [
  createPlanters,
  createVessels,
  createBuild,
  createWeather,
  createSeasons,
  addSaves,
];

/** Runs the migrations that this file has not seen yet. */
export async function migrateDatabase(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS,
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  await umzug.up();
}
