import { MOST_OF_A_ROUND, PLANTERS } from '@huerta/contract';
import type { Services } from '../services';
import * as kinds from '../services/kinds';
import { ofRound } from '../services/round';
import { JsonText, registerRoute, type Routing } from './registerRoute';
import { answering, saveOf } from './saves';

/** Planters, and what core makes of each. */
export function planterRoutes(router: Routing, { planters, reports }: Services): void {
  const answer = answering(kinds.PLANTER);
  registerRoute(router, PLANTERS.list, async () => {
    const { kept, setAside } = await planters.list();
    return { planters: kept.map(answer), setAside };
  });
  registerRoute(router, PLANTERS.round, async () => {
    const growing = await ofRound(planters);
    return {
      planters: growing.slice(0, MOST_OF_A_ROUND).map(answer),
      more: Math.max(growing.length - MOST_OF_A_ROUND, 0),
    };
  });
  registerRoute(router, PLANTERS.create, async ({ body: { design }, response }) => {
    const kept = await planters.create({ name: design.name, value: design });
    response.location(`/api/planters/${kept.id}`);
    return answer(kept);
  });
  registerRoute(router, PLANTERS.get, async ({ id }) => new JsonText(await planters.answer(id)));
  registerRoute(router, PLANTERS.save, async ({ id, body: { design, ...mark } }) =>
    answer(await planters.save(id, saveOf(mark), { name: design.name, value: design })),
  );
  registerRoute(router, PLANTERS.history, async ({ id }) => ({
    revisions: (await planters.history(id)).map(({ value, ...one }) => ({ ...one, design: value })),
  }));
  registerRoute(router, PLANTERS.remove, ({ id }) => planters.remove(id));
  registerRoute(router, PLANTERS.restore, async ({ id }) => answer(await planters.restore(id)));
  registerRoute(router, PLANTERS.assessment, ({ id, query }) =>
    reports.assessment(id, query.units),
  );
  registerRoute(router, PLANTERS.sheet, ({ id, query }) => reports.sheet(id, query.units));
}
