import { dayAfter, daysBetween } from '@huerta/core/physics/climate';
import type { YearBar } from '@huerta/core/simulation/season';
import { useDrag } from '@use-gesture/react';
import { useRef, useState, type KeyboardEvent } from 'react';
import { useWords } from '../preferences';
import { writeDate } from '../dates';
import './year.css';

/** Days along a strip of months. */
interface Strip {
  from: string;
  days: number;
}

interface YearStripProps {
  strip: Strip;
  frostFree: { from: string; to: string } | null;
  bars: readonly YearBar[];
  /** Moves a planting by days, or its end; where left out, nothing can be moved. */
  onMove?(of: number, days: number): void;
  onStretch?(of: number, days: number): void;
}

/** Months side by side, where it freezes, and a bar for each planting. */
export function YearStrip({ strip, frostFree, bars, onMove, onStretch }: YearStripProps) {
  return (
    <div className="year-strip">
      <Months from={strip.from} days={strip.days} />
      {frostFree && <Frosts from={strip.from} days={strip.days} frostFree={frostFree} />}
      {bars.map((bar) => (
        <Row
          key={bar.of}
          bar={bar}
          strip={strip}
          {...(onMove ? { onMove: (days: number) => onMove(bar.of, days) } : {})}
          {...(onStretch ? { onStretch: (days: number) => onStretch(bar.of, days) } : {})}
        />
      ))}
    </div>
  );
}

const share = ({ from, days }: Strip, date: string): number =>
  Math.min(Math.max(daysBetween(from, date) / days, 0), 1) * 100;

function Months({ from, days }: Strip) {
  const months: string[] = [];
  for (let at = from; daysBetween(from, at) < days;) {
    months.push(at);
    const [year, month] = at.split('-').map(Number) as [number, number];
    at = month === 12 ? `${year + 1}-01-01` : `${year}-${String(month + 1).padStart(2, '0')}-01`;
  }
  return (
    <div className="year-months" aria-hidden>
      {months.map((at) => (
        <span key={at} style={{ left: `${share({ from, days }, at)}%` }}>
          {writeDate(at, 'month')}
        </span>
      ))}
    </div>
  );
}

/** Where it freezes: shaded, in every year that the strip shows. */
function Frosts({ from, days, frostFree }: Strip & { frostFree: { from: string; to: string } }) {
  const strip = { from, days };
  const end = dayAfter(from, days);
  const shifted = (date: string, by: number) => `${Number(date.slice(0, 4)) + by}${date.slice(4)}`;
  const spans = [-1, 0, 1, 2].map((by) => ({
    from: shifted(frostFree.to, by - 1),
    to: shifted(frostFree.from, by),
  }));
  return (
    <>
      {spans
        .filter((one) => one.to > from && one.from < end)
        .map((one) => (
          <span
            key={one.from}
            className="year-frost"
            style={{
              left: `${share(strip, one.from)}%`,
              width: `${share(strip, one.to) - share(strip, one.from)}%`,
            }}
          />
        ))}
    </>
  );
}

interface RowProps {
  bar: YearBar;
  strip: Strip;
  onMove?(days: number): void;
  onStretch?(days: number): void;
}

const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };
const WEEK = 7;

function Row({ bar, strip, onMove, onStretch }: RowProps) {
  const row = useRef<HTMLDivElement>(null);
  const [shift, setShift] = useState<{ end: boolean; days: number } | null>(null);
  const daysOf = (pixels: number) =>
    Math.round((pixels / Math.max(row.current?.clientWidth ?? 1, 1)) * strip.days);
  const bind = useDrag(
    ({ movement: [dx], last, args: [end], event }) => {
      event.stopPropagation();
      const days = daysOf(dx);
      setShift(last ? null : { end: end as boolean, days });
      if (last && days !== 0) (end ? onStretch : onMove)?.(days);
    },
    { pointer: { keys: false }, filterTaps: true, axis: 'x' },
  );
  const keys = (move: (days: number) => void) => (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    move(step * (event.shiftKey ? WEEK : 1));
  };
  const { say } = useWords();
  const moved = shift && !shift.end ? shift.days : 0;
  const at = (date: string, more = 0) => share(strip, dayAfter(date, moved + more));
  const end = at(bar.to, shift?.end ? shift.days : 0);
  const left = at(bar.from);
  const width = Math.max(end - left, 0.5);
  const within = (date: string) => Math.min(Math.max(((at(date) - left) / width) * 100, 0), 100);
  // What stays for years is not picked all the while.
  const picked = {
    left: `${within(bar.harvest)}%`,
    right: `${bar.picked >= bar.to ? 0 : 100 - within(bar.picked)}%`,
  };
  const when = `${writeDate(bar.from, 'short')} to ${writeDate(bar.to, 'short')}`;
  const name = say(bar.name);
  const words = `${name}, ${when}, harvest from ${writeDate(bar.harvest, 'short')}`;
  return (
    <div className="year-row" ref={row}>
      <span className="year-name" style={{ left: `${Math.min(left, 70)}%` }}>
        <b>
          {bar.count} × {name}
        </b>{' '}
        {when}
      </span>
      {bar.raised && (
        <span
          className="year-raised"
          style={{ left: `${at(bar.raised)}%`, width: `${left - at(bar.raised)}%` }}
        />
      )}
      {onMove ? (
        <button
          type="button"
          {...bind(false)}
          className="year-bar"
          style={{ left: `${left}%`, width: `${width}%` }}
          aria-label={words}
          aria-roledescription="moves by arrow keys"
          onKeyDown={keys(onMove)}
        >
          <span className="year-harvest" style={picked} />
        </button>
      ) : (
        <span
          role="img"
          className="year-bar is-still"
          style={{ left: `${left}%`, width: `${width}%` }}
          aria-label={words}
        >
          <span className="year-harvest" style={picked} />
        </span>
      )}
      {onStretch && (
        <button
          type="button"
          {...bind(true)}
          className="year-end"
          style={{ left: `${end}%` }}
          aria-label={`End of ${name}, ${writeDate(bar.to, 'short')}`}
          aria-roledescription="moves by arrow keys"
          onKeyDown={keys(onStretch)}
        />
      )}
    </div>
  );
}
