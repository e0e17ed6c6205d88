import type { Problem, ProblemKind } from '@huerta/contract';

/** An error that a user can cause, with the answer to give. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** Where something is wrong, and what. */
export type Where = NonNullable<Problem['errors']>[number];

type Details = Partial<Pick<Problem, 'errors' | 'current'>>;

export function problem(
  kind: ProblemKind,
  status: number,
  title: string,
  detail: string,
  details: Details = {},
): ProblemError {
  return new ProblemError({
    type: `urn:huerta:problem:${kind}`,
    kind,
    title,
    status,
    detail,
    ...details,
  });
}

export const notFound = (detail: string) => problem('not-found', 404, 'Not there', detail);

export const conflict = (what: string, current: NonNullable<Problem['current']>) =>
  problem(
    'conflict',
    409,
    'Changed elsewhere',
    `${what} was changed in another window after you opened it. Both versions are safe: choose which to keep.`,
    { current },
  );

export const contradiction = (errors: Where[]) =>
  problem(
    'contradiction',
    422,
    'Measures contradict each other',
    errors[0]?.message ?? 'The measures contradict each other.',
    { errors },
  );

/** Problems that are listed; more are only counted. */
const LISTED = 20;

export const invalid = (errors: Where[]) => {
  const first = errors[0];
  const more = errors.length > LISTED ? ` There are ${errors.length} such problems.` : '';
  const where = first && first.path.length > 0 ? ` at ‘${first.path.join(', ')}’` : '';
  return problem(
    'invalid',
    400,
    'Cannot be read',
    `The request cannot be read${where}: ${first?.message ?? 'it is incomplete'}.${more}`,
    { errors: errors.slice(0, LISTED) },
  );
};
