import 'fake-indexeddb/auto';
import { NEW_BOOK, STARTING_POINTS, type ProgressEntry } from '@huerta/core';
import { RefusedError, UnreachableError } from '../api/client';
import { keepChange, keeper, keyOf, type Kept } from './kept';
import { keepMark, marksOf } from './marks';
import { keepPhoto, waitingPhoto } from './photos';
import { sendKept, sendMarks, sendPhotos } from './sendKept';

const design = STARTING_POINTS[0]!.design;
const kept = (id: string, at: number, over: Partial<Kept> = {}): Kept => ({
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
  new RefusedError({ type: '', kind, title: '', status: 409, detail: 'No room for soil.' });

// The browser's window, as far as the queue needs it.
globalThis.window ??= globalThis as never;
globalThis.dispatchEvent ??= () => true;

beforeEach(async () => {
  for (const { key, saveId } of await keeper.all()) await keeper.drop(key, saveId);
});

test('what is kept is found by its planter, newest first, and dropped by its own save only', async () => {
  await keeper.put(kept('a', 1));
  await keeper.put(kept('a', 2));
  await keeper.put(kept('b', 3));
  expect((await keeper.of('planter', 'a')).map(({ at }) => at)).toEqual([2, 1]);
  // A newer change took its place meanwhile: the answer to the old save leaves it.
  await keeper.put(kept('a', 2, { saveId: 'newer' }));
  await keeper.drop(keyOf('planter', 'a', 'bench-2'), 'save-2');
  expect((await keeper.of('planter', 'a')).map(({ saveId }) => saveId)).toContain('newer');
  await keeper.drop(keyOf('planter', 'a', 'bench-2'), 'newer');
  expect((await keeper.of('planter', 'a')).map(({ at }) => at)).toEqual([1]);
});

test('all that is kept is sent in the order in which it was made, but for what an open bench holds', async () => {
  for (const at of [3, 1, 2]) await keeper.put(kept(`planter-${at}`, at));
  const order: string[] = [];
  const { sent, waiting } = await sendKept({
    isOpen: async (bench) => bench === 'bench-2',
    save: async ({ id }) => {
      order.push(id);
      return saved();
    },
  });
  expect(order).toEqual(['planter-1', 'planter-3']);
  expect([sent.map((one) => one.kept.id), waiting]).toEqual([order, []]);
  expect((await keeper.all()).map(({ id }) => id)).toEqual(['planter-2']);
});

test('a server that is away is asked once, and everything stays', async () => {
  for (const at of [1, 2, 3]) await keeper.put(kept(`planter-${at}`, at));
  const save = jest.fn(() => Promise.reject(new UnreachableError()));
  const { waiting } = await sendKept({ isOpen: nobody, save });
  expect(save).toHaveBeenCalledTimes(1);
  expect(waiting).toHaveLength(3);
  expect(await keeper.all()).toHaveLength(3);
});

test('one that is refused stays to be chosen about, and does not hold up the others', async () => {
  for (const at of [1, 2]) await keeper.put(kept(`planter-${at}`, at));
  const { sent, waiting } = await sendKept({
    isOpen: nobody,
    save: ({ at }) => (at === 1 ? Promise.reject(refusal('conflict')) : saved()),
  });
  expect(sent.map((one) => one.kept.id)).toEqual(['planter-2']);
  expect(waiting.map(({ id }) => id)).toEqual(['planter-1']);
  expect(await keeper.all()).toHaveLength(1);
});

test('changes one after the other are one save that names those before it, on the revision of the first', async () => {
  const first = await keepChange('prices', 'garden', 4, { book: NEW_BOOK });
  const second = await keepChange('prices', 'garden', 4, { book: { ...NEW_BOOK, kerf: 0.002 } });
  expect(await keeper.all()).toEqual([second]);
  expect(second).toMatchObject({ base: 4, after: [first.saveId] });
  // The answer to the first comes now: what was changed since is based on what it gave.
  await keeper.answered(second.key, first.saveId, 5);
  expect(await keeper.get(second.key)).toMatchObject({ base: 5, after: [], saveId: second.saveId });
  await keeper.answered(second.key, second.saveId, 6);
  expect(await keeper.all()).toEqual([]);
});

test('what clashes waits with the other version beside it, and what is refused with the reason', async () => {
  const mine = await keepChange('prices', 'garden', 1, { book: NEW_BOOK });
  const theirs = { revision: 7, body: { book: { ...NEW_BOOK, kerf: 0.001 } } };
  const save = jest.fn(() => Promise.reject(refusal('conflict')));
  await sendKept({ isOpen: nobody, save, clashOf: () => theirs });
  expect(await keeper.get(mine.key)).toMatchObject({ clash: theirs, body: { book: NEW_BOOK } });
  // Until somebody chooses it is not sent again.
  await sendKept({ isOpen: nobody, save });
  expect(save).toHaveBeenCalledTimes(1);
  // A new change of a refused one is tried again.
  const vessel = { name: 'Tote', vessel: design.vessel };
  const tote = await keepChange('vessel', 'v', 0, vessel);
  await sendKept({ isOpen: nobody, save: () => Promise.reject(refusal('contradiction')) });
  expect(await keeper.get(tote.key)).toMatchObject({ refused: 'No room for soil.' });
  await keepChange('vessel', 'v', 0, { ...vessel, name: 'Box' });
  expect(await keeper.get(tote.key)).not.toHaveProperty('refused');
});

test('two devices that were away for a day send what each did, and neither overwrites the other unseen', async () => {
  // A server with one price book, as its own statement decides.
  let book = { revision: 3, saveId: 'old', kerf: 0 };
  const server = async ({ base, saveId, after, body }: Kept) => {
    if (saveId === book.saveId) return book;
    if (base !== book.revision && !after.includes(book.saveId)) throw refusal('conflict');
    book = {
      revision: book.revision + 1,
      saveId,
      kerf: (body as Kept<'prices'>['body']).book.kerf,
    };
    return book;
  };
  const change = (kerf: number) =>
    keepChange('prices', 'garden', 3, { book: { ...NEW_BOOK, kerf } });
  await change(0.001);
  const phone = await change(0.002);
  await sendKept({ isOpen: nobody, save: server });
  expect(book).toMatchObject({ revision: 4, kerf: 0.002 });
  expect(await keeper.all()).toEqual([]);
  const bench = await change(0.004);
  const current = { revision: 4, body: { book: NEW_BOOK } };
  await sendKept({ isOpen: nobody, save: server, clashOf: () => current });
  expect(book.saveId).toBe(phone.saveId);
  expect(await keeper.get(bench.key)).toMatchObject({ clash: current });
});

test('marks wait by planter, the later of one key, and leave when the server has them', async () => {
  const mark = (minute: number, value: boolean): ProgressEntry => ({
    key: 'done/measure',
    value,
    at: new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString(),
  });
  await keepMark('p', mark(2, true));
  await keepMark('p', mark(1, false));
  expect(await marksOf('p')).toEqual([mark(2, true)]);
  const away = await sendMarks(() => Promise.reject(new UnreachableError()));
  expect(away.sent).toEqual([]);
  expect(away.trouble).toMatch('does not answer');
  // A newer mark comes while the old one is under way, and stays.
  await sendMarks(async () => keepMark('p', mark(3, false)));
  expect(await marksOf('p')).toEqual([mark(3, false)]);
  expect((await sendMarks(() => Promise.resolve())).sent).toEqual(['p']);
  expect(await marksOf('p')).toEqual([]);
});

test('a photo waits until the server has it; one that it does not take is let go, with the reason', async () => {
  const picture = new Blob(['jpeg'], { type: 'image/jpeg' });
  await keepPhoto('one', picture);
  const away = await sendPhotos(() => Promise.reject(new UnreachableError()));
  expect(away).toEqual({ sent: 0, refused: null });
  expect(await waitingPhoto('one')).not.toBeNull();
  const ids: string[] = [];
  await keepPhoto('two', picture);
  const { sent, refused } = await sendPhotos((id) => {
    ids.push(id);
    return id === 'two' ? Promise.reject(refusal('contradiction')) : Promise.resolve();
  });
  expect([ids.sort(), sent, refused]).toEqual([['one', 'two'], 1, 'No room for soil.']);
  expect(await waitingPhoto('one')).toBeNull();
  expect(await waitingPhoto('two')).toBeNull();
});
