import { CROPS_OF_ONES_OWN } from '@huerta/contract';
import type { Services } from '../services';
import * as kinds from '../services/kinds';
import { JsonText, registerRoute, type Routing } from './registerRoute';
import { answering, saveOf } from './saves';

/** Crops of one’s own. */
export function cropRoutes(router: Routing, { crops }: Services): void {
  registerRoute(
    router,
    CROPS_OF_ONES_OWN.get,
    async () => new JsonText(await crops.answer(kinds.ONLY)),
  );
  registerRoute(router, CROPS_OF_ONES_OWN.save, async ({ body: { own, ...mark } }) => {
    const kept = await crops.save(kinds.ONLY, saveOf(mark), { name: 'Your own crops', value: own });
    return answering(kinds.OWN_CROPS)(kept);
  });
}
