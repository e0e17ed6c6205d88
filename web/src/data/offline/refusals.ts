import type { Refusal } from '@huerta/contract';
import { objectStore } from './store';
import type { Refused } from './types';

const refusals = objectStore<Refused>('refusals');

/** Names of the things that can be refused. */
export const refusalKeys = {
  document: ({ saveId }: { saveId: string }) => `document/${saveId}`,
  entry: ({ id }: { id: string }) => `entry/${id}`,
  mark: (planter: string, { key, at }: { key: string; at: string }) =>
    `mark/${planter}/${key}/${at}`,
  photo: ({ id }: { id: string }) => `photo/${id}`,
} as const;

/** All refusals by the key of what was refused. */
export async function allRefusals(): Promise<ReadonlyMap<string, Refused>> {
  return new Map((await refusals.all()).map((one) => [one.key, one]));
}

export async function noteRefusal(key: string, { status, sentence }: Refusal): Promise<void> {
  await refusals.change(key, () => ({ key, status, why: sentence, at: Date.now() }));
}

/** Forgets a refusal, so that the thing is sent again, or because it is gone. */
export async function forgetRefusal(key: string): Promise<void> {
  await refusals.change(key, () => undefined);
}

/** Forgets refusals of what does not wait any more. @param waiting keys of all that waits */
export async function forgetStaleRefusals(waiting: ReadonlySet<string>): Promise<void> {
  for (const key of (await allRefusals()).keys()) if (!waiting.has(key)) await forgetRefusal(key);
}
