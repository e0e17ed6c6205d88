import { createHash } from 'node:crypto';
import type { Neighbour, Reading } from '@huerta/contract';
import {
  inOrder,
  tendedQuestionOf,
  type RoundPlan,
  type TendedQuestion,
} from '@huerta/core/journal';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import { depthOf, waterLinesOf, type PlanterDesign } from '@huerta/core/document';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { UnitSystem } from '@huerta/core/units';
import type { Documents } from './documents';
import { joinedIn } from './joined';
import { ONLY } from './kinds';
import type { LogService, WeatherDayService } from './log';
import type { PdfRenderer } from './pdfRenderer';
import { invalid } from './problems';

/** What follows from log, plans and weather together: the calendar, a neighbour's sheet, readings of sensors. */
export interface TendingService {
  /** Readings as log entries, each with an id that follows from what it says. @returns how many were new */
  read(planter: string, by: string, readings: readonly Reading[]): Promise<number>;
  /** The calendar as an iCalendar file. */
  calendar(units: UnitSystem): Promise<Buffer>;
  neighbour(asked: Neighbour): Promise<Buffer>;
}

interface Parts {
  planters: Documents<PlanterDesign>;
  seasons: Documents<SeasonPlan>;
  weather: Documents<WeatherChoice>;
  round: Documents<RoundPlan>;
  log: LogService;
  weatherDays: WeatherDayService;
  papers: PdfRenderer;
  today(): string;
}

/** How well a float reads, metres. */
const WITHIN = 0.01;
const aboveRim = (level: number, rim: number): string =>
  `${Math.round(level * 1000)} mm of water cannot stand in a vessel that is ${Math.round(rim * 1000)} mm deep. Levels are in metres above the inside floor`;

/** Planters of one calendar. */
const MOST = 120;

// eslint-disable-next-line max-lines-per-function -- one service: its methods share the stores that a state hangs on.
export function tendingService({
  planters,
  seasons,
  weather,
  round,
  log,
  weatherDays,
  papers,
  today,
}: Parts): TendingService {
  /** The last calendar, by what it was made from. */
  let made: { key: string; file: Buffer } | null = null;

  const questions = async (): Promise<{ id: string; question: TendedQuestion }[]> => {
    const { kept } = await planters.list();
    const { value: choice } = await weather.get(ONLY);
    const entries = await log.tended(null, today());
    const measured = await weatherDays.from();
    const { value: walk } = await round.get(ONLY);
    const joinedTo = joinedIn(walk, kept);
    const growing = kept.filter(({ value }) => value.planting.crops.some(({ count }) => count > 0));
    const asked: { id: string; question: TendedQuestion }[] = [];
    for (const { id, value: design } of growing.slice(0, MOST)) {
      const { value: plan } = await seasons.get(id);
      asked.push({
        id,
        question: tendedQuestionOf({
          design,
          joined: joinedTo(id),
          planted: plan.planted,
          entries: entries.filter(({ planter }) => planter === id),
          choice,
          measured,
          today: today(),
        }),
      });
    }
    return asked;
  };

  return {
    async read(planter, by, readings) {
      const { value: design } = await planters.get(planter);
      const rim = depthOf(design.vessel);
      const wrong = readings.flatMap(({ level }, i) =>
        level !== undefined && level > rim + WITHIN
          ? [{ path: ['readings', i, 'level'], message: aboveRim(level, rim) }]
          : [],
      );
      if (wrong.length > 0) throw invalid(wrong);
      return log.read(planter, by, readings);
    },
    async calendar(units) {
      const { value: plan } = await round.get(ONLY);
      const job = {
        what: 'calendar' as const,
        planters: inOrder(await questions(), plan.order),
        away: plan.away,
        units,
      };
      const key = createHash('sha256').update(JSON.stringify(job)).digest('hex');
      if (made?.key !== key) {
        const result = await papers.draw(job);
        made = { key, file: Buffer.from(result.ok ? result.file : []) };
      }
      return made.file;
    },
    async neighbour({ order, ...asked }) {
      const { kept } = await planters.list();
      const wanted = inOrder(
        kept.filter(({ id }) => order.includes(id)),
        order,
      );
      if (wanted.length === 0)
        throw invalid([{ path: ['order'], message: 'Say which planters somebody is to water.' }]);
      const { lines } = (await round.get(ONLY)).value;
      const result = await papers.draw({
        what: 'neighbour',
        planters: wanted.map(({ id, value }) => ({
          id,
          design: value,
          line: waterLinesOf(lines, id)[0] ?? null,
        })),
        ...asked,
      });
      return Buffer.from(result.ok ? result.file : []);
    },
  };
}
