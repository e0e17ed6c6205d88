import { once } from 'node:events';
import type { Logger } from 'pino';
import { stayOpen } from '../api/connections';
import { recoveryApp } from './recoveryApp';
import { putInPlace } from '../storage/backups';
import { DamagedGarden, openDatabase, type Database } from '../storage/database';

/** A browser that keeps its connection gets so long to take the last answer, milliseconds. */
const LAST_ANSWER_MS = 200;

/**
 * Opens the garden; where its file is damaged, answers with a page that offers its copies until one is in place.
 *
 * @param logger tells whoever started Huerta what is wrong and where the page is
 * @param stop ends the waiting
 * @throws DamagedGarden when nothing was put in place
 */
export async function openOrRecover(
  file: string,
  port: number,
  logger: Logger,
  stop?: AbortSignal,
): Promise<Database> {
  try {
    return await openDatabase(file);
  } catch (error) {
    if (!(error instanceof DamagedGarden)) throw error;
    if (!(await mended(error, port, logger, stop))) throw error;
    return openDatabase(file);
  }
}

/** Waits until a copy was put in place by the page. @returns whether one was */
async function mended(
  damaged: DamagedGarden,
  port: number,
  logger: Logger,
  stop?: AbortSignal,
): Promise<boolean> {
  let done = (_inPlace: boolean): void => undefined;
  const inPlace = new Promise<boolean>((resolve) => {
    done = resolve;
  });
  stop?.addEventListener('abort', () => done(false));
  const app = recoveryApp(
    damaged,
    async (day) => {
      const stamp = new Date().toISOString().replace(/[:.]/g, '-');
      try {
        await putInPlace(damaged.file, day, stamp, async (copy) => {
          await (await openDatabase(copy)).close();
        });
      } catch (error) {
        const why =
          error instanceof DamagedGarden ? 'it is damaged too.' : (error as Error).message;
        return `This copy cannot be put in its place: ${why} Nothing was changed; take another.`;
      }
      done(true);
      return null;
    },
    logger,
  );
  const server = app.listen(port, '127.0.0.1');
  stayOpen(server);
  await once(server, 'listening');
  const address = server.address();
  const open = typeof address === 'object' && address ? address.port : port;
  logger.error(`${damaged.message} Or open http://localhost:${open} and put it there by a press.`);
  const put = await inPlace;
  await new Promise((resolve) => setTimeout(resolve, LAST_ANSWER_MS));
  const closed = new Promise((resolve) => server.close(resolve));
  server.closeAllConnections();
  await closed;
  return put;
}
