import type { Carry, FieldPictures, PlanterDesign } from '@huerta/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { wrap, type Remote } from 'comlink';
import type { FieldWork } from './field.worker';

/** Where the water gets to: asked of a worker of its own. */
export interface FieldAsked {
  design: PlanterDesign;
  /** The level as a share of the full reservoir, and the kind of day. */
  share: number;
  day: 'hot' | 'mild';
}

let kept: { worker: Worker; work: Remote<FieldWork> } | null = null;

/** Asks the worker; a question that nobody waits for any more ends it, and the next one has a new one. */
function ask<T>(signal: AbortSignal, what: (work: Remote<FieldWork>) => Promise<T>): Promise<T> {
  if (!kept) {
    const worker = new Worker(new URL('./field.worker.ts', import.meta.url), { type: 'module' });
    kept = { worker, work: wrap<FieldWork>(worker) };
  }
  const { worker, work } = kept;
  return new Promise<T>((done, failed) => {
    const end = (why: Error) => {
      worker.terminate();
      if (kept?.worker === worker) kept = null;
      failed(why);
    };
    signal.addEventListener('abort', () => end(signal.reason as Error));
    worker.addEventListener('error', () => end(new Error('The worker broke')));
    what(work).then(done, failed);
  });
}

/** The moisture of a planter; the last good one stays while a new one is worked out. */
export const useField = (asked: FieldAsked) =>
  useQuery({
    queryKey: ['field', asked],
    queryFn: ({ signal }): Promise<FieldPictures> => ask(signal, (work) => work.pictures(asked)),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });

/** What carries the water farther, once it is known that it does not get everywhere. */
export const useCarries = (asked: FieldAsked, wanted: boolean) =>
  useQuery({
    queryKey: ['carries', asked],
    queryFn: ({ signal }): Promise<Carry[]> => ask(signal, (work) => work.carries(asked)),
    enabled: wanted,
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });
