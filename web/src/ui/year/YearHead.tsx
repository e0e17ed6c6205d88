import type { Site } from '@huerta/core/catalog';
import {
  coldChance,
  dayAfter,
  daylight,
  dayOfYear,
  daysBetween,
} from '@huerta/core/physics/climate';
import { useDrag } from '@use-gesture/react';
import { useRef, type KeyboardEvent } from 'react';
import { writeDate } from '../dates';
import { daysByKey } from '../dayKeys';
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
      <DayTab strip={strip} day={day} onDay={onDay} reading={reading} />
    </div>
  );
}

/** Days that a page key moves it by. */
const PAGES: Readonly<Record<string, number>> = { PageDown: -30, PageUp: 30 };

/** The day that is read, as a tab that slides along the months. */
function DayTab({ strip, day, onDay, reading }: Omit<YearHeadProps, 'site' | 'demand'>) {
  const tab = useRef<HTMLDivElement>(null);
  const at = daysBetween(strip.from, day);
  const to = (days: number) =>
    onDay(dayAfter(strip.from, Math.min(Math.max(Math.round(days), 0), strip.days - 1)));
  const bind = useDrag(
    ({ movement: [dx], memo = at }: { movement: [number, number]; memo?: number }) => {
      const width = tab.current?.parentElement?.clientWidth ?? 1;
      to(memo + (dx / Math.max(width, 1)) * strip.days);
      return memo;
    },
    { pointer: { keys: false }, axis: 'x' },
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const step = daysByKey(event) ?? PAGES[event.key];
    const end = event.key === 'Home' ? 0 : event.key === 'End' ? strip.days - 1 : null;
    if (step === undefined && end === null) return;
    event.preventDefault();
    to(end ?? at + (step ?? 0));
  };
  return (
    <div
      ref={tab}
      {...bind()}
      role="slider"
      tabIndex={0}
      className="year-day not-printed"
      aria-label="Day of the year"
      aria-valuemin={0}
      aria-valuemax={strip.days - 1}
      aria-valuenow={at}
      aria-valuetext={reading}
      style={{ left: `${share(strip, day)}%` }}
      onKeyDown={onKeyDown}
    >
      {writeDate(day, 'short')}
    </div>
  );
}
