import { ROUND, type PlanterResource } from '@huerta/contract';
import {
  planterStateKey,
  type CalendarEvent,
  tendedQuestionOf,
  type GardenAbsence,
  type LogEntry,
  type TendedQuestion,
  type TendedState,
} from '@huerta/core/journal';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import { useGardenDay } from '../data/gardenDay';
import { proxy } from 'comlink';
import { useMemo } from 'react';
import { callRoute } from '../data/api/client';
import { useMeasuredDays } from '../data/api/weather';
import { objectStore } from '../data/offline/store';
import { runInWorker, warmWorkers } from './workerPool';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';
import type { AwayTold, RoundPlanter, RoundState } from './tasks';
import type { KnownState } from '../data/offline/types';

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
  const today = useGardenDay();
  return useMemo((): { id: string; question: TendedQuestion; by: string }[] | null => {
    if (!measured || !planters.every(({ id }) => plans[id])) return null;
    return planters.map(({ id, design }) => {
      const planted = plans[id]?.planted ?? null;
      const mine = entries.filter(({ planter }) => planter === id);
      const asked = { design, planted, entries: mine, choice, measured, today };
      return {
        id,
        question: tendedQuestionOf(asked),
        by: planterStateKey(asked),
      };
    });
  }, [planters, plans, entries, choice, measured, today]);
}

/** Which Huerta this is: another one may work out something else. */
const PROGRAM = import.meta.url;

/** Workers that share a round. */
const HANDS = 2;
/** What was worked out lately, by planter and what it hangs on: a new entry asks again for its planter alone. */
const states = objectStore<KnownState>('states');
const stateCache = new Map<string, KnownState>();

async function loadStateCache(): Promise<ReadonlyMap<string, KnownState>> {
  if (stateCache.size === 0) {
    for (const one of await states.all())
      if (one.program === PROGRAM) stateCache.set(one.planter, one);
  }
  return stateCache;
}

/** How planters stand as the server has it ready, by the mark of what that hangs on. */
async function readyThere(): Promise<ReadonlyMap<string, TendedState | null>> {
  try {
    const { standing } = await callRoute(ROUND.states);
    return new Map(standing.map(({ mark, state }) => [mark, state as TendedState | null]));
  } catch {
    // Without the server it is worked out here.
    return new Map();
  }
}

function keepState(one: KnownState): void {
  stateCache.set(one.planter, one);
  void states.change(one.planter, () => one);
}

/** How planters stand today, by their seasons, the weather that was, and their log. */
export function useRound(asked: RoundAsked): Known<Round> {
  const questions = useQuestions(asked);
  return useWorkerQuery<Round>({
    key: questions && ['round', idOf(questions)],
    broke: 'How they stand could not be worked out. Load the page again to try once more.',
    ask: async (signal, tell) => {
      const all = questions ?? [];
      const known = new Map<string, TendedState | null>();
      const left: (RoundPlanter & { by: string })[] = [];
      const before = await loadStateCache();
      for (const one of all) {
        const then = before.get(one.id);
        // Nobody has said that anything grows in it.
        if (one.question.entries.length === 0 && one.question.planted === null)
          known.set(one.id, null);
        else if (then?.by === one.by) known.set(one.id, then.state);
        else left.push(one);
      }
      const told = () => Object.fromEntries(known);
      if (known.size > 0 && left.length > 0) tell(told());
      const ready = left.length > 1 ? await readyThere() : new Map<string, TendedState | null>();
      const here = left.filter(({ id, by }) => {
        const state = ready.get(by);
        if (state === undefined) return true;
        keepState({ planter: id, program: PROGRAM, by, state });
        known.set(id, state);
        return false;
      });
      if (here.length > 0 && here.length < left.length) tell(told());
      const heard = proxy(({ id, state }: RoundState) => {
        const by = left.find((one) => one.id === id)?.by;
        if (by !== undefined) keepState({ planter: id, program: PROGRAM, by, state });
        known.set(id, state);
        tell(told());
      });
      const shares = Array.from({ length: Math.min(HANDS, here.length) }, (_, k) =>
        here
          .filter((_, i) => i % HANDS === k)
          .map(({ id, question }): RoundPlanter => ({ id, question })),
      );
      await Promise.all(
        shares.map((share) => runInWorker(signal, (work) => work.round(share, heard))),
      );
      return told();
    },
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

/** What stands in the garden's calendar. */
export function useCalendar(
  asked: RoundAsked,
  away: GardenAbsence | null,
): Known<readonly CalendarEvent[]> {
  const questions = useQuestions(asked);
  return useWorkerQuery<readonly CalendarEvent[]>({
    key: questions && ['calendar', idOf(questions), away?.from, away?.until],
    broke: 'The weeks ahead could not be worked out. Load the page again to try once more.',
    ask: (signal) =>
      runInWorker(signal, (work) =>
        work.calendar(
          (questions ?? []).map(({ id, question }) => ({ id, question })),
          away,
        ),
      ),
  });
}

/** Starts the workers of a round while what it asks is still on its way. */
export const warmRound = (): void => warmWorkers(HANDS);
