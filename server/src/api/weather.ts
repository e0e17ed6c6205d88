import { WEATHER } from '@huerta/contract';
import type { Services } from '../services';
import * as kinds from '../services/kinds';
import { JsonText, registerRoute, type Routing } from './registerRoute';
import { answering, saveOf } from './saves';

/** Which weather the garden has, and the days that were measured. */
export function weatherRoutes(router: Routing, { weather, weatherDays }: Services): void {
  registerRoute(router, WEATHER.get, async () => new JsonText(await weather.answer(kinds.ONLY)));
  registerRoute(router, WEATHER.save, async ({ body: { choice, ...mark } }) => {
    const kept = await weather.save(kinds.ONLY, saveOf(mark), { name: 'Weather', value: choice });
    return answering(kinds.WEATHER)(kept);
  });
  registerRoute(router, WEATHER.days, async () => ({ days: await weatherDays.from() }));
  registerRoute(router, WEATHER.tellDays, async ({ body }) => {
    await weatherDays.put(body.days);
    return { days: await weatherDays.from(body.days.map(({ date }) => date).sort()[0]) };
  });
}
