import type { GardenPlan, PlansFound, PlanSetting, PlanWish } from '@huerta/core/planning/plans';
import { proxy } from 'comlink';
import { runInWorker } from './workerPool';
import { idOf, useWorkerQuery } from './useWorkerQuery';

/** Whole plans for a wish, the best so far while it goes on. */
export function usePlans(wish: PlanWish | null, setting: PlanSetting | null) {
  return useWorkerQuery<PlansFound>({
    key: wish &&
      setting && [
        ...['plans', JSON.stringify(wish), setting.units, setting.year],
        ...[idOf(setting.site), idOf(setting.book)],
      ],
    broke: 'The search broke off. What it had found is shown; change an answer to try again.',
    ask: async (signal, tell) => {
      let found: PlansFound = { of: 0, done: 0, plans: [], alone: null };
      // What was told before is the same object again, so that nothing of it is drawn anew.
      const known = new Map<string, GardenPlan>();
      const again = (plan: GardenPlan): GardenPlan => {
        const before = known.get(plan.id) ?? plan;
        known.set(plan.id, before);
        return before;
      };
      await runInWorker(signal, (work) =>
        work.plans(
          wish as PlanWish,
          setting as PlanSetting,
          proxy((told: PlansFound) => {
            found = { ...told, plans: told.plans.map(again) };
            tell(found);
          }),
        ),
      );
      return found;
    },
  });
}
