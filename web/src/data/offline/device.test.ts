import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { NEW_BOOK, type ProgressEntry } from '@huerta/core/fabrication';
import { STARTING_POINTS } from '@huerta/core/document';
import type { LogEntry } from '@huerta/core/journal';
import { addPendingSave, pendingSaves, keyOf } from './pendingSaves';
import { addPendingEntries, removePendingEntries, pendingEntries } from './pendingEntries';
import { addPendingProgress, pendingProgressOf } from './pendingProgress';
import { addPendingPhoto, pendingPhoto } from './pendingPhotos';
import {
  sendDocuments,
  sendPendingEntries,
  sendProgressMarks,
  sendPhotos,
  tidyRefusals,
} from './outbox';
import { allRefusals, refusalKeys } from './refusals';
import { dropUnsent, allUnsent, sendAgain } from './unsent';
import { away, refusedWith } from '../../testing/refusals';
import type { PendingSave } from './types';

const design = STARTING_POINTS[0]!.design;
const kept = (id: string, at: number, over: Partial<PendingSave> = {}): PendingSave => ({
  key: keyOf('planter', id, `bench-${at}`),
  kind: 'planter',
  id,
  holder: `bench-${at}`,
  base: 1,
  saveId: `save-${at}`,
  after: [],
  body: { design },
  at,
  ...over,
});
const nobody = () => Promise.resolve(false);
const saved = (revision = 2) => Promise.resolve({ revision });
const refusal = (kind: 'conflict' | 'contradiction') =>
  refusedWith(kind === 'conflict' ? 409 : 422, { kind, detail: 'No room for soil.' });
const refusedKeys = async () => [...(await allRefusals()).keys()].sort();

// The browser's window, as far as the queue needs it.
globalThis.window ??= globalThis as never;
globalThis.dispatchEvent ??= () => true;

beforeEach(async () => {
  for (const { key, saveId } of await pendingSaves.all()) await pendingSaves.drop(key, saveId);
});

test('what is kept is found by its planter, newest first, and dropped by its own save only', async () => {
  await pendingSaves.put(kept('a', 1));
  await pendingSaves.put(kept('a', 2));
  await pendingSaves.put(kept('b', 3));
  expect((await pendingSaves.of('planter', 'a')).map(({ at }) => at)).toEqual([2, 1]);
  // A newer change took its place meanwhile: the answer to the old save leaves it.
  await pendingSaves.put(kept('a', 2, { saveId: 'newer' }));
  await pendingSaves.drop(keyOf('planter', 'a', 'bench-2'), 'save-2');
  expect((await pendingSaves.of('planter', 'a')).map(({ saveId }) => saveId)).toContain('newer');
  await pendingSaves.drop(keyOf('planter', 'a', 'bench-2'), 'newer');
  expect((await pendingSaves.of('planter', 'a')).map(({ at }) => at)).toEqual([1]);
});

test('all that is kept is sent in the order in which it was made, but for what an open bench holds', async () => {
  for (const at of [3, 1, 2]) await pendingSaves.put(kept(`planter-${at}`, at));
  const order: string[] = [];
  const { sent } = await sendDocuments({
    isOpen: async (bench) => bench === 'bench-2',
    save: async ({ id }) => {
      order.push(id);
      return saved();
    },
  });
  expect(order).toEqual(['planter-1', 'planter-3']);
  expect(sent.map(({ id }) => id)).toEqual(order);
  expect((await pendingSaves.all()).map(({ id }) => id)).toEqual(['planter-2']);
});

test('a server that is away is asked once, and everything stays', async () => {
  for (const at of [1, 2, 3]) await pendingSaves.put(kept(`planter-${at}`, at));
  const save = jest.fn(() => Promise.reject(away()));
  const { halted } = await sendDocuments({ isOpen: nobody, save });
  expect(save).toHaveBeenCalledTimes(1);
  expect(halted).toMatchObject({ kind: 'later', status: null });
  expect(await pendingSaves.all()).toHaveLength(3);
});

test('one that is refused stays to be chosen about, and does not hold up the others', async () => {
  for (const at of [1, 2]) await pendingSaves.put(kept(`planter-${at}`, at));
  const { sent, refused } = await sendDocuments({
    isOpen: nobody,
    save: ({ at }) => (at === 1 ? Promise.reject(refusal('conflict')) : saved()),
  });
  expect([sent.map(({ id }) => id), refused]).toEqual([['planter-2'], 1]);
  expect((await pendingSaves.all()).map(({ id }) => id)).toEqual(['planter-1']);
  expect(await refusedKeys()).toEqual(['document/save-1']);
});

test('changes one after the other are one save that names those before it, on the revision of the first', async () => {
  const first = await addPendingSave('prices', 'garden', 4, { book: NEW_BOOK });
  const second = await addPendingSave('prices', 'garden', 4, {
    book: { ...NEW_BOOK, kerf: 0.002 },
  });
  expect(await pendingSaves.all()).toEqual([second]);
  expect(second).toMatchObject({ base: 4, after: [first.saveId] });
  // The answer to the first comes now: what was changed since is based on what it gave.
  await pendingSaves.answered(second.key, first.saveId, 5);
  expect(await pendingSaves.get(second.key)).toMatchObject({
    base: 5,
    after: [],
    saveId: second.saveId,
  });
  await pendingSaves.answered(second.key, second.saveId, 6);
  expect(await pendingSaves.all()).toEqual([]);
});

test('what clashes waits with the other version beside it, and what is refused with the reason', async () => {
  const mine = await addPendingSave('prices', 'garden', 1, { book: NEW_BOOK });
  const theirs = { revision: 7, body: { book: { ...NEW_BOOK, kerf: 0.001 } } };
  const save = jest.fn(() => Promise.reject(refusal('conflict')));
  await sendDocuments({ isOpen: nobody, save, conflictOf: () => theirs });
  expect(await pendingSaves.get(mine.key)).toMatchObject({
    clash: theirs,
    body: { book: NEW_BOOK },
  });
  // Until somebody chooses it is not sent again.
  await sendDocuments({ isOpen: nobody, save });
  expect(save).toHaveBeenCalledTimes(1);
  // A new change of a refused one is tried again.
  const vessel = { name: 'Tote', vessel: design.vessel };
  const tote = await addPendingSave('vessel', 'v', 0, vessel);
  await sendDocuments({ isOpen: nobody, save: () => Promise.reject(refusal('contradiction')) });
  expect((await allRefusals()).get(refusalKeys.document(tote))).toMatchObject({
    why: 'No room for soil.',
  });
  const box = await addPendingSave('vessel', 'v', 0, { ...vessel, name: 'Box' });
  const { sent } = await sendDocuments({ isOpen: nobody, save: () => saved() });
  expect(sent.map(({ saveId }) => saveId)).toEqual([box.saveId]);
  // Of what is gone no refusal is remembered.
  await tidyRefusals();
  expect(await refusedKeys()).toEqual([]);
});

test('two devices that were away for a day send what each did, and neither overwrites the other unseen', async () => {
  // A server with one price book, as its own statement decides.
  let book = { revision: 3, saveId: 'old', kerf: 0 };
  const server = async ({ base, saveId, after, body }: PendingSave) => {
    if (saveId === book.saveId) return book;
    if (base !== book.revision && !after.includes(book.saveId)) throw refusal('conflict');
    book = {
      revision: book.revision + 1,
      saveId,
      kerf: (body as PendingSave<'prices'>['body']).book.kerf,
    };
    return book;
  };
  const change = (kerf: number) =>
    addPendingSave('prices', 'garden', 3, { book: { ...NEW_BOOK, kerf } });
  await change(0.001);
  const phone = await change(0.002);
  await sendDocuments({ isOpen: nobody, save: server });
  expect(book).toMatchObject({ revision: 4, kerf: 0.002 });
  expect(await pendingSaves.all()).toEqual([]);
  const bench = await change(0.004);
  const current = { revision: 4, body: { book: NEW_BOOK } };
  await sendDocuments({ isOpen: nobody, save: server, conflictOf: () => current });
  expect(book.saveId).toBe(phone.saveId);
  expect(await pendingSaves.get(bench.key)).toMatchObject({ clash: current });
});

test('marks wait by planter, the later of one key, and leave when the server has them', async () => {
  const mark = (minute: number, value: boolean): ProgressEntry => ({
    key: 'done/measure',
    value,
    at: new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString(),
  });
  await addPendingProgress('p', mark(2, true));
  await addPendingProgress('p', mark(1, false));
  expect(await pendingProgressOf('p')).toEqual([mark(2, true)]);
  const none = await sendProgressMarks(() => Promise.reject(away()));
  expect(none.sent).toEqual([]);
  expect(none.halted?.sentence).toMatch('does not answer');
  // A newer mark comes while the old one is under way, and stays.
  await sendProgressMarks(async () => addPendingProgress('p', mark(3, false)));
  expect(await pendingProgressOf('p')).toEqual([mark(3, false)]);
  expect((await sendProgressMarks(() => Promise.resolve())).sent).toHaveLength(1);
  expect(await pendingProgressOf('p')).toEqual([]);
});

test('a photo stays until the server has that very photo, whatever is answered', async () => {
  const picture = new Blob(['jpeg'], { type: 'image/jpeg' });
  await addPendingPhoto('one', picture);
  for (const status of [401, 429, 500, 502, 503, 507]) {
    const { halted } = await sendPhotos(() => Promise.reject(refusedWith(status)));
    expect(halted).toMatchObject({ status });
    expect(await pendingPhoto('one')).not.toBeNull();
  }
  // Another one is acknowledged, or the answer is no answer of Huerta's.
  await sendPhotos(() => Promise.resolve({ id: 'other' }));
  expect(await pendingPhoto('one')).not.toBeNull();
  await addPendingPhoto('two', picture);
  const { sent, refused } = await sendPhotos((id) =>
    id === 'two' ? Promise.reject(refusal('contradiction')) : Promise.resolve({ id }),
  );
  expect([sent.map(({ id }) => id), refused]).toEqual([['one'], 1]);
  expect(await pendingPhoto('one')).toBeNull();
  // What is refused for good is still there, with why; it is sent again or dropped by the person alone.
  expect(await pendingPhoto('two')).not.toBeNull();
  const [two] = await allUnsent();
  expect(two).toMatchObject({ kind: 'photo', refused: { why: 'No room for soil.' } });
  expect((await sendPhotos((id) => Promise.resolve({ id }))).sent).toEqual([]);
  const back = await dropUnsent(two!);
  expect(await pendingPhoto('two')).toBeNull();
  await back();
  await sendAgain(two!);
  expect((await sendPhotos((id) => Promise.resolve({ id }))).sent).toHaveLength(1);
});

const entry = (id: string): LogEntry => ({
  id,
  planter: 'p',
  at: '2026-07-01T08:00:00.000Z',
  by: '',
  did: { kind: 'level', depth: 0.04 },
  text: '',
  typed: '',
  instead: null,
  gone: false,
});

test('of many entries the ones at fault are found, and all others arrive', async () => {
  const ids = Array.from({ length: 450 }, (_, i) => `e${String(i).padStart(3, '0')}`);
  await addPendingEntries(ids.map(entry));
  const bad = new Set(['e007', 'e198', 'e199', 'e420']);
  const arrived = new Set<string>();
  const server = async (entries: readonly LogEntry[]) => {
    if (entries.some(({ id }) => bad.has(id)))
      throw refusedWith(400, { kind: 'invalid', detail: 'Too deep.' });
    for (const { id } of entries) arrived.add(id);
    return { has: entries.map(({ id }) => id) };
  };
  const { sent, refused } = await sendPendingEntries(server);
  expect([sent.length, refused]).toEqual([446, 4]);
  expect(arrived.size).toBe(446);
  expect((await pendingEntries()).map(({ id }) => id).sort()).toEqual([...bad].sort());
  // They hold nothing up, and are not asked about again.
  await addPendingEntries([entry('later')]);
  expect((await sendPendingEntries(server)).sent.map(({ id }) => id)).toEqual(['later']);
  await removePendingEntries(await pendingEntries());
});

test('whatever is answered, nothing leaves the device that the server did not acknowledge', async () => {
  const statuses = [null, 200, 400, 401, 404, 408, 409, 413, 422, 429, 500, 502, 503, 507];
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom(...statuses), { minLength: 1, maxLength: 40 }),
      fc.integer({ min: 1, max: 30 }),
      async (answers, count) => {
        const ids = Array.from({ length: count }, (_, i) => `x${i}`);
        await addPendingEntries(ids.map(entry));
        await addPendingProgress('p', {
          key: 'done/measure',
          value: true,
          at: '2026-05-01T08:00:00.000Z',
        });
        const has = new Set<string>();
        let asked = 0;
        const answered = () => {
          const status = answers[asked % answers.length]!;
          asked += 1;
          if (status !== 200) throw status === null ? away() : refusedWith(status);
        };
        for (let round = 0; round < 6; round += 1) {
          await sendPendingEntries(async (entries) => {
            answered();
            // An answer may be lost after it was taken in.
            for (const { id } of entries) has.add(id);
            answered();
            return { has: entries.map(({ id }) => id) };
          });
          await sendProgressMarks(async () => {
            answered();
            has.add('mark');
          });
          const here = new Set((await pendingEntries()).map(({ id }) => id));
          expect(ids.every((id) => here.has(id) || has.has(id))).toBe(true);
          expect(has.has('mark') || (await pendingProgressOf('p')).length === 1).toBe(true);
        }
        for (const one of await allUnsent()) await dropUnsent(one);
      },
    ),
    { numRuns: 60 },
  );
});
