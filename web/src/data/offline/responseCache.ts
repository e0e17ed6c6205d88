import { shelf, type KnownState, type Seen } from './store';

/** Answers as they were last seen, for when the server is away. */

const seen = shelf<Seen>('seen');

export async function remember(path: string, answer: unknown): Promise<void> {
  await seen.change(path, () => ({ path, at: Date.now(), answer }));
}

/** @returns what was last answered at a path, or undefined */
export const recall = async (path: string): Promise<unknown> => (await seen.get(path))?.answer;

/** Forgets everything, as when this device was shut out. */
export async function forgetSeen(): Promise<void> {
  await seen.clear();
  // What was worked out tells of the garden too.
  await shelf<KnownState>('states').clear();
}
