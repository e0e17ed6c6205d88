import { ROUND } from '@huerta/contract';
import type { TendedState } from '@huerta/core/journal';
import { proxy } from 'comlink';
import { callRoute } from '../data/api/client';
import { objectStore } from '../data/offline/store';
import type { KnownState } from '../data/offline/types';
import type { RoundPlanter, RoundState } from './tasks';
import { runInWorker } from './workerPool';

/** How planters stand, by id, as far as it is known. */
export type Round = Readonly<Record<string, TendedState | null>>;

/** A planter of a round, and the mark of what its answer hangs on. */
export interface MarkedPlanter extends RoundPlanter {
  by: string;
}

/** Least time between two questions to a server that had nothing new, milliseconds. */
const PAUSE_MS = 50;

/** Which Huerta this is: another one may work out something else. */
const PROGRAM = import.meta.url;

/** What was worked out lately, by planter and what it hangs on: a new entry asks again for its planter alone. */
const states = objectStore<KnownState>('states');
const stateCache = new Map<string, KnownState>();

async function loadStateCache(): Promise<ReadonlyMap<string, KnownState>> {
  if (stateCache.size === 0) {
    for (const one of await states.all())
      if (one.program === PROGRAM) stateCache.set(one.planter, one);
  }
  return stateCache;
}

function keepState(one: KnownState): void {
  stateCache.set(one.planter, one);
  void states.change(one.planter, () => one);
}

/**
 * Planters from which on a worker of this device works beside the server. Of fewer the server is done before a new worker
 * is warm, and on one machine the two would take each other's time.
 */
const MANY = 24;

/**
 * How planters of a round stand. What was worked out here lately is taken; the rest the server is asked for, which begins
 * with the first planter, while of many a worker of this device begins with the last. What the server does not know (an
 * entry that waits here, another day), and all of it where it does not answer, is worked out here.
 *
 * @param tell is given what is known so far
 * @throws WorkerBroke; the signal's reason
 */
export async function roundStates(
  planters: readonly MarkedPlanter[],
  signal: AbortSignal,
  tell: (round: Round) => void,
): Promise<Round> {
  const known = new Map<string, TendedState | null>();
  const open = new Map<string, MarkedPlanter>();
  const before = await loadStateCache();
  for (const one of planters) {
    const then = before.get(one.id);
    // Nobody has said that anything grows in it.
    if (one.question.entries.length === 0 && one.question.planted === null) known.set(one.id, null);
    else if (then?.by === one.by) known.set(one.id, then.state);
    else open.set(one.id, one);
  }
  const told = () => Object.fromEntries(known);
  if (open.size === 0) return told();
  if (known.size > 0) tell(told());
  await shareOut(open, signal, ({ id, by }, state) => {
    keepState({ planter: id, program: PROGRAM, by, state });
    known.set(id, state);
    tell(told());
  });
  return told();
}

/** Works out all that is open, by server and workers. @param found is told each planter once */
async function shareOut(
  open: Map<string, MarkedPlanter>,
  signal: AbortSignal,
  found: (planter: MarkedPlanter, state: TendedState | null) => void,
): Promise<void> {
  let finish = () => {};
  const allFound = new Promise<void>((resolve) => {
    finish = resolve;
  });
  const take = (id: string, state: TendedState | null): void => {
    const one = open.get(id);
    if (!one) return;
    open.delete(id);
    found(one, state);
    if (open.size === 0) finish();
  };
  // Of a single planter this device has the newest entry; the server hears of it at the same time.
  const server = open.size > 1 ? fromServer(open, signal, take) : Promise.resolve();
  const begun = new Set<string>();
  const work = () => fromWorker(open, begun, signal, take);
  const workers = [server.then(work), ...(open.size >= MANY ? [work()] : [])];
  await Promise.race([allFound, Promise.all(workers)]);
}

type Take = (id: string, state: TendedState | null) => void;

/** Takes what the server has, or makes ready; returns when nothing more comes from there. */
async function fromServer(
  open: ReadonlyMap<string, MarkedPlanter>,
  signal: AbortSignal,
  take: Take,
): Promise<void> {
  try {
    for (let [since, working] = [0, true]; working && open.size > 0 && !signal.aborted;) {
      const answer = await callRoute(ROUND.states, { query: { since: `${since}` }, passing: true });
      for (const { planter, mark, state } of answer.standing)
        if (open.get(planter)?.by === mark) take(planter, state as TendedState | null);
      ({ last: since, working } = answer);
      // It waits for more by itself; what stands between may not.
      if (answer.standing.length === 0) await new Promise((next) => setTimeout(next, PAUSE_MS));
    }
  } catch {
    // Without the server it is worked out here.
  }
}

/** Works out one after the other, the last first, until none is left that nobody has begun. */
async function fromWorker(
  open: ReadonlyMap<string, MarkedPlanter>,
  begun: Set<string>,
  signal: AbortSignal,
  take: Take,
): Promise<void> {
  const heard = proxy(({ id, state }: RoundState) => take(id, state));
  for (;;) {
    const next = [...open.values()].filter(({ id }) => !begun.has(id)).at(-1);
    if (!next) return;
    begun.add(next.id);
    const { id, question } = next;
    await runInWorker(signal, (work) => work.round([{ id, question }], heard));
  }
}
