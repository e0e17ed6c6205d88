import type { LogEntry, ProgressEntry } from '@huerta/core';
import { RefusedError } from '../api/client';
import { isOpen as isHeld, keeper as browserKeeper, type Keeper, type Kept } from './kept';
import { loggedSent, waitingLog } from './logged';
import { allMarks, marksSent } from './marks';
import { photoSent, waitingPhotos } from './photos';

/** The one queue: sends what lies kept on this device and belongs to no open bench. */

/** What became of what was kept. */
export interface Sent {
  /** What is on the server now, with the revision that it has there. */
  sent: { kept: Kept; revision: number }[];
  /** What still waits: the server is away, or somebody has to choose between two versions. */
  waiting: Kept[];
}

interface Outbox {
  keeper?: Keeper;
  isOpen?: (holder: string) => Promise<boolean>;
  save(kept: Kept): Promise<{ revision: number }>;
  /** The other version that a refusal carries, if it does. */
  clashOf?(error: RefusedError, kept: Kept): Kept['clash'];
}

/** Tries once to send all documents. What is refused stays kept, to be opened and mended. */
export async function sendKept({
  keeper = browserKeeper,
  isOpen = isHeld,
  save,
  clashOf = () => undefined,
}: Outbox): Promise<Sent> {
  const result: Sent = { sent: [], waiting: [] };
  let away = false;
  for (const kept of (await keeper.all()).reverse()) {
    if (await isOpen(kept.holder)) continue;
    if (away || kept.clash || kept.refused) {
      result.waiting.push(kept);
      continue;
    }
    try {
      const { revision } = await save(kept);
      await keeper.answered(kept.key, kept.saveId, revision);
      result.sent.push({ kept, revision });
    } catch (error) {
      result.waiting.push(kept);
      away = !(error instanceof RefusedError);
      if (error instanceof RefusedError) await told(keeper, kept, error, clashOf(error, kept));
    }
  }
  return result;
}

/** Notes why it was refused, unless something newer was kept meanwhile. A bench asks again by itself. */
async function told(
  keeper: Keeper,
  kept: Kept,
  error: RefusedError,
  clash: Kept['clash'],
): Promise<void> {
  if (kept.holder !== '') return;
  const now = await keeper.get(kept.key);
  if (now?.saveId !== kept.saveId) return;
  await keeper.put(clash ? { ...kept, clash } : { ...kept, refused: error.message });
}

/** Sends the marks of all builds. @returns the planters whose marks the server has now */
export async function sendMarks(
  send: (planter: string, entries: ProgressEntry[]) => Promise<unknown>,
): Promise<{ sent: string[]; trouble: string | null }> {
  const sent: string[] = [];
  let trouble: string | null = null;
  for (const { planter, entries } of await allMarks()) {
    try {
      await send(planter, entries);
      await marksSent(planter, entries);
      sent.push(planter);
    } catch (error) {
      if (error instanceof RefusedError) {
        trouble = error.message;
        continue;
      }
      trouble = 'The server does not answer. Marks are kept on this device and sent when it does.';
      break;
    }
  }
  return { sent, trouble };
}

/** Sends the photos that wait; one that the server does not take as a picture is let go. */
export async function sendPhotos(
  send: (id: string, picture: Blob) => Promise<unknown>,
): Promise<{ sent: number; refused: string | null }> {
  let sent = 0;
  let refused: string | null = null;
  for (const { id, picture } of await waitingPhotos()) {
    try {
      await send(id, picture);
      sent += 1;
    } catch (error) {
      if (!(error instanceof RefusedError)) break;
      refused = error.message;
    }
    await photoSent(id);
  }
  return { sent, refused };
}

/** Entries that are sent together. */
const TOGETHER = 200;

/** Sends the log entries that wait. @returns how many the server has now */
export async function sendLogged(
  send: (entries: readonly LogEntry[]) => Promise<unknown>,
): Promise<number> {
  const waiting = await waitingLog();
  let sent = 0;
  while (sent < waiting.length) {
    const some = waiting.slice(sent, sent + TOGETHER);
    try {
      await send(some);
    } catch (error) {
      if (!(error instanceof RefusedError)) break;
      // What the server does not take stays out of the others' way, and stays on this device.
      return sent;
    }
    await loggedSent(some);
    sent += some.length;
  }
  return sent;
}
