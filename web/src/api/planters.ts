import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { planterListSchema, planterResourceSchema, type PlanterResource } from '@huerta/contract';
import type { PlanterDesign } from '@huerta/core';
import { call, tellServer } from './client';

const LIST = ['planters'] as const;
const one = (id: string) => ['planters', id] as const;

/** All planters of the garden, oldest first. */
export function usePlanters() {
  return useQuery({
    queryKey: LIST,
    queryFn: async () => (await call('/planters', planterListSchema)).planters,
  });
}

/** One planter, always fetched anew: the bench must start from what the server has. */
export function usePlanter(id: string) {
  return useQuery({
    queryKey: one(id),
    queryFn: () => call(`/planters/${id}`, planterResourceSchema),
    staleTime: 0,
    gcTime: 0,
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
  });
}

export const savePlanter = (
  id: string,
  revision: number,
  design: PlanterDesign,
  keepalive = false,
): Promise<PlanterResource> =>
  call(`/planters/${id}`, planterResourceSchema, {
    method: 'PUT',
    body: { revision, design },
    keepalive,
  });

export const createPlanter = (design: PlanterDesign): Promise<PlanterResource> =>
  call('/planters', planterResourceSchema, { method: 'POST', body: { design } });

const again = (client: QueryClient) => () =>
  client.invalidateQueries({ queryKey: LIST, exact: true });

export function useCreatePlanter() {
  const client = useQueryClient();
  return useMutation({ mutationFn: createPlanter, onSuccess: again(client) });
}

/** Saves over a known revision, as renaming does. */
export function useSavePlanter() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, revision, design }: Pick<PlanterResource, 'id' | 'revision' | 'design'>) =>
      savePlanter(id, revision, design),
    onSettled: again(client),
  });
}

export function useDeletePlanter() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => tellServer(`/planters/${id}`, { method: 'DELETE' }),
    onSettled: again(client),
  });
}

export function useRestorePlanter() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) =>
      call(`/planters/${id}/restore`, planterResourceSchema, { method: 'POST' }),
    onSettled: again(client),
  });
}
