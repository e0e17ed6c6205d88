import {
  levelSpread,
  spreadOf,
  type AwayAnswer,
  type AwayQuestion,
  type SeasonAnswer,
  type SeasonAsked,
  type SeasonPart,
  type SeasonParts,
  type SeasonQuestion,
  type Spread,
  type TogetherQuestion,
  type WeathersRun,
  type WhatIfAnswer,
} from '@huerta/core/simulation/season';
import { proxy } from 'comlink';
import { runInWorker, warmWorkers } from './workerPool';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';

/** What many weathers tell together. */
export interface OutlookAnswer {
  level: Spread[];
  fills: Spread;
  seeds: number;
}

/** Least time between two looks at what is known so far: a chart takes time to draw. */
const BETWEEN_MS = 400;
const BROKE =
  'The season could not be worked out. The last one is shown; change something to try again.';

/**
 * A part of the answer. What is told is folded into what is known, and shown.
 *
 * @param question null while there is none, or while nobody looks
 * @param workers how many share the work
 */
function usePart<P extends SeasonPart, T>(
  part: P,
  question: SeasonParts[P]['question'] | null,
  fold: (before: T | null, told: SeasonParts[P]['told']) => T,
  workers = 1,
): Known<T> {
  return useWorkerQuery<T>({
    key: question && [part, idOf(question)],
    broke: BROKE,
    ask: async (signal, tell) => {
      let known: T | null = null;
      let shown = 0;
      const hear = (told: SeasonParts[P]['told']) => {
        known = fold(known, told);
        if (performance.now() - shown < BETWEEN_MS) return;
        tell(known);
        shown = performance.now();
      };
      const shares = Array.from({ length: workers }, (_, share) =>
        runInWorker(signal, (work) =>
          work.season({ part, question, share, of: workers } as SeasonAsked, proxy(hear as never)),
        ),
      );
      await Promise.all(shares);
      return known as T;
    },
  });
}

const last = <T>(_before: T | null, told: T): T => told;
const listed = <T>(before: readonly T[] | null, told: T): readonly T[] => [...(before ?? []), told];

/** Starts the workers that a season takes. */
export const warmSeason = (): void => warmWorkers(ON_OUTLOOK);

/** The season itself. */
export const useSeason = (question: SeasonQuestion | null): Known<SeasonAnswer> =>
  usePart('season', question, last);

/**
 * Workers that share the weathers of an outlook. Each compiles the season's code for itself, which takes as long
 * as a dozen weathers: where the page has but one core beside its own, one worker is the quickest.
 */
const ON_OUTLOOK = Math.min(Math.max(navigator.hardwareConcurrency - 1, 1), 2);

/** The season in many weathers: what is known so far. It is asked when the season itself is known, so as not to hold it up. */
export function useOutlook(question: SeasonQuestion | null): Known<OutlookAnswer> {
  const { value, ...rest } = usePart('outlook', question, joined, ON_OUTLOOK);
  return { value: value?.answer ?? null, ...rest };
}

interface Joined extends WeathersRun {
  answer: OutlookAnswer;
}

function joined(before: Joined | null, told: WeathersRun): Joined {
  const levels = [...(before?.levels ?? []), ...told.levels];
  const totals = [...(before?.totals ?? []), ...told.totals];
  const answer = {
    level: levelSpread(levels),
    fills: spreadOf(totals.map(({ fills }) => fills)),
    seeds: totals.length,
  };
  return { levels, totals, answer };
}

/** How long it lasts while nobody is there, and what would make it last longer. */
export const useAway = (question: AwayQuestion | null): Known<AwayAnswer> =>
  usePart('away', question, last);

/** What could be otherwise, as far as it is worked out. */
export const useWhatIf = (question: SeasonQuestion | null): Known<readonly WhatIfAnswer[]> =>
  usePart('what-if', question, listed);

/** Several what-ifs at once. */
export const useTogether = (question: TogetherQuestion | null): Known<WhatIfAnswer> =>
  usePart('together', question, last);
