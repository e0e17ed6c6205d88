import { waitingMeasures } from './waitingMeasures';
import {
  applyPatch,
  type Change,
  type LineShare,
  type Patch,
  type PlanterDesign,
} from '@huerta/core/document';
import { evaluate, type Assessment } from '@huerta/core/assessment';
import { type Planter, contradictions, type Contradiction } from '@huerta/core/assembly';
import { temporal } from 'zundo';
import { createStore } from 'zustand/vanilla';

export interface BenchState {
  design: PlanterDesign;
  /** What a line that it is joined to gives it; null for one that stands alone, and until that is known. */
  share: LineShare | null;
}

export interface Evaluation extends BenchState {
  planter: Planter;
  assessment: Assessment;
}

/** The design on one bench, with undo and redo. */
export type EditorStore = ReturnType<typeof createEditorStore>;

/** How many steps can be taken back. */
const STEPS = 300;

const NONE: readonly Contradiction[] = [];

/** What follows from a design, worked out once for each. */
function evaluated(now: () => BenchState): () => Evaluation {
  let last: Evaluation | null = null;
  return () => {
    const { design, share } = now();
    if (last?.design !== design || last.share !== share)
      last = { design, share, ...evaluate(design, share) };
    return last;
  };
}

/** What forbids designs on a bench. @param opened as it was when it was opened */
function judged(opened: PlanterDesign, now: () => PlanterDesign) {
  /** A rule may have become stricter since a design was kept: what it forbids is said, and may stay as it was. */
  const openedSound = contradictions(opened).length === 0;
  let known: { design: PlanterDesign; found: Contradiction[] } = { design: opened, found: [] };
  const impossible = (): readonly Contradiction[] => {
    const design = now();
    if (openedSound) return NONE;
    if (known.design !== design || known.found.length === 0)
      known = { design, found: contradictions(design) };
    return known.found;
  };
  return {
    impossible,
    /** What forbids a design that the one on the bench does not have; undefined where it may be. */
    forbids(next: PlanterDesign): Contradiction | undefined {
      const before = new Set(impossible().map(({ path }) => path.join()));
      return contradictions(next).find(({ path }) => !before.has(path.join()));
    },
  };
}

export function createEditorStore(design: PlanterDesign) {
  const store = createStore<BenchState>()(
    temporal((): BenchState => ({ design, share: null }), {
      limit: STEPS,
      partialize: ({ design: one }) => ({ design: one }),
      equality: (before, after) => before.design === after.design,
    }),
  );
  const evaluation = evaluated(() => store.getState());
  const { impossible, forbids } = judged(design, () => store.getState().design);
  const waiting = waitingMeasures(forbids);
  /** The design as it was when a line was taken hold of. */
  let held: PlanterDesign | null = null;

  return {
    ...store,

    /** The design with all that follows from it, worked out once for each design. */
    evaluation,
    assessment: (): Assessment => evaluation().assessment,
    impossible,

    /**
     * Makes a change, as one undo step.
     * @returns the contradiction that forbids it, in which case nothing has changed
     */
    change(patch: Patch): Contradiction | null {
      const next = applyPatch(store.getState().design, patch);
      const first = forbids(next);
      if (first) return first;
      waiting.dropWithin(patch);
      store.setState({ design: waiting.takenInto(next) });
      return null;
    },

    /**
     * Makes a change of one measure. Where it cannot be yet, it waits for those that it hangs on: typed in whatever
     * order, measures that can be together are taken together, as one undo step.
     *
     * @returns the contradiction that forbids it for now
     */
    enter(change: Change): Contradiction | null {
      const next = waiting.enter(store.getState().design, change);
      if ('message' in next) return next;
      store.setState({ design: next });
      return null;
    },
    /** Forgets a measure that waits. */
    forget: waiting.drop,

    /** Replaces the design, as one undo step. */
    replace(next: PlanterDesign): void {
      waiting.clear();
      store.setState({ design: next });
    },

    /** What its line gives it: no change of the design, and no step. */
    setShare(share: LineShare | null): void {
      store.setState({ share });
    },

    /** Takes hold of a line: until `release`, changes are shown but are no steps of their own. */
    hold(): void {
      held ??= store.getState().design;
      store.temporal.getState().pause();
    },
    isHeld: (): boolean => held !== null,
    slide(patch: Patch): void {
      if (held) store.setState({ design: applyPatch(held, patch) });
    },
    release(): void {
      const moved = store.getState().design;
      const before = held;
      if (before && moved !== before) store.setState({ design: before });
      held = null;
      store.temporal.getState().resume();
      if (before && moved !== before) store.setState({ design: moved });
    },
  };
}
