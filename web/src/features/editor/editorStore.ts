import { applyPatch, type LineShare, type Patch, type PlanterDesign } from '@huerta/core/document';
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

export function createEditorStore(design: PlanterDesign) {
  const store = createStore<BenchState>()(
    temporal((): BenchState => ({ design, share: null }), {
      limit: STEPS,
      partialize: ({ design: one }) => ({ design: one }),
      equality: (before, after) => before.design === after.design,
    }),
  );
  let evaluated: Evaluation | null = null;
  const evaluation = (): Evaluation => {
    const { design: now, share } = store.getState();
    if (evaluated?.design !== now || evaluated.share !== share)
      evaluated = { design: now, share, ...evaluate(now, share) };
    return evaluated;
  };
  /** A rule may have become stricter since a design was kept: what it forbids is said, and may stay as it was. */
  const openedSound = contradictions(design).length === 0;
  let known: { design: PlanterDesign; found: Contradiction[] } = { design, found: [] };
  const impossible = (): readonly Contradiction[] => {
    const { design: now } = store.getState();
    if (openedSound) return NONE;
    if (known.design !== now || known.found.length === 0) {
      known = { design: now, found: contradictions(now) };
    }
    return known.found;
  };
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
      const before = new Set(impossible().map(({ path }) => path.join()));
      const first = contradictions(next).find(({ path }) => !before.has(path.join()));
      if (first) return first;
      store.setState({ design: next });
      return null;
    },

    /** Replaces the design, as one undo step. */
    replace(next: PlanterDesign): void {
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
