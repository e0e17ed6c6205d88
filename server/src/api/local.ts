import type { RequestHandler } from 'express';
import { problem } from '../services/problems';

export const LOCAL_NAMES: readonly string[] = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Refuses requests that were not addressed to this machine by one of its names, so that a foreign page
 * whose name is made to point here gets nothing.
 */
export const knownHostsOnly =
  (names: () => readonly string[]): RequestHandler =>
  (request, _response, next) => {
    const host = request.headers.host ?? '';
    const name = host.replace(/:\d+$/, '').toLowerCase();
    if (names().includes(name)) {
      next();
      return;
    }
    next(
      problem(
        'foreign-host',
        403,
        'Only on this machine',
        'Huerta does not answer to this name. On its own machine open it as http://localhost with its port; a phone comes in by the code that Settings shows.',
      ),
    );
  };

const LOOPBACK = /^(::1|(::ffff:)?127\.)/;

/** A local name is this machine's own: from elsewhere in the network nobody comes by it. */
export const localNamesFromHere: RequestHandler = (request, _response, next) => {
  const name = (request.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();
  if (!LOCAL_NAMES.includes(name) || LOOPBACK.test(request.socket.remoteAddress ?? '')) next();
  else
    next(problem('foreign-host', 403, 'Only on this machine', 'Open Huerta by its own address.'));
};

/** Methods that change nothing. */
export const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses changes that a page from elsewhere asks for. A browser says in `Sec-Fetch-Site` and `Origin` where a
 * request comes from; other programs say neither, and may ask.
 */
export const ownPagesOnly: RequestHandler = (request, _response, next) => {
  const { origin, host } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreign =
    (site !== undefined && site !== 'same-origin' && site !== 'none') ||
    (origin !== undefined && hostOf(origin) !== host);
  if (READS.has(request.method) || !foreign) next();
  else {
    next(
      problem(
        'foreign-page',
        403,
        'Not from this page',
        'A page from elsewhere asked for a change. Open Huerta itself and do it there.',
      ),
    );
  }
};

const hostOf = (origin: string): string | null => {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
};
