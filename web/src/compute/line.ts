import type { PlanterDesign, WaterLine } from '@huerta/core/document';
import type { UnitSystem } from '@huerta/core/units';
import type { LineAsked, LineShown } from './lineTask';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';
import { runInWorker } from './workerPool';

/** What a line of joined planters comes to; nothing is asked before all of it is there. */
export const useLine = (asked: LineAsked | null): Known<LineShown> =>
  useWorkerQuery<LineShown>({
    key: asked && [
      'line',
      JSON.stringify([asked.line, asked.others, asked.units]),
      idOf(asked.designs),
      asked.book && idOf(asked.book),
    ],
    broke: 'The joined planters could not be worked out. Load the page again to try once more.',
    ask: (signal) => runInWorker(signal, (work) => work.line(asked as LineAsked)),
  });

/** A first line of some planters, their lips level. */
export const askUsualLine = (
  named: Pick<WaterLine, 'id' | 'name'>,
  planters: readonly { id: string; design: PlanterDesign }[],
  units: UnitSystem,
): Promise<WaterLine> =>
  runInWorker(new AbortController().signal, (work) => work.usualLine(named, planters, units));

/** How high a planter’s inside floor stands, metres above the ground, when its lip is to be so high. */
export const askFloor = (design: PlanterDesign, lip: number): Promise<number> =>
  runInWorker(new AbortController().signal, (work) => work.floorFor(design, lip));
