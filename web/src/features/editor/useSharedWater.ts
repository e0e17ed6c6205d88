import { useEffect, useMemo, useState } from 'react';
import { useLineShares } from '../../compute/line';
import type { EditorStore } from './editorStore';

/** What its line gives a planter is worked out anew when the design has rested this long, milliseconds. */
const REST_MS = 400;

/** The design on a bench once nothing moves on it. */
function useDesignAtRest(store: EditorStore) {
  const [design, setDesign] = useState(() => store.getState().design);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const rests = (): void => {
      if (store.isHeld()) timer = setTimeout(rests, REST_MS);
      else setDesign(store.getState().design);
    };
    const unsubscribe = store.subscribe(() => {
      clearTimeout(timer);
      timer = setTimeout(rests, REST_MS);
    });
    return () => {
      clearTimeout(timer);
      unsubscribe();
    };
  }, [store]);
  return design;
}

/** Judges a planter that is joined to others by the water that its line keeps and gives it. */
export function useSharedWater(id: string, store: EditorStore): void {
  const design = useDesignAtRest(store);
  const planters = useMemo(() => [{ id, design }], [id, design]);
  const shares = useLineShares(planters);
  useEffect(() => {
    if (shares) store.setShare(shares[id]?.share ?? null);
  }, [shares, id, store]);
}
