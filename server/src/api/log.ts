import { LOG, MOST_OF_A_ROUND } from '@huerta/contract';
import type { Services } from '../services';
import { ofRound } from '../services/round';
import { registerRoute, type Routing } from './registerRoute';

/** The log and the readings of sensors. */
export function logRoutes(router: Routing, { log, planters, tending, today }: Services): void {
  registerRoute(router, LOG.all, ({ query }) => log.of(query));
  registerRoute(router, LOG.of, async ({ id, query }) => {
    await planters.get(id);
    return log.of({ planter: id, ...query });
  });
  registerRoute(router, LOG.tended, async ({ query }) => {
    if (query.of === 'garden') return { entries: await log.tended(null, today()) };
    const ids = (await ofRound(planters)).slice(0, MOST_OF_A_ROUND).map(({ id }) => id);
    return { entries: await log.tended(ids, today()) };
  });
  registerRoute(router, LOG.tendedOf, async ({ id }) => {
    await planters.get(id);
    return { entries: await log.tended([id], today()) };
  });
  registerRoute(router, LOG.readings, async ({ id, body: { by, readings } }) => ({
    came: await tending.read(id, by, readings),
  }));
  registerRoute(router, LOG.add, async ({ body: { entries } }) => ({
    came: await log.add(entries),
    has: entries.map(({ id }) => id),
  }));
}
