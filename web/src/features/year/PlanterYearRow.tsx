import { daysBetween } from '@huerta/core/physics/climate';
import { memo, type RefObject } from 'react';
import { Link } from 'react-router';
import { useWaterDrawing } from '../../compute/waterDrawing';
import { SmallSection } from '../../drawing/SmallSection';
import { writeDate } from '../../ui/dates';
import { useWords } from '../../ui/preferences';
import { useNearView } from '../../ui/useNearView';
import { DEMAND_STEP } from '../../ui/year/demandDays';
import { Leaf } from '../../ui/year/Leaf';
import { onStrip, share, type Span, type Strip } from '../../ui/year/strip';
import { YearGround } from '../../ui/year/YearGround';
import { growingOf, nextJob, pickedOf, type YearRow } from './yearRows';

interface PlanterYearRowProps {
  row: YearRow;
  strip: Strip;
  frostFree: Span | null;
  today: string;
  /** The day that is read. */
  day: string;
  /** What it drinks along the strip, m³ a day; null while that is not known. */
  demand: readonly number[] | null;
  /** The most that any planter drinks, m³ a day. */
  most: number;
}

/** Size of a drawn planter, pixels, and the level at which it is drawn: full. Metres. */
const DRAWN = { width: 60, height: 46 };
const FULL = 9;
/** Where on the strip a word stands to the left of its day, percent. */
const TO_THE_LEFT = 78;

/** A planter’s year: its name, and leaves as long as it grows and as thick as it drinks. */
export function PlanterYearRow(props: PlanterYearRowProps) {
  const { row, strip, frostFree, today, day, demand, most } = props;
  const { planter, year } = row;
  const { id, design } = planter;
  const { say } = useWords();
  const [element, near] = useNearView<HTMLDivElement>();
  const drawing = useWaterDrawing(design, near ? FULL : null);
  const season = `/planters/${id}/season?view=year`;
  const crops = [...new Set(year.bars.map(({ name }) => say(name)))].join(', ');
  return (
    <div
      ref={element as RefObject<HTMLDivElement>}
      role="group"
      aria-label={[design.name, design.variant].filter(Boolean).join(', ')}
      className="garden-year-row in-colour"
    >
      <div className="garden-year-name">
        <span className="garden-year-drawing">
          {drawing && <SmallSection section={drawing.section} {...DRAWN} />}
        </span>
        <div>
          <Link to={season}>
            {design.name}
            {design.variant ? `, ${design.variant}` : ''}
          </Link>
          <span className="garden-year-crops">{crops}</span>
        </div>
      </div>
      <Link to={season} className="garden-year-track" tabIndex={-1} aria-hidden>
        <YearGround {...{ strip, frostFree, day }} />
        <Plantings {...{ row, strip, today, demand, most }} />
      </Link>
    </div>
  );
}

const across = (strip: Strip, { from, to }: Span) => ({
  left: `${share(strip, from)}%`,
  width: `${share(strip, to) - share(strip, from)}%`,
});

/** Its leaves: the same on whatever day is read. */
const Plantings = memo(function Plantings({
  row,
  strip,
  today,
  demand,
  most,
}: Pick<PlanterYearRowProps, 'row' | 'strip' | 'today' | 'demand' | 'most'>) {
  const { year } = row;
  const leaves = growingOf(year, strip, demand && { step: DEMAND_STEP, values: demand, most });
  const job = nextJob(row, today);
  const at = job && onStrip(strip, { from: job.date, to: '9999-12-31' })?.from === job.date;
  const left = job ? share(strip, job.date) : 0;
  return (
    <>
      {leaves.map(({ from, to, shape }) => (
        <span key={from} className="garden-year-leaf" style={across(strip, { from, to })}>
          <Leaf shape={shape} past={pastOf({ from, to }, today)} />
        </span>
      ))}
      {pickedOf(year, strip).map((span) => (
        <span key={span.from} className="leaf-picks" style={across(strip, span)} />
      ))}
      {year.bars
        .map(({ raised, from }) => raised ?? from)
        .filter((date) => onStrip(strip, { from: date, to: '9999-12-31' })?.from === date)
        .map((date, i) => (
          <span
            key={`${date} ${i}`}
            className="leaf-sow"
            style={{ left: `${share(strip, date)}%` }}
          />
        ))}
      {job && at && (
        <span
          className="garden-year-job"
          style={left > TO_THE_LEFT ? { right: `${100 - left}%` } : { left: `${left}%` }}
        >
          {job.does} {writeDate(job.date, 'short')}
        </span>
      )}
    </>
  );
});

/** Share of a span that is over, 0 to 1. */
const pastOf = ({ from, to }: Span, today: string): number =>
  Math.min(Math.max(daysBetween(from, today) / Math.max(daysBetween(from, to), 1), 0), 1);
