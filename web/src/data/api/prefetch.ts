import {
  BUILD,
  CROPS_OF_ONES_OWN,
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
const FIRST_MS = 8000;
const AGAIN_MS = 30 * 60_000;
/** Larger gardens are not taken along whole; what is opened is. */
const MOST = 150;
/** Between two requests, so that nothing waits for them. */
const PAUSE_MS = 60;

const pause = (): Promise<void> => new Promise((done) => setTimeout(done, PAUSE_MS));

async function takeAlong(): Promise<void> {
  try {
    const { planters } = await callRoute(PLANTERS.list);
    if (planters.length > MOST) return;
    const once = [VESSELS.list, PRICES.get, WEATHER.get, CROPS_OF_ONES_OWN.get];
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

/** Provisions this device now and again, where the application can be opened without a server at all. */
export function prefetch(): () => void {
  if (!navigator.serviceWorker?.controller) return () => undefined;
  const first = setTimeout(() => void takeAlong(), FIRST_MS);
  const again = setInterval(() => void takeAlong(), AGAIN_MS);
  return () => {
    clearTimeout(first);
    clearInterval(again);
  };
}
