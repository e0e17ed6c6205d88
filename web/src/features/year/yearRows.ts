import type { PlanterResource } from '@huerta/contract';
import { plantedInLog, type LogEntry } from '@huerta/core/journal';
import { dayAfter, daysBetween, type siteOf } from '@huerta/core/physics/climate';
import {
  plantedOn,
  yearOf,
  type PlanterYear,
  type SeasonPlan,
} from '@huerta/core/simulation/season';
import { joined, onStrip, type Span, type Strip } from '../../ui/year/strip';

/** What the garden's year shows of each planter. */

type Site = ReturnType<typeof siteOf>;

export interface YearRow {
  planter: PlanterResource;
  /** ISO date of its first day. */
  planted: string;
  /** Whether the log says so. */
  logged: boolean;
  year: PlanterYear;
}

/** A planter's year, from its log, its plan, or the time at which its crops are usually planted. */
export function yearRow(
  planter: PlanterResource,
  plan: SeasonPlan | undefined,
  entries: readonly LogEntry[],
  site: Site,
  today: string,
): YearRow {
  const { planting } = planter.design;
  const noted = plantedInLog(entries);
  const planted = plantedOn(noted ?? plan?.planted ?? null, planting, today, site.latitude);
  const year = yearOf(planter.design, planted, site);
  return { planter, planted, logged: noted !== null, year };
}

/**
 * The garden's year that a day lies in, or one so many years later: from New Year, and south of the equator from July
 * on, so that the summer lies in its middle.
 */
export function gardenYear(latitude: number, day: string, later = 0): Strip & { name: string } {
  const [year, month] = day.split('-').map(Number) as [number, number];
  if (latitude >= 0) {
    const from = `${year + later}-01-01`;
    return {
      from,
      days: daysBetween(from, `${year + later + 1}-01-01`),
      name: String(year + later),
    };
  }
  const first = (month >= 7 ? year : year - 1) + later;
  const from = `${first}-07-01`;
  return {
    from,
    days: daysBetween(from, `${first + 1}-07-01`),
    name: `${first}/${String(first + 1).slice(2)}`,
  };
}

/** When something grows on a strip, and how thirsty it is from the beginning to the end of each time, beside a most. */
export interface Growing extends Span {
  shape: number[] | null;
}

/** Points of a leaf's outline. */
const POINTS = 32;

/** @param demand of the planter, m³ a day along the strip; null while it is not known. @param most m³ a day */
export function growingOf(
  { bars }: PlanterYear,
  strip: Strip,
  demand: { step: number; values: readonly number[]; most: number } | null,
): Growing[] {
  return joined(bars).flatMap((span) => {
    const cut = onStrip(strip, span);
    if (!cut) return [];
    const days = daysBetween(cut.from, cut.to);
    const first = daysBetween(strip.from, cut.from);
    const at = (i: number) => first + ((i + 0.5) / POINTS) * days;
    const shape =
      demand &&
      Array.from({ length: POINTS }, (_, i) => {
        const [low, part] = [Math.floor(at(i) / demand.step), (at(i) / demand.step) % 1];
        // Beside a day on which nothing grows yet, or no more, its neighbour tells.
        const before = demand.values[low] || demand.values[low + 1] || 0;
        const next = demand.values[low + 1] || before;
        return (before + part * (next - before)) / Math.max(demand.most, Number.MIN_VALUE);
      });
    return [{ ...cut, shape }];
  });
}

/** When something is picked on a strip. What stays for years is picked once it bears. */
export const pickedOf = ({ bars }: PlanterYear, strip: Strip): Span[] =>
  joined(
    bars.map(({ harvest, picked, to }) => ({ from: harvest, to: picked >= to ? to : picked })),
  ).flatMap((span) => onStrip(strip, span) ?? []);

/** The planters that stand there: of variants of one, which share its name, the one that is planted, or the first. */
export function standing(rows: readonly YearRow[]): YearRow[] {
  const first = new Map<string, YearRow>();
  for (const row of rows) {
    const { name } = row.planter.design;
    const known = first.get(name);
    if (!known || (row.logged && !known.logged)) first.set(name, row);
  }
  return [...first.values()];
}

/** What a planter asks next. */
export interface NextJob {
  date: string;
  does: 'sow' | 'plant' | 'pick from' | 'pick until';
}

/** The next thing to be done with what grows, from a day on; null where nothing is. */
export function nextJob({ planter, year }: YearRow, today: string): NextJob | null {
  const jobs = year.bars.flatMap(({ of, raised, from, harvest, picked, to }): NextJob[] => {
    const seed = planter.design.planting.crops[of]?.start === 'seed';
    return [
      ...(raised ? [{ date: raised, does: 'sow' as const }] : []),
      { date: from, does: seed ? 'sow' : 'plant' },
      ...(harvest < to ? [{ date: harvest, does: 'pick from' as const }] : []),
      ...(picked < to || picked === to
        ? [{ date: dayAfter(picked, -1), does: 'pick until' as const }]
        : []),
    ];
  });
  const coming = jobs.filter(({ date }) => date >= today);
  coming.sort((a, b) => a.date.localeCompare(b.date));
  return coming[0] ?? null;
}

/** The month in which most is drunk, 0 for January, and how much a day, m³; null where nothing is. */
export function thirstiest(
  strip: Strip,
  step: number,
  demand: readonly number[],
): { month: number; daily: number } | null {
  const sums = Array.from({ length: 12 }, () => ({ days: 0, sum: 0 }));
  demand.forEach((one, i) => {
    const month = Number(dayAfter(strip.from, i * step).slice(5, 7)) - 1;
    const sum = sums[month];
    if (!sum || i * step >= strip.days) return;
    sum.days += 1;
    sum.sum += one;
  });
  const means = sums.map(({ days, sum }) => (days > 0 ? sum / days : 0));
  const daily = Math.max(...means);
  return daily > 0 ? { month: means.indexOf(daily), daily } : null;
}
