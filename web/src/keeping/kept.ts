import type { PlanterDesign } from '@huerta/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/**
 * What was done on this device and is not on the server yet, in the browser's own database. It is put
 * there before it is sent, and taken out when the server has it, so that it outlives a reload, a closed
 * window and a server that is away.
 */

/** A design that waits to be sent. */
export interface Kept {
  /** `planter/bench`: each bench keeps its own. */
  key: string;
  planter: string;
  bench: string;
  /** The revision that it is based on. */
  base: number;
  /** The save that it is sent as, and those before it whose answers may be lost. */
  saveId: string;
  after: string[];
  design: PlanterDesign;
  /** When it was kept, milliseconds. */
  at: number;
}

interface Schema extends DBSchema {
  unsent: { key: string; value: Kept; indexes: { planter: string } };
}

/** Where kept work lies. Each of these does nothing where the browser has no database to give. */
export interface Keeper {
  put(kept: Kept): Promise<void>;
  /** Takes a save out, unless something newer was kept in its place. */
  drop(key: string, saveId: string): Promise<void>;
  /** What waits for one planter, newest first. */
  of(planter: string): Promise<Kept[]>;
  all(): Promise<Kept[]>;
}

const NAME = 'huerta';
const VERSION = 1;

let opened: Promise<IDBPDatabase<Schema>> | null = null;

function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>(NAME, VERSION, {
    upgrade(db) {
      db.createObjectStore('unsent', { keyPath: 'key' }).createIndex('planter', 'planter');
    },
  }).catch((error: unknown) => {
    opened = null;
    throw error;
  });
  return opened;
}

const newestFirst = (list: Kept[]): Kept[] => list.sort((a, b) => b.at - a.at);

/** The browser's own database. Where there is none, as in some private windows, nothing is kept. */
export const keeper: Keeper = {
  async put(kept) {
    await quietly(async () => {
      await (await database()).put('unsent', kept);
    });
  },
  async drop(key, saveId) {
    await quietly(async () => {
      const store = (await database()).transaction('unsent', 'readwrite').store;
      const now = await store.get(key);
      if (now?.saveId === saveId) await store.delete(key);
    });
  },
  async of(planter) {
    const found = await quietly(async () =>
      (await database()).getAllFromIndex('unsent', 'planter', planter),
    );
    return newestFirst(found ?? []);
  },
  async all() {
    const found = await quietly(async () => (await database()).getAll('unsent'));
    return newestFirst(found ?? []);
  },
};

async function quietly<T>(work: () => Promise<T>): Promise<T | null> {
  try {
    return await work();
  } catch {
    return null;
  }
}

/** Says that this bench is open, for as long as the page is, so that no other sends what it keeps. */
export function holdBench(bench: string): () => void {
  let release: () => void = () => undefined;
  const held = new Promise<void>((done) => {
    release = done;
  });
  void locks()?.request(lockOf(bench), () => held);
  return () => release();
}

/** Whether the bench that kept something is open in some window. */
export async function isOpen(bench: string): Promise<boolean> {
  const state = await locks()?.query();
  return state?.held?.some(({ name }) => name === lockOf(bench)) ?? false;
}

const lockOf = (bench: string): string => `huerta-bench-${bench}`;
const locks = (): LockManager | undefined => (navigator as { locks?: LockManager }).locks;
