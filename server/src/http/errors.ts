import type { ErrorRequestHandler } from 'express';
import type { Problem } from '@huerta/contract';
import { problem, ProblemError } from '../services/problems';

/** Answers every error as application/problem+json; only the log sees a stack. */
export const answerProblems: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const answer = toProblem(error);
  if (answer.status >= 500) request.log.error({ err: error }, 'request failed');
  response.status(answer.status).type('application/problem+json').send(JSON.stringify(answer));
};

function toProblem(error: unknown): Problem {
  if (error instanceof ProblemError) return error.problem;
  const { type, status } = (error ?? {}) as { type?: unknown; status?: unknown };
  if (type === 'entity.too.large') {
    return problem(
      'too-large',
      413,
      'Too large',
      'This is more than a planter can be: the limit is 1 MB. Shorten its notes.',
    ).problem;
  }
  if (typeof type === 'string' && type.startsWith('entity.')) {
    return problem('not-json', 400, 'Cannot be read', 'The request is not whole JSON.').problem;
  }
  if (status === 404) {
    return problem('not-found', 404, 'Not there', 'There is nothing at this address.').problem;
  }
  return problem(
    'internal',
    500,
    'Something broke',
    'Something broke on the server. What was saved is safe; try again, and restart Huerta if it stays.',
  ).problem;
}
