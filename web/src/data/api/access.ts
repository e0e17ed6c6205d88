import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { REMOTE_ACCESS } from '@huerta/contract';
import { useAbout } from './backups';
import { callRoute } from './client';

/** The door to the house's network, and the devices that were let in. */

const DOOR_KEY = ['door'] as const;

export function useDoor() {
  return useQuery({
    queryKey: DOOR_KEY,
    queryFn: () => callRoute(REMOTE_ACCESS.get),
    refetchInterval: 5000,
  });
}

/**
 * Where the code of a label leads: into the house's network while the door is open, else to this page's own
 * address.
 *
 * @returns the address, and whether a phone can open it
 */
export function useLabelAddress(): { at: string; forPhones: boolean } {
  const { data: about } = useAbout();
  const { data: door } = useQuery({
    queryKey: DOOR_KEY,
    queryFn: () => callRoute(REMOTE_ACCESS.get),
    enabled: about?.home === true,
  });
  const [address] = door?.addresses ?? [];
  return {
    at: address ?? window.location.origin,
    forPhones: address !== undefined || about?.home === false,
  };
}

export function useSetDoor() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (wish: { open: boolean; secure: boolean }) =>
      callRoute(REMOTE_ACCESS.set, { body: wish }),
    onSuccess: (door) => client.setQueryData(DOOR_KEY, door),
  });
}

export function useMakeCode() {
  return useMutation({
    mutationFn: (address: string) => callRoute(REMOTE_ACCESS.code, { body: { address } }),
  });
}

export function useShutOut() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => callRoute(REMOTE_ACCESS.shutOut, { id }),
    onSettled: () => client.invalidateQueries({ queryKey: DOOR_KEY }),
  });
}
