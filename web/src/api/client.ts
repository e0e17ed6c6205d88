import { problemSchema, type Problem, type Route } from '@huerta/contract';
import type { z } from 'zod';
import { heard, notHeard } from '../device/heard';
import { forgetSeen, recall, remember } from '../device/seen';

/** The server refused, with its reasons. */
export class RefusedError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** The server could not be reached; nothing is known of what became of the request. */
export class UnreachableError extends Error {
  constructor() {
    super(
      'Huerta’s server does not answer. What was saved is safe, and what you do here is kept on this device; see that it is running.',
    );
  }
}

/** What a route is asked with. */
interface Asked {
  /** What stands for `:id` in the path, and for other names. */
  id?: string;
  params?: Readonly<Record<string, string>>;
  query?: Readonly<Record<string, string>>;
  body?: object | Blob;
  /** Let the request outlive the page. */
  keepalive?: boolean;
}

type Answer<R extends Route> = R['answer'] extends z.ZodType<infer T> ? T : undefined;

function pathOf({ path }: Route, { id = '', params = {}, query }: Asked): string {
  const search = query ? `?${new URLSearchParams(query).toString()}` : '';
  const named = { id, ...params } as Readonly<Record<string, string>>;
  const filled = path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(named[name] ?? ''),
  );
  return `${filled}${search}`;
}

async function send(path: string, method: Route['method'], asked: Asked): Promise<Response> {
  const { body, keepalive } = asked;
  let response: Response;
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
    throw new UnreachableError();
  }
  if (response.ok) return response;
  const problem = problemSchema.safeParse(await response.json().catch(() => null));
  if (problem.success) {
    if (problem.data.kind === 'not-let-in') await shutOut();
    // At home its copies are offered there; what was seen and not sent stays on this device.
    if (problem.data.kind === 'garden-damaged') window.location.assign('/api/mend');
    throw new RefusedError(problem.data);
  }
  throw new UnreachableError();
}

/** This device was shut out: it keeps nothing of the garden that it has seen, and says how to be let in again. */
async function shutOut(): Promise<void> {
  await forgetSeen();
  window.location.assign('/let-in');
}

/** Sends a file to a route that reads one. */
export const sendFile = <R extends Route>(
  route: R,
  file: File,
  query?: Readonly<Record<string, string>>,
): Promise<Answer<R>> => callRoute(route, { body: file, ...(query ? { query } : {}) });

/** Calls a route that answers a file. @throws RefusedError; UnreachableError */
export async function callFile(route: Route, asked: Asked): Promise<Blob> {
  try {
    const blob = await (await send(pathOf(route, asked), route.method, asked)).blob();
    heard();
    return blob;
  } catch (error) {
    if (error instanceof RefusedError) heard();
    else notHeard();
    throw error;
  }
}

/**
 * Calls a route and checks its answer. What is read is remembered: while the server is away it is answered as
 * it was last seen.
 *
 * @throws RefusedError with the server’s reasons; UnreachableError where nothing was seen before
 */
export async function callRoute<R extends Route>(route: R, asked: Asked = {}): Promise<Answer<R>> {
  const path = pathOf(route, asked);
  const reads = route.method === 'get' && route.answer !== undefined;
  let answer: unknown;
  try {
    const response = await send(path, route.method, asked);
    answer = route.answer ? await response.json() : undefined;
    heard();
  } catch (error) {
    if (error instanceof RefusedError) heard();
    else notHeard();
    const before = reads && error instanceof UnreachableError ? await recall(path) : undefined;
    if (before === undefined) throw error;
    answer = before;
  }
  const checked = (route.answer ? route.answer.parse(answer) : undefined) as Answer<R>;
  // A save’s answer is what a reading of the same address gives from now on.
  if (reads || route.method === 'put') void remember(path, answer);
  return checked;
}
