import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { WorkerBroke } from './workerPool';

/** How long an answer that nobody looks at is kept. */
const KEPT_MS = 60_000;

/** Time between two pictures of what is told bit by bit: a page that is drawn anew each time holds the workers up. */
const TELL_MS = 250;

/** Tells the first value at once, and from then on the latest, at most once in TELL_MS. */
function throttled<T>(tell: (value: T) => void) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let waiting: { value: T } | null = null;
  const next = (): void => {
    timer = undefined;
    if (!waiting) return;
    tell(waiting.value);
    waiting = null;
    timer = setTimeout(next, TELL_MS);
  };
  return {
    tell(value: T): void {
      waiting = { value };
      if (timer === undefined) next();
    },
    end: (): void => clearTimeout(timer),
  };
}

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
    queryFn: ({ signal }) => {
      const telling = throttled<T>((value) => {
        if (!signal.aborted) client.setQueryData(queryKey, value);
      });
      return ask(signal, telling.tell).finally(telling.end);
    },
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
