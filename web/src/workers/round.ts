import type { PlanterResource } from '@huerta/contract';
import {
  siteOf,
  type GardenAbsence,
  type LogEntry,
  type SeasonPlan,
  type TendedQuestion,
  type TendedState,
  type WeatherChoice,
} from '@huerta/core';
import { proxy } from 'comlink';
import { formatISO } from 'date-fns';
import { useMemo } from 'react';
import { useMeasuredDays } from '../api/log';
import { ask } from './hands';
import { idOf, useTold, type Known } from './useTold';
import type { AwayTold, RoundPlanter, RoundState } from './work';

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

/** What is asked of each planter, and what that hangs on; null before all is there. */
function useQuestions({ planters, plans, entries, choice }: RoundAsked) {
  const measured = useMeasuredDays();
  const today = formatISO(new Date(), { representation: 'date' });
  return useMemo((): { id: string; question: TendedQuestion; by: string }[] | null => {
    if (!planters.every(({ id }) => plans[id])) return null;
    const days = [...(choice.days?.days ?? []), ...measured];
    const site = siteOf(choice);
    const weather = `${today} ${idOf(choice)} ${idOf(measured)}`;
    return planters.map(({ id, design, revision }) => {
      const planted = plans[id]?.planted ?? null;
      const mine = entries.filter(({ planter }) => planter === id);
      const logged = mine.map((entry) => entry.id).join();
      return {
        id,
        question: { design, planted, entries: mine, site, days, today },
        by: `${weather} ${revision} ${idOf(design)} ${planted} ${logged}`,
      };
    });
  }, [planters, plans, entries, choice, measured, today]);
}

/** Workers that share a round. */
const HANDS = 2;
/** What was worked out lately, by planter and what it hangs on: a new entry asks again for its planter alone. */
const lately = new Map<string, { by: string; state: TendedState | null }>();

/** How planters stand today, by their seasons, the weather that was, and their log. */
export function useRound(asked: RoundAsked): Known<Round> {
  const questions = useQuestions(asked);
  return useTold<Round>({
    key: questions && ['round', idOf(questions)],
    broke: 'How they stand could not be worked out. Load the page again to try once more.',
    ask: async (signal, tell) => {
      const all = questions ?? [];
      const known = new Map<string, TendedState | null>();
      const left: (RoundPlanter & { by: string })[] = [];
      for (const one of all) {
        const before = lately.get(one.id);
        if (before?.by === one.by) known.set(one.id, before.state);
        else left.push(one);
      }
      const told = () => Object.fromEntries(known);
      if (known.size > 0 && left.length > 0) tell(told());
      const heard = proxy(({ id, state }: RoundState) => {
        const by = left.find((one) => one.id === id)?.by;
        if (by !== undefined) lately.set(id, { by, state });
        known.set(id, state);
        tell(told());
      });
      const shares = Array.from({ length: Math.min(HANDS, left.length) }, (_, k) =>
        left
          .filter((_, i) => i % HANDS === k)
          .map(({ id, question }): RoundPlanter => ({ id, question })),
      );
      await Promise.all(shares.map((share) => ask(signal, (work) => work.round(share, heard))));
      return told();
    },
  });
}

/** How the garden fares while nobody is at home, and a change for each that does not last. */
export function useGardenAway(asked: RoundAsked, away: GardenAbsence | null): Known<AwayTold> {
  const questions = useQuestions(asked);
  return useTold<AwayTold>({
    key: questions && away && ['away', idOf(questions), away.from, away.until],
    broke: 'The absence could not be worked out. Load the page again to try once more.',
    ask: async (signal, tell) => {
      let known: AwayTold | null = null;
      const planters = (questions ?? []).map(({ id, question }) => ({ id, question }));
      const { from, until } = away as GardenAbsence;
      await ask(signal, (work) =>
        work.away(
          { planters, from, until },
          proxy((told: AwayTold) => {
            known = told;
            tell(told);
          }),
        ),
      );
      return known as unknown as AwayTold;
    },
  });
}
