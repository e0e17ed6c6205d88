import { VESSELS } from '@huerta/contract';
import type { Services } from '../services';
import * as kinds from '../services/kinds';
import { registerRoute, type Routing } from './registerRoute';
import { answering, saveOf } from './saves';

/** Vessels that were measured and kept. */
export function vesselRoutes(router: Routing, { vessels }: Services): void {
  const answer = answering(kinds.VESSEL);
  registerRoute(router, VESSELS.list, async () => ({
    vessels: (await vessels.list()).kept.map(answer),
  }));
  registerRoute(router, VESSELS.create, async ({ body: { name, vessel }, response }) => {
    const kept = await vessels.create({ name, value: vessel });
    response.location(`/api/vessels/${kept.id}`);
    return answer(kept);
  });
  registerRoute(router, VESSELS.save, async ({ id, body: { name, vessel, ...mark } }) =>
    answer(await vessels.save(id, saveOf(mark), { name, value: vessel })),
  );
  registerRoute(router, VESSELS.history, async ({ id }) => ({
    revisions: (await vessels.history(id)).map(({ value, ...one }) => ({ ...one, vessel: value })),
  }));
  registerRoute(router, VESSELS.remove, ({ id }) => vessels.remove(id));
  registerRoute(router, VESSELS.restore, async ({ id }) => answer(await vessels.restore(id)));
}
