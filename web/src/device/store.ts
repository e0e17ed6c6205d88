import type { LogEntry, PlanterDesign, TendedState } from '@huerta/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { doneAhead, noteAhead, notedAhead } from './ahead';
import type { Kept } from './kept';
import type { Marks } from './marks';

/** The browser's own database: what waits to be sent, and what was last seen of the server. */
interface Schema extends DBSchema {
  unsent: { key: string; value: Kept };
  marks: { key: string; value: Marks };
  logged: { key: string; value: LogEntry };
  photos: { key: string; value: WaitingPhoto };
  states: { key: string; value: KnownState };
  seen: { key: string; value: Seen };
}

/** How a planter stood when it was last worked out, and what that hung on. */
export interface KnownState {
  planter: string;
  /** Which Huerta worked it out. */
  program: string;
  by: string;
  state: TendedState | null;
}

/** A picture that waits to be sent. */
export interface WaitingPhoto {
  id: string;
  picture: Blob;
}

/** An answer of the server as it was last seen. */
export interface Seen {
  path: string;
  at: number;
  answer: unknown;
}

const NAME = 'huerta';
const VERSION = 4;

/** What version 1 kept: designs of planters only. */
interface KeptPlanter {
  planter: string;
  bench: string;
  design: PlanterDesign;
}

let opened: Promise<IDBPDatabase<Schema> | null> | null = null;

/** The database, or null where the browser has none to give, as in some private windows. */
function database(): Promise<IDBPDatabase<Schema> | null> {
  opened ??= open().catch(() => null);
  return opened;
}

async function open(): Promise<IDBPDatabase<Schema>> {
  return openDB<Schema>(NAME, VERSION, {
    async upgrade(db, before, _after, transaction) {
      if (before === 0) db.createObjectStore('unsent', { keyPath: 'key' });
      if (before < 2) {
        db.createObjectStore('marks', { keyPath: 'planter' });
        db.createObjectStore('seen', { keyPath: 'path' });
      }
      if (before < 3) db.createObjectStore('logged', { keyPath: 'id' });
      db.createObjectStore('photos', { keyPath: 'id' });
      db.createObjectStore('states', { keyPath: 'planter' });
      if (before !== 1) return;
      const unsent = transaction.objectStore('unsent');
      for (const old of (await unsent.getAll()) as unknown as (Kept & KeptPlanter)[]) {
        const { planter, bench, design, ...rest } = old;
        await unsent.put({
          ...rest,
          kind: 'planter',
          id: planter,
          holder: bench,
          body: { design },
        });
      }
    },
    // Another window with a newer Huerta wants to bring it up to date.
    blocking: () => void opened?.then((db) => db?.close()),
    terminated: () => {
      opened = null;
    },
  });
}

/** One kind of thing that is kept, under keys. */
export interface Shelf<T> {
  get(key: string): Promise<T | undefined>;
  all(): Promise<T[]>;
  /** Changes what lies under a key in one go; nothing given back takes it away. */
  change(key: string, next: (now: T | undefined) => T | undefined): Promise<T | undefined>;
  clear(): Promise<void>;
}

/** A shelf for what a person did: it is noted at once, so that a window closed the next moment loses nothing. */
export interface SafeShelf<T, A> extends Shelf<T> {
  /** Lays something down. @returns what lies there then */
  add(what: A): Promise<T | undefined>;
}

/** How something that is laid down joins what lies there; laid down twice it is there once. */
export interface Laying<T, A> {
  key(what: A): string;
  join(now: T | undefined, what: A): T;
}

type Name = 'unsent' | 'marks' | 'seen' | 'logged' | 'photos' | 'states';

/** A shelf in the browser's database; where that fails, for as long as the page is open. */
export function shelf<T extends object>(name: Name): Shelf<T> {
  const here = new Map<string, T>();
  const within = async <R>(
    work: (db: IDBPDatabase) => Promise<R>,
    otherwise: () => R,
  ): Promise<R> => {
    const db = (await database()) as IDBPDatabase | null;
    if (!db) return otherwise();
    try {
      return await work(db);
    } catch {
      return otherwise();
    }
  };
  return {
    get: (key) =>
      within(
        async (db) => here.get(key) ?? ((await db.get(name, key)) as T | undefined),
        () => here.get(key),
      ),
    all: () =>
      within(
        async (db) => [...((await db.getAll(name)) as T[]), ...here.values()],
        () => [...here.values()],
      ),
    change: (key, next) =>
      within(
        async (db) => {
          const { store, done } = db.transaction(name, 'readwrite');
          const value = next((await store.get(key)) as T | undefined);
          await (value === undefined ? store.delete(key) : store.put(value));
          await done;
          return value;
        },
        () => {
          const value = next(here.get(key));
          if (value === undefined) here.delete(key);
          else here.set(key, value);
          return value;
        },
      ),
    clear: () =>
      within(
        (db) => db.clear(name),
        () => here.clear(),
      ),
  };
}

/** A shelf that notes ahead what is laid down, and begins with what an earlier page could only note. */
export function safeShelf<T extends object, A>(
  name: Name,
  { key, join }: Laying<T, A>,
): SafeShelf<T, A> {
  const within = shelf<T>(name);
  const lay = async (note: string | null, what: A) => {
    const laid = await within.change(key(what), (now) => join(now, what));
    doneAhead(note);
    return laid;
  };
  let begun: Promise<unknown> | null = null;
  const begin = () => {
    begun ??= Promise.all(notedAhead(name).map((note) => lay(note.key, note.what as A)));
    return begun;
  };
  return {
    get: (of) => begin().then(() => within.get(of)),
    all: () => begin().then(() => within.all()),
    change: (of, next) => begin().then(() => within.change(of, next)),
    clear: () => begin().then(() => within.clear()),
    add: (what) => {
      const before = begin();
      const note = noteAhead(name, what);
      return before.then(() => lay(note, what));
    },
  };
}
