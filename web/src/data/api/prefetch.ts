import {
  BUILD,
  CROPS_OF_ONES_OWN,
  GARDEN,
  LOG,
  PLANTERS,
  PRICES,
  ROUND,
  SEASONS,
  VESSELS,
  WEATHER,
} from '@huerta/contract';
import { callRoute } from './client';
import { cacheResponse } from '../offline/responseCache';

/** Takes along what may be wanted on the way, while the device has nothing else to do. */

/** After the start, and from then on how often, milliseconds. */
const FIRST_MS = 1500;
const AGAIN_MS = 30 * 60_000;
/** Larger gardens are not taken along whole; what is opened is. */
const MOST = 150;
/** Between two requests, so that nothing waits for them. */
const PAUSE_MS = 30;

const pause = (): Promise<void> => new Promise((done) => setTimeout(done, PAUSE_MS));

async function takeAlong(): Promise<void> {
  try {
    const { planters } = await callRoute(PLANTERS.list);
    if (planters.length > MOST) return;
    const once = [GARDEN.entries, VESSELS.list, PRICES.get, WEATHER.get, CROPS_OF_ONES_OWN.get];
    for (const route of [...once, ROUND.get, SEASONS.all, PLANTERS.round, LOG.tended, WEATHER.days])
      await callRoute(route);
    await callRoute(LOG.tended, { query: { of: 'round' } });
    for (const planter of planters) {
      const { id } = planter;
      await cacheResponse(`/planters/${id}`, planter);
      await pause();
      await callRoute(BUILD.progress, { id });
      await callRoute(SEASONS.get, { id });
      await callRoute(LOG.tendedOf, { id });
    }
  } catch {
    // Home is away: there will be another time.
  }
}

/**
 * Provisions this device now and again, where the application can be opened without a server at all: once its worker
 * serves this window, as it does soon after the first visit.
 *
 * @returns ends it
 */
export function prefetch(): () => void {
  const { serviceWorker } = navigator;
  if (!serviceWorker) return () => undefined;
  let first: ReturnType<typeof setTimeout> | undefined;
  let again: ReturnType<typeof setInterval> | undefined;
  const begin = () => {
    if (again !== undefined || !serviceWorker.controller) return;
    first = setTimeout(() => void takeAlong(), FIRST_MS);
    again = setInterval(() => void takeAlong(), AGAIN_MS);
  };
  begin();
  serviceWorker.addEventListener('controllerchange', begin);
  return () => {
    serviceWorker.removeEventListener('controllerchange', begin);
    clearTimeout(first);
    clearInterval(again);
  };
}
