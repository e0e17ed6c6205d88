import type { YearDays } from '@huerta/core/simulation/season';
import type { Strip } from './strip';

/** Days from one figure of what is drunk to the next. */
export const DEMAND_STEP = 5;

/** The days of a strip for which what is drunk is asked. */
export const demandDays = ({ from, days }: Strip): YearDays => ({
  from,
  step: DEMAND_STEP,
  count: Math.ceil(days / DEMAND_STEP) + 1,
});
