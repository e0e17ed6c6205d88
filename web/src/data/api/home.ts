import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  BACKUPS,
  DOOR,
  FEEDS,
  type Different,
  type FeedKind,
  type RestorePreview,
} from '@huerta/contract';
import { callRoute, sendFile } from './client';
import { plantersChanged } from './planters';

/** What belongs to the machine at home: the door, copies, the garden as one file. */

const DOOR_KEY = ['door'] as const;

/** Which Huerta this is, and whether the page is open on its own machine. */
export function useAbout() {
  return useQuery({ queryKey: ['about'], queryFn: () => callRoute(BACKUPS.about) });
}

export function useDoor() {
  return useQuery({
    queryKey: DOOR_KEY,
    queryFn: () => callRoute(DOOR.get),
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
    queryFn: () => callRoute(DOOR.get),
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
    mutationFn: (wish: { open: boolean; secure: boolean }) => callRoute(DOOR.set, { body: wish }),
    onSuccess: (door) => client.setQueryData(DOOR_KEY, door),
  });
}

export function useMakeCode() {
  return useMutation({
    mutationFn: (address: string) => callRoute(DOOR.code, { body: { address } }),
  });
}

export function useShutOut() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => callRoute(DOOR.shutOut, { id }),
    onSettled: () => client.invalidateQueries({ queryKey: DOOR_KEY }),
  });
}

const FEEDS_KEY = ['feeds'] as const;

/** The addresses that calendars and stations were given. */
export function useFeeds() {
  return useQuery({ queryKey: FEEDS_KEY, queryFn: () => callRoute(FEEDS.list), staleTime: 0 });
}

export function useMakeFeed() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (wish: { name: string; kind: FeedKind; planter: string | null; address: string }) =>
      callRoute(FEEDS.make, { body: wish }),
    onSuccess: () => client.invalidateQueries({ queryKey: FEEDS_KEY }),
  });
}

export function useWithdrawFeed() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => callRoute(FEEDS.withdraw, { id }),
    onSettled: () => client.invalidateQueries({ queryKey: FEEDS_KEY }),
  });
}

export function useBackups() {
  return useQuery({ queryKey: ['backups'], queryFn: () => callRoute(BACKUPS.days), staleTime: 0 });
}

/** Everything may be another after this. */
const allAnew = (client: ReturnType<typeof useQueryClient>) => () => {
  void client.invalidateQueries();
  plantersChanged(client);
};

export function usePutBack() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name: string) => callRoute(BACKUPS.putBack, { params: { name } }),
    onSuccess: allAnew(client),
  });
}

/** What would come in from a garden file. */
export function useLook() {
  return useMutation({
    mutationFn: (file: File): Promise<RestorePreview> => sendFile(BACKUPS.look, file),
  });
}

export function useBringIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ file, different }: { file: File; different: Different }) =>
      sendFile(BACKUPS.restore, file, { different }),
    onSuccess: allAnew(client),
  });
}
