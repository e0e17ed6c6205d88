import 'fake-indexeddb/auto';
import type { PlanterResource } from '@huerta/contract';
import { STARTING_POINTS } from '@huerta/core';
import { RefusedError, UnreachableError } from '../api/client';
import { keeper, type Kept } from './kept';
import { sendKept } from './sendKept';

const design = STARTING_POINTS[0]!.design;
const kept = (planter: string, at: number, over: Partial<Kept> = {}): Kept => ({
  key: `${planter}/bench-${at}`,
  planter,
  bench: `bench-${at}`,
  base: 1,
  saveId: `save-${at}`,
  after: [],
  design,
  at,
  ...over,
});
const nobody = () => Promise.resolve(false);
const saved = {} as PlanterResource;

beforeEach(async () => {
  for (const { key, saveId } of await keeper.all()) await keeper.drop(key, saveId);
});

test('what is kept is found by its planter, newest first, and dropped by its own save only', async () => {
  await keeper.put(kept('a', 1));
  await keeper.put(kept('a', 2));
  await keeper.put(kept('b', 3));
  expect((await keeper.of('a')).map(({ at }) => at)).toEqual([2, 1]);
  // A newer change took its place meanwhile: the answer to the old save leaves it.
  await keeper.put(kept('a', 2, { saveId: 'newer' }));
  await keeper.drop('a/bench-2', 'save-2');
  expect((await keeper.of('a')).map(({ saveId }) => saveId)).toContain('newer');
  await keeper.drop('a/bench-2', 'newer');
  expect((await keeper.of('a')).map(({ at }) => at)).toEqual([1]);
});

test('all that is kept is sent in the order in which it was made, but for what an open bench holds', async () => {
  for (const at of [3, 1, 2]) await keeper.put(kept(`planter-${at}`, at));
  const order: string[] = [];
  const { sent, waiting } = await sendKept({
    isOpen: async (bench) => bench === 'bench-2',
    save: async ({ planter }) => {
      order.push(planter);
      return saved;
    },
  });
  expect(order).toEqual(['planter-1', 'planter-3']);
  expect([sent, waiting]).toEqual([order, []]);
  expect((await keeper.all()).map(({ planter }) => planter)).toEqual(['planter-2']);
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
  const refusal = new RefusedError({
    type: 'urn:huerta:problem:conflict',
    kind: 'conflict',
    title: '',
    status: 409,
    detail: '',
  });
  const { sent, waiting } = await sendKept({
    isOpen: nobody,
    save: ({ at }) => (at === 1 ? Promise.reject(refusal) : Promise.resolve(saved)),
  });
  expect(sent).toEqual(['planter-2']);
  expect(waiting.map(({ planter }) => planter)).toEqual(['planter-1']);
  expect(await keeper.all()).toHaveLength(1);
});
