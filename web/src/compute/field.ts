import type { Carry, FieldPictures } from '@huerta/core/simulation/moisture';
import { runInWorker } from './workerPool';
import { useWorkerQuery, type Known } from './useWorkerQuery';
import type { FieldAsked } from './tasks';

/** The moisture of a planter; the last good one stays while a new one is worked out. */
export const useField = (asked: FieldAsked | null): Known<FieldPictures> =>
  useWorkerQuery({
    key: asked && ['field', asked],
    broke: 'Where the water gets to could not be worked out. Change something to try again.',
    ask: (signal) => runInWorker(signal, (work) => work.pictures(asked as FieldAsked)),
  });

/** What carries the water farther, once it is known that it does not get everywhere. */
export const useCarries = (asked: FieldAsked | null, wanted: boolean): Known<Carry[]> =>
  useWorkerQuery({
    key: asked && wanted ? ['carries', asked] : null,
    broke: 'What would carry it farther could not be worked out.',
    ask: (signal) => runInWorker(signal, (work) => work.carries(asked as FieldAsked)),
  });
