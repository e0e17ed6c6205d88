import { applyPatch, type Change, type Patch, type PlanterDesign } from '@huerta/core/document';
import type { Contradiction } from '@huerta/core/assembly';

/** A design with a measure; null where what it was typed into is no longer there. */
function changed(design: PlanterDesign, change: Change): PlanterDesign | null {
  try {
    return applyPatch(design, [change]);
  } catch {
    return null;
  }
}

/**
 * Measures that were typed and cannot be yet, by their paths.
 *
 * @param forbids what forbids a design that the one on the bench does not have
 */
export function waitingMeasures(forbids: (next: PlanterDesign) => Contradiction | undefined) {
  const waiting = new Map<string, Change>();
  const keyOf = (path: Change['path']): string => path.join('.');
  /** A design with all of them that can be in it, which wait no longer. */
  const takenInto = (design: PlanterDesign): PlanterDesign => {
    let now = design;
    for (let more = true; more;) {
      more = false;
      for (const [key, change] of waiting) {
        const next = changed(now, change);
        if (next && forbids(next)) continue;
        waiting.delete(key);
        if (!next) continue;
        now = next;
        more = true;
      }
    }
    return now;
  };
  return {
    takenInto,
    drop: (path: Change['path']): void => void waiting.delete(keyOf(path)),
    clear: (): void => waiting.clear(),
    /** Drops those that a patch sets, or that are part of what it sets. */
    dropWithin(patch: Patch): void {
      for (const [key, { path }] of waiting)
        if (patch.some((one) => one.path.every((part, i) => part === path[i]))) waiting.delete(key);
    },
    /** The design with a measure, alone or with those that wait; else what forbids it, and it waits. */
    enter(design: PlanterDesign, change: Change): PlanterDesign | Contradiction {
      waiting.delete(keyOf(change.path));
      const others = [...waiting.values()].filter((one) => changed(design, one));
      const alone = applyPatch(design, [change]);
      const first = forbids(alone);
      if (!first) return takenInto(alone);
      for (const set of [others, ...others.map((one) => [one])]) {
        const next = applyPatch(design, [...set, change]);
        if (set.length === 0 || forbids(next)) continue;
        for (const { path } of set) waiting.delete(keyOf(path));
        return takenInto(next);
      }
      waiting.set(keyOf(change.path), change);
      return first;
    },
  };
}
