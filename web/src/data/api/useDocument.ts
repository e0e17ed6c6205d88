import type { DocumentKind } from '@huerta/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { addPendingSave, pendingSaves, keyOf } from '../offline/pendingSaves';
import { load } from './documents';
import { RefusedError } from '../offline/refusalErrors';
import type { Bodies, PendingSave } from '../offline/types';

/** The id of documents that a garden has one of. */
export const ONLY = 'garden';

export const documentKey = (kind: DocumentKind, id: string) => ['document', kind, id] as const;

/** A document as this device knows it: with what was changed here and is not on the server yet. */
export interface Known<K extends DocumentKind> {
  /** Of what the server has. */
  revision: number;
  body: Bodies[K];
  kept: PendingSave<K> | null;
}

async function know<K extends DocumentKind>(kind: K, id: string): Promise<Known<K>> {
  const kept = (await pendingSaves.get(keyOf(kind, id))) as PendingSave<K> | null;
  try {
    const { revision, body } = await load(kind, id);
    return { revision, body: kept?.body ?? body, kept };
  } catch (error) {
    if (!kept || error instanceof RefusedError) throw error;
    return { revision: kept.base, body: kept.body, kept };
  }
}

/** One document, as it was last changed here or as the server has it. */
export const useDocument = <K extends DocumentKind>(kind: K, id: string) =>
  useQuery(documentQuery(kind, id));

/** How a document is asked for, alone or with others. */
export const documentQuery = <K extends DocumentKind>(kind: K, id: string) => ({
  queryKey: documentKey(kind, id),
  queryFn: () => know(kind, id),
  staleTime: 60_000,
});

/** Shows a change at once, keeps it on this device, and leaves the sending to the queue. */
export function useChange<K extends DocumentKind>(kind: K, id: string) {
  const client = useQueryClient();
  const key = documentKey(kind, id);
  return useMutation({
    scope: { id: key.join(' ') },
    networkMode: 'always',
    mutationFn: async (body: Bodies[K]) => {
      const now = client.getQueryData<Known<K>>(key);
      const kept = await addPendingSave(kind, id, now?.revision ?? 0, body, now?.kept?.saveId);
      client.setQueryData<Known<K>>(key, { revision: now?.revision ?? 0, body, kept });
    },
    onMutate: async (body) => {
      await client.cancelQueries({ queryKey: key });
      const now = client.getQueryData<Known<K>>(key);
      if (now) client.setQueryData<Known<K>>(key, { ...now, body });
    },
  });
}
