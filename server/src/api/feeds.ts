import express, { Router, type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import { FEEDS, MAX_BODY_BYTES, type FeedKind } from '@huerta/contract';
import type { RemoteAccess } from '../access/remoteAccess';
import type { Feeds } from '../access/feeds';
import type { Services } from '../services';
import { problem } from '../services/problems';
import { FileAnswer, registerRoute } from './registerRoute';

/** What this machine alone may do with addresses: list, make and withdraw them. */
export function feedKeeping(feeds: Feeds, door: RemoteAccess, { planters }: Services): Router {
  const router = Router();
  registerRoute(router, FEEDS.list, async () => ({ feeds: await feeds.list() }));
  registerRoute(router, FEEDS.make, async ({ body: { name, kind, planter, address } }) => {
    if (planter !== null) await planters.get(planter);
    const { addresses } = await door.state();
    if (!addresses.includes(address))
      throw problem(
        'invalid',
        400,
        'Not an address',
        'Open the door first, and choose one of its addresses.',
      );
    const { feed, secret } = await feeds.make({ name, kind, planter });
    return { feed, link: `${address}/api${PATHS[kind].replace(':secret', secret)}` };
  });
  registerRoute(router, FEEDS.withdraw, ({ id }) => feeds.withdraw(id));
  return router;
}

const PATHS: Readonly<Record<FeedKind, string>> = {
  calendar: FEEDS.calendar.path,
  weather: FEEDS.weather.path,
  readings: FEEDS.readings.path,
};

/** Wrong secrets from one address, a quarter of an hour. */
const TRIES = 20;
const TRIES_MS = 15 * 60_000;

/** What a program with such an address may do, and nothing else. */
export function answerFeeds(app: Express, feeds: Feeds, services: Services): void {
  const { tending, weatherDays } = services;
  const router = Router();
  router.use(
    '/feeds/:secret',
    rateLimit({
      windowMs: TRIES_MS,
      limit: TRIES,
      skipSuccessfulRequests: true,
      requestWasSuccessful: (_request, response) => response.statusCode !== 401,
      handler: (_request, _response, next) =>
        next(problem('too-many', 429, 'Too many tries', 'Too many addresses were wrong. Wait.')),
    }),
    express.json({ limit: MAX_BODY_BYTES }),
  );
  registerRoute(router, FEEDS.calendar, async ({ request, query }) => {
    await feeds.known(String(request.params.secret), 'calendar');
    const file = await tending.calendar(query.units);
    return new FileAnswer('huerta.ics', file, FEEDS.calendar.file, true);
  });
  registerRoute(router, FEEDS.weather, async ({ request, body }) => {
    await feeds.known(String(request.params.secret), 'weather');
    await weatherDays.put(body.days);
    return { days: await weatherDays.from(body.days.map(({ date }) => date).sort()[0]) };
  });
  registerRoute(router, FEEDS.readings, async ({ request, body: { by, readings } }) => {
    const { planter } = await feeds.known(String(request.params.secret), 'readings');
    return { came: await tending.read(planter ?? '', by, readings) };
  });
  app.use('/api', router);
}
