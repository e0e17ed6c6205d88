import type { LogEntry } from '@huerta/core/journal';
import type { PlanterDesign } from '@huerta/core/document';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import {
  removeWrite,
  dropValue,
  appendWrite,
  pendingWrites,
  notedValues,
  noteValue,
} from './writeAheadLog';
import { liesOnlyHere, storageRefused, storageTook } from './storage';
import type {
  CachedResponse,
  KnownState,
  PendingPhoto,
  PendingProgress,
  PendingSave,
  Refused,
} from './types';

/** The browser's own database: what waits to be sent, and what was last seen of the server. */
interface Schema extends DBSchema {
  unsent: { key: string; value: PendingSave };
  marks: { key: string; value: PendingProgress };
  logged: { key: string; value: LogEntry };
  photos: { key: string; value: PendingPhoto };
  states: { key: string; value: KnownState };
  seen: { key: string; value: CachedResponse };
  refusals: { key: string; value: Refused };
}

const NAME = 'huerta';
const VERSION = 5;

/** What version 1 kept: designs of planters only. */
interface KeptPlanter {
  planter: string;
  bench: string;
  design: PlanterDesign;
}

let opened: Promise<IDBPDatabase<Schema> | null> | null = null;

/** The database, or null where the browser has none to give, as in some private windows. */
function database(): Promise<IDBPDatabase<Schema> | null> {
  opened ??= open().then(
    (db) => {
      storageTook();
      return db;
    },
    (error: unknown) => {
      storageRefused(error);
      return null;
    },
  );
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
      if (before < 4) {
        db.createObjectStore('photos', { keyPath: 'id' });
        db.createObjectStore('states', { keyPath: 'planter' });
      }
      if (before < 5) db.createObjectStore('refusals', { keyPath: 'key' });
      if (before !== 1) return;
      const unsent = transaction.objectStore('unsent');
      for (const old of (await unsent.getAll()) as unknown as (PendingSave & KeptPlanter)[]) {
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
export interface ObjectStore<T> {
  get(key: string): Promise<T | undefined>;
  all(): Promise<T[]>;
  /** Changes what lies under a key in one go; nothing given back takes it away. */
  change(key: string, next: (now: T | undefined) => T | undefined): Promise<T | undefined>;
  clear(): Promise<void>;
}

/** A shelf for what a person did: it is noted at once, so that a window closed the next moment loses nothing. */
export interface DurableStore<T, A> extends ObjectStore<T> {
  /** Lays something down. @returns what lies there then */
  add(what: A): Promise<T | undefined>;
}

/** How something that is laid down joins what lies there; laid down twice it is there once. Nothing given back takes it away. */
export interface WriteAhead<T, A> {
  key(what: A): string;
  join(now: T | undefined, what: A): T | undefined;
}

type Name = 'unsent' | 'marks' | 'seen' | 'logged' | 'photos' | 'states' | 'refusals';

/**
 * What the database did not take: held by the page, and noted in the browser's other storage where that takes it.
 * Null stands for what was taken away and could not be deleted.
 */
function besideDatabase<T extends object>(name: Name, noted: boolean) {
  const held = new Map<string, T | null>();
  return {
    get: (key: string): T | null | undefined => held.get(key),
    entries: () => [...held],
    set(key: string, value: T | null): void {
      held.set(key, value);
      if (noted) liesOnlyHere(name, key, !noteValue(name, key, value) && value !== null);
    },
    drop(key: string): void {
      if (!held.delete(key) || !noted) return;
      dropValue(name, key);
      liesOnlyHere(name, key, false);
    },
  };
}

function shelfWith<T extends object>(name: Name, durable: boolean) {
  const beside = besideDatabase<T>(name, durable);
  const open = async () => (await database()) as IDBPDatabase | null;
  const read = async <R>(from: (db: IDBPDatabase) => Promise<R>): Promise<R | undefined> => {
    const db = await open();
    try {
      return db ? await from(db) : undefined;
    } catch {
      return undefined;
    }
  };
  const get = async (key: string): Promise<T | undefined> => {
    const here = beside.get(key);
    if (here !== undefined) return here ?? undefined;
    return read(async (db) => (await db.get(name, key)) as T | undefined);
  };
  const change: ObjectStore<T>['change'] = async (key, next) => {
    const db = await open();
    try {
      if (!db) throw new Error('The browser has no database to give');
      // A power cut must not take what was said to be kept.
      const durability = durable ? 'strict' : 'relaxed';
      const { store, done } = db.transaction(name, 'readwrite', { durability });
      const here = beside.get(key);
      const now = here === undefined ? ((await store.get(key)) as T | undefined) : here;
      const value = next(now ?? undefined);
      await Promise.all([value === undefined ? store.delete(key) : store.put(value), done]);
      beside.drop(key);
      if (durable) storageTook();
      return value;
    } catch (error) {
      if (durable && db) storageRefused(error);
      const value = next(await get(key));
      beside.set(key, value ?? null);
      return value;
    }
  };
  return {
    get,
    change,
    async all(): Promise<T[]> {
      const stored = await read(async (db) => {
        const [keys, values] = await Promise.all([db.getAllKeys(name), db.getAll(name)]);
        return keys.map((key, i) => [String(key), values[i] as T] as const);
      });
      const merged = new Map<string, T | null>([...(stored ?? []), ...beside.entries()]);
      return [...merged.values()].flatMap((value) => value ?? []);
    },
    async clear(): Promise<void> {
      for (const [key] of beside.entries()) beside.drop(key);
      await read((db) => db.clear(name));
    },
    /** Takes in what an earlier page could only note: it is newer than what the database has. */
    async adopt(): Promise<void> {
      for (const { key, value } of notedValues<T>(name)) {
        beside.set(key, value);
        await change(key, () => value ?? undefined);
      }
    },
  };
}

/** A shelf in the browser's database; where that fails, for as long as the page is open. */
export const objectStore = <T extends object>(name: Name): ObjectStore<T> =>
  shelfWith<T>(name, false);

/** The same for what a person did, which nothing can note ahead: a picture. */
export const pictureStore = <T extends object>(name: Name): ObjectStore<T> =>
  shelfWith<T>(name, true);

/**
 * A shelf that notes ahead what is laid down, and begins with what an earlier page could only note. Where the
 * database does not take something, what it would lay there stays noted until it does, or until it is taken out.
 */
export function durableStore<T extends object, A>(
  name: Name,
  { key, join }: WriteAhead<T, A>,
): DurableStore<T, A> {
  const within = shelfWith<T>(name, true);
  const lay = async (note: string | null, what: A) => {
    const value = await within.change(key(what), (now) => join(now, what));
    // It lies in the database now, or its value is noted beside it.
    removeWrite(note);
    return value;
  };
  const takeUp = async () => {
    // What is noted from here on is laid down by whoever notes it.
    const notes = pendingWrites(name);
    await within.adopt();
    await Promise.all(notes.map((note) => lay(note.key, note.what as A)));
  };
  let begun: Promise<unknown> | null = null;
  const begin = () => (begun ??= takeUp());
  return {
    get: (of) => begin().then(() => within.get(of)),
    all: () => begin().then(() => within.all()),
    change: (of, next) => begin().then(() => within.change(of, next)),
    clear: () => begin().then(() => within.clear()),
    add: (what) => {
      const before = begin();
      const note = appendWrite(name, what);
      return before.then(() => lay(note, what));
    },
  };
}
