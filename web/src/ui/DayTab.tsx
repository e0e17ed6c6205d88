import { dayAfter, daysBetween } from '@huerta/core/physics/climate';
import { useDrag } from '@use-gesture/react';
import { useRef, type CSSProperties, type KeyboardEvent } from 'react';
import { writeDate } from './dates';
import { daysByKey } from './dayKeys';
import { share, type Strip } from './year/strip';
import './year/year.css';

interface DayTabProps {
  strip: Strip;
  /** What it chooses. */
  label: string;
  /** The day that is read, ISO date. */
  day: string;
  onDay(day: string): void;
  /** What is true on that day, in words. */
  reading: string;
  /** Days that a page key moves it by. */
  page: number;
  /** Whether it stands in the middle of its day instead of where that begins. */
  within?: boolean;
}

/** Share of the strip at its ends, percent, in which the tab moves aside so that its words stay within. */
const AT_ENDS = 8;

/** Which part of the tab stands over its day: its middle, but near the ends of the strip. Percent. */
const anchorAt = (left: number): number =>
  left < AT_ENDS
    ? (50 * left) / AT_ENDS
    : left > 100 - AT_ENDS
      ? 100 - (50 * (100 - left)) / AT_ENDS
      : 50;

/** The day that is read, as a tab that slides along a strip of days. */
export function DayTab({ strip, label, day, onDay, reading, page, within = false }: DayTabProps) {
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
  const pages: Readonly<Record<string, number>> = { PageDown: -page, PageUp: page };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = daysByKey(event) ?? pages[event.key];
    const end = event.key === 'Home' ? 0 : event.key === 'End' ? strip.days - 1 : null;
    if (step === undefined && end === null) return;
    event.preventDefault();
    to(end ?? at + (step ?? 0));
  };
  const left = share(strip, day) + (within ? 50 / strip.days : 0);
  return (
    <div
      ref={tab}
      {...bind()}
      role="slider"
      tabIndex={0}
      className="year-day not-printed"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={strip.days - 1}
      aria-valuenow={at}
      aria-valuetext={reading}
      style={{ left: `${left}%`, '--tab-anchor': `${anchorAt(left)}%` } as CSSProperties}
      onKeyDown={onKeyDown}
    >
      {writeDate(day, 'short')}
    </div>
  );
}
