import {
  currentEntries,
  tendedQuestionOf,
  planterStateKey,
  type TendedQuestion,
  type TendedState,
} from '@huerta/core/journal';
import type { PlanterDesign } from '@huerta/core/document';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import type { Documents } from './documents';
import { ONLY } from './kinds';
import type { LogService, WeatherDayService } from './log';
import type { PdfRenderer } from './pdfRenderer';

/** How planters stand today, kept ready: a phone need not work out what the house's machine can. */
export interface PlanterStateCache {
  /** What lies ready, each with the mark of what it hangs on. */
  ready(): { planter: string; mark: string; state: TendedState | null }[];
  /** Works out what is not ready or no longer true, one planter after the other, in the papers' thread. */
  refresh(): Promise<void>;
  /** Begins to keep it ready: now, soon after every change, and every hour. */
  begin(): void;
  /** Something that it hangs on has changed. */
  soon(): void;
  /** Somebody works it out at this moment: not before they have is it begun here. */
  later(): void;
  /** Ends it, once what is under way has come to an end. */
  stop(): Promise<void>;
}

interface Parts {
  planters: Documents<PlanterDesign>;
  seasons: Documents<SeasonPlan>;
  weather: Documents<WeatherChoice>;
  log: LogService;
  weatherDays: WeatherDayService;
  papers: PdfRenderer;
  today(): string;
}

interface Ready {
  mark: string;
  state: TendedState | null;
}

/** How long after a change it is worked out, so that several at once count as one. Milliseconds. */
const REST_MS = 250;
/** How long a page that opens is given to work it out by itself, milliseconds. */
const LEFT_MS = 12_000;
const HOUR_MS = 3_600_000;
/** Planters that are kept ready. */
const MOST = 200;

export function planterStateCache(parts: Parts): PlanterStateCache {
  const ready = new Map<string, Ready>();
  let begun = false;
  let stopped = false;
  let timer: NodeJS.Timeout | undefined;
  let under: Promise<void> | null = null;
  let again = false;

  const one = async (id: string, question: TendedQuestion, mark: string): Promise<void> => {
    if (ready.get(id)?.mark === mark) return;
    const told = await parts.papers.draw({ what: 'standing', question });
    if (!told.ok) return;
    const state = JSON.parse(Buffer.from(told.file).toString()) as TendedState | null;
    ready.set(id, { mark, state });
  };
  const all = async (): Promise<void> => {
    const { value: choice } = await parts.weather.get(ONLY);
    const measured = await parts.weatherDays.from();
    const { kept } = await parts.planters.list();
    const there = new Set(kept.map(({ id }) => id));
    for (const id of ready.keys()) if (!there.has(id)) ready.delete(id);
    for (const { id, value: design } of kept.slice(0, MOST)) {
      if (stopped) return;
      // Two on one machine would take each other's time: the rest is for later.
      if (Date.now() < left) {
        soon();
        return;
      }
      const { value: plan } = await parts.seasons.get(id);
      const entries = currentEntries(await parts.log.tended([id], parts.today()));
      if (entries.length === 0 && plan.planted === null) continue;
      const asked = {
        design,
        planted: plan.planted,
        entries,
        choice,
        measured,
        today: parts.today(),
      };
      await one(id, tendedQuestionOf(asked), planterStateKey(asked));
    }
  };
  const refresh = (): Promise<void> => {
    if (under) {
      again = true;
      return under;
    }
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
  /** Before this time it is left to whoever asked. Milliseconds. */
  let left = 0;
  const soon = (): void => {
    if (!begun) return;
    clearTimeout(timer);
    timer = setTimeout(attempt, Math.max(REST_MS, left - Date.now()));
    timer.unref();
  };
  const later = (): void => {
    left = Date.now() + LEFT_MS;
    if (under !== null || timer !== undefined) soon();
  };
  return {
    ready: () => [...ready].map(([planter, { mark, state }]) => ({ planter, mark, state })),
    refresh,
    soon,
    later,
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
