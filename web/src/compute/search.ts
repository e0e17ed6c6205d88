import type { Scored } from '@huerta/core/planning';
import { useQueryClient } from '@tanstack/react-query';
import { proxy } from 'comlink';
import { useState } from 'react';
import { runInWorker } from './workerPool';
import { idOf, useWorkerQuery } from './useWorkerQuery';
import type { SearchAsked } from './tasks';

interface Found {
  /** Designs that are tried, once that is known. */
  of: number;
  points: readonly Scored[];
  done: number;
}

const NOTHING: Found = { of: 0, points: [], done: 0 };
/** Results that are shown together, so that the page has little to do. */
const SHOW_MS = 250;
/** One processor is left to the page. */
const MOST_WORKERS = 4;
const poolSize = (): number =>
  Math.min(Math.max((navigator.hardwareConcurrency || 2) - 1, 1), MOST_WORKERS);

/** A search by several workers; it can be stopped, and keeps what it has found. */
export function useSearch() {
  const client = useQueryClient();
  const [job, setJob] = useState<SearchAsked | null>(null);
  const key = job && ['search', idOf(job)];
  const { value, current, working, trouble } = useWorkerQuery<Found>({
    key,
    broke: 'The search broke off. What it had found is shown; start it again for the rest.',
    ask: (signal, tell) => searched(job as SearchAsked, signal, tell),
  });
  const found = current && value ? value : NOTHING;
  return {
    ...found,
    begun: job !== null,
    running: working,
    trouble,
    start: setJob,
    stop: () =>
      void client.cancelQueries({ queryKey: ['worker', ...(key ?? [])] }, { revert: false }),
  };
}

async function searched(
  job: SearchAsked,
  signal: AbortSignal,
  tell: (found: Found) => void,
): Promise<Found> {
  const points: Scored[] = [];
  let done = 0;
  const hear = (point: Scored | null) => {
    done += 1;
    if (point) points.push(point);
  };
  const candidates = await runInWorker(signal, (work) => work.candidates(job.design));
  const known = (): Found => ({ of: candidates.length, points: [...points], done });
  const timer = setInterval(() => tell(known()), SHOW_MS);
  const size = poolSize();
  const shares = Array.from({ length: size }, (_, k) => {
    // Neighbours differ in their lip alone and are put together once: they stay with one worker.
    const [from, to] = [k, k + 1].map((n) => Math.round((n * candidates.length) / size));
    const mine = candidates.slice(from, to);
    return runInWorker(signal, (work) => work.search(job, mine, proxy(hear)));
  });
  try {
    await Promise.all(shares);
    return known();
  } finally {
    clearInterval(timer);
  }
}
