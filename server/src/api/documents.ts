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
import { JsonText, serve, type Routing } from './registerRoute';

/** The documents of the garden: planters, vessels, prices, weather, season plans. */
export function documentRoutes(router: Routing, services: Services): void {
  planterRoutes(router, services);
  vesselRoutes(router, services.vessels);

  const { prices, weather, seasons, crops, round, planters } = services;
  serve(router, PRICES.get, async () => new JsonText(await prices.answer(kinds.ONLY)));
  serve(router, PRICES.save, async ({ body: { book, ...mark } }) => {
    const kept = await prices.save(kinds.ONLY, saveOf(mark), { name: 'Price book', value: book });
    return toAnswer(kinds.PRICES, kept);
  });
  serve(router, WEATHER.get, async () => new JsonText(await weather.answer(kinds.ONLY)));
  serve(router, WEATHER.save, async ({ body: { choice, ...mark } }) => {
    const kept = await weather.save(kinds.ONLY, saveOf(mark), { name: 'Weather', value: choice });
    return toAnswer(kinds.WEATHER, kept);
  });
  serve(router, CROPS_OF_ONES_OWN.get, async () => new JsonText(await crops.answer(kinds.ONLY)));
  serve(router, CROPS_OF_ONES_OWN.save, async ({ body: { own, ...mark } }) => {
    const kept = await crops.save(kinds.ONLY, saveOf(mark), { name: 'Your own crops', value: own });
    return toAnswer(kinds.OWN_CROPS, kept);
  });
  serve(router, ROUND.get, async () => new JsonText(await round.answer(kinds.ONLY)));
  serve(router, ROUND.save, async ({ body: { plan, ...mark } }) => {
    const kept = await round.save(kinds.ONLY, saveOf(mark), { name: 'The round', value: plan });
    return toAnswer(kinds.ROUND, kept);
  });
  serve(router, SEASONS.all, async () => ({
    plans: Object.fromEntries(
      (await seasons.list()).kept.map(({ id, revision, value }) => [id, { revision, plan: value }]),
    ),
  }));
  serve(router, SEASONS.get, async ({ id }) => {
    await planters.get(id);
    return new JsonText(await seasons.answer(id));
  });
  serve(router, SEASONS.save, async ({ id, body: { plan, ...mark } }) => {
    const { name } = await planters.get(id);
    const kept = await seasons.save(id, saveOf(mark), { name: `Season of ${name}`, value: plan });
    return toAnswer(kinds.SEASON, kept);
  });
}

function planterRoutes(router: Routing, { planters }: Services): void {
  const answer = answering(kinds.PLANTER);
  serve(router, PLANTERS.list, async () => {
    const { kept, setAside } = await planters.list();
    return { planters: kept.map(answer), setAside };
  });
  serve(router, PLANTERS.round, async () => {
    const growing = await ofRound(planters);
    return {
      planters: growing.slice(0, MOST_OF_A_ROUND).map(answer),
      more: Math.max(growing.length - MOST_OF_A_ROUND, 0),
    };
  });
  serve(router, PLANTERS.create, async ({ body: { design }, response }) => {
    const kept = await planters.create({ name: design.name, value: design });
    response.location(`/api/planters/${kept.id}`);
    return answer(kept);
  });
  serve(router, PLANTERS.get, async ({ id }) => new JsonText(await planters.answer(id)));
  serve(router, PLANTERS.save, async ({ id, body: { design, ...mark } }) =>
    answer(await planters.save(id, saveOf(mark), { name: design.name, value: design })),
  );
  serve(router, PLANTERS.history, async ({ id }) => ({
    revisions: (await planters.history(id)).map(({ value, ...one }) => ({ ...one, design: value })),
  }));
  serve(router, PLANTERS.remove, ({ id }) => planters.remove(id));
  serve(router, PLANTERS.restore, async ({ id }) => answer(await planters.restore(id)));
}

function vesselRoutes(router: Routing, vessels: Services['vessels']): void {
  const answer = answering(kinds.VESSEL);
  serve(router, VESSELS.list, async () => ({ vessels: (await vessels.list()).kept.map(answer) }));
  serve(router, VESSELS.create, async ({ body: { name, vessel }, response }) => {
    const kept = await vessels.create({ name, value: vessel });
    response.location(`/api/vessels/${kept.id}`);
    return answer(kept);
  });
  serve(router, VESSELS.save, async ({ id, body: { name, vessel, ...mark } }) =>
    answer(await vessels.save(id, saveOf(mark), { name, value: vessel })),
  );
  serve(router, VESSELS.history, async ({ id }) => ({
    revisions: (await vessels.history(id)).map(({ value, ...one }) => ({ ...one, vessel: value })),
  }));
  serve(router, VESSELS.remove, ({ id }) => vessels.remove(id));
  serve(router, VESSELS.restore, async ({ id }) => answer(await vessels.restore(id)));
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
