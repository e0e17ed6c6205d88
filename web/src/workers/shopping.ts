import type { PriceBook, Shopper, ShoppingList } from '@huerta/core';
import { useEffect, useRef, useState } from 'react';

export interface ShoppingAnswer {
  id: number;
  list: ShoppingList;
}

/** What is known of a list: the last good one, and why there is no newer one. */
export interface ShoppingState {
  list: ShoppingList | null;
  trouble: string | null;
}

/** The shopping list of some planters, worked out in a worker; the last good one stays meanwhile. */
export function useShopping(
  planters: readonly Shopper[],
  book: PriceBook | undefined,
): ShoppingState {
  const [state, setState] = useState<ShoppingState>({ list: null, trouble: null });
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);

  useEffect(() => {
    const made = new Worker(new URL('./shopping.worker.ts', import.meta.url), { type: 'module' });
    made.onmessage = ({ data }: MessageEvent<ShoppingAnswer>) => {
      if (data.id === asked.current) setState({ list: data.list, trouble: null });
    };
    made.onerror = () =>
      setState(({ list }) => ({
        list,
        trouble: 'Packs and cuts could not be worked out. Load the page again to try once more.',
      }));
    worker.current = made;
    return () => made.terminate();
  }, []);

  useEffect(() => {
    if (!book) return;
    asked.current += 1;
    worker.current?.postMessage({ id: asked.current, planters, book });
  }, [planters, book]);

  return state;
}
