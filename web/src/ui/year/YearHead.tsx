import type { Site } from '@huerta/core/catalog';
import { coldChance, dayAfter, daylight, dayOfYear } from '@huerta/core/physics/climate';
import { writeDate } from '../dates';
import { DayTab } from '../DayTab';
import { monthsAlong, share, type Strip } from './strip';
import './year.css';

interface YearHeadProps {
  strip: Strip;
  site: Site;
  /** What all planters drink on days along the strip, evenly from its first; null while that is not known. */
  demand: readonly number[] | null;
  /** The day that is read, ISO date. */
  day: string;
  onDay(day: string): void;
  /** What is true on that day, in words. */
  reading: string;
}

/** Heights of the picture: longest frost, ground, and depth of the most water. Percent. */
const ICICLE = 34;
const GROUND = 64;
const DEEPEST = 33;
/** Hours of daylight that reach up to the months. */
const LONGEST = 24;
/** Days that a page key moves the tab by. */
const MONTH = 30;
const ICICLE_DAYS = 6;
const LIGHT_DAYS = 5;

/** The months, with frost from above, daylight as a hill, what is drunk as water below the ground, and a day to be slid. */
export function YearHead({ strip, site, demand, day, onDay, reading }: YearHeadProps) {
  const along = (step: number) =>
    Array.from({ length: Math.ceil(strip.days / step) + 1 }, (_, i) => i * step);
  const yearDay = (at: number): number => dayOfYear(dayAfter(strip.from, at));
  const most = Math.max(...(demand ?? []), Number.MIN_VALUE);
  const icicles = along(ICICLE_DAYS).map((at) => {
    const long = ICICLE * Math.sqrt(coldChance(site, yearDay(at), 0));
    return long < 2 ? '' : `M${at} 0L${at + ICICLE_DAYS / 2} ${long}L${at + ICICLE_DAYS} 0`;
  });
  const hill = along(LIGHT_DAYS).map(
    (at) => `L${at} ${GROUND - (GROUND * daylight(site.latitude, yearDay(at))) / LONGEST}`,
  );
  const pond = (demand ?? []).map(
    (one, i, { length }) =>
      `L${(i / Math.max(length - 1, 1)) * strip.days} ${GROUND + (DEEPEST * one) / most}`,
  );
  return (
    <div className="year-head">
      <div className="year-months" aria-hidden>
        {monthsAlong(strip).map((at) => (
          <span key={at} style={{ left: `${share(strip, at)}%` }}>
            {writeDate(at, 'month')}
          </span>
        ))}
      </div>
      <svg viewBox={`0 0 ${strip.days} 100`} preserveAspectRatio="none" aria-hidden>
        <path className="year-hill" d={`M0 ${GROUND}${hill.join('')}V${GROUND}Z`} />
        {demand && <path className="year-pond" d={`M0 ${GROUND}${pond.join('')}V${GROUND}Z`} />}
        <path className="year-icicles" d={icicles.join('')} />
        <path className="year-ground" d={`M0 ${GROUND}H${strip.days}`} />
      </svg>
      <DayTab label="Day of the year" page={MONTH} {...{ strip, day, onDay, reading }} />
    </div>
  );
}
