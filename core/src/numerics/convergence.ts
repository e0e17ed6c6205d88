/** An iteration that does not converge, however short its steps become. It is a bug and not a person's mistake. */
export class ConvergenceError extends Error {
  /** @param what is solved, as in "the soil's water" */
  constructor(what: string) {
    super(`No convergence for ${what}`);
    this.name = 'ConvergenceError';
  }
}
