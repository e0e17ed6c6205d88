import { SEASONS } from '@huerta/contract';
import { FIRST_PLAN, type SeasonPlan } from '@huerta/core/simulation/season';
import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { pendingSaves } from '../offline/pendingSaves';
import { callRoute } from './client';
import { documentKey, documentQuery, useChange, useDocument, type Known } from './useDocument';
import type { PendingSave } from '../offline/types';

/** What is meant to be done in a planter's season. */
export const useSeasonPlan = (planter: string) => {
  const { data, error, refetch } = useDocument('season', planter);
  return { data: data?.body.plan, error, refetch };
};

/** The plans of all, asked for once by what needs them at the same time. */
const allPlans = {
  queryKey: ['seasons'],
  queryFn: () => callRoute(SEASONS.all),
  staleTime: 2000,
};

/** Asks for the plans of all ahead of what will need them. */
export const useAllSeasonPlans = () => useQuery(allPlans);

/** The plans of several planters, by id, as far as they are known; fetched together. */
export function useSeasonPlans(planters: readonly string[]): Readonly<Record<string, SeasonPlan>> {
  const client = useQueryClient();
  const { isPending } = useQuery({
    queryKey: ['seasons', 'of', planters],
    queryFn: async () => {
      const { plans } = await client.fetchQuery(allPlans);
      const kept = new Map((await pendingSaves.all()).map((one) => [`${one.kind} ${one.id}`, one]));
      for (const id of planters) {
        const { revision, plan } = plans[id] ?? { revision: 0, plan: FIRST_PLAN };
        const own = (kept.get(`season ${id}`) ?? null) as PendingSave<'season'> | null;
        client.setQueryData<Known<'season'>>(documentKey('season', id), {
          revision,
          body: own?.body ?? { plan },
          kept: own,
        });
      }
      return null;
    },
    networkMode: 'always',
  });
  return useQueries({
    queries: planters.map((id) => ({ ...documentQuery('season', id), enabled: !isPending })),
    combine: (results) =>
      Object.fromEntries(
        planters.flatMap((id, i) => {
          const plan = results[i]?.data?.body.plan;
          return plan ? [[id, plan]] : [];
        }),
      ),
  });
}

/** Changes the plan. */
export function useSaveSeasonPlan(planter: string): (plan: SeasonPlan) => void {
  const { mutate } = useChange('season', planter);
  return (plan) => mutate({ plan });
}
