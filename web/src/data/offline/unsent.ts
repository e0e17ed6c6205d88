import type { LogEntry } from '@huerta/core/journal';
import type { ProgressEntry } from '@huerta/core/fabrication';
import { isOpen, pendingSaves, wakeOutbox } from './pendingSaves';
import { addPendingEntries, removePendingEntries, pendingEntries } from './pendingEntries';
import { allPendingProgress, addPendingProgress, removePendingProgress } from './pendingProgress';
import { addPendingPhoto, removePendingPhoto, pendingPhotos } from './pendingPhotos';
import { allRefusals, forgetRefusal, refusalKeys } from './refusals';
import type { PendingPhoto, PendingSave, Refused } from './types';

/** Everything that lies on this device and not on the server, with why the server does not take it, where it said so. */
export type Unsent = { key: string; refused: Refused | null } & (
  | { kind: 'document'; kept: PendingSave }
  | { kind: 'entry'; entry: LogEntry }
  | { kind: 'mark'; planter: string; entry: ProgressEntry }
  | { kind: 'photo'; photo: PendingPhoto }
);

/** All that waits, what is refused first, but for what an open bench is about to send. */
export async function allUnsent(): Promise<Unsent[]> {
  const [refusals, documents, entries, marks, photos] = await Promise.all([
    allRefusals(),
    pendingSaves.all(),
    pendingEntries(),
    allPendingProgress(),
    pendingPhotos(),
  ]);
  const open = await Promise.all(documents.map(({ holder }) => isOpen(holder)));
  const withRefusal = (key: string) => ({ key, refused: refusals.get(key) ?? null });
  const all: Unsent[] = [
    ...documents
      .filter((_, i) => !open[i])
      .map((kept) => ({
        ...withRefusal(refusalKeys.document(kept)),
        kind: 'document' as const,
        kept,
      })),
    ...entries.map((entry) => ({
      ...withRefusal(refusalKeys.entry(entry)),
      kind: 'entry' as const,
      entry,
    })),
    ...marks.flatMap(({ planter, entries: own }) =>
      own.map((entry) => ({
        ...withRefusal(refusalKeys.mark(planter, entry)),
        kind: 'mark' as const,
        planter,
        entry,
      })),
    ),
    ...photos.map((photo) => ({
      ...withRefusal(refusalKeys.photo(photo)),
      kind: 'photo' as const,
      photo,
    })),
  ];
  return all.sort((a, b) => Number(b.refused !== null) - Number(a.refused !== null));
}

/** Has one that was refused sent once more. */
export async function sendAgain({ key }: Unsent): Promise<void> {
  await forgetRefusal(key);
  wakeOutbox();
}

/** Takes one off this device, never to be sent. @returns puts it back */
export async function dropUnsent(one: Unsent): Promise<() => Promise<void>> {
  await forgetRefusal(one.key);
  switch (one.kind) {
    case 'document':
      await pendingSaves.drop(one.kept.key, one.kept.saveId);
      return async () => {
        await pendingSaves.put(one.kept);
        wakeOutbox();
      };
    case 'entry':
      await removePendingEntries([one.entry]);
      return () => addPendingEntries([one.entry]);
    case 'mark':
      await removePendingProgress(one.planter, [one.entry]);
      return () => addPendingProgress(one.planter, one.entry);
    case 'photo':
      await removePendingPhoto(one.photo.id);
      return () => addPendingPhoto(one.photo.id, one.photo.picture);
  }
}

/** One as a file to keep elsewhere. */
export function fileOf(one: Unsent): { name: string; content: Blob } {
  const json = (value: unknown) =>
    new Blob([JSON.stringify(value, null, 1)], { type: 'application/json' });
  switch (one.kind) {
    case 'document':
      return { name: `${one.kept.kind}-${one.kept.id}.json`, content: json(one.kept.body) };
    case 'entry':
      return { name: `entry-${one.entry.id}.json`, content: json(one.entry) };
    case 'mark':
      return {
        name: `mark-${one.entry.key.replaceAll('/', '-')}.json`,
        content: json({ planter: one.planter, ...one.entry }),
      };
    case 'photo':
      return { name: `photo-${one.photo.id}`, content: one.photo.picture };
  }
}
