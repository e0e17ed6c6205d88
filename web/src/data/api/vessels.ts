import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { VESSELS, type KeepVessel, type VesselResource } from '@huerta/contract';
import { v4 as uuid } from 'uuid';
import { addPendingSave, pendingSaves } from '../offline/pendingSaves';
import { callRoute } from './client';
import type { PendingSave } from '../offline/types';

const LIST = ['vessels'] as const;

/** The vessels as the server has them, with what was measured here and is not there yet. */
async function fetchVessels(): Promise<VesselResource[]> {
  const waiting = (await pendingSaves.all()).filter(
    (kept): kept is PendingSave<'vessel'> => kept.kind === 'vessel',
  );
  const { vessels } = await callRoute(VESSELS.list);
  const changed = vessels.map((one) => {
    const kept = waiting.find(({ id }) => id === one.id);
    return kept ? { ...one, ...kept.body } : one;
  });
  const fresh = waiting
    .filter(({ id }) => !vessels.some((one) => one.id === id))
    .map(({ id, body, at }): VesselResource => {
      const time = new Date(at).toISOString();
      return { id, revision: 1, createdAt: time, updatedAt: time, ...body };
    });
  return [...changed, ...fresh.reverse()];
}

/** The vessels that were measured and kept, oldest first. */
export function useVessels() {
  return useQuery({ queryKey: LIST, queryFn: fetchVessels });
}

/** Keeps a new vessel, or changes one that there is. */
export function useKeepVessel() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ of, ...body }: KeepVessel & { of?: VesselResource }) =>
      addPendingSave('vessel', of?.id ?? uuid(), of?.revision ?? 0, body),
    onSuccess: () => client.invalidateQueries({ queryKey: LIST }),
  });
}

/** What a vessel was before its saves, newest first. */
export function useVesselHistory(id: string) {
  return useQuery({
    queryKey: [...LIST, id, 'history'],
    queryFn: async () =>
      (await callRoute(VESSELS.history, { id })).revisions.map(({ vessel, ...one }) => ({
        ...one,
        value: vessel,
      })),
    staleTime: 0,
  });
}

export function useDeleteVessel() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => callRoute(VESSELS.remove, { id }),
    onSettled: () => client.invalidateQueries({ queryKey: LIST }),
  });
}

export function useRestoreVessel() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => callRoute(VESSELS.restore, { id }),
    onSettled: () => client.invalidateQueries({ queryKey: LIST }),
  });
}
