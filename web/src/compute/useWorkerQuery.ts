import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { WorkerBroke } from './workerPool';

/** How long an answer that nobody looks at is kept. */
const KEPT_MS = 60_000;

/** What is known of an answer. */
export interface Known<T> {
  value: T | null;
  /** Whether that answers what is asked now, and not what was asked before. */
  current: boolean;
  /** Whether more of it is to come. */
  working: boolean;
  /** Why there is nothing newer. */
  trouble: string | null;
}

interface Telling<T> {
  /** What tells this question from others; null while there is none. */
  key: readonly unknown[] | null;
  ask(signal: AbortSignal, tell: (value: T) => void): Promise<T>;
  /** What to say when it breaks. */
  broke: string;
}

/**
 * A question to a worker, and what is told of it bit by bit. A new question ends the old one, what was good
 * stays until there is better, and what was answered is not asked again.
 */
export function useWorkerQuery<T>({ key, ask, broke }: Telling<T>): Known<T> {
  const client = useQueryClient();
  const [last, setLast] = useState<T | null>(null);
  const queryKey = ['worker', ...(key ?? [])];
  const { data, isFetching, isError, error } = useQuery({
    queryKey,
    queryFn: ({ signal }) =>
      ask(signal, (value) => {
        if (!signal.aborted) client.setQueryData(queryKey, value);
      }),
    enabled: key !== null,
    staleTime: Infinity,
    gcTime: KEPT_MS,
    networkMode: 'always',
    retry: false,
    structuralSharing: false,
  });
  const value = key === null ? undefined : data;
  if (value !== undefined && value !== last) setLast(value);
  const said =
    error instanceof WorkerBroke ? broke : `${error?.message}. What was worked out last is shown.`;
  return {
    value: value ?? last,
    current: value !== undefined,
    working: isFetching,
    trouble: key !== null && isError ? said : null,
  };
}

let count = 0;
const ids = new WeakMap<object, number>();

/** A number that stands for an object, so that a large question need not be read to be told from another. */
export function idOf(object: object): number {
  const known = ids.get(object);
  if (known !== undefined) return known;
  count += 1;
  ids.set(object, count);
  return count;
}
