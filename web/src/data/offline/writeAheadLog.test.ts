import 'fake-indexeddb/auto';
import { NEW_BOOK, type ProgressEntry } from '@huerta/core/fabrication';
import { STARTING_POINTS } from '@huerta/core/document';
import type { LogEntry } from '@huerta/core/journal';

/** A browser's storage, as one window leaves it to the next. */
class Storage {
  [key: string]: unknown;
  getItem(key: string): string | null {
    return Object.hasOwn(this, key) ? (this[key] as string) : null;
  }
  setItem(key: string, value: string): void {
    this[key] = value;
  }
  removeItem(key: string): void {
    delete this[key];
  }
}
globalThis.window ??= globalThis as never;
globalThis.dispatchEvent ??= () => true;
const real = globalThis.indexedDB;
const notes = () => Object.keys(globalThis.localStorage);

/** What a page that is just opened has of the device. */
function opened() {
  jest.resetModules();
  /* eslint-disable @typescript-eslint/no-require-imports -- a page is opened anew each time */
  return {
    ...(require('./pendingSaves') as typeof import('./pendingSaves')),
    ...(require('./pendingProgress') as typeof import('./pendingProgress')),
    ...(require('./pendingEntries') as typeof import('./pendingEntries')),
    ...(require('./storage') as typeof import('./storage')),
  };
  /* eslint-enable @typescript-eslint/no-require-imports */
}

/** A page whose database has not answered by the time it is closed. */
function openedInHaste() {
  globalThis.indexedDB = { open: () => new EventTarget() } as never;
  const page = opened();
  return page;
}

const entry = (id: string): LogEntry => ({
  id,
  planter: 'p',
  at: '2026-07-01T08:00:00.000Z',
  by: '',
  did: { kind: 'filled', where: 'top', volume: null, ran: true },
  text: '',
  typed: '',
  instead: null,
  gone: false,
});
const mark = (key: string, minute: number): ProgressEntry => ({
  key,
  value: true,
  at: new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString(),
});

beforeEach(() => {
  Object.defineProperty(globalThis, 'localStorage', {
    value: new Storage(),
    configurable: true,
  });
});
afterEach(async () => {
  globalThis.indexedDB = real;
  const page = opened();
  for (const { key, saveId } of await page.pendingSaves.all())
    await page.pendingSaves.drop(key, saveId);
  await page.removePendingEntries(await page.pendingEntries());
  for (const { planter, entries } of await page.allPendingProgress())
    await page.removePendingProgress(planter, entries);
});

test('what was done in the moment before a window closed is there when it opens again', async () => {
  const closing = openedInHaste();
  void closing.addPendingEntries([entry('one'), entry('two')]);
  void closing.addPendingProgress('p', mark('done/measure', 1));
  void closing.addPendingProgress('p', mark('note/level', 2));
  void closing.addPendingSave('prices', 'garden', 4, { book: NEW_BOOK });
  void closing.addPendingSave('prices', 'garden', 4, { book: { ...NEW_BOOK, kerf: 0.002 } });
  expect(notes()).toHaveLength(6);

  globalThis.indexedDB = real;
  const page = opened();
  expect((await page.pendingEntries()).map(({ id }) => id).sort()).toEqual(['one', 'two']);
  expect((await page.pendingProgressOf('p')).map(({ key }) => key)).toEqual([
    'done/measure',
    'note/level',
  ]);
  const [kept, ...more] = await page.pendingSaves.all();
  expect(more).toEqual([]);
  expect(kept).toMatchObject({ base: 4, body: { book: { kerf: 0.002 } } });
  expect(kept?.after).toHaveLength(1);
  expect(notes()).toEqual([]);
});

test('a bench’s last change is the one that waits, whatever was noted before it', async () => {
  const design = STARTING_POINTS[0]!.design;
  const put = (page: ReturnType<typeof opened>, name: string, saveId: string) =>
    page.pendingSaves.put({
      key: page.keyOf('planter', 'p', 'bench'),
      kind: 'planter',
      id: 'p',
      holder: 'bench',
      base: 1,
      saveId,
      after: [],
      body: { design: { ...design, name } },
      at: 5,
    });
  await put(opened(), 'Stored', 'a');
  const closing = openedInHaste();
  void put(closing, 'Typed', 'b');
  void put(closing, 'Typed on', 'c');
  globalThis.indexedDB = real;
  const [kept] = await opened().pendingSaves.of('planter', 'p');
  expect(kept).toMatchObject({ saveId: 'c', body: { design: { name: 'Typed on' } } });
});

test('what was dropped in the moment before a window closed is not there when it opens again', async () => {
  const page = opened();
  const { saveId } = await page.addPendingSave('prices', 'garden', 4, { book: NEW_BOOK });
  const closing = openedInHaste();
  void closing.pendingSaves.drop('prices/garden/', saveId);
  void closing.pendingSaves.drop('prices/garden/', 'another');
  globalThis.indexedDB = real;
  expect(await opened().pendingSaves.of('prices', 'garden')).toEqual([]);
  expect(notes()).toEqual([]);
});

test('once the database has it nothing stays noted, and a note that was stored already counts once', async () => {
  const page = opened();
  const first = await page.addPendingSave('prices', 'garden', 4, { book: NEW_BOOK });
  await page.addPendingEntries([entry('one')]);
  expect(notes()).toEqual([]);
  // The window went away between the two: stored, and noted still.
  localStorage.setItem(
    'huerta.ahead/unsent/000000000000001.000000000000001',
    JSON.stringify({ kept: first, over: true }),
  );
  localStorage.setItem(
    'huerta.ahead/logged/000000000000001.000000000000002',
    JSON.stringify(entry('one')),
  );
  const again = opened();
  expect(await again.pendingSaves.all()).toEqual([first]);
  expect(await again.pendingEntries()).toHaveLength(1);
  expect(notes()).toEqual([]);
});

test('a browser that keeps no notes still keeps what it can', async () => {
  const full = () => {
    throw new Error('QuotaExceededError');
  };
  Object.assign(globalThis.localStorage, { setItem: full });
  const page = opened();
  await page.addPendingEntries([entry('one')]);
  expect(await page.pendingEntries()).toHaveLength(1);
  expect(page.useStorage.getState()).toEqual({ database: 'ok', keeps: true });
});

/** A database that is refused, or that has no more room. */
function refusing(name: string) {
  const open = () => {
    throw new DOMException('', name);
  };
  globalThis.indexedDB = { open } as never;
}

test('where the browser refuses its database, what was done lies beside it until the server has it', async () => {
  refusing('SecurityError');
  const page = opened();
  await page.addPendingEntries([entry('one'), entry('two')]);
  await page.addPendingSave('prices', 'garden', 4, { book: NEW_BOOK });
  await page.addPendingSave('prices', 'garden', 4, { book: { ...NEW_BOOK, kerf: 0.002 } });
  expect(page.useStorage.getState()).toEqual({ database: 'refused', keeps: true });
  // The page is closed and opened again, and nothing is missing.
  const again = opened();
  expect((await again.pendingEntries()).map(({ id }) => id).sort()).toEqual(['one', 'two']);
  const [book] = await again.pendingSaves.all();
  expect(book).toMatchObject({ base: 4, body: { book: { kerf: 0.002 } } });
  // Sent, it is gone from there too.
  await again.removePendingEntries([entry('one')]);
  await again.pendingSaves.answered(book!.key, book!.saveId, 5);
  expect((await opened().pendingEntries()).map(({ id }) => id)).toEqual(['two']);
  // Once the browser gives its database, it moves there.
  globalThis.indexedDB = real;
  const third = opened();
  expect((await third.pendingEntries()).map(({ id }) => id)).toEqual(['two']);
  expect(await third.pendingSaves.all()).toEqual([]);
  expect(notes()).toEqual([]);
  expect(third.useStorage.getState()).toEqual({ database: 'ok', keeps: true });
});

test('a full database says so, and what is written is kept beside it', async () => {
  refusing('QuotaExceededError');
  const page = opened();
  await page.addPendingEntries([entry('one')]);
  expect(page.useStorage.getState()).toEqual({ database: 'full', keeps: true });
  expect(page.sayStorage(page.useStorage.getState())).toMatch('storage is full');
  expect(await opened().pendingEntries()).toHaveLength(1);
});

test('where it refuses both, the page says so, and keeps it while it is open', async () => {
  refusing('QuotaExceededError');
  Object.assign(globalThis.localStorage, {
    setItem: () => {
      throw new Error('QuotaExceededError');
    },
  });
  const page = opened();
  await page.addPendingEntries([entry('one')]);
  const { useStorage, sayStorage } = page;
  expect(useStorage.getState()).toEqual({ database: 'full', keeps: false });
  expect(sayStorage(useStorage.getState())).toMatch('not kept on this device');
  expect(await page.pendingEntries()).toHaveLength(1);
});
