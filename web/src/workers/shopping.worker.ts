import { shoppingFor, type PriceBook, type Shopper } from '@huerta/core';
import type { ShoppingAnswer } from './shopping';

interface Question {
  id: number;
  planters: Shopper[];
  book: PriceBook;
}

/** Works out packs and cuts, away from the screen. */
self.onmessage = ({ data }: MessageEvent<Question>) => {
  const answer: ShoppingAnswer = { id: data.id, list: shoppingFor(data.planters, data.book) };
  self.postMessage(answer);
};
