import type { PlanterResource } from '@huerta/contract';
import { STARTING_POINTS, type PlanterDesign } from '@huerta/core/document';
import { away, refusedWith } from '../../testing/refusals';
import {
  createAutosave,
  type AutosaveOptions,
  type SaveMark,
  type SaveState,
  type Unsaved,
} from './autosave';

const design = STARTING_POINTS[0]!.design;
const named = (name: string): PlanterDesign => ({ ...design, name });
const answer = (revision: number, saved = design): PlanterResource => ({
  id: '00000000-0000-4000-8000-000000000000',
  revision,
  createdAt: '2026-05-01T08:00:00.000Z',
  updatedAt: '2026-05-01T08:00:00.000Z',
  design: saved,
});

const conflict = () =>
  refusedWith(409, {
    kind: 'conflict',
    detail: '',
    current: { ...answer(7, named('theirs')) },
  });

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function bench(
  save: (revision: number, design: PlanterDesign) => Promise<PlanterResource>,
  from: { kept?: AutosaveOptions['kept']; revision?: number } = {},
) {
  const states: SaveState['kind'][] = [];
  const calls: [number, string][] = [];
  const marks: SaveMark[] = [];
  /** What lies on the device. */
  let onDevice: Unsaved | null = null;
  let ids = 0;
  const autosave = createAutosave({
    revision: from.revision ?? 1,
    kept: from.kept ?? null,
    save: (mark, saved) => {
      calls.push([mark.revision, saved.name]);
      marks.push(mark);
      return save(mark.revision, saved);
    },
    keep: (unsaved) => {
      onDevice = unsaved;
    },
    drop: (saveId) => {
      if (onDevice?.saveId === saveId) onDevice = null;
    },
    newId: () => `save-${(ids += 1)}`,
    onState: ({ kind }) => states.push(kind),
  });
  return { autosave, states, calls, marks, device: () => onDevice };
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
    if (!up) throw away();
    return answer(revision + 1);
  });
  autosave.changed(named('a'));
  await jest.advanceTimersByTimeAsync(4000);
  expect(states.at(-1)).toBe('later');
  up = true;
  // The second wait is twice the first.
  await jest.advanceTimersByTimeAsync(6000);
  expect(states.at(-1)).toBe('saved');
  expect(calls.at(-1)).toEqual([1, 'a']);
});

test.each([429, 500, 502, 503, 507])(
  'an answer of %s, with a problem or without, is no end: the bench tries again',
  async (status) => {
    for (const problem of [undefined, { kind: 'internal', detail: 'The disk is full.' }] as const) {
      let up = false;
      const { autosave, states, device } = bench(async (revision) => {
        if (!up) throw refusedWith(status, problem);
        return answer(revision + 1);
      });
      autosave.changed(named('a'));
      await jest.advanceTimersByTimeAsync(600);
      expect(states.at(-1)).toBe('later');
      expect(device()).not.toBeNull();
      up = true;
      await jest.advanceTimersByTimeAsync(4000);
      expect(states.at(-1)).toBe('saved');
      expect(device()).toBeNull();
    }
  },
);

test('a conflict stops saving until it is decided', async () => {
  let clash = true;
  const { autosave, states, calls } = bench(async (revision) => {
    if (!clash) return answer(revision + 1);
    throw conflict();
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

test('a change lies on the device from the moment it is made until the server has it', async () => {
  const { autosave, device } = bench(async (revision) => answer(revision + 1));
  autosave.changed(named('a'));
  expect(device()).toMatchObject({ revision: 1, saveId: 'save-1', design: { name: 'a' } });
  await jest.advanceTimersByTimeAsync(600);
  expect(device()).toBeNull();
});

test('with the server away it stays on the device, and a later bench sends it by the same id', async () => {
  const gone = bench(() => Promise.reject(away()));
  gone.autosave.changed(named('a'));
  await jest.advanceTimersByTimeAsync(600);
  gone.autosave.changed(named('b'));
  await jest.advanceTimersByTimeAsync(600);
  gone.autosave.stop();
  const kept = gone.device()!;
  // The first may have come through: what follows says so.
  expect(kept).toMatchObject({ revision: 1, design: { name: 'b' } });
  expect(kept.after).toContain('save-1');
  const later = bench(async (revision) => answer(revision + 1), { kept, revision: kept.revision });
  await jest.advanceTimersByTimeAsync(0);
  expect(later.calls).toEqual([[1, 'b']]);
  expect(later.marks[0]).toMatchObject({ saveId: kept.saveId, after: kept.after });
  expect(later.states.at(-1)).toBe('saved');
});

test('an edit made during a slow save is kept with that save before it, then based on its answer', async () => {
  const { autosave, device } = bench(
    (revision) => new Promise((done) => setTimeout(() => done(answer(revision + 1)), 5000)),
  );
  autosave.changed(named('a'));
  await jest.advanceTimersByTimeAsync(600);
  autosave.changed(named('b'));
  expect(device()).toMatchObject({ revision: 1, after: ['save-1'], design: { name: 'b' } });
  await jest.advanceTimersByTimeAsync(5100);
  expect(device()).toMatchObject({ revision: 2, after: [], design: { name: 'b' } });
  await jest.advanceTimersByTimeAsync(6000);
  expect(device()).toBeNull();
});

test('an open conflict keeps this side on the device until one is chosen', async () => {
  const { autosave, device, states } = bench(() => Promise.reject(conflict()));
  autosave.changed(named('mine'));
  await jest.advanceTimersByTimeAsync(600);
  expect(states.at(-1)).toBe('conflict');
  expect(device()).toMatchObject({ revision: 1, design: { name: 'mine' } });
  autosave.goOnFrom(7);
  expect(device()).toBeNull();
});

test('a conflict with the same design is none', async () => {
  let answers = 0;
  const { autosave, device, states, calls } = bench((revision, saved) => {
    answers += 1;
    return answers === 1
      ? Promise.reject(conflict())
      : Promise.resolve(answer(revision + 1, saved));
  });
  autosave.changed(named('theirs'));
  await jest.advanceTimersByTimeAsync(600);
  expect(states).not.toContain('conflict');
  expect(states.at(-1)).toBe('saved');
  expect(device()).toBeNull();
  autosave.changed(named('next'));
  await jest.advanceTimersByTimeAsync(600);
  expect(calls.at(-1)).toEqual([7, 'next']);
});

test('what is taken from the server is not kept or sent as a change of one’s own', async () => {
  const { autosave, device, states, calls } = bench(() => Promise.reject(conflict()));
  autosave.changed(named('mine'));
  await jest.advanceTimersByTimeAsync(600);
  const theirs = { revision: 7, design: named('theirs') };
  autosave.take(theirs);
  autosave.changed(theirs.design);
  expect(device()).toBeNull();
  await jest.advanceTimersByTimeAsync(6000);
  expect(calls).toHaveLength(1);
  expect(states.at(-1)).toBe('saved');
  // Come back to later, it is a change like any other.
  autosave.changed(theirs.design);
  expect(device()).not.toBeNull();
});
