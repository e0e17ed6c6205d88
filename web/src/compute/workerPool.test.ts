/** @jest-environment jsdom */
import { installWorker } from '../testing/worker';

/** Each test has workers of its own: those that are free outlive a question. */
async function handsOf(doubled: (value: number) => Promise<number>) {
  jest.resetModules();
  const state = installWorker({ doubled } as never);
  const made: { terminate(): void; ended: boolean }[] = [];
  const Made = globalThis.Worker;
  globalThis.Worker = class {
    constructor() {
      const worker = new (Made as unknown as new () => Worker)();
      const one = { terminate: worker.terminate.bind(worker), ended: false };
      worker.terminate = () => {
        one.ended = true;
        one.terminate();
      };
      made.push(one);
      return worker as never;
    }
  } as never;
  const hands = await import('./workerPool');
  const asks = (signal = new AbortController().signal, value = 1) =>
    hands.runInWorker(signal, (work) =>
      (work as unknown as { doubled: typeof doubled }).doubled(value),
    );
  return { ...hands, asks, made, state };
}

const twice = (value: number): Promise<number> => Promise.resolve(2 * value);
const never = (): Promise<number> => new Promise(() => undefined);

test('a worker that has answered is asked again, and two questions at once take two', async () => {
  const { asks, made } = await handsOf(twice);
  await expect(asks(undefined, 21)).resolves.toBe(42);
  await expect(asks(undefined, 4)).resolves.toBe(8);
  expect(made).toHaveLength(1);
  await expect(Promise.all([asks(undefined, 1), asks(undefined, 2)])).resolves.toEqual([2, 4]);
  expect(made).toHaveLength(2);
  await Promise.all([asks(), asks()]);
  expect(made).toHaveLength(2);
});

test('of many that were asked at once three stay, and the others are ended', async () => {
  const { asks, made } = await handsOf(twice);
  await Promise.all([1, 2, 3, 4, 5].map((value) => asks(undefined, value)));
  expect(made.map(({ ended }) => ended).sort()).toEqual([false, false, false, true, true]);
});

test('what nobody waits for ends its worker, with the reason; the next question has one of its own', async () => {
  const { asks, made } = await handsOf((value) => (value === 1 ? never() : twice(value)));
  const asking = new AbortController();
  const answer = asks(asking.signal, 1);
  asking.abort(new Error('moved on'));
  await expect(answer).rejects.toThrow('moved on');
  expect(made.map(({ ended }) => ended)).toEqual([true]);
  await expect(asks(undefined, 3)).resolves.toBe(6);
  expect(made).toHaveLength(2);
});

test('a question that was given up before it was asked starts no worker', async () => {
  const { asks, made } = await handsOf(twice);
  const asking = new AbortController();
  asking.abort(new Error('left'));
  await expect(asks(asking.signal)).rejects.toThrow('left');
  expect(made).toEqual([]);
});

test('a fault of the question is told, and its worker goes on', async () => {
  const { asks, made } = await handsOf((value) =>
    value === 1 ? Promise.reject(new Error('no such day')) : twice(value),
  );
  await expect(asks(undefined, 1)).rejects.toThrow('no such day');
  await expect(asks(undefined, 5)).resolves.toBe(10);
  expect(made).toHaveLength(1);
});

test('a worker that breaks while it is asked is told as broken, and is not asked again', async () => {
  const { asks, WorkerBroke, made, state } = await handsOf(twice);
  state.broken = true;
  await expect(asks()).rejects.toBeInstanceOf(WorkerBroke);
  expect(made.map(({ ended }) => ended)).toEqual([true]);
  state.broken = false;
  await expect(asks(undefined, 7)).resolves.toBe(14);
});

test('a worker that breaks before it is asked is not asked: another is started', async () => {
  const { asks, made, state, warmWorkers } = await handsOf(twice);
  state.broken = true;
  warmWorkers(1);
  expect(made).toHaveLength(1);
  await new Promise((done) => setTimeout(done, 20));
  state.broken = false;
  await expect(asks(undefined, 9)).resolves.toBe(18);
  expect(made).toHaveLength(2);
});

test('no more are kept ready than stay', async () => {
  const { asks, made, warmWorkers } = await handsOf(twice);
  warmWorkers(8);
  expect(made).toHaveLength(3);
  await asks();
  expect(made).toHaveLength(3);
});
