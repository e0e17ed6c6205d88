import { dayAfter, daysBetween } from '@huerta/core/physics/climate';

/** Days along a picture of months, and where dates lie on it. */
export interface Strip {
  /** ISO date of the first day. */
  from: string;
  days: number;
}
/** From one day to another, ISO dates. */
export interface Span {
  from: string;
  to: string;
}

/** Where a date lies, percent of the strip's width; beyond its ends at them. */
export const share = ({ from, days }: Strip, date: string): number =>
  Math.min(Math.max(daysBetween(from, date) / days, 0), 1) * 100;

/** The first days of the months along a strip, ISO dates; the first is the strip's own. */
export function monthsAlong({ from, days }: Strip): string[] {
  const months: string[] = [];
  for (let at = from; daysBetween(from, at) < days;) {
    months.push(at);
    const [year, month] = at.split('-').map(Number) as [number, number];
    at = month === 12 ? `${year + 1}-01-01` : `${year}-${String(month + 1).padStart(2, '0')}-01`;
  }
  return months;
}

/** When frost is to be reckoned with, in each winter that a strip shows. */
export function frostsAlong({ from, days }: Strip, frostFree: Span): Span[] {
  const end = dayAfter(from, days);
  const shifted = (date: string, by: number) => `${Number(date.slice(0, 4)) + by}${date.slice(4)}`;
  return [-2, -1, 0, 1, 2]
    .map((by) => ({ from: shifted(frostFree.to, by - 1), to: shifted(frostFree.from, by) }))
    .filter((one) => one.to > from && one.from < end);
}

/** Days that are covered by any of some spans, joined where they touch, in their order. */
export function joined(spans: readonly Span[]): Span[] {
  const all: Span[] = [];
  for (const { from, to } of [...spans].sort((a, b) => a.from.localeCompare(b.from))) {
    const last = all[all.length - 1];
    if (last && from <= last.to) last.to = to > last.to ? to : last.to;
    else if (to > from) all.push({ from, to });
  }
  return all;
}

/** The part of a span that lies on a strip; null where none does. */
export function onStrip({ from, days }: Strip, span: Span): Span | null {
  const end = dayAfter(from, days);
  const cut = {
    from: span.from > from ? span.from : from,
    to: span.to < end ? span.to : end,
  };
  return cut.to > cut.from ? cut : null;
}
