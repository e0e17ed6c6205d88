import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { FEEDS, type FeedKind } from '@huerta/contract';
import { callRoute } from './client';

/** Addresses with a secret of their own, for calendars and stations. */

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
