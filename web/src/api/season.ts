import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { seasonPlanSchema, type SeasonPlan } from '@huerta/core';
import { keepDraft, readKeptDraft } from '../components/keptDraft';
import { call, RefusedError } from './client';

const planOf = (planter: string) => ['planters', planter, 'season'] as const;
const draftOf = (planter: string): string => `huerta.plan.${planter}`;

/** Saves a plan. Until the server has it, it lies on this device; one that is refused is given up. */
async function sendPlan(planter: string, plan: SeasonPlan): Promise<SeasonPlan> {
  keepDraft(draftOf(planter), plan);
  const done = () => {
    const now = readKeptDraft<SeasonPlan>(draftOf(planter));
    // A newer change may have been made meanwhile.
    if (JSON.stringify(now) === JSON.stringify(plan)) keepDraft(draftOf(planter), null);
  };
  try {
    const path = `/planters/${planter}/season`;
    const saved = await call(path, seasonPlanSchema, { method: 'PUT', body: plan });
    done();
    return saved;
  } catch (error) {
    if (error instanceof RefusedError) done();
    throw error;
  }
}

/** The plan as the server has it, or as it was changed here and could not be sent yet. */
async function fetchPlan(planter: string): Promise<SeasonPlan> {
  const kept = seasonPlanSchema.safeParse(readKeptDraft(draftOf(planter)));
  if (!kept.success) return call(`/planters/${planter}/season`, seasonPlanSchema);
  try {
    return await sendPlan(planter, kept.data);
  } catch (error) {
    if (error instanceof RefusedError) return call(`/planters/${planter}/season`, seasonPlanSchema);
    return kept.data;
  }
}

/** What is meant to be done in a planter's season. */
export function useSeasonPlan(planter: string) {
  return useQuery({
    queryKey: planOf(planter),
    queryFn: () => fetchPlan(planter),
    staleTime: 60_000,
  });
}

/** Shows a changed plan at once and saves it; plans are saved one after the other. */
export function useSaveSeasonPlan(planter: string) {
  const client = useQueryClient();
  return useMutation({
    scope: { id: `season of ${planter}` },
    mutationFn: (plan: SeasonPlan) => sendPlan(planter, plan),
    onMutate: (plan) => {
      keepDraft(draftOf(planter), plan);
      client.setQueryData(planOf(planter), plan);
    },
  });
}
