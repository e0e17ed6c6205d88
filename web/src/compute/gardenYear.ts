import type { Site } from '@huerta/core/catalog';
import type { PlanterDesign } from '@huerta/core/document';
import type { YearDays } from '@huerta/core/simulation/season';
import { proxy } from 'comlink';
import type { GardenDemand, GardenSowNow } from './tasks';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';
import { runInWorker } from './workerPool';

/** A planter, and its first day. */
export interface GrowingPlanter {
  id: string;
  design: PlanterDesign;
  /** ISO date. */
  planted: string;
}

/**
 * What each planter takes a day through a year of average weather, m³ by id; null until it is worked out.
 *
 * @param growing the planters; the same array as long as nothing of them changes
 */
export function useGardenDemand(
  growing: readonly GrowingPlanter[],
  site: Site,
  days: YearDays,
): GardenDemand | null {
  return useWorkerQuery<GardenDemand>({
    key: growing.length === 0 ? null : ['gardenDemand', idOf(growing), idOf(site), days],
    broke: 'What the planters drink could not be worked out.',
    ask: (signal) =>
      runInWorker(signal, (work) =>
        work.gardenDemand(
          growing.map(({ id, design, planted }) => ({ id, design, planted })),
          site,
          days,
        ),
      ),
  }).value;
}

/**
 * What can go into each planter now, by id, told planter by planter.
 *
 * @param growing the planters, the same array as long as nothing of them changes; null while nobody wants to know
 */
export const useGardenSowNow = (
  growing: readonly GrowingPlanter[] | null,
  today: string,
  site: Site,
): Known<GardenSowNow> =>
  useWorkerQuery<GardenSowNow>({
    key: growing === null ? null : ['gardenSowNow', idOf(growing), today, idOf(site)],
    broke: 'What could be sown could not be worked out.',
    ask: async (signal, tell) => {
      let last: GardenSowNow = {};
      await runInWorker(signal, (work) =>
        work.sowNow(
          (growing ?? []).map(({ id, design, planted }) => ({ id, design, planted })),
          today,
          site,
          proxy((now: GardenSowNow) => {
            last = now;
            tell(now);
          }),
        ),
      );
      return last;
    },
  });
