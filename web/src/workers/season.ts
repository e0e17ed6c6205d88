import {
  levelSpread,
  spreadOf,
  type Absence,
  type Filling,
  type Message,
  type Patch,
  type PlanterDesign,
  type SeasonRun,
  type Site,
  type Spread,
  type Totals,
  type Watering,
  type WeatherDay,
} from '@huerta/core';
import { useEffect, useRef, useState } from 'react';

/** What a season is asked with. */
export interface SeasonQuestion {
  design: PlanterDesign;
  /** A made-up site, or days of one's own. */
  weather: { site: Site } | { days: readonly WeatherDay[] };
  planted: string;
  filling: Filling;
  waterings: readonly Watering[];
  days: number;
  /** How many weathers the bands and absences come from. */
  seeds: number;
}

/** An absence of some days from a date on. */
export interface AwayQuestion extends SeasonQuestion {
  from: string;
  away: number;
}

/** Several what-ifs at once. */
export interface TogetherQuestion extends SeasonQuestion {
  together: readonly string[];
}

/** A season worked out. */
export interface SeasonAnswer {
  run: SeasonRun;
  weather: readonly WeatherDay[];
  totals: Totals;
  /** Days that a full reservoir lasts from each day on; null where the season is too short to say. */
  lasts: (number | null)[];
}

/** What some weathers tell: level by day and sums of each. */
export interface WeathersRun {
  levels: readonly (readonly number[])[];
  totals: readonly Totals[];
}

/** What many weathers tell together. */
export interface OutlookAnswer {
  level: Spread[];
  fills: Spread;
  seeds: number;
}

/** A change with which it would last longer: of the design, or somebody who waters meanwhile. */
export interface Mend {
  label: Message;
  safe: number;
  patch: Patch;
  waterings: readonly Watering[];
}

export interface AwayAnswer {
  answer: Absence;
  mends: readonly Mend[];
  /** Changes that are still being tried. */
  trying: boolean;
}

export interface WhatIfAnswer {
  id: string;
  label: Message;
  totals: Totals;
  /** By day, metres. */
  level: number[];
  /** Why it could not be worked out. */
  trouble: string | null;
}

/** The parts of an answer, with the question of each and what its worker tells, bit by bit. */
interface Parts {
  season: { question: SeasonQuestion; told: SeasonAnswer };
  outlook: { question: SeasonQuestion; told: WeathersRun };
  away: { question: AwayQuestion; told: AwayAnswer };
  'what-if': { question: SeasonQuestion; told: WhatIfAnswer };
  together: { question: TogetherQuestion; told: WhatIfAnswer };
}
export type Part = keyof Parts;

/** What a worker is sent; of several workers on one part each has its share. */
export type SeasonAsked = {
  [P in Part]: { part: P; question: Parts[P]['question']; share: number; of: number };
}[Part];

export type SeasonMessage =
  | { kind: 'told'; told: Parts[Part]['told'] }
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
function usePart<P extends Part, T>(
  part: P,
  question: Parts[P]['question'] | null,
  fold: (before: T | null, told: Parts[P]['told']) => T,
  workers = 1,
): Known<T> {
  const [known, setKnown] = useState<{
    value: T | null;
    to: Parts[P]['question'] | null;
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
          const told = data.told as Parts[P]['told'];
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
