import { useQueryClient } from '@tanstack/react-query';
import type { PlanterResource } from '@huerta/contract';
import { useEffect, useMemo, useRef, useState } from 'react';
import { createPlanter, savePlanter } from '../../api/planters';
import { createAutosave, type Autosave, type SaveState } from './autosave';
import type { BenchStore } from './benchStore';

/** The state of saving, and the ways out of a conflict. */
export interface Saving {
  state: SaveState;
  /** Tries at once to save what is not saved. */
  retry(): void;
  keepMine(): void;
  takeTheirs(): void;
  /** Keeps this version as a planter of its own and goes on from the other. */
  keepBoth(): Promise<void>;
}

/** Saves every change of the store to the server, also when the page is left. */
export function useAutosave(resource: PlanterResource, store: BenchStore): Saving {
  const [state, setState] = useState<SaveState>({ kind: 'saved' });
  const autosave = useRef<Autosave | null>(null);
  const client = useQueryClient();
  const { id, revision } = resource;

  useEffect(() => {
    const saver = createAutosave({
      revision,
      save: (on, design, keepalive) => savePlanter(id, on, design, keepalive),
      // Told of every change; the screen only needs to know when the state becomes another.
      onState: (next) => setState((now) => (same(now, next) ? now : next)),
    });
    let known = store.getState().design;
    const unsubscribe = store.subscribe(({ design }) => {
      if (design === known) return;
      known = design;
      saver.changed(design);
    });
    const leave = () => void saver.flush(true);
    window.addEventListener('pagehide', leave);
    autosave.current = saver;
    return () => {
      unsubscribe();
      window.removeEventListener('pagehide', leave);
      void saver.flush().finally(() => {
        saver.stop();
        void client.invalidateQueries({ queryKey: ['planters'], exact: true });
      });
    };
  }, [id, revision, store, client]);

  return useMemo(() => {
    const current = state.kind === 'conflict' ? state.current : null;
    const takeTheirs = () => {
      if (!current) return;
      store.replace(current.design);
      autosave.current?.goOnFrom(current.revision);
    };
    return {
      state,
      retry: () => void autosave.current?.flush(),
      keepMine: () => {
        if (current) autosave.current?.goOnFrom(current.revision, store.getState().design);
      },
      takeTheirs,
      keepBoth: async () => {
        const mine = store.getState().design;
        await createPlanter({ ...mine, name: `${mine.name.slice(0, 105)} (my version)` });
        takeTheirs();
      },
    };
  }, [state, store]);
}

const same = (a: SaveState, b: SaveState): boolean =>
  a.kind === b.kind && a.kind !== 'conflict' && a.kind !== 'refused';
