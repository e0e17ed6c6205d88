import { merged, progressOf, type Progress, type ProgressEntry } from '@huerta/core/fabrication';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { fetchProgress } from '../../data/api/build';
import { addPendingProgress, pendingProgressOf } from '../../data/offline/pendingProgress';
import { HALTED, type Halted } from '../../data/offline/halted';

/** How often another device's marks are looked for. */
const LOOK_MS = 8000;
const NONE: ProgressEntry[] = [];

export interface Marking {
  progress: Progress;
  /** Whether the server's marks were never seen on this device and cannot be asked for. */
  unseen: boolean;
  mark(key: string, value: ProgressEntry['value']): void;
  /** Marks that are kept here and not on the server yet. */
  waiting: number;
  /** Why they are not there. */
  trouble: string | null;
}

/**
 * The progress of a build: what the server has, and what was marked here and is still on its way. A
 * mark counts at once, is kept on this device, and is sent by the queue until the server has it.
 */
export function useProgress(planter: string): Marking {
  const client = useQueryClient();
  const key = useMemo(() => ['progress', planter] as const, [planter]);
  const here = useMemo(() => ['marks', planter] as const, [planter]);
  const server = useQuery({
    queryKey: key,
    queryFn: () => fetchProgress(planter),
    refetchInterval: LOOK_MS,
    networkMode: 'always',
    retry: false,
  });
  const { data: waiting = NONE } = useQuery({
    queryKey: here,
    queryFn: () => pendingProgressOf(planter),
  });
  const { data: halted } = useQuery<Halted>({
    queryKey: HALTED,
    queryFn: () => ({ why: null }),
    staleTime: Infinity,
  });

  const entries = useMemo(() => merged(server.data ?? [], waiting), [server.data, waiting]);
  const mark = useCallback(
    (name: string, value: ProgressEntry['value']) => {
      const last = merged(
        client.getQueryData<ProgressEntry[]>(key) ?? [],
        client.getQueryData<ProgressEntry[]>(here) ?? [],
      )
        .filter((entry) => entry.key === name)
        .map(({ at }) => Date.parse(at));
      // A clock that is slow must not lose to the mark that is seen on the screen.
      const at = new Date(Math.max(Date.now(), ...last.map((time) => time + 1))).toISOString();
      const entry = { key: name, value, at };
      client.setQueryData<ProgressEntry[]>(here, (now = []) => merged(now, [entry]));
      void addPendingProgress(planter, entry).then(() =>
        client.invalidateQueries({ queryKey: here }),
      );
    },
    [client, key, here, planter],
  );
  return {
    progress: useMemo(() => progressOf(entries), [entries]),
    unseen: server.data === undefined && server.isError,
    mark,
    waiting: waiting.length,
    trouble: waiting.length > 0 ? (halted?.why ?? null) : null,
  };
}
