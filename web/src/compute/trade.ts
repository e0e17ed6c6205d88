import type { Planter } from '@huerta/core/assembly';
import type { TradePoint } from '@huerta/core/assessment';
import { runInWorker } from './workerPool';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';

/** Rest before a changed design is worked out, milliseconds. */
const REST_MS = 120;

/** Water against roots for a design; the last good curve stays while a new one is worked out. */
export const useTradeCurve = ({
  design,
  share,
}: Pick<Planter, 'design' | 'share'>): Known<TradePoint[]> =>
  useWorkerQuery({
    key: ['trade', idOf(design), share],
    broke:
      'The curve could not be worked out. The last one is shown; change a measure to try again.',
    ask: async (signal) => {
      await rest(REST_MS, signal);
      return runInWorker(signal, (work) => work.trade(design, share));
    },
  });

/** Waits, and rejects when the signal says that nobody does any more. */
const rest = (milliseconds: number, signal: AbortSignal): Promise<void> =>
  new Promise((done, failed) => {
    const timer = setTimeout(done, milliseconds);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      failed(signal.reason as Error);
    });
  });
