import { useQueryClient } from '@tanstack/react-query';
import type { PlanterResource } from '@huerta/contract';
import type { PlanterDesign } from '@huerta/core/document';
import { useEffect, useMemo, useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { createPlanter, plantersChanged, savePlanter } from '../../data/api/planters';
import { onRecovered } from '../../data/offline/connectivity';
import { holdPlanterOpen, pendingSaves, keyOf } from '../../data/offline/pendingSaves';
import { closeBench } from './closingBenches';
import { createAutosave, type Autosave, type SaveState, type Unsaved } from './autosave';
import type { EditorStore } from './editorStore';
import type { PendingSave } from '../../data/offline/types';

/** The state of saving, and the ways out of a conflict. */
export interface Saving {
  state: SaveState;
  /** Tries at once to save what is not saved. */
  retry(): void;
  keepMine(): void;
  takeTheirs(): void;
  /** Goes on with what was made of parts of both. */
  keepParts(design: PlanterDesign): void;
  /** Keeps this version as a planter of its own and goes on from the other. */
  keepBoth(): Promise<void>;
}

/**
 * Saves every change of the store to the server, also when the page is left. Until it is there it lies
 * on this device.
 *
 * @param kept what an earlier bench of this planter left unsent, which this one goes on with
 * @param begun whether it is not in the garden yet: then it comes into it with the first change, when that is asked for,
 *   or when another page of it is opened
 */
// eslint-disable-next-line max-lines-per-function -- one effect holds a bench open from its first save to its last.
export function useAutosave(
  resource: PlanterResource,
  store: EditorStore,
  kept: PendingSave<'planter'> | null,
  begun = false,
): Saving {
  const [state, setState] = useState<SaveState>({
    kind: kept ? 'waiting' : begun ? 'new' : 'saved',
  });
  const autosave = useRef<Autosave | null>(null);
  const client = useQueryClient();
  const { id, revision } = resource;

  useEffect(() => {
    const bench = kept?.holder || uuid();
    const key = kept?.key ?? keyOf('planter', id, bench);
    const release = holdPlanterOpen(bench);
    const saver = createAutosave({
      revision: kept?.base ?? revision,
      kept: kept && { ...kept, design: kept.body.design },
      save: (mark, design, keepalive) => savePlanter(id, mark, design, keepalive),
      keep: ({ revision: base, saveId, after, design }: Unsaved) => {
        const entry = { key, kind: 'planter' as const, id, holder: bench, base, saveId };
        void pendingSaves.put({ ...entry, after: [...after], body: { design }, at: Date.now() });
      },
      drop: (saveId) => void pendingSaves.drop(key, saveId),
      newId: () => uuid(),
      // Told of every change; the screen only needs to know when the state becomes another.
      onState: (next) => setState((now) => (same(now, next) ? now : next)),
    });
    let known = store.getState().design;
    let isNew = begun;
    const unsubscribe = store.subscribe(({ design }) => {
      // A line in the hand is kept and saved when it is let go of.
      if (design === known || store.isHeld()) return;
      known = design;
      isNew = false;
      saver.changed(design);
    });
    const leave = () => {
      store.release();
      void saver.flush(true);
    };
    window.addEventListener('pagehide', leave);
    const recovered = onRecovered(() => void saver.flush());
    autosave.current = saver;
    return () => {
      // A line that is still in the hand when the bench is left is kept as it stands.
      store.release();
      unsubscribe();
      // Its build sheet, season or log is opened.
      if (isNew && window.location.pathname.startsWith(`/planters/${id}/`))
        saver.changed(store.getState().design);
      window.removeEventListener('pagehide', leave);
      recovered();
      closeBench(id, saver.flush(), () => {
        saver.stop();
        release();
        plantersChanged(client);
      });
    };
  }, [id, revision, store, kept, begun, client]);

  useLeaveWarning(state.kind === 'later' || state.kind === 'refused' || state.kind === 'conflict');

  return useMemo(() => {
    const current = state.kind === 'conflict' ? state.current : null;
    const takeTheirs = () => {
      if (!current) return;
      autosave.current?.take(current);
      store.replace(current.design);
    };
    return {
      state,
      retry: () => {
        if (state.kind === 'new') autosave.current?.changed(store.getState().design);
        void autosave.current?.flush();
      },
      keepMine: () => {
        if (current) autosave.current?.goOnFrom(current.revision, store.getState().design);
      },
      takeTheirs,
      keepParts: (design) => {
        if (!current) return;
        store.replace(design);
        autosave.current?.goOnFrom(current.revision, design);
      },
      keepBoth: async () => {
        const mine = store.getState().design;
        await createPlanter({ ...mine, name: `${mine.name.slice(0, 105)} (my version)` });
        takeTheirs();
      },
    };
  }, [state, store]);
}

/** Asks before the page is left while something is not on the server. */
function useLeaveWarning(unsent: boolean): void {
  useEffect(() => {
    if (!unsent) return undefined;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [unsent]);
}

const same = (a: SaveState, b: SaveState): boolean =>
  a.kind === b.kind && a.kind !== 'conflict' && a.kind !== 'refused' && a.kind !== 'later';
