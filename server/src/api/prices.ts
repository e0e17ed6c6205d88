import { PRICES } from '@huerta/contract';
import type { Services } from '../services';
import * as kinds from '../services/kinds';
import { JsonText, registerRoute, type Routing } from './registerRoute';
import { answering, saveOf } from './saves';

/** The price book. */
export function priceRoutes(router: Routing, { prices }: Services): void {
  registerRoute(router, PRICES.get, async () => new JsonText(await prices.answer(kinds.ONLY)));
  registerRoute(router, PRICES.save, async ({ body: { book, ...mark } }) => {
    const kept = await prices.save(kinds.ONLY, saveOf(mark), { name: 'Price book', value: book });
    return answering(kinds.PRICES)(kept);
  });
}
