import type { PlanterResource } from '@huerta/contract';
import type { CalendarEvent, GardenAbsence, WaterAhead } from '@huerta/core/journal';
import { dayAfter, daysBetween } from '@huerta/core/physics/climate';
import { memo, type MouseEvent } from 'react';
import { Link } from 'react-router';
import { writeDate, writeDayAhead } from '../../ui/dates';
import { DayTab } from '../../ui/DayTab';
import { useWords } from '../../ui/preferences';
import { onStrip, type Strip } from '../../ui/year/strip';
import { waterOutline, type DayWater } from './weekDays';

interface WeeksWaterProps {
  strip: Strip;
  planters: readonly PlanterResource[];
  events: readonly CalendarEvent[];
  water: Readonly<Record<string, WaterAhead | null>>;
  /** When nobody is at home; null where that is not planned. */
  away: GardenAbsence | null;
  byDay: readonly DayWater[];
  /** The first days of the weeks, as days after the strip's first. */
  weeks: readonly number[];
  /** The day that is read, ISO date. */
  day: string;
  onDay(day: string): void;
  reading: string;
}

/** Days that a page key moves the tab by. */
const WEEK = 7;
/** Days before the end within which a week has no room for its name. */
const AT_END = 4;
/** Width of the largest drop and of the smallest, pixels. */
const DROP = 30;
const LEAST = 8;

/** Each planter's water over the weeks, as it likely falls and is filled, under one head of days with what all take. */
export function WeeksWater(props: WeeksWaterProps) {
  const { strip, planters, events, water, away, byDay, weeks, day, onDay, reading } = props;
  const most = Math.max(...byDay.map(({ volume }) => volume), Number.MIN_VALUE);
  const at = (days: number): string => `${(100 * days) / strip.days}%`;
  const choose = ({ currentTarget, clientX }: MouseEvent<HTMLElement>): void => {
    const { left, width } = currentTarget.getBoundingClientRect();
    const days = Math.floor(((clientX - left) / Math.max(width, 1)) * strip.days);
    onDay(dayAfter(strip.from, Math.min(Math.max(days, 0), strip.days - 1)));
  };
  const now = at(daysBetween(strip.from, day));
  const absent = away && onStrip(strip, { from: away.from, to: away.until });
  const empty = absent && (
    <span
      className="weeks-away"
      style={{
        left: at(daysBetween(strip.from, absent.from)),
        width: at(daysBetween(absent.from, absent.to)),
      }}
    />
  );
  return (
    <div className="weeks-water in-colour">
      <div className="weeks-water-row weeks-water-top">
        <p className="weeks-water-key">
          Each planter’s water as it likely falls, filled when it reads low.
          <span>
            <i className="weeks-window" /> the next filling may be any of these days
          </span>
          {absent && (
            <span>
              <i className="weeks-away" /> nobody at home
            </span>
          )}
        </p>
        <div className="weeks-water-head" onClick={choose}>
          {empty}
          {weeks.map((days) => (
            <span key={days} className="weeks-week" style={{ left: at(days) }} aria-hidden>
              {strip.days - days > AT_END && writeDate(dayAfter(strip.from, days), 'short')}
            </span>
          ))}
          {byDay.map(({ volume }, days) =>
            volume > 0 ? (
              <i
                key={days}
                className="weeks-drop"
                style={{
                  left: at(days + 0.5),
                  width: `${Math.max(DROP * Math.sqrt(volume / most), LEAST)}px`,
                }}
              />
            ) : null,
          )}
          <DayTab
            label="Day of these weeks"
            page={WEEK}
            within
            {...{ strip, day, onDay, reading }}
          />
        </div>
      </div>
      <ul aria-label="Water in the weeks ahead">
        {planters.map((planter) => (
          <li key={planter.id} className="weeks-water-row">
            <RowName planter={planter} water={water[planter.id] ?? null} strip={strip} />
            <div className="weeks-lane" onClick={choose}>
              {empty}
              <span className="weeks-day" style={{ left: now, width: at(1) }} />
              <Lane
                strip={strip}
                water={water[planter.id] ?? null}
                events={events}
                planter={planter.id}
                weeks={weeks}
              />
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** A planter's name, and when it is filled next. */
function RowName({
  planter: { id, design },
  water,
  strip,
}: {
  planter: PlanterResource;
  water: WaterAhead | null;
  strip: Strip;
}) {
  const { write } = useWords();
  const next = water?.fillings[0];
  const when = next && writeDayAhead(dayAfter(strip.from, next.day), strip.from);
  return (
    <div className="weeks-name">
      <Link to={`/planters/${id}/log`}>{design.name}</Link>
      <span>
        {!water
          ? 'dip it first'
          : next && when
            ? `${when}, ${write(next.volume, 'volume')}`
            : 'enough for these weeks'}
      </span>
    </div>
  );
}

interface LaneProps {
  strip: Strip;
  water: WaterAhead | null;
  events: readonly CalendarEvent[];
  planter: string;
  weeks: readonly number[];
}

/** The water of one planter, the days on which it may read low, and what else is to be done; the same whatever day is read. */
const Lane = memo(function Lane({ strip, water, events, planter, weeks }: LaneProps) {
  const jobs = events.filter(
    (one) =>
      one.planter === planter &&
      (one.kind === 'duty' || one.kind === 'plant' || one.kind === 'pick') &&
      one.likely !== null &&
      one.likely > strip.from &&
      daysBetween(strip.from, one.likely) < strip.days,
  );
  const left = (days: number): string => `${(100 * days) / strip.days}%`;
  // Of those after it the days add up to most of the weeks.
  const next = water?.fillings[0];
  return (
    <>
      {next && (
        <span
          className="weeks-window"
          style={{
            left: left(next.from),
            width: left(Math.min(next.until, strip.days) - next.from),
          }}
        />
      )}
      <svg viewBox={`0 0 ${strip.days} 100`} preserveAspectRatio="none" aria-hidden>
        {water ? (
          <>
            <path className="weeks-falls" d={waterOutline(water, strip.days)} />
            <path className="weeks-low" d={`M0 ${100 * (1 - water.low)}H${strip.days}`} />
          </>
        ) : (
          <path className="weeks-unknown" d={`M0 0H${strip.days}V100H0Z`} />
        )}
        <path className="weeks-ruled" d={weeks.map((days) => `M${days} 0V100`).join('')} />
      </svg>
      {jobs.map((one) => (
        <i
          key={one.uid}
          className={`weeks-job is-${one.kind}`}
          style={{ left: left(daysBetween(strip.from, one.likely ?? strip.from) + 0.5) }}
        />
      ))}
    </>
  );
});
