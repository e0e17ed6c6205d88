import type { PlanterDesign } from '@huerta/core/document';
import type { Documents, Kept } from './documents';

/** The planters that grow something, oldest first. */
export async function ofRound(planters: Documents<PlanterDesign>): Promise<Kept<PlanterDesign>[]> {
  const { kept } = await planters.list();
  return kept.filter(({ value }) => value.planting.crops.some(({ count }) => count > 0));
}
