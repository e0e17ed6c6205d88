import { ROUND } from '@huerta/contract';
import type { Services } from '../services';
import * as kinds from '../services/kinds';
import { FileAnswer, JsonText, registerRoute, type Routing } from './registerRoute';
import { answering, saveOf } from './saves';

/** The round: its plan, how planters stand, and the papers for it. */
export function roundRoutes(router: Routing, { round, standing, tending }: Services): void {
  registerRoute(router, ROUND.get, async () => new JsonText(await round.answer(kinds.ONLY)));
  registerRoute(router, ROUND.save, async ({ body: { plan, ...mark } }) => {
    const kept = await round.save(kinds.ONLY, saveOf(mark), { name: 'The round', value: plan });
    return answering(kinds.ROUND)(kept);
  });
  registerRoute(router, ROUND.states, ({ query }) => standing.readySince(query.since));
  registerRoute(router, ROUND.calendar, async ({ query }) => {
    const file = await tending.calendar(query.units);
    return new FileAnswer('huerta.ics', file, ROUND.calendar.file, true);
  });
  registerRoute(router, ROUND.neighbour, async ({ body }) => {
    const file = await tending.neighbour(body);
    return new FileAnswer('watering.pdf', file, ROUND.neighbour.file, true);
  });
}
