import { refusalOf, type Route } from '@huerta/contract';
import type { z } from 'zod';
import { noteAnswer, noteRefusedAnswer } from '../offline/connectivity';
import { clearResponseCache, cachedResponse, cacheResponse } from '../offline/responseCache';
import { errorOf, LaterError, refusalIn } from '../offline/refusalErrors';
import { keepsHere, leftOut } from '../offline/storage';
import { noteSaved, passOverPreloaded } from './preloads';
import { withoutRows } from './withoutRows';

/** What a route is asked with. */
interface Asked {
  /** What stands for `:id` in the path, and for other names. */
  id?: string;
  params?: Readonly<Record<string, string>>;
  query?: Readonly<Record<string, string>>;
  body?: object | Blob;
  /** Let the request outlive the page. */
  keepalive?: boolean;
  /** Of this moment only: neither remembered nor answered as it was last seen. */
  passing?: boolean;
}

type Answer<R extends Route> = R['answer'] extends z.ZodType<infer T> ? T : undefined;

function pathOf({ path }: Route, { id = '', params = {}, query }: Asked): string {
  const asked = new URLSearchParams(query).toString();
  const search = asked === '' ? '' : `?${asked}`;
  const named = { id, ...params } as Readonly<Record<string, string>>;
  const filled = path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(named[name] ?? ''),
  );
  return `${filled}${search}`;
}

async function send(path: string, method: Route['method'], asked: Asked): Promise<Response> {
  const { body, keepalive } = asked;
  let response: Response;
  if (method === 'get') await passOverPreloaded(`/api${path}`);
  try {
    response = await fetch(`/api${path}`, {
      method: method.toUpperCase(),
      ...(keepalive ? { keepalive } : {}),
      ...(body
        ? body instanceof Blob
          ? { headers: { 'content-type': body.type || 'application/zip' }, body }
          : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
        : {}),
    });
  } catch {
    throw errorOf(refusalOf(null, null, keepsHere()));
  }
  if (response.ok) {
    if (method !== 'get') noteSaved();
    return response;
  }
  const said = (await response.json().catch(() => null)) as unknown;
  const refusal = refusalOf(response.status, said, keepsHere());
  const { problem } = refusal;
  if (problem?.kind === 'not-let-in') await shutOut();
  // At home its copies are offered there; what was seen and not sent stays on this device.
  if (problem?.kind === 'garden-damaged') window.location.assign('/api/mend');
  throw errorOf(refusal);
}

/** This device was shut out: it keeps nothing of the garden that it has seen, and says how to be let in again. */
async function shutOut(): Promise<void> {
  await clearResponseCache();
  window.location.assign('/let-in');
}

/** Sends a file to a route that reads one. */
export const sendFile = <R extends Route>(
  route: R,
  file: File,
  query?: Readonly<Record<string, string>>,
): Promise<Answer<R>> => callRoute(route, { body: file, ...(query ? { query } : {}) });

/** Calls a route that answers a file. @throws RefusedError; LaterError */
export async function callFile(route: Route, asked: Asked): Promise<Blob> {
  try {
    const blob = await (await send(pathOf(route, asked), route.method, asked)).blob();
    noteAnswer();
    return blob;
  } catch (error) {
    noteRefusedAnswer(refusalIn(error));
    throw error;
  }
}

/** An answer by the schema of its route. @throws LaterError where it is not one, as of a page put before the server */
function checked<R extends Route>(route: R, answer: unknown): Answer<R> {
  if (!route.answer) return undefined as Answer<R>;
  const parsed = route.answer.safeParse(answer);
  if (parsed.success) return parsed.data as Answer<R>;
  // One row that cannot be read must not close the page: the rest is shown without it, and that is said.
  const { rest, left } = withoutRows(answer, parsed.error.issues);
  const again = route.answer.safeParse(rest);
  if (again.success && left > 0) {
    leftOut(left);
    return again.data as Answer<R>;
  }
  throw new LaterError({
    ...refusalOf(null, null),
    sentence:
      'The server’s answer cannot be read here. Load the page again; if it stays so, restart Huerta.',
  });
}

/**
 * Calls a route and checks its answer. What is read is remembered: while the server is away, or cannot answer, it is
 * answered as it was last seen.
 *
 * @throws RefusedError with the server’s reasons; LaterError where nothing was seen before
 */
export async function callRoute<R extends Route>(route: R, asked: Asked = {}): Promise<Answer<R>> {
  const path = pathOf(route, asked);
  const reads = route.method === 'get' && route.answer !== undefined && !asked.passing;
  try {
    const response = await send(path, route.method, asked);
    const answer = route.answer
      ? ((await response.json().catch(() => null)) as unknown)
      : undefined;
    const read = checked(route, answer);
    noteAnswer();
    // A save’s answer is what a reading of the same address gives from now on.
    if (reads || route.method === 'put') void cacheResponse(path, answer);
    return read;
  } catch (error) {
    noteRefusedAnswer(refusalIn(error));
    const before = reads && error instanceof LaterError ? await cachedResponse(path) : undefined;
    if (before === undefined) throw error;
    return checked(route, before);
  }
}
