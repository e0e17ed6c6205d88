import {
  levelSpread,
  spreadOf,
  type AwayAnswer,
  type AwayQuestion,
  type SeasonAnswer,
  type SeasonPart,
  type SeasonParts,
  type SeasonQuestion,
  type Spread,
  type TogetherQuestion,
  type WeathersRun,
  type WhatIfAnswer,
} from '@huerta/core';
import { useEffect, useRef, useState } from 'react';

/** What many weathers tell together. */
export interface OutlookAnswer {
  level: Spread[];
  fills: Spread;
  seeds: number;
}

export type SeasonMessage =
  | { kind: 'told'; told: SeasonParts[SeasonPart]['told'] }
  | { kind: 'done' }
  | { kind: 'trouble'; trouble: string };

interface Known<T> {
  value: T | null;
  /** Whether that answers what is asked now, and not what was asked before. */
  current: boolean;
  /** Why there is nothing newer. */
  trouble: string | null;
}

const BROKE =
  'The season could not be worked out. The last one is shown; change something to try again.';

/**
 * A part of the answer from workers of its own. A new question ends the old one, and what was good stays
 * until there is better; the same question is not asked twice.
 *
 * @param question null while there is none, or while nobody looks
 */
function usePart<P extends SeasonPart, T>(
  part: P,
  question: SeasonParts[P]['question'] | null,
  fold: (before: T | null, told: SeasonParts[P]['told']) => T,
  workers = 1,
): Known<T> {
  const [known, setKnown] = useState<{
    value: T | null;
    to: SeasonParts[P]['question'] | null;
    trouble: string | null;
  }>({ value: null, to: null, trouble: null });
  const answered = useRef<typeof question>(null);
  const folded = useRef(fold);

  useEffect(() => {
    if (!question || answered.current === question) return;
    let fresh = true;
    let atWork = workers;
    const all = Array.from({ length: workers }, (_, share) => {
      const worker = new Worker(new URL('./season.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<SeasonMessage>) => {
        if (data.kind === 'trouble') {
          setKnown((now) => ({ ...now, trouble: data.trouble }));
        } else if (data.kind === 'done') {
          atWork -= 1;
          if (atWork === 0) answered.current = question;
        } else {
          const first = fresh;
          fresh = false;
          const told = data.told as SeasonParts[P]['told'];
          setKnown((now) => ({
            value: folded.current(first ? null : now.value, told),
            to: question,
            trouble: null,
          }));
        }
      };
      worker.onerror = () => setKnown((now) => ({ ...now, trouble: BROKE }));
      worker.postMessage({ part, question, share, of: workers });
      return worker;
    });
    return () => all.forEach((worker) => worker.terminate());
  }, [part, question, workers]);

  const { value, to, trouble } = known;
  return { value, trouble, current: to !== null && to === question };
}

const last = <T>(_before: T | null, told: T): T => told;
const listed = <T>(before: readonly T[] | null, told: T): readonly T[] => [...(before ?? []), told];

/** The season itself. */
export const useSeason = (question: SeasonQuestion | null): Known<SeasonAnswer> =>
  usePart('season', question, last);

/** Workers that share the weathers of an outlook. */
const ON_OUTLOOK = 2;

/** The season in many weathers: what is known so far. */
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
