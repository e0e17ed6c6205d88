import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import {
  historySchema,
  planterListSchema,
  planterResourceSchema,
  type PlanterResource,
} from '@huerta/contract';
import type { PlanterDesign } from '@huerta/core';
import { v4 as uuid } from 'uuid';
import { call, tellServer } from './client';

const LIST = ['planters'] as const;
const one = (id: string) => ['planters', id] as const;

const fetchList = () => call('/planters', planterListSchema);

/** All planters of the garden, oldest first. */
export function usePlanters() {
  return useQuery({ queryKey: LIST, queryFn: fetchList, select: ({ planters }) => planters });
}

/** Planters that the server keeps and cannot read. */
export function useSetAside() {
  return useQuery({ queryKey: LIST, queryFn: fetchList, select: ({ setAside }) => setAside });
}

/** What a planter was before its saves, newest first. */
export function useHistory(id: string) {
  return useQuery({
    queryKey: [...one(id), 'history'],
    queryFn: async () => (await call(`/planters/${id}/history`, historySchema)).revisions,
    staleTime: 0,
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
  mark: { revision: number; saveId: string; after?: readonly string[] },
  design: PlanterDesign,
  keepalive = false,
): Promise<PlanterResource> =>
  call(`/planters/${id}`, planterResourceSchema, {
    method: 'PUT',
    body: { ...mark, design },
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
      savePlanter(id, { revision, saveId: uuid() }, design),
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
