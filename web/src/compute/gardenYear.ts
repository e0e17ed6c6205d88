import type { Site } from '@huerta/core/catalog';
import type { PlanterDesign } from '@huerta/core/document';
import type { YearDays } from '@huerta/core/simulation/season';
import type { GardenDemand } from './tasks';
import { idOf, useWorkerQuery } from './useWorkerQuery';
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
