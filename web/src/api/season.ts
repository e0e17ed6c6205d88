import type { SeasonPlan } from '@huerta/core';
import { useChange, useDocument } from './useDocument';

/** What is meant to be done in a planter's season. */
export const useSeasonPlan = (planter: string) => {
  const { data, error, refetch } = useDocument('season', planter);
  return { data: data?.body.plan, error, refetch };
};

/** Changes the plan. */
export function useSaveSeasonPlan(planter: string): (plan: SeasonPlan) => void {
  const { mutate } = useChange('season', planter);
  return (plan) => mutate({ plan });
}
