import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { seasonPlanSchema, type SeasonPlan } from '@huerta/core';
import { call } from './client';

const planOf = (planter: string) => ['planters', planter, 'season'] as const;

/** What is meant to be done in a planter's season. */
export function useSeasonPlan(planter: string) {
  return useQuery({
    queryKey: planOf(planter),
    queryFn: () => call(`/planters/${planter}/season`, seasonPlanSchema),
    staleTime: 60_000,
  });
}

/** Shows a changed plan at once and saves it; plans are saved one after the other. */
export function useSaveSeasonPlan(planter: string) {
  const client = useQueryClient();
  return useMutation({
    scope: { id: `season of ${planter}` },
    mutationFn: (plan: SeasonPlan) =>
      call(`/planters/${planter}/season`, seasonPlanSchema, { method: 'PUT', body: plan }),
    onMutate: (plan) => client.setQueryData(planOf(planter), plan),
  });
}
