import type {
  Absence,
  Message,
  PlanterDesign,
  SeasonRun,
  Site,
  Spread,
  Totals,
  WeatherDay,
} from '@huerta/core';
import { useEffect, useRef, useState } from 'react';

/** What a season is asked with. */
export interface SeasonQuestion {
  design: PlanterDesign;
  /** A made-up site, or days of one's own. */
  weather: { site: Site } | { days: readonly WeatherDay[] };
  planted: string;
  days: number;
  /** How many weathers the bands come from. */
  seeds: number;
  away: { from: string; days: number } | null;
}

/** A season worked out. */
export interface SeasonAnswer {
  run: SeasonRun;
  weather: readonly WeatherDay[];
  totals: Totals;
  /** Days that a full reservoir lasts from each day on; null where the season is too short to say. */
  lasts: (number | null)[];
}

/** What many weathers tell. */
export interface OutlookAnswer {
  level: Spread[];
  fills: Spread;
  filled: Spread;
  shortDays: Spread;
  seeds: number;
}

/** A change with which it would last longer. */
export interface Mend {
  label: Message;
  safe: number;
}

export interface WhatIfAnswer {
  id: string;
  label: string;
  totals: Totals;
  /** Why it could not be worked out. */
  trouble: string | null;
}

export type SeasonMessage =
  | { id: number; kind: 'season'; answer: SeasonAnswer }
  | { id: number; kind: 'outlook'; answer: OutlookAnswer; of: number }
  | { id: number; kind: 'away'; answer: Absence; mends: Mend[] }
  | { id: number; kind: 'what-if'; answer: WhatIfAnswer[] }
  | { id: number; kind: 'trouble'; trouble: string };

/** What is known of a season: the last good answers, and why there are no newer ones. */
export interface SeasonState {
  season: SeasonAnswer | null;
  outlook: OutlookAnswer | null;
  /** Weathers still to come. */
  toCome: number;
  away: { answer: Absence; mends: Mend[] } | null;
  whatIf: WhatIfAnswer[] | null;
  trouble: string | null;
}

const NOTHING: SeasonState = {
  season: null,
  outlook: null,
  toCome: 0,
  away: null,
  whatIf: null,
  trouble: null,
};

/** A season in its worker. A new question ends the old one; what was good stays until there is better. */
export function useSeason(question: SeasonQuestion | null): SeasonState {
  const [state, setState] = useState<SeasonState>(NOTHING);
  const asked = useRef(0);

  useEffect(() => {
    if (!question) return;
    asked.current += 1;
    const id = asked.current;
    // One works out the season, the absence and the what-ifs, another the many weathers.
    const workers = (['season', 'outlook'] as const).map((part) => {
      const worker = new Worker(new URL('./season.worker.ts', import.meta.url), { type: 'module' });
      return { part, worker };
    });
    const broke = () =>
      setState((now) => ({
        ...now,
        trouble:
          'The season could not be worked out. The last one is shown; change something to try again.',
      }));
    for (const { part, worker } of workers) {
      worker.onmessage = ({ data }: MessageEvent<SeasonMessage>) => {
        if (data.id !== asked.current) return;
        setState((now) => taken(now, data));
      };
      worker.onerror = broke;
      worker.postMessage({ id, part, question });
    }
    return () => workers.forEach(({ worker }) => worker.terminate());
  }, [question]);

  return state;
}

function taken(now: SeasonState, message: SeasonMessage): SeasonState {
  switch (message.kind) {
    case 'season':
      return { ...now, season: message.answer, trouble: null };
    case 'outlook':
      return { ...now, outlook: message.answer, toCome: message.of - message.answer.seeds };
    case 'away':
      return { ...now, away: { answer: message.answer, mends: message.mends } };
    case 'what-if':
      return { ...now, whatIf: message.answer };
    case 'trouble':
      return { ...now, trouble: message.trouble };
  }
}
