import type { PlanterResource } from '@huerta/contract';
import {
  planterStateKey,
  tendedQuestionOf,
  type GardenAbsence,
  type LogEntry,
} from '@huerta/core/journal';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import { useGardenDay } from '../data/gardenDay';
import { proxy } from 'comlink';
import { useMemo } from 'react';
import { useMeasuredDays } from '../data/api/weather';
import { runInWorker } from './workerPool';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';
import { useJoined } from './waterLines';
import { roundStates, type MarkedPlanter, type Round } from './roundStates';
import type { AwayTold, WeeksTold } from './tasks';

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
  const today = useGardenDay();
  const joined = useJoined(planters);
  return useMemo((): MarkedPlanter[] | null => {
    if (!measured || !joined || !planters.every(({ id }) => plans[id])) return null;
    return planters.map(({ id, design }) => {
      const planted = plans[id]?.planted ?? null;
      const mine = entries.filter(({ planter }) => planter === id);
      const asked = {
        ...{ design, joined: joined(id), planted, entries: mine },
        ...{ choice, measured, today },
      };
      return {
        id,
        question: tendedQuestionOf(asked),
        by: planterStateKey(asked),
      };
    });
  }, [planters, plans, entries, choice, measured, joined, today]);
}

/** How planters stand today, by their seasons, the weather that was, and their log. */
export function useRound(asked: RoundAsked): Known<Round> {
  const questions = useQuestions(asked);
  return useWorkerQuery<Round>({
    key: questions && ['round', idOf(questions)],
    broke: 'How they stand could not be worked out. Load the page again to try once more.',
    ask: (signal, tell) => roundStates(questions ?? [], signal, tell),
  });
}

/** How the garden fares while nobody is at home, and a change for each that does not last. */
export function useGardenAway(asked: RoundAsked, away: GardenAbsence | null): Known<AwayTold> {
  const questions = useQuestions(asked);
  return useWorkerQuery<AwayTold>({
    key: questions && away && ['away', idOf(questions), away.from, away.until],
    broke: 'The absence could not be worked out. Load the page again to try once more.',
    ask: async (signal, tell) => {
      let known: AwayTold | null = null;
      const planters = (questions ?? []).map(({ id, question }) => ({ id, question }));
      const { from, until } = away as GardenAbsence;
      await runInWorker(signal, (work) =>
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

/** What the weeks ahead bring. */
export function useWeeks(asked: RoundAsked, away: GardenAbsence | null): Known<WeeksTold> {
  const questions = useQuestions(asked);
  return useWorkerQuery<WeeksTold>({
    key: questions && ['weeks', idOf(questions), away?.from, away?.until],
    broke: 'The weeks ahead could not be worked out. Load the page again to try once more.',
    ask: (signal) =>
      runInWorker(signal, (work) =>
        work.weeks(
          (questions ?? []).map(({ id, question }) => ({ id, question })),
          away,
        ),
      ),
  });
}
