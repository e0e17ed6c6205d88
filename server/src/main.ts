import { once } from 'node:events';
import { join, resolve } from 'node:path';
import { pino } from 'pino';
import { loadDemoBuild } from './demo/build';
import { loadDemoGarden, loadDemoVessels } from './demo/garden';
import { createApp } from './http/app';
import { servicesOf } from './services';
import { readSettings } from './settings';
import { backUp } from './store/backups';
import { openDatabase } from './store/database';

/** How often it is seen whether the garden changed and is to be copied. */
const HOUR_MS = 3_600_000;

/**
 * Starts Huerta on 127.0.0.1. Settings come from the environment (`settings.ts`): HUERTA_DATA (folder, .data),
 * HUERTA_PORT (4700), HUERTA_WEB (folder of the built pages) and HUERTA_DEMO=1 (fill an empty
 * garden with the demo planters). HUERTA_HOST, a name or address of this machine in the house’s network,
 * lets a phone at the bench in; there is no login, so whoever is in that network can change the garden.
 */
async function main(): Promise<void> {
  const { port, host, demo, log, ...settings } = readSettings(process.env);
  const logger = pino({ level: log });
  const folder = resolve(settings.folder);
  const webRoot = resolve(settings.web);

  const file = join(folder, 'huerta.sqlite');
  const database = await openDatabase(file);
  const services = servicesOf(database);
  if (demo) {
    await loadDemoGarden(services.planters);
    await loadDemoVessels(services.vessels);
    await loadDemoBuild(services);
  }

  const copy = (): void => {
    backUp(database.sequelize, file, new Date().toISOString().slice(0, 10)).catch(
      (error: unknown) => logger.warn({ err: error }, 'the daily copy could not be made'),
    );
  };
  if (!demo) {
    copy();
    setInterval(copy, HOUR_MS).unref();
  }

  const server = createApp({
    services,
    logger,
    webRoot,
    ...(host ? { host } : {}),
  }).listen(port, host ? '0.0.0.0' : '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  const open = typeof address === 'object' && address ? address.port : port;
  logger.info(`Huerta is at http://${host ?? 'localhost'}:${open}, with the garden in ${folder}`);

  const stop = (signal: string): void => {
    logger.info(`${signal}: finishing what is under way`);
    server.close(() => {
      void database.close().then(() => process.exit(0));
    });
    server.closeIdleConnections();
    setTimeout(() => process.exit(1), 5000).unref();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

main().catch((error: unknown) => {
  const message = error instanceof Error ? error.message : String(error);
  process.stderr.write(`Huerta could not start: ${message}\n`);
  process.exit(1);
});
