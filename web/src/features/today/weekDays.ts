import type { CalendarEvent, WaterAhead } from '@huerta/core/journal';
import type { Words } from '@huerta/core/units';

/** What the weeks ahead come to, day by day. */

/** Planters that want water on a day, and what it likely is, m³. */
export interface DayWater {
  planters: number;
  volume: number;
}

/** Water that is wanted on each of so many days from today on. */
export function waterByDay(
  water: Readonly<Record<string, WaterAhead | null>>,
  days: number,
): DayWater[] {
  const all = Object.values(water).flatMap((one) => one?.fillings ?? []);
  return Array.from({ length: days }, (_, day) => {
    const due = all.filter((one) => one.day === day);
    return { planters: due.length, volume: due.reduce((sum, { volume }) => sum + volume, 0) };
  });
}

/** The first day that asks for water after today, and the one that asks for most; null where none does. */
export function fullDays(byDay: readonly DayWater[]): { next: number; most: number } | null {
  const next = byDay.findIndex(({ planters }, day) => day > 0 && planters > 0);
  if (next < 0) return null;
  const most = byDay.reduce(
    (best, { volume }, day) => (day > 0 && volume > (byDay[best]?.volume ?? 0) ? day : best),
    next,
  );
  return { next, most };
}

/** The path of a planter's water as an outline over so many days, 0 to 100 high, closed along the bottom. */
export function waterOutline({ path }: WaterAhead, days: number): string {
  const points = path.filter(({ day }) => day <= days);
  const line = points.map(({ day, share }) => `L${round(day)} ${round(100 * (1 - share))}`);
  const last = points.at(-1)?.day ?? 0;
  return `M0 100${line.join('')}L${round(last)} 100Z`;
}

const round = (value: number): number => Math.round(value * 100) / 100;

/** What is to be done, each with the planters that want it. */
export function tasksOf(
  events: readonly CalendarEvent[],
  tell: Words['tell'],
): [task: string, of: CalendarEvent[]][] {
  const tasks = new Map<string, CalendarEvent[]>();
  for (const event of events) {
    const task = tell(event.task);
    tasks.set(task, [...(tasks.get(task) ?? []), event]);
  }
  return [...tasks];
}

/** What stands on a day: on its likely day what takes several, on each day what goes on all the while. */
export const eventsOn = (events: readonly CalendarEvent[], date: string): CalendarEvent[] =>
  events.filter(({ from, until, likely }) =>
    likely === null ? from <= date && date < until : likely === date,
  );
