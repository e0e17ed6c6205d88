import { Box, Text } from '@chakra-ui/react';
import {
  dayAfter,
  daysBetween,
  moveBar,
  stretchBar,
  stripOf,
  yearOf,
  type Patch,
  type PlanterDesign,
  type Site,
  type YearBar,
} from '@huerta/core';
import { useDrag } from '@use-gesture/react';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useWords } from '../../app/preferences';
import { writeDate } from '../../components/dates';
import './year.css';

interface YearViewProps {
  design: PlanterDesign;
  planted: string;
  site: Site;
  /** Takes a change of the design, or says why not. */
  onChange(patch: Patch): void;
}

/** The year of a planter as a strip of months: what is sown, planted, harvested, and what follows. */
export function YearView({ design, planted, site, onChange }: YearViewProps) {
  const { tell } = useWords();
  const year = useMemo(() => yearOf(design, planted, site), [design, planted, site]);
  const strip = useMemo(() => stripOf(year, planted), [year, planted]);
  const warnings = year.bars.flatMap(({ says }) => says.map((one) => tell(one)));
  if (year.bars.length === 0) {
    return <Text my="4">Nothing grows in it yet. Add crops in the soil room of the bench.</Text>;
  }
  return (
    <Box className="year" my="3">
      <Text maxW="44rem">
        {year.frostFree
          ? `Frost is rare from ${writeDate(year.frostFree.from, 'long')} to ${writeDate(year.frostFree.to, 'long')}. Empty the reservoir and open its overflow before it comes.`
          : design.place.rain === 'indoors'
            ? 'It stands indoors: no frost comes to it.'
            : 'Frost is not to be reckoned with here.'}
      </Text>
      {warnings.length > 0 && (
        <ul className="year-warnings">
          {warnings.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <div className="year-scroll">
        <div className="year-strip">
          <Months from={strip.from} days={strip.days} />
          {year.frostFree && (
            <Frosts from={strip.from} days={strip.days} frostFree={year.frostFree} />
          )}
          {year.bars.map((bar) => (
            <Row
              key={bar.of}
              bar={bar}
              strip={strip}
              onMove={(days) => onChange(moveBar(design, bar.of, days))}
              onStretch={(days) => onChange(stretchBar(design, bar.of, days))}
            />
          ))}
        </div>
      </div>
      <Text fontSize="sm" color="faint">
        Drag a bar to move it, its right end to keep it longer; or choose one and use the arrow
        keys: a day each, a week with Shift. Hatched is harvest, dotted the time in a pot.
      </Text>
    </Box>
  );
}

interface Strip {
  from: string;
  days: number;
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
          {new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' }).format(new Date(at))}
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
  onMove(days: number): void;
  onStretch(days: number): void;
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
      if (last && days !== 0) (end ? onStretch : onMove)(days);
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
  const moved = shift && !shift.end ? shift.days : 0;
  const at = (date: string, more = 0) => share(strip, dayAfter(date, moved + more));
  const end = at(bar.to, shift?.end ? shift.days : 0);
  const left = at(bar.from);
  const width = Math.max(end - left, 0.5);
  const harvest = Math.min(Math.max(((at(bar.harvest) - left) / width) * 100, 0), 100);
  const when = `${writeDate(bar.from, 'short')} to ${writeDate(bar.to, 'short')}`;
  return (
    <div className="year-row" ref={row}>
      <span className="year-name" style={{ left: `${Math.min(left, 70)}%` }}>
        <b>
          {bar.count} × {bar.name}
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
        aria-label={`${bar.name}, ${when}, harvest from ${writeDate(bar.harvest, 'short')}`}
        aria-roledescription="moves by arrow keys"
        onKeyDown={keys(onMove)}
      >
        <span className="year-harvest" style={{ left: `${harvest}%` }} />
      </button>
      <button
        type="button"
        {...bind(true)}
        className="year-end"
        style={{ left: `${end}%` }}
        aria-label={`End of ${bar.name}, ${writeDate(bar.to, 'short')}`}
        aria-roledescription="moves by arrow keys"
        onKeyDown={keys(onStretch)}
      />
    </div>
  );
}
