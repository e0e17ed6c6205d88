import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  vesselListSchema,
  vesselResourceSchema,
  type KeepVessel,
  type VesselResource,
} from '@huerta/contract';
import { call, tellServer } from './client';

const LIST = ['vessels'] as const;

/** The vessels that were measured and kept, oldest first. */
export function useVessels() {
  return useQuery({
    queryKey: LIST,
    queryFn: async () => (await call('/vessels', vesselListSchema)).vessels,
  });
}

/** Keeps a new vessel, or changes one when its id is given. */
export function useKeepVessel() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...kept }: KeepVessel & { id?: string }): Promise<VesselResource> =>
      call(id ? `/vessels/${id}` : '/vessels', vesselResourceSchema, {
        method: id ? 'PUT' : 'POST',
        body: kept,
      }),
    onSuccess: () => client.invalidateQueries({ queryKey: LIST }),
  });
}

export function useDeleteVessel() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => tellServer(`/vessels/${id}`, { method: 'DELETE' }),
    onSettled: () => client.invalidateQueries({ queryKey: LIST }),
  });
}

export function useRestoreVessel() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) =>
      call(`/vessels/${id}/restore`, vesselResourceSchema, { method: 'POST' }),
    onSettled: () => client.invalidateQueries({ queryKey: LIST }),
  });
}
