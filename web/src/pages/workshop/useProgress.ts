import { merged, progressOf, type Progress, type ProgressEntry } from '@huerta/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { fetchProgress, sendProgress } from '../../api/build';
import { RefusedError } from '../../api/client';
import { waitingMarks } from './waitingMarks';

/** How often another device's marks are looked for, and how soon a failed sending is tried again. */
const LOOK_MS = 8000;
const AGAIN_MS = 5000;
/** Marks made one after the other go out together. */
const GATHER_MS = 60;

export interface Marking {
  progress: Progress;
  /** Whether the server's marks have been seen yet. */
  known: boolean;
  mark(key: string, value: ProgressEntry['value']): void;
  /** Marks that are kept here and not on the server yet. */
  waiting: number;
  /** Why they are not there. */
  trouble: string | null;
}

/**
 * The progress of a build: what the server has, and what was marked here and is still on its way. A
 * mark counts at once, is kept on this device, and is sent until the server has it.
 */
export function useProgress(planter: string): Marking {
  const client = useQueryClient();
  const key = useMemo(() => ['progress', planter] as const, [planter]);
  const server = useQuery({
    queryKey: key,
    queryFn: () => fetchProgress(planter),
    refetchInterval: LOOK_MS,
    networkMode: 'always',
    retry: false,
  });
  const [store] = useState(() => waitingMarks(planter));
  const waiting = useStore(store, (state) => state.waiting);
  const [trouble, setTrouble] = useState<string | null>(null);
  const sending = useRef(false);

  const send = useCallback(async () => {
    const entries = store.getState().waiting;
    if (entries.length === 0 || sending.current) return;
    sending.current = true;
    try {
      const answer = await sendProgress(planter, entries);
      store.getState().sent(entries);
      client.setQueryData(key, answer);
      setTrouble(null);
    } catch (error) {
      setTrouble(
        error instanceof RefusedError
          ? error.message
          : 'The server does not answer. Marks are kept on this device and sent when it does.',
      );
    } finally {
      sending.current = false;
    }
  }, [client, key, planter, store]);

  useEffect(() => {
    if (waiting.length === 0) return;
    const first = setTimeout(() => void send(), GATHER_MS);
    const again = setInterval(() => void send(), AGAIN_MS);
    const now = () => void send();
    window.addEventListener('online', now);
    return () => {
      clearTimeout(first);
      clearInterval(again);
      window.removeEventListener('online', now);
    };
  }, [waiting, send]);

  const entries = useMemo(() => merged(server.data ?? [], waiting), [server.data, waiting]);
  const mark = useCallback(
    (name: string, value: ProgressEntry['value']) => {
      const last = merged(client.getQueryData<ProgressEntry[]>(key) ?? [], store.getState().waiting)
        .filter((entry) => entry.key === name)
        .map(({ at }) => Date.parse(at));
      // A clock that is slow must not lose to the mark that is seen on the screen.
      const at = new Date(Math.max(Date.now(), ...last.map((time) => time + 1))).toISOString();
      store.getState().add({ key: name, value, at });
    },
    [client, key, store],
  );
  return {
    progress: useMemo(() => progressOf(entries), [entries]),
    known: server.data !== undefined,
    mark,
    waiting: waiting.length,
    trouble: waiting.length > 0 ? trouble : null,
  };
}
