import { refusalOf, type Refusal } from '@huerta/contract';
import { keepsHere } from './storage';

/** The server refused, and would again: it has to be mended first, or this device let in. */
export class RefusedError extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.sentence);
  }
}

/** Not now: the server could not be reached, or cannot take it yet. What became of the request is not known. */
export class LaterError extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.sentence);
  }
}

/** What an error of a request means. What is no refusal, as an answer that cannot be read, is one for later. */
export const refusalIn = (error: unknown): Refusal =>
  error instanceof RefusedError || error instanceof LaterError
    ? error.refusal
    : refusalOf(null, null, keepsHere());

/** The error that stands for a refusal. */
export const errorOf = (refusal: Refusal): RefusedError | LaterError =>
  refusal.kind === 'later' ? new LaterError(refusal) : new RefusedError(refusal);
