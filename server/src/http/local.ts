import type { RequestHandler } from 'express';
import { problem } from '../services/problems';

const LOCAL_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * Refuses requests that were not addressed to this machine by a local name, so that a foreign page
 * whose name is made to point here gets nothing.
 *
 * @param also a name or address of this machine in the house’s network, if it answers there too
 */
export const knownHostsOnly =
  (also: string | null): RequestHandler =>
  (request, _response, next) => {
    const host = request.headers.host ?? '';
    const name = host.replace(/:\d+$/, '').toLowerCase();
    if (LOCAL_NAMES.has(name) || name === also?.toLowerCase()) {
      next();
      return;
    }
    next(
      problem(
        'foreign-host',
        403,
        'Only on this machine',
        'Huerta answers only on this machine. Open it as http://localhost with its port.',
      ),
    );
  };
