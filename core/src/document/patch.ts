import type { PlanterDesign } from './schema';

/** One change: the value at a path of keys and indices. */
export interface Change {
  path: readonly (string | number)[];
  value: unknown;
}

/** A small change of a design, as data: what a remedy proposes and a grip produces. */
export type Patch = readonly Change[];

/**
 * A design with the patch applied. The input is left as it was and unchanged parts are shared.
 *
 * @throws Error when a path leads nowhere, which is a bug in whoever made the patch
 */
export function applyPatch(design: PlanterDesign, patch: Patch): PlanterDesign {
  return patch.reduce((current, change) => setAt(current, change.path, change.value), design);
}

function setAt<T>(target: T, path: readonly (string | number)[], value: unknown): T {
  const [key, ...rest] = path;
  if (key === undefined) return value as T;
  if (target === null || typeof target !== 'object') {
    throw new Error(`A patch leads through ‘${String(key)}’, where there is nothing`);
  }
  const copy = (Array.isArray(target) ? [...target] : { ...target }) as Record<
    string | number,
    unknown
  >;
  copy[key] = setAt(copy[key], rest, value);
  return copy as T;
}
