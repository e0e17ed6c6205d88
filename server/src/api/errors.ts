import type { ErrorRequestHandler } from 'express';
import type { Problem } from '@huerta/contract';
import type { Logger } from 'pino';
import { problem, ProblemError } from '../services/problems';

/** Answers every error as application/problem+json; only the log sees a stack. */
export const answerProblems =
  (logger: Logger): ErrorRequestHandler =>
  (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const answer = toProblem(error);
    if (answer.status >= 500) {
      logger.error({ err: error, method: request.method, path: request.path }, 'request failed');
    }
    response.status(answer.status).type('application/problem+json').send(JSON.stringify(answer));
  };

/** Errors that Express, its parsers and the file sender raise, by the status that they carry. */
const BY_STATUS: Readonly<Partial<Record<number, () => Problem>>> = {
  400: () =>
    problem('invalid', 400, 'Cannot be read', 'This address is not written right.').problem,
  // A path out of the folder is answered like one that leads nowhere.
  403: () => nothingThere(),
  404: () => nothingThere(),
  413: () =>
    problem(
      'too-large',
      413,
      'Too large',
      'This is more than a planter can be: the limit is 1 MB. Shorten its notes.',
    ).problem,
  415: () =>
    problem('not-json', 415, 'Cannot be read', 'Send JSON in UTF-8, as it is or packed with gzip.')
      .problem,
  416: () => problem('invalid', 416, 'Not there', 'The file has no such part.').problem,
};

const nothingThere = (): Problem =>
  problem('not-found', 404, 'Not there', 'There is nothing at this address.').problem;

const FULL = 'The disk of Huerta’s machine is full, so this could not be saved. Make room on it.';
const UNWRITABLE =
  'The folder of the garden cannot be written. Give Huerta the right to write there.';

/** What SQLite and the disk say, and what can be done about it. */
const STORE: Readonly<Record<string, string>> = {
  SQLITE_FULL: FULL,
  SQLITE_READONLY: UNWRITABLE,
  SQLITE_BUSY: 'Another program holds the garden’s file. Close it.',
  SQLITE_IOERR: 'The disk does not answer as it should, so this could not be saved.',
  SQLITE_LOCKED: 'The garden’s file is being worked on. Try again in a moment.',
  ENOSPC: FULL,
  EDQUOT: FULL,
  EACCES: UNWRITABLE,
  EROFS: UNWRITABLE,
  EIO: 'The disk does not answer as it should, so this could not be saved.',
  SQLITE_CORRUPT: 'The garden’s file is damaged. Stop Huerta and put a good copy in its place.',
};

function toProblem(error: unknown): Problem {
  if (error instanceof ProblemError) return error.problem;
  if (error instanceof URIError) return (BY_STATUS[400] as () => Problem)();
  const {
    type,
    status,
    parent,
    code: own,
  } = (error ?? {}) as {
    type?: unknown;
    code?: unknown;
    status?: unknown;
    parent?: { code?: unknown };
  };
  if (typeof type === 'string' && type.startsWith('entity.') && status === 400) {
    return problem('not-json', 400, 'Cannot be read', 'The request is not whole JSON.').problem;
  }
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return (
      BY_STATUS[status]?.() ??
      problem('invalid', status, 'Cannot be read', 'The request cannot be read as it is.').problem
    );
  }
  const code = parent?.code ?? own;
  if (typeof code === 'string' && STORE[code]) {
    return problem('internal', 507, 'Could not be saved', STORE[code]).problem;
  }
  return problem(
    'internal',
    500,
    'Something broke',
    'Something broke on the server. Try again, and restart Huerta if it stays.',
  ).problem;
}
