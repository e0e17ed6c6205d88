import type { PlanterResource } from '@huerta/contract';
import {
  siteOf,
  type LogEntry,
  type SeasonPlan,
  type TendedState,
  type WeatherChoice,
} from '@huerta/core';
import { proxy } from 'comlink';
import { formatISO } from 'date-fns';
import { useMemo } from 'react';
import { useMeasuredDays } from '../api/log';
import { ask } from './hands';
import { idOf, useTold, type Known } from './useTold';
import type { RoundPlanter } from './work';

/** How planters stand, by id, as far as it is known. */
export type Round = Readonly<Record<string, TendedState | null>>;

/** What is known of the planters of a round. */
export interface RoundAsked {
  planters: readonly PlanterResource[];
  /** Plans of their seasons by id; nothing is asked before all are there. */
  plans: Readonly<Record<string, SeasonPlan>>;
  /** The log, of these planters or of all. */
  entries: readonly LogEntry[];
  choice: WeatherChoice;
}

/** How planters stand today, by their seasons, the weather that was, and their log. */
export function useRound({ planters, plans, entries, choice }: RoundAsked): Known<Round> {
  const measured = useMeasuredDays();
  const today = formatISO(new Date(), { representation: 'date' });
  const asked = useMemo((): RoundPlanter[] | null => {
    if (!planters.every(({ id }) => plans[id])) return null;
    const days = [...(choice.days?.days ?? []), ...measured];
    return planters.map(({ id, design }) => ({
      id,
      question: {
        design,
        planted: plans[id]?.planted ?? null,
        entries: entries.filter(({ planter }) => planter === id),
        site: siteOf(choice),
        days,
        today,
      },
    }));
  }, [planters, plans, entries, choice, measured, today]);
  return useTold<Round>({
    key: asked && ['round', idOf(asked)],
    broke: 'How they stand could not be worked out. Load the page again to try once more.',
    ask: async (signal, tell) => {
      let known: Record<string, TendedState | null> = {};
      await ask(signal, (work) =>
        work.round(
          asked ?? [],
          proxy(({ id, state }: { id: string; state: TendedState | null }) => {
            known = { ...known, [id]: state };
            tell(known);
          }),
        ),
      );
      return known;
    },
  });
}
