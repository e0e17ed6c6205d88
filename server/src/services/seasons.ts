import { FIRST_PLAN, seasonPlanSchema, type SeasonPlan } from '@huerta/core';
import type { TextModel } from '../store/texts';
import type { PlanterService } from './planters';

/** What is meant to be done in the season of each planter. */
export interface SeasonService {
  get(planter: string): Promise<SeasonPlan>;
  /** The last plan holds. */
  save(planter: string, plan: SeasonPlan): Promise<SeasonPlan>;
}

export function seasonService(seasons: TextModel, planters: PlanterService): SeasonService {
  return {
    async get(planter) {
      await planters.get(planter);
      const row = await seasons.findByPk(planter);
      return row ? seasonPlanSchema.parse(JSON.parse(row.text)) : FIRST_PLAN;
    },
    async save(planter, plan) {
      await planters.get(planter);
      await seasons.upsert({ key: planter, text: JSON.stringify(plan) });
      return plan;
    },
  };
}
