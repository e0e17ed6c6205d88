import type { SeasonDay } from '@huerta/core';
import { writeDate } from '../../components/dates';

/** What the charts of levels by day share. */

const INCH = 0.0254;

/** The unit in which levels are drawn, metres, and its symbol. */
export const levelUnit = (units: 'metric' | 'us'): { unit: number; symbol: string } =>
  units === 'us' ? { unit: INCH, symbol: 'in' } : { unit: 1e-3, symbol: 'mm' };

export const shortDay = (date: string): string => writeDate(date, 'short');

const DRAWN = { stroke: 'var(--hu-colors-ink)', tick: { fontSize: 14 } } as const;

/** Days along the foot, of data whose `i` is the day’s number. */
export const daysAxis = (days: readonly SeasonDay[]) => ({
  ...DRAWN,
  dataKey: 'i',
  minTickGap: 36,
  tickFormatter: (i: number) => (days[i] ? shortDay(days[i].date) : ''),
});

/** Levels up the side. */
export const levelAxis = {
  ...DRAWN,
  tickFormatter: (value: number) => String(Math.round(value * 10) / 10),
};

/** Room around a chart. */
export const AROUND = { top: 8, right: 8, bottom: 0, left: -14 };
