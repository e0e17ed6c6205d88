import type { PlanterDesign } from '@huerta/core/document';
import type { WaterDrawing } from './tasks';
import { idOf, useWorkerQuery } from './useWorkerQuery';
import { runInWorker } from './workerPool';

/** Levels that are drawn as one, metres: less is no line's width in a small picture. */
const STEP = 0.002;

/** The drawing that was asked for last: they are made one after the other, by one worker. */
let last: Promise<unknown> = Promise.resolve();

function inTurn<T>(make: () => Promise<T>): Promise<T> {
  const made = last.then(make);
  last = made.catch(() => undefined);
  return made;
}

/**
 * The section of a planter with its water at a level; null until it is drawn.
 *
 * @param level metres above the inside floor; null while it is not known, and nothing is drawn
 */
export function useWaterDrawing(design: PlanterDesign, level: number | null): WaterDrawing | null {
  const drawn = level === null ? null : Math.round(level / STEP) * STEP;
  return useWorkerQuery<WaterDrawing>({
    key: drawn === null ? null : ['waterDrawing', idOf(design), drawn],
    broke: 'The drawing could not be made.',
    ask: (signal) =>
      inTurn(() => runInWorker(signal, (work) => work.waterDrawing({ design, level: drawn ?? 0 }))),
  }).value;
}
