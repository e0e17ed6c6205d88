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
import { addReadings } from './migrations/012-add-readings';
import { addSetAside } from './migrations/014-add-set-aside';
import { addFeeds } from './migrations/013-add-feeds';
import { addPlanterStates } from './migrations/015-add-planter-states';
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
  addReadings,
  addFeeds,
  addSetAside,
  addPlanterStates,
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
  mustBeOurs(await namesIn(sequelize));
  await umzug.up(to ? { to } : {});
}

/** The names of migrations that a file has seen are not those of any Huerta. */
export class DamagedMigrations extends Error {}

/** How a migration is named, with its number. */
const NAME = /^(\d{3})-[a-z-]+$/;

/**
 * Looks at the migrations that a file has seen. A newer Huerta has all of ours and later ones; anything else is damage.
 *
 * @throws DamagedMigrations; Error where a newer Huerta kept it
 */
function mustBeOurs(seen: readonly string[]): void {
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  const unknown = seen.filter((name) => !known.has(name));
  // Without any there is nothing yet; with a gap one of them was lost.
  const ours = MIGRATIONS.map(({ name }) => seen.includes(name));
  if (ours.lastIndexOf(true) >= 0 && ours.slice(0, ours.lastIndexOf(true)).includes(false))
    throw new DamagedMigrations('A migration is missing');
  if (unknown.length === 0) return;
  const newer = unknown.every((name) => Number(NAME.exec(name)?.[1] ?? 0) > MIGRATIONS.length);
  if (!newer || ours.includes(false)) throw new DamagedMigrations('A migration is unknown');
  throw new Error(
    'this garden was kept by a newer Huerta. Start that one, or point HUERTA_DATA at another folder.',
  );
}
