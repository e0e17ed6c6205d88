import type { PlanterResource } from '@huerta/contract';
import {
  MOST_AWAY,
  type AwayCourse,
  type GardenAbsence,
  type GardenAwayAnswer,
} from '@huerta/core/journal';
import { dayAfter, daysBetween } from '@huerta/core/physics/climate';
import { useDrag } from '@use-gesture/react';
import { useState, type KeyboardEvent } from 'react';
import { useWaterDrawing } from '../../compute/waterDrawing';
import { SmallSection } from '../../drawing/SmallSection';
import { vesselSize } from '../../drawing/vesselSize';
import { useGardenDay } from '../../data/gardenDay';
import { daysByKey } from '../../ui/dayKeys';
import { writeDate, writeDayAhead } from '../../ui/dates';
import { usePreferences } from '../../ui/preferences';
import '../../drawing/standingPlanter.css';
import { useSize } from '../../ui/useSize';
import { plural } from '@huerta/core/units';

interface AwayChartProps {
  answer: GardenAwayAnswer;
  absence: GardenAbsence;
  planters: readonly PlanterResource[];
  /** Moves leaving or return; both stay in their order, and none lies in the past. */
  onMove(absence: GardenAbsence): void;
}

/** Height of a row and of a full planter's water in it, pixels. */
const ROW = 58;
const FULL = 36;
/** Height of a drawn planter, and width of its column, pixels. */
const DRAWN = 46;
const DRAWN_WIDE = 72;
/** What a tab takes on the scale of days, pixels. */
const TAB_HIGH = 56;
const TAB_WIDE = 92;
const TAB_NARROW = 74;
/** Width of the days below which tabs are small, and those of the ends stand within, pixels. */
const NARROW = 520;
/** Room of a name on the scale of days, pixels. */
const DAY_NAME = 46;
/** Before anything is laid out, pixels. */
const USUAL = 800;

/** The water of each planter from leaving to return: it falls, rises at a visit, and shows where it reads low or is short. */
export function AwayChart({ answer, absence, planters, onMove }: AwayChartProps) {
  const [frame, { width: laidOut }] = useSize();
  const width = laidOut || USUAL;
  const { courses, days } = answer;
  const shown = planters.flatMap((planter) => {
    const course = courses.find(({ id }) => id === planter.id);
    return course ? [{ planter, course }] : [];
  });
  const tallest = Math.max(...shown.map(({ planter }) => vesselSize(planter.design).high));
  return (
    <div className="away-chart">
      <div className="away-names" aria-hidden>
        {shown.map(({ planter, course }) => (
          <RowHead key={planter.id} planter={planter} brim={course.brim} scale={DRAWN / tallest} />
        ))}
      </div>
      <div ref={frame} className="away-days">
        <Scale {...{ answer, absence, width, onMove }} />
        <ul aria-label="Water while you are away">
          {shown.map(({ planter, course }) => (
            <li key={planter.id}>
              <span className="away-row-name">{planter.design.name}</span>
              <Verdict course={course} from={absence.from} />
              <Wedge course={course} days={days} width={width} />
            </li>
          ))}
        </ul>
        <p className="away-key">
          <svg width="10" height="22" aria-hidden>
            <Stick x={5} y={22} />
          </svg>{' '}
          reads low <span className="away-key-short" /> plants go short
        </p>
      </div>
    </div>
  );
}

function RowHead({
  planter,
  brim,
  scale,
}: {
  planter: PlanterResource;
  brim: number;
  scale: number;
}) {
  const drawing = useWaterDrawing(planter.design, brim);
  return (
    <div className="away-name">
      <span>
        {drawing && (
          <SmallSection
            section={drawing.section}
            width={DRAWN_WIDE}
            height={DRAWN + 4}
            scale={scale}
          />
        )}
      </span>
      <span>{planter.design.name}</span>
    </div>
  );
}

/** The days, with leaving, visits and return as tabs. */
function Scale({
  answer: { days, visits },
  absence,
  width,
  onMove,
}: Pick<AwayChartProps, 'answer' | 'absence' | 'onMove'> & { width: number }) {
  const { can } = usePreferences();
  const today = useGardenDay();
  const x = (day: number): number => (day / days) * width;
  const tabs = visits.map(({ date, fills }) => ({
    date,
    cans: Math.ceil(fills.reduce((sum, { volume }) => sum + volume, 0) / can),
  }));
  const step = Math.max(Math.ceil((DAY_NAME * days) / Math.max(width, 1)), 1);
  const levels = stacked(
    tabs.map(({ date }) => x(daysBetween(absence.from, date))),
    width,
  );
  const taken = [0, days, ...tabs.map(({ date }) => daysBetween(absence.from, date))];
  const clear = (day: number): boolean =>
    taken.every((one) => Math.abs(x(one) - x(day)) > 2 * DAY_NAME);
  return (
    <div className="away-scale" style={{ height: TAB_HIGH * (Math.max(0, ...levels) + 1) }}>
      {Array.from({ length: days + 1 }, (_, day) => day)
        .filter((day) => day % step === 0 && clear(day))
        .map((day) => (
          <span key={day} className="away-day" style={{ left: x(day) }} aria-hidden>
            {Number(dayAfter(absence.from, day).slice(8))}
          </span>
        ))}
      <EndTab
        label="leaving"
        name="You leave on"
        date={absence.from}
        left={0}
        aDay={x(1)}
        within={{ from: today, to: dayAfter(absence.until, -1) }}
        onMove={(from) => onMove({ ...absence, from })}
      />
      {tabs.map(({ date, cans }, i) => (
        <span
          key={date}
          className="away-tab"
          aria-hidden
          style={{
            left: x(daysBetween(absence.from, date)),
            bottom: 2 + TAB_HIGH * (levels[i] ?? 0),
          }}
        >
          {writeDayAhead(date, today)}
          <b>
            {cans} {plural(cans, 'can')}
          </b>
        </span>
      ))}
      <EndTab
        label="back"
        name="You are back on"
        date={absence.until}
        left={width}
        aDay={x(1)}
        within={{ from: dayAfter(absence.from, 1), to: dayAfter(absence.from, MOST_AWAY) }}
        onMove={(until) => onMove({ ...absence, until })}
      />
    </div>
  );
}

interface EndTabProps {
  label: 'leaving' | 'back';
  name: string;
  date: string;
  /** Where it stands, and how wide a day is, pixels. */
  left: number;
  aDay: number;
  /** The first and the last day that it can be moved to. */
  within: { from: string; to: string };
  onMove(date: string): void;
}

/** Leaving or return: a tab that slides along the days, a day an arrow key. */
function EndTab({ label, name, date, left, aDay, within, onMove }: EndTabProps) {
  const today = useGardenDay();
  const [shift, setShift] = useState(0);
  const moved = (days: number): string => {
    const to = dayAfter(date, days);
    return to < within.from ? within.from : to > within.to ? within.to : to;
  };
  const bind = useDrag(
    ({ movement: [dx], last }) => {
      const days = Math.round(dx / Math.max(aDay, 1));
      setShift(last ? 0 : days);
      if (last && moved(days) !== date) onMove(moved(days));
    },
    { pointer: { keys: false }, axis: 'x' },
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const step = daysByKey(event);
    if (step === null) return;
    event.preventDefault();
    const to = moved(step);
    if (to !== date) onMove(to);
  };
  const shown = moved(shift);
  return (
    <div
      {...bind()}
      role="slider"
      tabIndex={0}
      className={`away-tab is-end${label === 'back' ? ' is-last' : ''}`}
      style={{ left: left + daysBetween(date, shown) * aDay }}
      aria-label={name}
      aria-valuemin={daysBetween(today, within.from)}
      aria-valuemax={daysBetween(today, within.to)}
      aria-valuenow={daysBetween(today, shown)}
      aria-valuetext={writeDate(shown, 'long')}
      onKeyDown={onKeyDown}
    >
      {label} <b>{writeDayAhead(shown, today)}</b>
    </div>
  );
}

/** How far up each tab stands, so that none lies on another. @param at their middles, rising, pixels */
function stacked(at: readonly number[], width: number): number[] {
  // Leaving and return stand on the lowest.
  const narrow = width < NARROW;
  const wide = narrow ? TAB_NARROW : TAB_WIDE;
  const ends = [narrow ? [wide / 2, width - wide / 2] : [0, width]];
  return at.map((x) => {
    let level = 0;
    while (ends[level]?.some((other) => Math.abs(other - x) < wide)) level += 1;
    (ends[level] ??= []).push(x);
    return level;
  });
}

/** When it reads low, or is short, in words. */
function Verdict({ course, from }: { course: AwayCourse; from: string }) {
  const today = useGardenDay();
  const on = (day: number): string => writeDayAhead(dayAfter(from, day), today);
  const [short] = course.short;
  if (short !== undefined) return <span className="away-short">short {on(short)}</span>;
  const low = course.levels.findIndex((level) => level <= course.low + 1e-4);
  const reads = low < 0 ? '' : `low ${on(low)}`;
  if (course.fills.length > 1) return <span>{reads}</span>;
  // Its soil carries it to the end.
  return (
    <span className="away-fine">
      {reads && <span className="away-reads">{reads}, </span>}no visit needed
    </span>
  );
}

const Stick = ({ x, y }: { x: number; y: number }) => (
  <g className="sign-dip" transform={`translate(${x} ${y})`}>
    <path d="M-2 0V-16H2V0Z" />
    <circle cy="-18" r="3.5" />
  </g>
);

/** The water as a wedge: full to the lip is as high as it gets. */
function Wedge({ course, days, width }: { course: AwayCourse; days: number; width: number }) {
  const { brim, low, levels, fills, short } = course;
  const x = (day: number): number => (day / Math.max(days, 1)) * width;
  const y = (level: number): number => ROW - FULL * Math.min(Math.max(level / brim, 0), 1);
  const points: string[] = [`M0 ${y(brim)}`];
  levels.forEach((level, day) => {
    if (day > 0 && fills.includes(day)) points.push(`L${x(day)} ${y(brim)}`);
    points.push(`L${x(day + 1)} ${y(level).toFixed(1)}`);
  });
  const line = points.join('');
  const dips = levels.flatMap((level, day) => {
    const before = day === 0 || fills.includes(day) ? brim : (levels[day - 1] as number);
    return level <= low + 1e-4 && before > low + 1e-4 ? [day + 1] : [];
  });
  return (
    <svg className="wedge" width={width} height={ROW} viewBox={`0 0 ${width} ${ROW}`} aria-hidden>
      <defs>
        <pattern id="away-short" width="6" height="6" patternUnits="userSpaceOnUse">
          <path className="wedge-hatch" d="M0 6L6 0" />
        </pattern>
      </defs>
      <path className="wedge-water" d={`${line}V${ROW}H0Z`} />
      {short.map((day) => (
        <rect
          key={day}
          className="wedge-short"
          x={x(day)}
          y={ROW - 24}
          width={x(1)}
          height="24"
          fill="url(#away-short)"
        />
      ))}
      <path className="wedge-line" d={line} />
      {fills.slice(1).map((day) => (
        <path key={day} className="wedge-fill" d={`M${x(day)} 0V${ROW}`} />
      ))}
      {dips.map((day) => (
        <Stick key={day} x={x(day)} y={ROW} />
      ))}
      <path className="wedge-floor" d={`M0 ${ROW - 0.75}H${width}`} />
    </svg>
  );
}
