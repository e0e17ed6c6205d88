import { objectStore } from './store';
import type { CachedResponse, KnownState } from './types';

/** Answers as they were last seen, for when the server is away. */

const seen = objectStore<CachedResponse>('seen');

export async function cacheResponse(path: string, answer: unknown): Promise<void> {
  await seen.change(path, () => ({ path, at: Date.now(), answer }));
}

/** @returns what was last answered at a path, or undefined */
export const cachedResponse = async (path: string): Promise<unknown> =>
  (await seen.get(path))?.answer;

/** Forgets everything, as when this device was shut out. */
export async function clearResponseCache(): Promise<void> {
  await seen.clear();
  // What was worked out tells of the garden too.
  await objectStore<KnownState>('states').clear();
}
