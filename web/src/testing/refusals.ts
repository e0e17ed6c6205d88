import { refusalOf, type ProblemKind } from '@huerta/contract';
import { LaterError, RefusedError } from '../data/offline/refusalErrors';

/** Answers of a server, as requests meet them. */

/** Nothing is answered. */
export const away = (): LaterError => new LaterError(refusalOf(null, null));

/** An answer that refuses, by its status; a problem of Huerta's own where its kind is said. */
export function refusedWith(
  status: number,
  problem?: { kind: ProblemKind; detail: string; current?: { revision: number } },
): LaterError | RefusedError {
  const body = problem && { type: '', title: '', status, ...problem };
  const refusal = refusalOf(status, body);
  return refusal.kind === 'later' ? new LaterError(refusal) : new RefusedError(refusal);
}
