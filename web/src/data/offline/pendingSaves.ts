import { MAX_UNANSWERED, type DocumentKind } from '@huerta/contract';
import { v4 as uuid } from 'uuid';
import { holdOpen, isHeldOpen } from './lease';
import { durableStore } from './store';
import type { Bodies, PendingSave } from './types';

/**
 * What was done on this device and is not on the server yet. It is put here before it is sent, and taken out
 * when the server has it, so that it outlives a reload, a closed window and a server that is away.
 */

export const keyOf = (kind: DocumentKind, id: string, holder = ''): string =>
  `${kind}/${id}/${holder}`;

/** Where kept work lies. */
export interface PendingSaves {
  put(kept: PendingSave): Promise<void>;
  get(key: string): Promise<PendingSave | null>;
  /** Takes a save out, unless something newer was kept in its place. */
  drop(key: string, saveId: string): Promise<void>;
  /** After an answer: takes the save out, or bases what came after it on the revision that it gave. */
  answered(key: string, saveId: string, revision: number): Promise<void>;
  /** What waits for one document, newest first. */
  of(kind: DocumentKind, id: string): Promise<PendingSave[]>;
  all(): Promise<PendingSave[]>;
}

/** Something laid down in place of what waits, or over it, so that both go out as one save. */
type Laid = { kept: PendingSave; over: boolean } | Dropped;

/** A save that is to be sent no more, noted so that a page left the next moment does not find it again. */
interface Dropped {
  key: string;
  dropped: string;
}

const unsent = durableStore<PendingSave, Laid>('unsent', {
  key: (what) => ('kept' in what ? what.kept.key : what.key),
  join(now, what) {
    if ('dropped' in what) return now?.saveId === what.dropped ? undefined : now;
    const { kept, over } = what;
    if (!now || !over) return kept;
    if (now.saveId === kept.saveId) return now;
    const after = [...now.after, now.saveId].slice(-MAX_UNANSWERED);
    return { ...kept, base: now.base, after };
  },
});

const newestFirst = (list: PendingSave[]): PendingSave[] => list.sort((a, b) => b.at - a.at);

/** The browser's own database. */
export const pendingSaves: PendingSaves = {
  async put(kept) {
    await unsent.add({ kept, over: false });
  },
  async get(key) {
    return (await unsent.get(key)) ?? null;
  },
  async drop(key, saveId) {
    await unsent.add({ key, dropped: saveId });
  },
  async answered(key, saveId, revision) {
    await unsent.change(key, (now) =>
      !now || now.saveId === saveId ? undefined : { ...now, base: revision, after: [] },
    );
  },
  async of(kind, id) {
    return (await this.all()).filter((kept) => kept.kind === kind && kept.id === id);
  },
  async all() {
    return newestFirst(await unsent.all());
  },
};

/**
 * Keeps a change of a document that no bench holds, over what waits of it already.
 *
 * @param base the revision that it was made from, if nothing waits; 0 for a document of one's own making
 * @param last the save before it from here, whose answer may not have been seen yet
 * @param wake whether the queue sends it at once; else whoever keeps it does
 */
export async function addPendingSave<K extends DocumentKind>(
  kind: K,
  id: string,
  base: number,
  body: Bodies[K],
  last: string | null = null,
  wake = true,
): Promise<PendingSave<K>> {
  const key = keyOf(kind, id);
  const fresh: PendingSave<K> = {
    key,
    kind,
    id,
    holder: '',
    base,
    saveId: uuid(),
    after: last ? [last] : [],
    body,
    at: Date.now(),
  };
  const kept = await unsent.add({ kept: fresh, over: true });
  if (wake) wakeOutbox();
  return (kept ?? fresh) as PendingSave<K>;
}

const WAKE = 'huerta-kept';

/** Says that something was kept and may be sent. */
export const wakeOutbox = (): void => void window.dispatchEvent(new Event(WAKE));
export function onWake(send: () => void): () => void {
  window.addEventListener(WAKE, send);
  return () => window.removeEventListener(WAKE, send);
}

/** Says that this bench is open, for as long as the page is, so that no other sends what it keeps. */
export const holdPlanterOpen = (bench: string): (() => void) => holdOpen(lockOf(bench));

/** Whether the bench that kept something is open in some window. */
export const isOpen = async (holder: string): Promise<boolean> =>
  holder !== '' && isHeldOpen(lockOf(holder));

const lockOf = (bench: string): string => `huerta-bench-${bench}`;
