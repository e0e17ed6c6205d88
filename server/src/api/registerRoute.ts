import type { Request, RequestHandler, Response, Router } from 'express';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Route } from '@huerta/contract';
import type { z } from 'zod';
import { idOf, read } from './read';

type Read<S> = S extends z.ZodType<infer T> ? T : undefined;

/** A request as its route says that it is, checked. */
export interface RouteContext<R extends Route> {
  /** The id in the path; an empty text for routes without one. */
  id: string;
  query: Read<R['query']>;
  body: Read<R['body']>;
  request: Request;
  response: Response;
}

/** JSON that lies ready as text. */
export class JsonText {
  constructor(readonly text: string) {}
}

/** A file that is answered. */
export class FileAnswer {
  constructor(
    readonly name: string,
    readonly content: Buffer | string | Readable,
    readonly type: string,
    /** Whether the browser shows it rather than keeps it. */
    readonly opens: boolean,
  ) {}
}

/** What routes are put into: a router, or an application under a prefix. */
export type Routing = Pick<Router, Route['method']>;

/** Puts routes straight into an application, which spares a reading the way through a router of its own. */
export const withPrefix = (prefix: string, app: Router): Routing =>
  ({
    get: (path: string, ...handlers: RequestHandler[]) => app.get(`${prefix}${path}`, ...handlers),
    put: (path: string, ...handlers: RequestHandler[]) => app.put(`${prefix}${path}`, ...handlers),
    post: (path: string, ...handlers: RequestHandler[]) =>
      app.post(`${prefix}${path}`, ...handlers),
    patch: (path: string, ...handlers: RequestHandler[]) =>
      app.patch(`${prefix}${path}`, ...handlers),
    delete: (path: string, ...handlers: RequestHandler[]) =>
      app.delete(`${prefix}${path}`, ...handlers),
  }) as unknown as Routing;

/** Answers a route: reads what comes in by the route's schemas and sends what the handler gives. */
export function registerRoute<R extends Route>(
  router: Routing,
  route: R,
  handle: (asked: RouteContext<R>) => Promise<object | void>,
): void {
  const noun = /^\/(vessel|photo|feed)s/.exec(route.path)?.[1] ?? 'planter';
  router[route.method](route.path, async (request, response) => {
    const answer = await handle({
      id: route.path.includes(':id') ? idOf(request, noun) : '',
      query: (route.query ? read(route.query, request.query) : undefined) as Read<R['query']>,
      body: (route.body ? read(route.body, request.body) : undefined) as Read<R['body']>,
      request,
      response,
    });
    response.status(route.status ?? 200);
    if (answer === undefined) response.end();
    else if (answer instanceof JsonText) response.type('json').send(answer.text);
    else if (answer instanceof FileAnswer) await sendFile(response, answer);
    else response.json(answer);
  });
}

/** With a name to keep it under, in any script. */
async function sendFile(response: Response, answer: FileAnswer): Promise<void> {
  const { name, content, type, opens } = answer;
  response.attachment(name);
  if (opens) {
    const kept = response.getHeader('Content-Disposition') as string;
    response.setHeader('Content-Disposition', kept.replace(/^attachment/, 'inline'));
  }
  response.type(type).set('Cache-Control', 'no-store');
  if (typeof content === 'string' || Buffer.isBuffer(content)) response.send(content);
  // What breaks on the way breaks the answer off, so that it is not taken for whole.
  else await pipeline(content, response);
}
