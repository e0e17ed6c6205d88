import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { MAX_BODY_BYTES } from '@huerta/contract';
import { planterJsonSchema } from '@huerta/core';
import type { Services } from '../services';
import { notFound } from '../services/problems';
import { answerProblems } from './errors';
import { knownHostsOnly, localNamesFromHere, ownPagesOnly } from './local';
import { buildRoutes } from './build';
import { planterRoutes } from './planters';
import { reportRoutes } from './reports';
import { seasonRoutes } from './seasons';
import { priceRoutes } from './prices';
import { vesselRoutes } from './vessels';
import { weatherRoutes } from './weather';

export interface AppOptions {
  services: Services;
  logger: Logger;
  /** Folder with the built web application, if it is to be served. */
  webRoot?: string;
  /** Name or address of this machine in the house’s network, if it is to answer there too. */
  host?: string;
}

/** The whole HTTP application: API under /api, the built pages everywhere else. */
export function createApp({ services, logger, webRoot, host }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger, autoLogging: false }));
  app.use(knownHostsOnly(host ?? null), localNamesFromHere, ownPagesOnly);
  app.use(
    helmet({
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
    }),
  );
  app.use(compression());

  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.get('/api/planter.schema.json', (_request, response) => {
    response.json(planterJsonSchema());
  });
  const json = express.json({ limit: MAX_BODY_BYTES });
  const { planters, vessels, progress, prices, files, weather, seasons, reports } = services;
  app.use(
    '/api/planters',
    json,
    planterRoutes(planters),
    buildRoutes(progress, files),
    seasonRoutes(seasons),
    reportRoutes(reports),
  );
  app.use('/api/prices', json, priceRoutes(prices));
  app.use('/api/weather', json, weatherRoutes(weather));
  app.use('/api/vessels', json, vesselRoutes(vessels));
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
    app.get('/*name', (_request, response) => {
      response.sendFile(join(webRoot, 'index.html'));
    });
    app.get('/', (_request, response) => {
      response.sendFile(join(webRoot, 'index.html'));
    });
  }
  app.use(answerProblems);
  return app;
}
