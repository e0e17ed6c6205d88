import type { Refusal } from '@huerta/contract';
import type { LogEntry } from '@huerta/core/journal';
import type { ProgressEntry } from '@huerta/core/fabrication';
import { RefusedError, refusalIn } from './refusalErrors';
import { isOpen as isHeld, pendingSaves as browserKeeper, type PendingSaves } from './pendingSaves';
import { removePendingEntries, pendingEntries } from './pendingEntries';
import { allPendingProgress, removePendingProgress } from './pendingProgress';
import { removePendingPhoto, pendingPhotos } from './pendingPhotos';
import { allRefusals, forgetStaleRefusals, noteRefusal, refusalKeys } from './refusals';
import type { PendingPhoto, PendingSave } from './types';

/**
 * The queue of what waits on this device and belongs to no open bench. What the server acknowledged leaves it, and
 * nothing else does. What is refused for good stays beside the rest with its reason, until a person mends or drops it.
 */

/** What came of sending things of one kind. */
export interface Sent<T> {
  /** What the server has acknowledged. */
  sent: T[];
  /** What it refused for good just now. */
  refused: number;
  /** Why it takes nothing more at present, if so: the rest is not tried. */
  halted: Refusal | null;
}

interface Sending<T> {
  waiting: readonly T[];
  /** Largest number that goes out at once. */
  together: number;
  /** Under what a refusal of one is noted. */
  keyOf(one: T): string;
  /** @throws when not all of them are acknowledged */
  send(some: readonly T[]): Promise<void>;
  /** Takes what was acknowledged off this device. */
  acknowledged(some: readonly T[]): Promise<void>;
  /** A refusal that somebody has to choose about instead. @returns whether it is one */
  settle?(one: T, refusal: Refusal): Promise<boolean>;
}

/** Sends what waits, several together; of several that are refused the ones that are at fault are found by halving. */
async function sendAll<T>(sending: Sending<T>): Promise<Sent<T>> {
  const { waiting, together, keyOf, send, acknowledged, settle } = sending;
  const known = await allRefusals();
  const open = waiting.filter((one) => !known.has(keyOf(one)));
  const result: Sent<T> = { sent: [], refused: 0, halted: null };
  const attempt = async (some: readonly T[]): Promise<void> => {
    try {
      await send(some);
      await acknowledged(some);
      result.sent.push(...some);
      return;
    } catch (error) {
      const refusal = refusalIn(error);
      if (refusal.kind !== 'for-good') {
        result.halted = refusal;
        return;
      }
      if (some.length === 1) {
        const [one] = some as [T];
        if (await settle?.(one, refusal)) return;
        await noteRefusal(keyOf(one), refusal);
        result.refused += 1;
        return;
      }
    }
    const half = Math.ceil(some.length / 2);
    await attempt(some.slice(0, half));
    if (!result.halted) await attempt(some.slice(half));
  };
  for (let i = 0; i < open.length && !result.halted; i += together)
    await attempt(open.slice(i, i + together));
  return result;
}

interface DocumentSending {
  keeper?: PendingSaves;
  isOpen?(holder: string): Promise<boolean>;
  save(kept: PendingSave): Promise<{ revision: number }>;
  /** The other version that a refusal carries, if it does. */
  conflictOf?(error: RefusedError, kept: PendingSave): PendingSave['clash'];
}

/** Tries once to send all documents that no open bench holds and no person has to choose about. */
export async function sendDocuments({
  keeper = browserKeeper,
  isOpen = isHeld,
  save,
  conflictOf = () => undefined,
}: DocumentSending): Promise<Sent<PendingSave>> {
  const waiting: PendingSave[] = [];
  for (const kept of (await keeper.all()).reverse())
    if (!kept.clash && !(await isOpen(kept.holder))) waiting.push(kept);
  return sendAll<PendingSave>({
    waiting,
    together: 1,
    keyOf: refusalKeys.document,
    async send([kept]) {
      const one = kept as PendingSave;
      const { revision } = await save(one);
      await keeper.answered(one.key, one.saveId, revision);
    },
    acknowledged: () => Promise.resolve(),
    async settle(kept, refusal) {
      const clash = conflictOf(new RefusedError(refusal), kept);
      const now = await keeper.get(kept.key);
      // Something newer was kept meanwhile: that is tried for itself.
      if (now?.saveId !== kept.saveId) return true;
      // A bench's clash is met again, and settled, when the bench is opened.
      if (clash && kept.holder === '') await keeper.put({ ...kept, clash });
      return clash !== undefined;
    },
  });
}

/** Marks of one planter that are sent together. */
const MARKS_TOGETHER = 300;

/** Sends the marks of all builds. */
export async function sendProgressMarks(
  send: (planter: string, entries: ProgressEntry[]) => Promise<unknown>,
): Promise<Sent<{ planter: string; entry: ProgressEntry }>> {
  const all: Sent<{ planter: string; entry: ProgressEntry }> = {
    sent: [],
    refused: 0,
    halted: null,
  };
  for (const { planter, entries } of await allPendingProgress()) {
    const { sent, refused, halted } = await sendAll<ProgressEntry>({
      waiting: entries,
      together: MARKS_TOGETHER,
      keyOf: (entry) => refusalKeys.mark(planter, entry),
      send: async (some) => void (await send(planter, [...some])),
      acknowledged: (some) => removePendingProgress(planter, some),
    });
    all.sent.push(...sent.map((entry) => ({ planter, entry })));
    all.refused += refused;
    all.halted = halted;
    if (halted) break;
  }
  return all;
}

/** Sends the photos that wait. @param send answers with the id that the server has the picture under */
export const sendPhotos = async (
  send: (id: string, picture: Blob) => Promise<{ id: string }>,
): Promise<Sent<PendingPhoto>> =>
  sendAll<PendingPhoto>({
    waiting: await pendingPhotos(),
    together: 1,
    keyOf: refusalKeys.photo,
    async send([photo]) {
      const { id, picture } = photo as PendingPhoto;
      const answer = await send(id, picture);
      if (answer.id !== id) throw new Error('Another picture was acknowledged');
    },
    acknowledged: async ([photo]) => void (await removePendingPhoto((photo as PendingPhoto).id)),
  });

/** Entries that are sent together. */
const ENTRIES_TOGETHER = 200;

/** Sends the log entries that wait. @param send answers with the ids that the server has now */
export const sendPendingEntries = async (
  send: (entries: readonly LogEntry[]) => Promise<{ has: readonly string[] }>,
): Promise<Sent<LogEntry>> =>
  sendAll<LogEntry>({
    waiting: await pendingEntries(),
    together: ENTRIES_TOGETHER,
    keyOf: refusalKeys.entry,
    async send(some) {
      const has = new Set((await send(some)).has);
      if (some.some(({ id }) => !has.has(id))) throw new Error('Not all entries were acknowledged');
    },
    acknowledged: removePendingEntries,
  });

/** Forgets refusals of what was changed, sent or dropped since. */
export async function tidyRefusals(): Promise<void> {
  const [documents, marks, entries, photos] = await Promise.all([
    browserKeeper.all(),
    allPendingProgress(),
    pendingEntries(),
    pendingPhotos(),
  ]);
  await forgetStaleRefusals(
    new Set([
      ...documents.map(refusalKeys.document),
      ...marks.flatMap(({ planter, entries: own }) =>
        own.map((entry) => refusalKeys.mark(planter, entry)),
      ),
      ...entries.map(refusalKeys.entry),
      ...photos.map(refusalKeys.photo),
    ]),
  );
}
