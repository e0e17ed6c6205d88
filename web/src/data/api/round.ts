import { waterLinesOf, type WaterLine } from '@huerta/core/document';
import { FIRST_ROUND, type RoundPlan } from '@huerta/core/journal';
import { ONLY, useChange, useDocument } from './useDocument';

/** The order of the walk, the rain tank, and when nobody is at home. */
export const useRoundPlan = () => {
  const { data, error, refetch } = useDocument('round', ONLY);
  return { data: data?.body.plan, error, refetch };
};

/** The line of joined planters that a planter is in; undefined for one that stands alone, and until it is known. */
export const useLineOf = (planter: string): WaterLine | undefined =>
  waterLinesOf(useRoundPlan().data?.lines ?? [], planter)[0];

/** Changes a part of it. */
export function useChangeRound() {
  const { data } = useRoundPlan();
  const { mutate } = useChange('round', ONLY);
  return (part: Partial<RoundPlan>) => mutate({ plan: { ...(data ?? FIRST_ROUND), ...part } });
}
