import { setTimeout as setTimeoutAsync } from 'node:timers/promises';
import {
  currentEntries,
  tendedQuestionOf,
  planterStateKey,
  type RoundPlan,
  type TendedQuestion,
  type TendedState,
} from '@huerta/core/journal';
import type { PlanterDesign } from '@huerta/core/document';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import type { Documents } from './documents';
import { joinedIn } from './joined';
import { ONLY } from './kinds';
import type { PlanterStateTable } from '../storage/planterStates';
import { parsedJson } from './json';
import type { LogService, WeatherDayService } from './log';
import type { PdfRenderer } from './pdfRenderer';

/** A state that lies ready, with the mark of what it hangs on. */
interface ReadyState {
  planter: string;
  mark: string;
  state: TendedState | null;
}

/** How planters stand today, kept ready: a phone need not work out what the house's machine can. */
export interface PlanterStateCache {
  /**
   * What became ready after the state of a number, with the number of the latest. Begins what is not ready or no longer
   * true, and waits up to WAIT_MS for more while that goes on.
   */
  readySince(number: number): Promise<{ last: number; working: boolean; standing: ReadyState[] }>;
  /** Works out what is not ready or no longer true, a planter at a time in each thread. */
  refresh(): Promise<void>;
  /** Begins to keep it ready: now, soon after every change, and every hour. */
  begin(): void;
  /** Something that it hangs on has changed. */
  soon(): void;
  /** Ends it, once what is under way has come to an end. */
  stop(): Promise<void>;
}

interface Parts {
  planters: Documents<PlanterDesign>;
  seasons: Documents<SeasonPlan>;
  weather: Documents<WeatherChoice>;
  round: Documents<RoundPlan>;
  log: LogService;
  weatherDays: WeatherDayService;
  /** Where states outlast the server. */
  table: PlanterStateTable;
  /** Which Huerta this is: what another one worked out is worked out again. */
  by: string;
  /** Threads that work it out, the one that is used most first. */
  threads: readonly [PdfRenderer, ...PdfRenderer[]];
  today(): string;
}

interface Ready extends ReadyState {
  number: number;
}

/** How long after a change it is worked out, so that several at once count as one. Milliseconds. */
const REST_MS = 250;
/** How long an answer waits for more, and how often it looks, milliseconds. */
const WAIT_MS = 800;
const LOOK_MS = 40;
/** States that one answer waits for: a page that is drawn anew for each takes the time that the next needs. */
const TOGETHER = 6;
const HOUR_MS = 3_600_000;
/** Planters that are kept ready. */
const MOST = 200;
/** Planters from which on all threads work: of fewer one is done before another has begun. */
const SEVERAL = 4;

// eslint-disable-next-line max-lines-per-function -- one cache: its methods share what is known and what is under way.
export function planterStateCache(parts: Parts): PlanterStateCache {
  const ready = new Map<string, Ready>();
  let begun = false;
  let stopped = false;
  let timer: NodeJS.Timeout | undefined;
  let under: Promise<void> | null = null;
  let again = false;
  /** Whether something has changed since it was begun the last time. */
  let changed = false;
  /** States that were worked out so far, which numbers them. */
  let count = 0;

  /** @returns whether it had to be worked out */
  const one = async (
    thread: PdfRenderer,
    id: string,
    question: TendedQuestion,
    mark: string,
  ): Promise<boolean> => {
    if (ready.get(id)?.mark === mark) return false;
    const told = await thread.draw({ what: 'standing', question });
    if (!told.ok) return true;
    const text = Buffer.from(told.file).toString();
    const state = JSON.parse(text) as TendedState | null;
    ready.set(id, { planter: id, mark, state, number: (count += 1) });
    // On a full disk it is worked out again after the next start.
    await parts.table.keep({ planter: id, mark, state: text }, parts.by).catch(() => undefined);
    return true;
  };
  /** What was ready when the server ended. */
  const load = async (): Promise<void> => {
    for (const { planter, mark, state } of await parts.table.of(parts.by)) {
      const read = parsedJson(state) as TendedState | null | undefined;
      if (read !== undefined)
        ready.set(planter, { planter, mark, state: read, number: (count += 1) });
    }
  };
  let loaded: Promise<void> | null = null;
  const all = async (): Promise<void> => {
    const { value: choice } = await parts.weather.get(ONLY);
    const measured = await parts.weatherDays.from();
    const { value: walk } = await parts.round.get(ONLY);
    const { kept } = await parts.planters.list();
    await (loaded ??= load());
    const joinedTo = joinedIn(walk, kept);
    const there = new Set(kept.map(({ id }) => id));
    const deleted = [...ready.keys()].filter((id) => !there.has(id));
    for (const id of deleted) ready.delete(id);
    if (deleted.length > 0) await parts.table.drop(deleted);
    // Each thread takes the next that nobody has taken.
    const waiting = kept.slice(0, MOST).values();
    const work = async (thread: PdfRenderer): Promise<void> => {
      for (const { id, value: design } of waiting) {
        if (stopped) return;
        const { value: plan } = await parts.seasons.get(id);
        const entries = currentEntries(await parts.log.tended([id], parts.today()));
        if (entries.length === 0 && plan.planted === null) continue;
        const asked = {
          ...{ design, joined: joinedTo(id), planted: plan.planted, entries, choice, measured },
          today: parts.today(),
        };
        const worked = await one(thread, id, tendedQuestionOf(asked), planterStateKey(asked));
        // What has changed meanwhile comes first: the rest may no longer be there, or be another.
        if (worked && again) return;
      }
    };
    const [first] = parts.threads;
    const ends = await Promise.allSettled(
      (kept.length < SEVERAL ? [first] : parts.threads).map(work),
    );
    const broke = ends.find((end) => end.status === 'rejected');
    if (broke) throw broke.reason;
  };
  const refresh = (): Promise<void> => {
    if (under) {
      again = true;
      return under;
    }
    clearTimeout(timer);
    changed = false;
    under = all().finally(() => {
      under = null;
      if (again) {
        again = false;
        soon();
      }
    });
    return under;
  };
  // What cannot be worked out just now is worked out by whoever asks.
  const attempt = (): void => void refresh().catch(() => undefined);
  const soon = (): void => {
    changed = true;
    // A change while it goes on is for the next time, not for a time of its own.
    if (under) again = true;
    if (!begun || under) return;
    clearTimeout(timer);
    timer = setTimeout(attempt, REST_MS);
    timer.unref();
  };
  return {
    async readySince(number) {
      if (!under) attempt();
      for (
        let waited = 0;
        under && count < number + TOGETHER && waited < WAIT_MS;
        waited += LOOK_MS
      ) {
        await setTimeoutAsync(LOOK_MS);
        // What changed while it went on is not over before that is worked out, too.
        if (!under && changed) attempt();
      }
      const standing = [...ready.values()]
        .filter((one) => one.number > number)
        .map(({ planter, mark, state }) => ({ planter, mark, state }));
      return { last: count, working: under !== null || changed, standing };
    },
    refresh,
    soon,
    async stop() {
      begun = false;
      stopped = true;
      clearTimeout(timer);
      await under?.catch(() => undefined);
    },
    begin() {
      begun = true;
      attempt();
      setInterval(attempt, HOUR_MS).unref();
    },
  };
}
