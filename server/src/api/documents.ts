import {
  CROPS_OF_ONES_OWN,
  MOST_OF_A_ROUND,
  PLANTERS,
  PRICES,
  ROUND,
  SEASONS,
  VESSELS,
  WEATHER,
} from '@huerta/contract';
import type { Services } from '../services';
import { ofRound } from '../services/round';
import { toAnswer, type Kept, type Kind, type Save } from '../services/documents';
import * as kinds from '../services/kinds';
import { JsonText, registerRoute, type Routing } from './registerRoute';

/** The documents of the garden: planters, vessels, prices, weather, season plans. */
export function documentRoutes(router: Routing, services: Services): void {
  planterRoutes(router, services);
  vesselRoutes(router, services.vessels);

  const { prices, weather, seasons, crops, round, planters } = services;
  registerRoute(router, PRICES.get, async () => new JsonText(await prices.answer(kinds.ONLY)));
  registerRoute(router, PRICES.save, async ({ body: { book, ...mark } }) => {
    const kept = await prices.save(kinds.ONLY, saveOf(mark), { name: 'Price book', value: book });
    return toAnswer(kinds.PRICES, kept);
  });
  registerRoute(router, WEATHER.get, async () => new JsonText(await weather.answer(kinds.ONLY)));
  registerRoute(router, WEATHER.save, async ({ body: { choice, ...mark } }) => {
    const kept = await weather.save(kinds.ONLY, saveOf(mark), { name: 'Weather', value: choice });
    return toAnswer(kinds.WEATHER, kept);
  });
  registerRoute(
    router,
    CROPS_OF_ONES_OWN.get,
    async () => new JsonText(await crops.answer(kinds.ONLY)),
  );
  registerRoute(router, CROPS_OF_ONES_OWN.save, async ({ body: { own, ...mark } }) => {
    const kept = await crops.save(kinds.ONLY, saveOf(mark), { name: 'Your own crops', value: own });
    return toAnswer(kinds.OWN_CROPS, kept);
  });
  registerRoute(router, ROUND.get, async () => new JsonText(await round.answer(kinds.ONLY)));
  registerRoute(router, ROUND.save, async ({ body: { plan, ...mark } }) => {
    const kept = await round.save(kinds.ONLY, saveOf(mark), { name: 'The round', value: plan });
    return toAnswer(kinds.ROUND, kept);
  });
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
    return toAnswer(kinds.SEASON, kept);
  });
}

function planterRoutes(router: Routing, { planters }: Services): void {
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
}

function vesselRoutes(router: Routing, vessels: Services['vessels']): void {
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

const answering =
  <T>(kind: Kind<T>) =>
  (kept: Kept<T>) =>
    toAnswer(kind, kept);

interface Mark {
  revision: number;
  saveId?: string | undefined;
  after?: string[] | undefined;
}

const saveOf = ({ revision, saveId = undefined, after = [] }: Mark): Save => ({
  revision,
  saveId: saveId ?? null,
  after,
});
