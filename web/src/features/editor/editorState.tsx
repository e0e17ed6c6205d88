import type { Assessment } from '@huerta/core/assessment';
import type { Message } from '@huerta/core/units';
import type { Patch, PlanterDesign } from '@huerta/core/document';
import type { Planter } from '@huerta/core/assembly';
import {
  createContext,
  startTransition,
  use,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import type { EditorStore } from './editorStore';

/** What every part of the bench can see and do. */
export interface EditorState {
  design: PlanterDesign;
  planter: Planter;
  assessment: Assessment;
  /** Makes a change; the sentence that comes back, if any, says why it cannot be. */
  change(patch: Patch): Message | null;
  store: EditorStore;
}

const BenchContext = createContext<EditorState | null>(null);
const StoreContext = createContext<EditorStore | null>(null);

/** Shares what the store has worked out. */
export function EditorProvider({ store, children }: { store: EditorStore; children: ReactNode }) {
  const evaluation = useSyncExternalStore(store.subscribe, store.evaluation);
  const bench = useMemo(() => toBench(store, evaluation), [store, evaluation]);
  return (
    <StoreContext value={store}>
      <BenchContext value={bench}>{children}</BenchContext>
    </StoreContext>
  );
}

/** Findings and the plan follow a line that is being moved this often, milliseconds. */
const BEHIND_MS = 90;
/** Fields follow it when the hand has rested this long, milliseconds. */
const REST_MS = 140;

interface BenchBehindProps {
  /** Waits for the hand to rest, instead of following every moment. */
  untilRest?: boolean;
  children: ReactNode;
}

/**
 * Lets its children see the bench a moment later than the drawing, or when the hand rests, so that
 * what takes long to draw does not hold up a line that is being moved.
 */
export function EvaluationBehind({ untilRest = false, children }: BenchBehindProps) {
  const bench = useEditor();
  const shown = useEvaluationBehind(bench, bench.store.isHeld(), untilRest);
  return <BenchContext value={shown}>{children}</BenchContext>;
}

/**
 * What is worked out while a line is moved, a moment later than it, or when the hand rests.
 *
 * @param moving whether a line is in the hand; otherwise the value itself is given
 */
export function useEvaluationBehind<T>(value: T, moving: boolean, untilRest: boolean): T {
  const [shown, setShown] = useState(value);
  const lastShown = useRef(0);
  useEffect(() => {
    if (shown === value) return undefined;
    const wait = untilRest ? REST_MS : BEHIND_MS - (performance.now() - lastShown.current);
    const timer = setTimeout(
      () => {
        lastShown.current = performance.now();
        startTransition(() => setShown(value));
      },
      moving ? Math.max(wait, 0) : 0,
    );
    return () => clearTimeout(timer);
  }, [value, shown, moving, untilRest]);
  return moving ? shown : value;
}

function toBench(
  store: EditorStore,
  evaluation: ReturnType<EditorStore['evaluation']>,
): EditorState {
  return {
    ...evaluation,
    change: (patch) => store.change(patch)?.message ?? null,
    store,
  };
}

export function useEditor(): EditorState {
  const bench = use(BenchContext);
  if (!bench) throw new Error('The bench is read outside its provider');
  return bench;
}

/** The store alone, for parts that act on the design without showing it. */
export function useEditorStore(): EditorStore {
  const store = use(StoreContext);
  if (!store) throw new Error('The bench is read outside its provider');
  return store;
}

/** Undo and redo, with whether there is anything to take back. */
export function useEditorHistory() {
  const store = useEditorStore();
  const { pastStates, futureStates, undo, redo } = useSyncExternalStore(
    store.temporal.subscribe,
    store.temporal.getState,
  );
  return {
    canUndo: pastStates.length > 0,
    canRedo: futureStates.length > 0,
    undo: () => undo(),
    redo: () => redo(),
  };
}
