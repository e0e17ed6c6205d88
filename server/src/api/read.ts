import type { Request } from 'express';
import { z } from 'zod';
import { invalid, notFound } from '../services/problems';

/** The id in a request's path. @throws ProblemError not-found when it is none */
export function idOf(request: Request, what: string): string {
  const id = z.uuid().safeParse(request.params.id);
  if (!id.success) throw notFound(`There is no ${what} at this address.`);
  return id.data;
}

/** A request's body by its schema. @throws ProblemError invalid, saying where and what */
export function read<T>(schema: z.ZodType<T>, body: unknown): T {
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  throw invalid(
    parsed.error.issues.map(({ path, message }) => ({
      path: path.map((key) => (typeof key === 'number' ? key : String(key))),
      message,
    })),
  );
}
