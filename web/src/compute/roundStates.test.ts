/** @jest-environment jsdom */
import type { TendedState } from '@huerta/core/journal';
import { installWorker, serveWith } from '../testing/worker';
import type { MarkedPlanter, Round } from './roundStates';
import type { RoundPlanter, RoundState } from './tasks';

const stateOf = (id: string, from: string) => ({ planted: from, id }) as unknown as TendedState;
const planterOf = (n: number): MarkedPlanter => ({
  id: `p${n}`,
  by: `mark ${n}`,
  question: { entries: [], planted: '2026-05-01' } as unknown as MarkedPlanter['question'],
});

/**
 * What a server answers that has some states, one an answer, and says that it is at work until all are told.
 *
 * @param most those that it has at first, until its `ready` says that it has all
 */
function served(marks: readonly [id: string, mark: string][], most = Infinity, ready = () => true) {
  return serveWith(({ path }) => {
    const since = Number(new URL(`http://x${path}`).searchParams.get('since'));
    const standing = marks
      .slice(0, ready() ? Infinity : most)
      .slice(since, since + 1)
      .map(([planter, mark]) => ({ planter, mark, state: stateOf(planter, 'server') }));
    const last = since + standing.length;
    return { last, working: last < marks.length, standing };
  });
}

async function roundOf(planters: readonly MarkedPlanter[], worked: string[] = []) {
  jest.resetModules();
  installWorker({
    round: async (
      asked: readonly RoundPlanter[],
      tell: (state: RoundState) => Promise<void> | void,
    ) => {
      for (const { id } of asked) {
        worked.push(id);
        await tell({ id, state: stateOf(id, 'here') });
      }
    },
  } as never);
  const { roundStates } = await import('./roundStates');
  const told: Round[] = [];
  const round = await roundStates(planters, new AbortController().signal, (one) => told.push(one));
  const from = Object.fromEntries(
    Object.entries(round).map(([id, state]) => [id, state?.planted ?? null]),
  );
  return { from, worked, told };
}

test('of a few, the server works out what it knows the marks of, and this device the rest', async () => {
  served([
    ['p1', 'mark 1'],
    ['p2', 'of yesterday'],
    ['p3', 'mark 3'],
  ]);
  const { from, worked, told } = await roundOf([1, 2, 3].map(planterOf));
  expect(from).toEqual({ p1: 'server', p2: 'here', p3: 'server' });
  expect(worked).toEqual(['p2']);
  // Told as they come, each with all that is known.
  expect(told.map((round) => Object.keys(round).length)).toEqual([1, 2, 3]);
});

test('without a server all is worked out here, the last first', async () => {
  serveWith(() => {
    throw new Error('away');
  });
  const { from, worked } = await roundOf([1, 2, 3].map(planterOf));
  expect(from).toEqual({ p1: 'here', p2: 'here', p3: 'here' });
  expect(worked).toEqual(['p3', 'p2', 'p1']);
});

test('a single planter is worked out here at once, and one that nobody planted is not asked about', async () => {
  const asked = served([]);
  const never = { ...planterOf(2), question: { entries: [], planted: null } as never };
  const { from, worked } = await roundOf([planterOf(1), never]);
  expect(from).toEqual({ p1: 'here', p2: null });
  expect(worked).toEqual(['p1']);
  expect(asked).toEqual([]);
});

test('of many a worker begins with the last beside the server, and nothing is found twice', async () => {
  const many = Array.from({ length: 30 }, (_, i) => planterOf(i + 1));
  const worked: string[] = [];
  const marks = many.map(({ id, by }): [string, string] => [id, by]);
  served(marks, 10, () => worked.length > 3);
  const { from, told } = await roundOf(many, worked);
  expect(Object.keys(from)).toHaveLength(30);
  expect(from.p30).toBe('here');
  expect(from.p1).toBe('server');
  expect(told).toHaveLength(30);
});
