import { wrap, type Remote } from 'comlink';
import type { Tasks } from './tasks';

/**
 * The one way to the workers. A question takes a worker that is free, or starts one; when it is answered the
 * worker is free again. A question that nobody waits for any more ends its worker, because a worker that
 * computes cannot listen.
 */

/** A worker that could not be started or ended by itself. */
export class WorkerBroke extends Error {}

interface Hand {
  worker: Worker;
  work: Remote<Tasks>;
}

/** Workers that stay when nothing is asked. */
const MOST_FREE = 3;
const free: Hand[] = [];

function start(): Hand {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
  const hand = { worker, work: wrap<Tasks>(worker) };
  // One that breaks before it is asked anything would never answer.
  worker.addEventListener('error', () => {
    const at = free.indexOf(hand);
    if (at >= 0) free.splice(at, 1);
  });
  return hand;
}

/** Starts workers before they are asked, so that they are ready when a page has what to ask. */
export function warmWorkers(count: number): void {
  while (free.length < Math.min(count, MOST_FREE)) {
    const hand = start();
    free.push(hand);
    // Whatever comes of it: what is asked next says so itself.
    void hand.work.warmUp().catch(() => undefined);
  }
}

/**
 * Asks a worker.
 *
 * @param signal ends the question, and rejects with the signal's reason
 * @param what the call
 * @throws Broke when the worker could not be started or ended, and what the call throws
 */
export function runInWorker<T>(
  signal: AbortSignal,
  what: (work: Remote<Tasks>) => Promise<T>,
): Promise<T> {
  if (signal.aborted) return Promise.reject(signal.reason as Error);
  const hand = free.pop() ?? start();
  const { worker } = hand;
  return new Promise<T>((done, failed) => {
    const over = (finish: () => void, whole: boolean) => {
      signal.removeEventListener('abort', aborted);
      worker.removeEventListener('error', broke);
      if (whole && free.length < MOST_FREE) free.push(hand);
      else worker.terminate();
      finish();
    };
    const aborted = () => over(() => failed(signal.reason as Error), false);
    const broke = () => over(() => failed(new WorkerBroke('A worker broke')), false);
    signal.addEventListener('abort', aborted);
    worker.addEventListener('error', broke);
    what(hand.work).then(
      (answer) => over(() => done(answer), true),
      (error: Error) => over(() => failed(error), true),
    );
  });
}
