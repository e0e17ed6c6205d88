import { SEASONS } from '@huerta/contract';
import type { Services } from '../services';
import * as kinds from '../services/kinds';
import { JsonText, registerRoute, type Routing } from './registerRoute';
import { answering, saveOf } from './saves';

/** Plans of seasons. */
export function seasonRoutes(router: Routing, { seasons, planters }: Services): void {
  registerRoute(router, SEASONS.all, async () => ({
    plans: Object.fromEntries(
      (await seasons.list()).kept.map(({ id, revision, value }) => [id, { revision, plan: value }]),
    ),
  }));
  registerRoute(router, SEASONS.get, async ({ id }) => {
    await planters.get(id);
    return new JsonText(await seasons.answer(id));
  });
  registerRoute(router, SEASONS.save, async ({ id, body: { plan, ...mark } }) => {
    const { name } = await planters.get(id);
    const kept = await seasons.save(id, saveOf(mark), { name: `Season of ${name}`, value: plan });
    return answering(kinds.SEASON)(kept);
  });
}
