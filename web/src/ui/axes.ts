import { writeDate } from './dates';

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
export const daysAxis = (days: readonly { date: string }[]) => {
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

/** Steps that people count in; the least that gives few enough. */
const STEPS = [0.25, 0.5, 1, 2, 3, 5, 10, 20, 25, 50, 100, 200, 250, 500];
const MOST_LEVELS = 5;

/** Quarters as a ruler has them: 1/4, 1 1/2. */
function inQuarters(value: number): string {
  const part = ['', '1/4', '1/2', '3/4'][Math.round(value * 4) % 4] ?? '';
  const whole = Math.floor(value + 1e-9);
  return [whole > 0 || part === '' ? String(whole) : '', part].filter(Boolean).join(' ');
}

/** Levels up the side, at steps that people count in. @param most the highest that is drawn */
export function levelAxis(most: number) {
  const step = STEPS.find((one) => most / one <= MOST_LEVELS - 1) ?? most;
  const count = Math.max(Math.ceil(most / step - 1e-9), 1);
  const ticks = Array.from({ length: count + 1 }, (_, i) => i * step);
  return { ...DRAWN, ticks, domain: [0, count * step], tickFormatter: inQuarters };
}

/** Room around a chart. */
export const AROUND = { top: 8, right: 8, bottom: 0, left: -14 };
