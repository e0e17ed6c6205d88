import { problemSchema, type Problem } from '@huerta/contract';
import type { z } from 'zod';

/** The server refused, with its reasons. */
export class RefusedError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** The server could not be reached; nothing is known of what became of the request. */
export class UnreachableError extends Error {
  constructor() {
    super('Huerta’s server does not answer. What was saved is safe; see that it is running.');
  }
}

interface Call {
  method?: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  body?: object;
  /** Let the request outlive the page. */
  keepalive?: boolean;
}

async function send(path: string, { method = 'GET', body, keepalive }: Call): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      ...(keepalive ? { keepalive } : {}),
      ...(body
        ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
        : {}),
    });
  } catch {
    throw new UnreachableError();
  }
  if (response.ok) return response;
  const problem = problemSchema.safeParse(await response.json().catch(() => null));
  if (problem.success) throw new RefusedError(problem.data);
  throw new UnreachableError();
}

/** Calls the API and checks the answer against its schema. */
export async function call<T>(path: string, schema: z.ZodType<T>, options: Call = {}): Promise<T> {
  const response = await send(path, options);
  return schema.parse(await response.json());
}

/** Calls the API where no answer is expected. */
export async function tellServer(path: string, options: Call): Promise<void> {
  await send(path, options);
}
