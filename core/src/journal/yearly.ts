import { cropCalled, cropOf, plainName } from '../catalog';
import { dayAfter, daysBetween } from '../physics/climate';
import type { LogEntry } from './entry';

/** What a log says of a year, to stand beside another one. */

/** What was picked of one thing. */
interface Picked {
  /** As the crop is called, or as it was written. */
  what: string;
  /** Kilograms that were weighed, and pieces that were counted. */
  mass: number;
  count: number;
}

export interface LogYear {
  /** First day, ISO date, and what the year is called: `2026`, or `2025/26` where summer lies about New Year. */
  from: string;
  name: string;
  fillings: number;
  /** Fillings that nobody measured: their water is not in `water`. */
  unmeasured: number;
  /** Water that was given and measured, m³; by month from the first, too. */
  water: number;
  months: readonly number[];
  /** Rain that was noted, metres. */
  rain: number;
  /** Fertilizer that was weighed, kilograms. */
  fed: number;
  /** Heaviest first, then what was counted only. */
  picked: readonly Picked[];
  /** All that was weighed of the harvest, kilograms. */
  mass: number;
  /** Water for a kilogram of harvest, m³; null where either was not measured. */
  perKilogram: number | null;
}

const MONTHS = 12;
/** South of the equator a year of growing begins in July. */
const BEGINS = { north: 1, south: 7 } as const;
export type Hemisphere = keyof typeof BEGINS;

/** The year of growing that a day is in, by the year of its first day. */
function yearOf(date: string, where: Hemisphere): number {
  const [year, month] = date.split('-').map(Number) as [number, number];
  return month >= BEGINS[where] ? year : year - 1;
}

const firstDay = (year: number, where: Hemisphere): string =>
  `${year}-${String(BEGINS[where]).padStart(2, '0')}-01`;

const nameOf = (year: number, where: Hemisphere): string =>
  where === 'north' ? `${year}` : `${year}/${String((year + 1) % 100).padStart(2, '0')}`;

/**
 * The years of a log, the latest first.
 *
 * @param entries those that hold
 * @param where the garden lies, which says when its year begins
 */
export function logYears(entries: readonly LogEntry[], where: Hemisphere): LogYear[] {
  const byYear = new Map<number, LogEntry[]>();
  for (const entry of entries) {
    const year = yearOf(entry.at.slice(0, 10), where);
    byYear.set(year, [...(byYear.get(year) ?? []), entry]);
  }
  return [...byYear]
    .sort(([a], [b]) => b - a)
    .map(([year, own]) => totalsOf(own, firstDay(year, where), nameOf(year, where)));
}

/**
 * The same part of an earlier year as of one that is under way, so that the two can be compared.
 *
 * @param today ISO date, in the later year
 */
export function sameTime(
  entries: readonly LogEntry[],
  earlier: LogYear,
  later: LogYear,
  today: string,
): LogYear {
  const until = dayAfter(earlier.from, daysBetween(later.from, today));
  const own = entries.filter(
    ({ at }) => at.slice(0, 10) >= earlier.from && at.slice(0, 10) <= until,
  );
  return totalsOf(own, earlier.from, earlier.name);
}

function totalsOf(entries: readonly LogEntry[], from: string, name: string): LogYear {
  const months = new Array<number>(MONTHS).fill(0);
  const picked = new Map<string, Picked>();
  let [fillings, unmeasured, rain, fed] = [0, 0, 0, 0];
  for (const { at, did } of entries) {
    if (did.kind === 'filled') {
      fillings += 1;
      if (did.volume === null) unmeasured += 1;
      const month = (Number(at.slice(5, 7)) - Number(from.slice(5, 7)) + MONTHS) % MONTHS;
      months[month] = (months[month] as number) + (did.volume ?? 0);
    }
    if (did.kind === 'rain') rain += did.depth;
    if (did.kind === 'fed') fed += did.mass ?? 0;
    if (did.kind === 'harvested') {
      const crop = cropCalled(did.what);
      const what = crop ? cropOf(crop).name : did.what.trim();
      const key = crop ?? plainName(did.what);
      const known = picked.get(key) ?? { what, mass: 0, count: 0 };
      picked.set(key, {
        what: known.what,
        mass: known.mass + (did.mass ?? 0),
        count: known.count + (did.count ?? 0),
      });
    }
  }
  const water = months.reduce((sum, one) => sum + one, 0);
  const mass = [...picked.values()].reduce((sum, one) => sum + one.mass, 0);
  return {
    ...{ from, name, fillings, unmeasured, water, months, rain, fed },
    picked: [...picked.values()].sort((a, b) => b.mass - a.mass || b.count - a.count),
    mass,
    perKilogram: water > 0 && mass > 0 ? water / mass : null,
  };
}
