import type { z } from 'zod';
import type { ProblemKind } from './problem';

/**
 * Every address of the API, once: method, path, what goes in and what comes out. The server reads requests by
 * it, the pages call by it, and `/api/openapi.json` is made from it.
 */

/** One address and method. */
export interface Route {
  method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  /** Below /api, with `:id` where an id stands. */
  path: string;
  about: string;
  query?: z.ZodType;
  body?: z.ZodType;
  /** Media type of a body that is no JSON. */
  sends?: string;
  /** JSON that is answered; none for 204 and for files. */
  answer?: z.ZodType;
  /** Media type of a file that is answered. */
  file?: string;
  /** Without problems: 200. */
  status?: 201 | 204;
  /** What can go wrong beside what always can. */
  problems?: readonly ProblemKind[];
}

/** Says that a table holds routes, and keeps what exactly each holds. */
export const routes = <T extends Record<string, Route>>(table: T): T => table;

/** What can go wrong where an id is asked for. */
export const GONE = ['not-found'] as const;
/** What can go wrong with a save. */
export const SAVED = ['invalid', 'contradiction', 'conflict', 'too-large', 'not-json'] as const;
