import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { createWriteStream } from 'node:fs';
import { mkdir, readdir, readFile, rename, rm } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { fileURLToPath } from 'node:url';
import type { Garden } from '@huerta/contract';
import { pino } from 'pino';
import { loadDemoBuild } from './demo/build';
import { loadDemoGarden, loadDemoVessels } from './demo/garden';
import { loadDemoLog } from './demo/log';
import { loadDemoWeather } from './demo/season';
import { houseNames } from './access/addresses';
import { remoteAccess } from './access/remoteAccess';
import { feedsOf } from './access/feeds';
import { secretsOf } from './access/secrets';
import { createApp } from './api/app';
import { stayOpen } from './api/connections';
import { servicesOf, type Services } from './services';
import { tidyIncoming } from './services/gardenFile';
import { readSettings } from './settings';
import { copiesOf } from './services/copies';
import { openOrRecover } from './recovery/recovery';
import { openDatabase } from './storage/database';
import { lockFolder } from './storage/folderLock';

/** How often it is seen whether the garden changed and is to be copied. */
const HOUR_MS = 3_600_000;

/** Tells this program from every other: what was worked out by another one is worked out again. */
async function programMark(): Promise<string> {
  const folder = dirname(fileURLToPath(import.meta.url));
  const names = await readdir(folder, { recursive: true });
  const hash = createHash('sha256');
  for (const name of names.filter((one) => /\.[jt]s$/.test(one)).sort()) {
    hash.update(await readFile(join(folder, name)));
  }
  return hash.digest('base64url').slice(0, 16);
}

/** Writes the garden into a file, which has its name only once it is whole. @returns what is to be said of damage */
async function keepIn(path: string, { garden, gardenFile }: Services): Promise<string> {
  const half = `${path}.part`;
  try {
    await pipeline(gardenFile.take(), createWriteStream(half));
    await rename(half, path);
  } catch (error) {
    await rm(half, { force: true });
    throw error;
  }
  const { setAside } = JSON.parse(await garden.entries()) as Garden;
  const names = setAside.map(({ name }) => `‘${name}’`).join(', ');
  return names === '' ? '.' : `.\nDamaged, and kept in it as it is: ${names}.`;
}

/**
 * Starts Huerta on 127.0.0.1, or with `backup [file]` keeps the garden in a file and ends. Settings come from the environment (`settings.ts`): HUERTA_DATA (folder, .data),
 * HUERTA_PORT (4700), HUERTA_WEB (folder of the built pages) and HUERTA_DEMO=1 (fill an empty
 * garden with the demo planters; HUERTA_DEMO_UNITS=us builds them in inches). Devices of the house come in by a door that is opened in Settings, on
 * HUERTA_DOOR_PORT (43 above the port), each by a secret of its own; HUERTA_HOST is a name to offer them.
 */
// eslint-disable-next-line max-lines-per-function -- the start of the server in its order, and its end in the reverse.
async function main(): Promise<void> {
  const { port, demo, demoUnits, demoDay, log, rate, ...settings } = readSettings(process.env);
  const logger = pino({ level: log });
  const folder = resolve(settings.folder);
  const webRoot = resolve(settings.web);

  const file = join(folder, 'huerta.sqlite');
  const [order, target] = process.argv.slice(2);
  await mkdir(folder, { recursive: true }).catch(() => undefined);
  // A copy may be taken while a server has the folder; two servers on it would not know of each other.
  const lock = order === 'backup' ? null : await lockFolder(file);
  const database = lock ? await openOrRecover(file, port, logger) : await openDatabase(file);
  if (lock) await tidyIncoming(file);
  // The day of pictures and tests stands still on both sides.
  const today = demo && demoDay ? () => demoDay : undefined;
  const services = servicesOf(database, await programMark(), today);
  if (order === 'backup') {
    const path = resolve(target ?? `huerta ${new Date().toISOString().slice(0, 10)}.zip`);
    const left = await keepIn(path, services);
    await database.close();
    process.stdout.write(`The garden in ${folder} is kept in ${path}${left}\n`);
    return;
  }
  if (demo) {
    const day = demoDay ?? new Date().toISOString().slice(0, 10);
    await loadDemoGarden(services, demoUnits);
    await loadDemoWeather(services, day);
    await loadDemoLog(services, day);
    await loadDemoVessels(services);
    await loadDemoBuild(services, day);
  }

  const copies = copiesOf(database, file, () => {
    services.garden.soon();
    services.standing.soon();
  });
  const copy = (): void => {
    copies
      .make()
      .catch((error: unknown) => logger.warn({ err: error }, 'the daily copy could not be made'));
  };
  if (!demo) {
    copy();
    setInterval(copy, HOUR_MS).unref();
  }

  const secrets = secretsOf(database.devices);
  const feeds = feedsOf(database.feeds);
  const app = { services, logger, webRoot, rate, demo };
  const keeper = remoteAccess({
    table: database.devices,
    secrets,
    answer: createApp({
      ...app,
      house: { names: () => houseNames(settings.host), secrets, feeds },
    }),
    folder,
    port: settings.doorPort,
    named: settings.host,
    own: settings.own,
  });
  const server = createApp({ ...app, home: { keeper, secrets, copies, feeds } }).listen(
    port,
    '127.0.0.1',
  );
  stayOpen(server);
  const begin = async (): Promise<void> => {
    await once(server, 'listening');
    const address = server.address();
    const open = typeof address === 'object' && address ? address.port : port;
    await lock?.sayAddress(`http://localhost:${open}`);
    logger.info(`Huerta is at http://localhost:${open}, with the garden in ${folder}`);
    services.garden.soon();
    services.standing.begin();
    await keeper.begin();
    const { addresses, trouble } = await keeper.state();
    if (addresses[0])
      logger.info(`The door is open: devices that were let in come by ${addresses.join(', ')}`);
    if (trouble) logger.warn(trouble);
  };
  const begun = begin();
  // Before anything is answered: whoever sees it run may stop it.
  const stop = (signal: string): void => {
    logger.info(`${signal}: finishing what is under way`);
    server.close(() => {
      void begun
        .catch(() => undefined)
        .then(() => keeper.stop())
        .then(() => Promise.all([services.garden.stop(), services.standing.stop()]))
        .then(() => database.close())
        .then(() => lock?.release())
        .then(() => process.exit(0));
    });
    server.closeIdleConnections();
    setTimeout(() => process.exit(1), 5000).unref();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
  await begun;
}

main().catch((error: unknown) => {
  const message = error instanceof Error ? error.message : String(error);
  process.stderr.write(`Huerta could not start: ${message}\n`);
  process.exit(1);
});
