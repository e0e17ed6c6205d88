import type { Candidate, PlanterDesign, PriceBook, Scored, WeatherDay } from '@huerta/core';
import { useCallback, useEffect, useRef, useState } from 'react';

/** A candidate's score, or null where it could not be worked out. */
export interface SearchMessage {
  point: Scored | null;
}

export interface SearchJob {
  design: PlanterDesign;
  candidates: readonly Candidate[];
  weathers: readonly (readonly WeatherDay[])[];
  planted: string;
  book: PriceBook;
}

export interface SearchState {
  points: readonly Scored[];
  done: number;
  of: number;
  running: boolean;
  trouble: string | null;
}

const IDLE: SearchState = { points: [], done: 0, of: 0, running: false, trouble: null };
/** Results that are shown together, so that the page has little to do. */
const SHOW_MS = 250;
/** One processor is left to the page. */
const MOST_WORKERS = 4;
const poolSize = (): number =>
  Math.min(Math.max((navigator.hardwareConcurrency || 2) - 1, 1), MOST_WORKERS);

/** A search in a pool of workers; it can be stopped, and keeps what it has found. */
export function useSearch() {
  const [state, setState] = useState<SearchState>(IDLE);
  const pool = useRef<Worker[]>([]);
  const timer = useRef<ReturnType<typeof setInterval> | null>(null);

  const end = useCallback(() => {
    pool.current.forEach((worker) => worker.terminate());
    pool.current = [];
    if (timer.current) clearInterval(timer.current);
    timer.current = null;
  }, []);
  useEffect(() => end, [end]);

  const stop = useCallback(() => {
    end();
    setState((now) => ({ ...now, running: false }));
  }, [end]);

  const start = useCallback(
    ({ design, candidates, weathers, planted, book }: SearchJob) => {
      end();
      const of = candidates.length;
      const found: Scored[] = [];
      let done = 0;
      let trouble: string | null = null;
      const show = () => {
        const running = done < of && trouble === null;
        setState({ points: [...found], done, of, running, trouble });
        if (!running) end();
      };
      setState({ points: [], done: 0, of, running: of > 0, trouble: null });
      const size = poolSize();
      pool.current = Array.from({ length: size }, (_, k) => {
        const worker = new Worker(new URL('./search.worker.ts', import.meta.url), {
          type: 'module',
        });
        worker.onmessage = ({ data }: MessageEvent<SearchMessage>) => {
          done += 1;
          if (data.point) found.push(data.point);
        };
        worker.onerror = () => {
          trouble =
            'The search broke off. What it had found is shown; start it again for the rest.';
        };
        const mine = candidates.filter((_one, i) => i % size === k);
        worker.postMessage({ design, candidates: mine, weathers, planted, book });
        return worker;
      });
      timer.current = setInterval(show, SHOW_MS);
    },
    [end],
  );

  return { ...state, start, stop };
}
