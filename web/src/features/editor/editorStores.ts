import type { PlanterDesign } from '@huerta/core/document';
import { createEditorStore, type EditorStore } from './editorStore';

/** Benches of this visit, latest first, so that what was done can be taken back after a look at another page. */
const open: { id: string; store: EditorStore }[] = [];
const MOST = 6;

/**
 * The bench of a planter: the one that it had before, where nothing has changed it elsewhere since, or a new one.
 *
 * @param there as the server has it
 * @param kept as this device has it, where that was not sent yet: one step on, so that it can be taken back
 */
export function editorStoreFor(
  id: string,
  there: PlanterDesign,
  kept: PlanterDesign | undefined,
): EditorStore {
  const at = open.findIndex((one) => one.id === id);
  const [before] = at < 0 ? [] : open.splice(at, 1);
  const now = kept ?? there;
  const store =
    before && says(before.store.getState().design) === says(now)
      ? before.store
      : createEditorStore(there);
  if (store !== before?.store && kept) store.replace(kept);
  open.unshift({ id, store });
  open.length = Math.min(open.length, MOST);
  return store;
}

const says = (design: PlanterDesign): string => JSON.stringify(design);
