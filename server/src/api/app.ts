import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { type Logger } from 'pino';
import { MAX_BODY_BYTES, PAGES, type About } from '@huerta/contract';
import { planterJsonSchema } from '@huerta/core/document';
import type { Services } from '../services';
import type { Copies } from '../services/copies';
import { notFound } from '../services/problems';
import { answerProblems } from './errors';
import type { RemoteAccess } from '../access/remoteAccess';
import type { Feeds } from '../access/feeds';
import type { Secrets } from '../access/secrets';
import { accessRoutes, requireDevice, rateLimited } from './access';
import { knownHostsOnly, LOCAL_NAMES, localNamesFromHere, ownPagesOnly, READS } from './local';
import { backupRoutes, gardenFileRoutes } from './backups';
import { answerFeeds, feedKeeping } from './feeds';
import { photoRoutes } from './photos';
import { openApi } from './openapi';
import { withPrefix } from './registerRoute';
import { planterRoutes } from './planters';
import { vesselRoutes } from './vessels';
import { planRoutes } from './plans';
import { priceRoutes } from './prices';
import { weatherRoutes } from './weather';
import { cropRoutes } from './crops';
import { roundRoutes } from './round';
import { seasonRoutes } from './seasons';
import { gardenRoutes } from './garden';
import { buildRoutes } from './build';
import { logRoutes } from './log';
import released from '../../../package.json';

/** As the whole checkout is released. */
const VERSION = released.version;

export interface AppOptions {
  services: Services;
  logger: Logger;
  /** Folder with the built web application, if it is to be served. */
  webRoot?: string;
  /** What this machine alone may do: open and shut the door, put back copies. */
  home?: { keeper: RemoteAccess; secrets: Secrets; copies: Copies; feeds: Feeds };
  /** Whether it is the demo garden. */
  demo?: boolean;
  /** For what comes in by the door: by which names, and who is known. */
  house?: { names(): readonly string[]; secrets: Secrets; feeds: Feeds };
  /** Requests a minute from one address; 0 for no limit. */
  rate?: number;
}

/** What every answer says to keep a browser careful. */
function securityHeaders(): readonly (readonly [string, string])[] {
  const careful = helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        // Chakra writes its style rules at run time; scripts stay files only.
        styleSrc: ["'self'", "'unsafe-inline'"],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
    // For browsers that are long gone, or what the policy above says already.
    xDnsPrefetchControl: false,
    xDownloadOptions: false,
    xFrameOptions: false,
    xPermittedCrossDomainPolicies: false,
    xXssProtection: false,
  });
  // None of it depends on what is asked: it is worked out once.
  const said: [string, string][] = [];
  const response = {
    setHeader: (name: string, value: string) => void said.push([name, value]),
    removeHeader: () => undefined,
  };
  careful({} as never, response as never, () => undefined);
  return said;
}

const withHeaders =
  (headers: readonly (readonly [string, string])[]): RequestHandler =>
  (_request, response, next) => {
    for (const [name, value] of headers) response.setHeader(name, value);
    next();
  };

/** Handlers one after the other as one: each that Express calls itself costs a reading more than its own work. */
const compose =
  (...handlers: readonly RequestHandler[]): RequestHandler =>
  (request, response, next) => {
    let i = 0;
    const on = (error?: unknown): void => {
      const handler = handlers[i];
      i += 1;
      if (error !== undefined || !handler) next(error);
      else void handler(request, response, on);
    };
    on();
  };

/** The resources of the API, what is asked most first. */
const RESOURCES = [
  planterRoutes,
  vesselRoutes,
  priceRoutes,
  planRoutes,
  weatherRoutes,
  cropRoutes,
  roundRoutes,
  seasonRoutes,
  gardenRoutes,
  buildRoutes,
  logRoutes,
] as const;

/** The whole HTTP application: API under /api, the built pages everywhere else. */
export function createApp(options: AppOptions): Express {
  const { services, logger, webRoot, home, house, rate = 0, demo = false } = options;
  const app = express();
  app.disable('x-powered-by');
  const json = express.json({ limit: MAX_BODY_BYTES });
  // JSON is read where it is sent; pictures and zips are read by their own routes.
  const bodies: RequestHandler = (request, response, next) =>
    READS.has(request.method) || !request.path.startsWith('/api')
      ? next()
      : json(request, response, next);
  const hosts = house
    ? [knownHostsOnly(house.names)]
    : [knownHostsOnly(() => LOCAL_NAMES), localNamesFromHere];
  app.use(
    compose(rateLimited(rate), ...hosts, ownPagesOnly, withHeaders(securityHeaders()), bodies),
  );
  // On this machine packing costs more than it saves.
  if (house) app.use(compression());
  const feeds = house?.feeds ?? home?.feeds;
  if (feeds) answerFeeds(app, feeds, services);
  if (house) requireDevice(app, house.secrets);

  // First what is asked most.
  for (const routesOf of RESOURCES) routesOf(withPrefix('/api', app), services);
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.get('/api/planter.schema.json', (_request, response) => {
    response.json(planterJsonSchema());
  });
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApi(VERSION));
  });
  app.get('/api/about', (_request, response) => {
    response.json({ version: VERSION, demo, home: home !== undefined } satisfies About);
  });
  app.use('/api', photoRoutes(services.photos), gardenFileRoutes(services.gardenFile));
  if (home) {
    app.use(
      '/api',
      backupRoutes(services.gardenFile, home.copies),
      accessRoutes(home.keeper, home.secrets),
      feedKeeping(home.feeds, home.keeper, services),
    );
  }
  app.use('/api', () => {
    throw notFound('There is nothing at this address.');
  });

  if (webRoot && existsSync(join(webRoot, 'index.html'))) {
    app.use(
      '/assets',
      express.static(join(webRoot, 'assets'), {
        immutable: true,
        maxAge: '1y',
        fallthrough: false,
      }),
    );
    app.use(express.static(webRoot, { index: false }));
    app.get([...PAGES], (_request, response) => {
      response.sendFile(join(webRoot, 'index.html'));
    });
    app.get('/*name', ({ path }, response) => {
      // A file that is not there is not answered with a page.
      if (/\.[a-z0-9]+$/i.test(path)) throw notFound('There is nothing at this address.');
      // The page says that there is none, and the answer says so too.
      response.status(404).sendFile(join(webRoot, 'index.html'));
    });
  }
  app.use(answerProblems(logger));
  return app;
}
