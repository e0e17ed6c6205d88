import { Router, type Express, type RequestHandler } from 'express';
import express from 'express';
import { rateLimit } from 'express-rate-limit';
import { create as qrCode } from 'qrcode';
import { REMOTE_ACCESS, MAX_BODY_BYTES } from '@huerta/contract';
import type { RemoteAccess } from '../access/remoteAccess';
import { LET_IN_PAGE, LET_IN_SCRIPT } from '../access/page';
import type { Secrets } from '../access/secrets';
import { problem } from '../services/problems';
import { registerRoute } from './registerRoute';

/** What this machine alone may do with the door: open it, make codes, shut devices out. */
export function accessRoutes(door: RemoteAccess, secrets: Secrets): Router {
  const router = Router();
  registerRoute(router, REMOTE_ACCESS.get, () => door.state());
  registerRoute(router, REMOTE_ACCESS.set, ({ body }) => door.set(body));
  registerRoute(router, REMOTE_ACCESS.code, async ({ body: { address } }) => {
    const { addresses } = await door.state();
    if (!addresses.includes(address)) {
      throw problem(
        'invalid',
        400,
        'Not an address',
        'Open the door first, and choose one of its addresses.',
      );
    }
    const { code, until } = secrets.makeCode();
    const link = `${address}/let-in#${code}`;
    return { link, rows: rowsOf(link), until: until.toISOString() };
  });
  registerRoute(router, REMOTE_ACCESS.shutOut, ({ id }) => secrets.shutOut(id));
  return router;
}

function rowsOf(text: string): boolean[][] {
  const { size, data } = qrCode(text, { errorCorrectionLevel: 'M' }).modules;
  return Array.from({ length: size }, (_, row) =>
    Array.from({ length: size }, (_none, column) => data[row * size + column] === 1),
  );
}

/** Requests a minute that one address may make; 0 sets no limit. */
export const rateLimited = (perMinute: number): RequestHandler =>
  perMinute === 0
    ? (_request, _response, next) => next()
    : rateLimit({
        windowMs: 60_000,
        limit: perMinute,
        standardHeaders: 'draft-8',
        legacyHeaders: false,
        handler: (_request, _response, next) => {
          next(
            problem(
              'too-many',
              429,
              'Too many requests',
              'Too much is asked at once from this device. Wait a minute.',
            ),
          );
        },
      });

const COOKIE = 'huerta_device';
const YEAR_MS = 365 * 24 * 3_600_000;
/** Tries at a code from one address, a quarter of an hour. */
const TRIES = 10;
const TRIES_MS = 15 * 60_000;

/** Lets in who was let in before, or comes with a code; anyone else gets the page that says how. */
export function requireDevice(app: Express, secrets: Secrets): void {
  const tries = rateLimit({
    windowMs: TRIES_MS,
    limit: TRIES,
    skipSuccessfulRequests: true,
    handler: (_request, _response, next) => {
      next(
        problem(
          'too-many',
          429,
          'Too many tries',
          'Too many codes were wrong. Wait a quarter of an hour.',
        ),
      );
    },
  });
  const router = Router();
  router.use(REMOTE_ACCESS.enter.path, tries, express.json({ limit: MAX_BODY_BYTES }));
  registerRoute(
    router,
    REMOTE_ACCESS.enter,
    async ({ body: { code, name }, request, response }) => {
      response.cookie(COOKIE, await secrets.enter(code, name), {
        httpOnly: true,
        sameSite: 'lax',
        secure: 'encrypted' in request.socket,
        maxAge: YEAR_MS,
        path: '/',
      });
    },
  );
  app.use('/api', router);
  app.get('/let-in', (_request, response) => {
    response.type('html').set('Cache-Control', 'no-store').send(LET_IN_PAGE);
  });
  app.get('/let-in.js', (_request, response) => {
    response.type('js').set('Cache-Control', 'no-store').send(LET_IN_SCRIPT);
  });
  app.use(async (request, response, next) => {
    const said = cookieOf(request.headers.cookie ?? '');
    if (said && (await secrets.known(said))) {
      next();
      return;
    }
    const page = request.method === 'GET' && request.accepts(['json', 'html']) === 'html';
    if (page && !request.path.startsWith('/api')) {
      response.status(401).type('html').set('Cache-Control', 'no-store').send(LET_IN_PAGE);
    } else {
      next(
        problem(
          'not-let-in',
          401,
          'Not let in',
          'This device has not been let in, or was shut out. At home, open Settings, Let a phone in, and scan a new code.',
        ),
      );
    }
  });
}

const cookieOf = (header: string): string | null =>
  header
    .split(';')
    .map((one) => one.trim().split('='))
    .find(([name]) => name === COOKIE)?.[1] ?? null;
