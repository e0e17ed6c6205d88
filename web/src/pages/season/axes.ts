import type { SeasonDay } from '@huerta/core';
import { writeDate } from '../../components/dates';

/** What the charts of levels by day share. */

const INCH = 0.0254;

/** The unit in which levels are drawn, metres, and its symbol. */
export const levelUnit = (units: 'metric' | 'us'): { unit: number; symbol: string } =>
  units === 'us' ? { unit: INCH, symbol: 'in' } : { unit: 1e-3, symbol: 'mm' };

export const shortDay = (date: string): string => writeDate(date, 'short');

const DRAWN = { stroke: 'var(--hu-colors-ink)', tick: { fontSize: 14 } } as const;

/** Dates along the foot of a chart at the most. */
const MOST_DATES = 5;

/**
 * Days along the foot, of data whose `i` is the day’s number. Dates stand at whole days: a watering puts points
 * between two days into the data, and left alone the ticks would fall there too.
 */
export const daysAxis = (days: readonly SeasonDay[]) => {
  const step = Math.max(Math.ceil((days.length - 1) / (MOST_DATES - 1)), 1);
  const ticks = days.flatMap((_, i) => (i % step === 0 ? [i] : []));
  return {
    ...DRAWN,
    dataKey: 'i',
    minTickGap: 36,
    ticks,
    tickFormatter: (i: number) => (days[i] ? shortDay(days[i].date) : ''),
  };
};

/** Levels up the side. */
export const levelAxis = {
  ...DRAWN,
  tickFormatter: (value: number) => String(Math.round(value * 10) / 10),
};

/** Room around a chart. */
export const AROUND = { top: 8, right: 8, bottom: 0, left: -14 };
