import { NEW_BOOK, type PriceBook } from '@huerta/core/fabrication';
import { FIRST_PLAN } from '@huerta/core/simulation/season';
import { FIRST_ROUND, type LogEntry, type RoundPlan } from '@huerta/core/journal';
import { FIRST_WEATHER, type MeasuredDay } from '@huerta/core/physics/climate';
import type { PlanterDesign } from '@huerta/core/document';
import { serveWith } from './worker';

/** A small garden as the server has it, which tests may look into and change. */
export interface ServedGarden {
  log: LogEntry[];
  plan: RoundPlan;
  revision: number;
  /** Whether the server can be reached when something is written into the log. */
  away: boolean;
  /** The day on which all were planted by their plans, if they were. */
  planted: string | null;
  /** Days as a station told them. */
  days: MeasuredDay[];
  asked: { method: string; path: string; body: unknown }[];
  book: PriceBook;
}

const at = '2026-05-01T08:00:00.000Z';
export const idAt = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

export const daysAgo = (days: number): string =>
  new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);

/** Serves planters that were planted two months ago; the first has the id `idAt(1)`. */
export function serveGarden(designs: readonly PlanterDesign[]): ServedGarden {
  const garden: ServedGarden = {
    ...{ log: [], plan: FIRST_ROUND, revision: 0, away: false, asked: [] },
    planted: daysAgo(60),
    days: [],
    book: NEW_BOOK,
  };
  const planters = designs.map((design, i) => ({
    id: idAt(i + 1),
    revision: 1,
    createdAt: at,
    updatedAt: at,
    design,
  }));
  const answerTo = (path: string, method: string, body: unknown): unknown => {
    const plan = { ...FIRST_PLAN, planted: garden.planted };
    if (path === '/log' && method === 'POST') {
      if (garden.away) throw new Error('The server is away.');
      const { entries } = body as { entries: LogEntry[] };
      const fresh = entries.filter((entry) => !garden.log.some(({ id }) => id === entry.id));
      garden.log = [...garden.log, ...fresh];
      return { came: fresh.length, has: entries.map(({ id }) => id) };
    }
    if (path === '/round' && method === 'PUT') {
      garden.plan = (body as { plan: RoundPlan }).plan;
      garden.revision += 1;
    }
    if (path === '/round') return { revision: garden.revision, updatedAt: at, plan: garden.plan };
    if (path.startsWith('/round/log')) return { entries: garden.log };
    if (path.startsWith('/log')) return { entries: garden.log, more: false };
    if (path === '/prices') return { revision: 1, updatedAt: at, book: garden.book };
    if (path === '/weather') return { revision: 1, updatedAt: at, choice: FIRST_WEATHER };
    if (path === '/weather/days') return { days: garden.days };
    if (path === '/seasons')
      return {
        plans: Object.fromEntries(planters.map(({ id }) => [id, { revision: 1, plan }])),
      };
    if (path === '/planters') return { planters, setAside: [] };
    if (path === '/round/planters') return { planters, more: 0 };
    const [, id, of] = /^\/planters\/([^/]+)(?:\/([\w/]+))?$/.exec(path) ?? [];
    const one = planters.find((planter) => planter.id === id);
    if (!one) return null;
    const mine = garden.log.filter(({ planter }) => planter === id);
    if (of === 'round/log') return { entries: mine };
    if (of === 'log') return { entries: mine, more: false };
    if (of === 'season') return { revision: 1, updatedAt: at, plan };
    return of ? null : one;
  };
  garden.asked = serveWith(({ path, method, body }) => answerTo(path, method, body));
  return garden;
}

/** All but the date goes on as it does. */
const REAL = [
  ...['hrtime', 'nextTick', 'performance', 'queueMicrotask', 'setImmediate', 'clearImmediate'],
  ...['setInterval', 'clearInterval', 'setTimeout', 'clearTimeout'],
  ...['requestAnimationFrame', 'cancelAnimationFrame'],
  ...['requestIdleCallback', 'cancelIdleCallback'],
] as never[];

/** It is a morning in July until `jest.useRealTimers`. */
export const inJuly = (): void =>
  void jest.useFakeTimers({ now: new Date('2026-07-15T08:00:00Z'), doNotFake: REAL });
