import type { Site } from '@huerta/core/catalog';
import { dayAfter, daysBetween } from '@huerta/core/physics/climate';
import type { YearBar } from '@huerta/core/simulation/season';
import { useDrag } from '@use-gesture/react';
import { useRef, useState, type KeyboardEvent } from 'react';
import { useWords } from '../preferences';
import { writeDate } from '../dates';
import { daysByKey } from '../dayKeys';
import { Leaf } from './Leaf';
import { share, type Span, type Strip } from './strip';
import { useYearReading } from './useYearReading';
import { YearGround } from './YearGround';
import { YearHead } from './YearHead';
import './year.css';

interface YearStripProps {
  strip: Strip;
  site: Site;
  frostFree: Span | null;
  bars: readonly YearBar[];
  /** How thirsty each planting is through its time, 0 to 1. */
  shapes: readonly (readonly number[])[];
  /** What the planter drinks along the strip, m³ a day; null while that is not known. */
  demand: readonly number[] | null;
  /** Moves a planting by days, or its end. */
  onMove(of: number, days: number): void;
  onStretch(of: number, days: number): void;
}

/** A planter's year: months side by side, where it freezes, and a leaf for each planting, to be moved and stretched. */
export function YearStrip(props: YearStripProps) {
  const { strip, site, frostFree, bars, shapes, demand, onMove, onStretch } = props;
  const { day, onDay, reading, today } = useYearReading(strip, site, demand);
  return (
    <>
      <p className="year-reading">{reading}</p>
      <div className="year-scroll">
        <div className="year-strip">
          <YearHead {...{ strip, site, demand, day, onDay, reading }} />
          <div className="year-rows">
            <YearGround {...{ strip, frostFree, day }} />
            {bars.map((bar) => (
              <Row
                key={bar.of}
                {...{ bar, strip, today }}
                shape={shapes[bar.of] ?? null}
                onMove={(days) => onMove(bar.of, days)}
                onStretch={(days) => onStretch(bar.of, days)}
              />
            ))}
          </div>
        </div>
      </div>
    </>
  );
}

interface RowProps {
  bar: YearBar;
  strip: Strip;
  shape: readonly number[] | null;
  today: string;
  onMove(days: number): void;
  onStretch(days: number): void;
}

const keysFor = (move: (days: number) => void) => (event: KeyboardEvent) => {
  // Up and down are the page's own here.
  const step = event.key === 'ArrowUp' || event.key === 'ArrowDown' ? null : daysByKey(event);
  if (step === null) return;
  event.preventDefault();
  event.stopPropagation();
  move(step);
};

function Row({ bar, strip, shape, today, onMove, onStretch }: RowProps) {
  const row = useRef<HTMLDivElement>(null);
  const [shift, setShift] = useState<{ end: boolean; days: number } | null>(null);
  const daysOf = (pixels: number) =>
    Math.round((pixels / Math.max(row.current?.clientWidth ?? 1, 1)) * strip.days);
  const bind = useDrag(
    ({ movement: [dx], last, args: [end], event }) => {
      event.stopPropagation();
      const days = daysOf(dx);
      setShift(last ? null : { end: end as boolean, days });
      if (last && days !== 0) (end ? onStretch : onMove)(days);
    },
    { pointer: { keys: false }, filterTaps: true, axis: 'x' },
  );
  const { say } = useWords();
  const moved = shift && !shift.end ? shift.days : 0;
  const at = (date: string, more = 0) => share(strip, dayAfter(date, moved + more));
  const end = at(bar.to, shift?.end ? shift.days : 0);
  const left = at(bar.from);
  const width = Math.max(end - left, 0.5);
  const within = (date: string) => Math.min(Math.max(((at(date) - left) / width) * 100, 0), 100);
  const when = `${writeDate(bar.from, 'short')} to ${writeDate(bar.to, 'short')}`;
  const name = say(bar.name);
  const words = `${name}, ${when}, harvest from ${writeDate(bar.harvest, 'short')}`;
  const past = daysBetween(bar.from, today) / Math.max(daysBetween(bar.from, bar.to), 1);
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
      <button
        type="button"
        {...bind(false)}
        className="year-bar"
        style={{ left: `${left}%`, width: `${width}%` }}
        aria-label={words}
        aria-roledescription="moves by arrow keys"
        onKeyDown={keysFor(onMove)}
      >
        <Leaf shape={shape} past={Math.min(Math.max(past, 0), 1)} />
        <span
          className="leaf-picks"
          // What stays for years is not picked all the while.
          style={{
            left: `${within(bar.harvest)}%`,
            right: `${bar.picked >= bar.to ? 0 : 100 - within(bar.picked)}%`,
          }}
        />
      </button>
      <span className="leaf-sow" style={{ left: `${at(bar.raised ?? bar.from)}%` }} />
      <button
        type="button"
        {...bind(true)}
        className="year-end"
        style={{ left: `${end}%` }}
        aria-label={`End of ${name}, ${writeDate(bar.to, 'short')}`}
        aria-roledescription="moves by arrow keys"
        onKeyDown={keysFor(onStretch)}
      />
    </div>
  );
}
