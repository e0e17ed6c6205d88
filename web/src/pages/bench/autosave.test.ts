import type { PlanterResource } from '@huerta/contract';
import { STARTING_POINTS, type PlanterDesign } from '@huerta/core';
import { RefusedError, UnreachableError } from '../../api/client';
import { createAutosave, type SaveState } from './autosave';

const design = STARTING_POINTS[0]!.design;
const named = (name: string): PlanterDesign => ({ ...design, name });
const answer = (revision: number, saved = design): PlanterResource => ({
  id: '00000000-0000-4000-8000-000000000000',
  revision,
  createdAt: '',
  updatedAt: '',
  design: saved,
});

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function bench(save: (revision: number, design: PlanterDesign) => Promise<PlanterResource>) {
  const states: SaveState['kind'][] = [];
  const calls: [number, string][] = [];
  const autosave = createAutosave({
    revision: 1,
    save: (revision, saved) => {
      calls.push([revision, saved.name]);
      return save(revision, saved);
    },
    onState: ({ kind }) => states.push(kind),
  });
  return { autosave, states, calls };
}

test('a run of changes becomes one save of the newest', async () => {
  const { autosave, states, calls } = bench(async (revision) => answer(revision + 1));
  autosave.changed(named('a'));
  autosave.changed(named('b'));
  await jest.advanceTimersByTimeAsync(600);
  expect(calls).toEqual([[1, 'b']]);
  expect(states.at(-1)).toBe('saved');
});

test('a change during a save is saved after it, on the new revision', async () => {
  const { autosave, calls } = bench(
    (revision) => new Promise((done) => setTimeout(() => done(answer(revision + 1)), 1000)),
  );
  autosave.changed(named('a'));
  await jest.advanceTimersByTimeAsync(600);
  autosave.changed(named('b'));
  await jest.advanceTimersByTimeAsync(3000);
  expect(calls).toEqual([
    [1, 'a'],
    [2, 'b'],
  ]);
});

test('an unreachable server is tried again until it answers, and nothing is lost', async () => {
  let up = false;
  const { autosave, states, calls } = bench(async (revision) => {
    if (!up) throw new UnreachableError();
    return answer(revision + 1);
  });
  autosave.changed(named('a'));
  await jest.advanceTimersByTimeAsync(4000);
  expect(states.at(-1)).toBe('unreachable');
  up = true;
  await jest.advanceTimersByTimeAsync(4000);
  expect(states.at(-1)).toBe('saved');
  expect(calls.at(-1)).toEqual([1, 'a']);
});

test('a conflict stops saving until it is decided', async () => {
  let clash = true;
  const { autosave, states, calls } = bench(async (revision) => {
    if (!clash) return answer(revision + 1);
    throw new RefusedError({
      type: 'urn:huerta:problem:conflict',
      kind: 'conflict',
      title: '',
      status: 409,
      detail: '',
      current: answer(7, named('theirs')),
    });
  });
  autosave.changed(named('mine'));
  await jest.advanceTimersByTimeAsync(600);
  expect(states.at(-1)).toBe('conflict');
  autosave.changed(named('mine still'));
  await jest.advanceTimersByTimeAsync(9000);
  expect(calls).toHaveLength(1);
  clash = false;
  autosave.goOnFrom(7, named('mine still'));
  await jest.advanceTimersByTimeAsync(0);
  expect(calls.at(-1)).toEqual([7, 'mine still']);
  expect(states.at(-1)).toBe('saved');
});
