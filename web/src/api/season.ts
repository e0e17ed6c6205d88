import type { SeasonPlan } from '@huerta/core';
import { useQueries } from '@tanstack/react-query';
import { documentQuery, useChange, useDocument } from './useDocument';

/** What is meant to be done in a planter's season. */
export const useSeasonPlan = (planter: string) => {
  const { data, error, refetch } = useDocument('season', planter);
  return { data: data?.body.plan, error, refetch };
};

/** The plans of several planters, by id, as far as they are known. */
export function useSeasonPlans(planters: readonly string[]): Readonly<Record<string, SeasonPlan>> {
  return useQueries({
    queries: planters.map((id) => documentQuery('season', id)),
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
