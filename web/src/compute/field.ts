import type { Carry, FieldPictures } from '@huerta/core/simulation/moisture';
import { ask } from './workerPool';
import { useTold, type Known } from './useWorkerQuery';
import type { FieldAsked } from './tasks';

/** The moisture of a planter; the last good one stays while a new one is worked out. */
export const useField = (asked: FieldAsked | null): Known<FieldPictures> =>
  useTold({
    key: asked && ['field', asked],
    broke: 'Where the water gets to could not be worked out. Change something to try again.',
    ask: (signal) => ask(signal, (work) => work.pictures(asked as FieldAsked)),
  });

/** What carries the water farther, once it is known that it does not get everywhere. */
export const useCarries = (asked: FieldAsked | null, wanted: boolean): Known<Carry[]> =>
  useTold({
    key: asked && wanted ? ['carries', asked] : null,
    broke: 'What would carry it farther could not be worked out.',
    ask: (signal) => ask(signal, (work) => work.carries(asked as FieldAsked)),
  });
