import type { PriceBook, Shopper, ShoppingList } from '@huerta/core';
import { ask } from './hands';
import { idOf, useTold, type Known } from './useTold';

/** The shopping list of some planters with its packs and cuts. */
export const useShopping = (
  planters: readonly Shopper[],
  book: PriceBook | undefined,
): Known<ShoppingList> =>
  useTold({
    key: book ? ['shopping', idOf(planters), idOf(book)] : null,
    broke: 'Packs and cuts could not be worked out. Load the page again to try once more.',
    ask: (signal) => ask(signal, (work) => work.shopping(planters, book as PriceBook)),
  });
