import { openDB, type IDBPDatabase } from 'idb';
import { v4 as uuid } from 'uuid';

/**
 * Who does something alone, among all windows of one browser. The browser's own locks serve where it has them; over
 * plain http it has none, and a lease in its database serves: held for a while, renewed while it is needed.
 */

/** How long a lease holds unless it is renewed, and how often it is. A hidden window's clock is slow: it asks for more. */
const LEASE_MS = 10_000;
const RENEW_MS = 2500;
const HIDDEN_MS = 150_000;

interface Lease {
  name: string;
  holder: string;
  /** Milliseconds. */
  until: number;
}

const locks = (): LockManager | undefined =>
  typeof navigator === 'undefined' ? undefined : (navigator as { locks?: LockManager }).locks;

let opened: Promise<IDBPDatabase | null> | null = null;
/** A database of its own: it is asked before the other one is up to date. */
function leases(): Promise<IDBPDatabase | null> {
  opened ??= openLeases().catch(() => null);
  return opened;
}

const openLeases = async (): Promise<IDBPDatabase> =>
  openDB('huerta-leases', 1, {
    upgrade: (db) => void db.createObjectStore('leases', { keyPath: 'name' }),
  });

const hidden = (): boolean => typeof document !== 'undefined' && document.hidden;
const fresh = (name: string, holder: string): Lease => ({
  name,
  holder,
  until: Date.now() + (hidden() ? HIDDEN_MS : LEASE_MS),
});

/** Takes or renews a lease in one transaction. @returns whether it is the holder's now */
async function take(name: string, holder: string): Promise<boolean> {
  const db = await leases();
  // A browser that keeps nothing has no second window that could know.
  if (!db) return true;
  const { store, done } = db.transaction('leases', 'readwrite');
  const now = (await store.get(name)) as Lease | undefined;
  const mine = !now || now.holder === holder || now.until < Date.now();
  if (mine) await store.put(fresh(name, holder));
  await done;
  return mine;
}

async function release(name: string, holder: string): Promise<void> {
  const db = await leases();
  if (!db) return;
  const { store, done } = db.transaction('leases', 'readwrite');
  if (((await store.get(name)) as Lease | undefined)?.holder === holder) await store.delete(name);
  await done;
}

/** Does something unless another window is at it. @returns whether it was done */
export async function alone(name: string, work: () => Promise<void>): Promise<boolean> {
  const own = locks();
  if (own) {
    return own.request(name, { ifAvailable: true }, async (lock) => {
      if (!lock) return false;
      await work();
      return true;
    });
  }
  const holder = uuid();
  if (!(await take(name, holder))) return false;
  const renewing = setInterval(() => void take(name, holder), RENEW_MS);
  try {
    await work();
    return true;
  } finally {
    clearInterval(renewing);
    await release(name, holder);
  }
}

/** Holds a name for as long as the page is open. @returns lets go of it */
export function holdOpen(name: string): () => void {
  const own = locks();
  if (own) {
    let letGo: () => void = () => undefined;
    const held = new Promise<void>((done) => {
      letGo = done;
    });
    void own.request(name, () => held);
    return () => letGo();
  }
  const holder = uuid();
  const renew = () => void take(name, holder);
  renew();
  const renewing = setInterval(renew, RENEW_MS);
  const end = () => {
    clearInterval(renewing);
    void release(name, holder);
  };
  // A window that is hidden is heard of less often, one that is closed no more.
  document.addEventListener('visibilitychange', renew);
  window.addEventListener('pagehide', end);
  return () => {
    document.removeEventListener('visibilitychange', renew);
    window.removeEventListener('pagehide', end);
    end();
  };
}

/** Whether some window holds a name. */
export async function isHeldOpen(name: string): Promise<boolean> {
  const own = locks();
  if (own) return (await own.query()).held?.some((lock) => lock.name === name) ?? false;
  const db = await leases();
  const lease = (await db?.get('leases', name)) as Lease | undefined;
  return lease !== undefined && lease.until >= Date.now();
}
