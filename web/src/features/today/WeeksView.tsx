import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { dayAfter, daysBetween, type WeatherChoice } from '@huerta/core/physics/climate';
import {
  CALENDAR_AHEAD,
  partedAt,
  usualHour,
  weekOf,
  weeksOf,
  type CalendarDay,
  type CalendarEvent,
  type LogEntry,
  type RoundPlan,
  type WeekStart,
} from '@huerta/core/journal';
import { plural } from '@huerta/core/units';
import { CalendarDays, Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useGardenDay } from '../../data/gardenDay';
import { useSeasonPlans } from '../../data/api/season';
import { usePreferences, useWords } from '../../ui/preferences';
import { sayHour, writeDate } from '../../ui/dates';
import { Fold } from '../../ui/Fold';
import { Loading } from '../../ui/Loading';
import { usePrinting } from '../../ui/usePrinting';
import { useWeeks } from '../../compute/round';
import type { WeeksTold } from '../../compute/tasks';
import { eventsOn, fullDays, tasksOf, waterByDay, type DayWater } from './weekDays';
import { WeeksWater } from './WeeksWater';
import './weeks.css';

/** Weeks of the sheet to hang up, the one that is under way among them. */
const WEEKS = 5;

interface WeeksViewProps {
  planters: readonly PlanterResource[];
  /** The planters in the order of the walk. */
  walked: readonly PlanterResource[];
  entries: readonly LogEntry[];
  choice: WeatherChoice;
  plan: RoundPlan;
}

/** What the weeks ahead bring: each planter's water, a day that is read, and a sheet to hang up. */
export function WeeksView({ walked, entries, choice, plan }: WeeksViewProps) {
  const plans = useSeasonPlans(walked.map(({ id }) => id));
  const { week } = usePreferences();
  const { value, trouble } = useWeeks({ planters: walked, plans, entries, choice }, plan.away);
  const today = useGardenDay();
  const printing = usePrinting();
  if (trouble) return <Text role="alert">{trouble}</Text>;
  if (!value) return <Loading what="the weeks ahead" />;
  const hour = usualHour([{ entries }]);
  const names = new Map(walked.map(({ id, design }) => [id, design.name]));
  const [now, ahead] = partedAt(value.events, today);
  const weeks = weeksOf(ahead, today, week, WEEKS);
  const none =
    now.length === 0 && weeks.every((days) => days.every(({ events }) => events.length === 0));
  const sheet = <Weeks weeks={weeks} today={today} names={names} />;
  return (
    <>
      {none ? (
        <Text maxW="44rem" mt="4" mb="4">
          Nothing is due in these weeks. What is planted shows up here: open a planter’s log and
          note it.
        </Text>
      ) : (
        !printing && (
          <WeeksPicture
            {...{ walked, today, names, week, ahead, hour }}
            told={value}
            away={plan.away}
          />
        )
      )}
      {printing ? sheet : <Fold title="As a calendar">{sheet}</Fold>}
      <Now events={now} names={names} />
      <Box className="not-printed" display="flex" flexWrap="wrap" gap="3" mt="6">
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print the weeks
        </Button>
        <CalendarLink />
      </Box>
    </>
  );
}

interface WeeksPictureProps {
  walked: readonly PlanterResource[];
  told: WeeksTold;
  /** What stands on a day of its own. */
  ahead: readonly CalendarEvent[];
  today: string;
  names: Names;
  /** The hour at which one usually fills. */
  hour: number;
  week: WeekStart;
  away: RoundPlan['away'];
}

/** The water of all, with the day that is read in words. */
function WeeksPicture(props: WeeksPictureProps) {
  const { walked, told, ahead, today, names, hour, week, away } = props;
  const { write, tell } = useWords();
  const [chosen, setChosen] = useState<string | null>(null);
  const strip = useMemo(() => ({ from: today, days: CALENDAR_AHEAD }), [today]);
  const byDay = useMemo(() => waterByDay(told.water, strip.days), [told.water, strip.days]);
  const first = daysBetween(today, weekOf(today, week)) + 7;
  const weeks = useMemo(() => [0, 7, 14, 21].map((more) => first + more), [first]);
  // An absence may be over, and another day begin, while the page is open.
  const day = chosen !== null && chosen >= today ? chosen : today;
  const events = eventsOn(ahead, day);
  const shown = walked.filter(({ id }) => told.water[id] || isDipped(told.events, id));
  const dips = shown.filter(({ id }) => !told.water[id]).length;
  const carried = byDay[daysBetween(today, day)];
  const carry =
    carried && carried.volume > 0
      ? `${write(roughly(carried.volume), 'volume')} to carry, usually ${sayHour(hour)}`
      : null;
  const reading = [
    day === today ? `Today, ${writeDate(day, 'long')}` : writeDate(day, 'long'),
    ...(carry === null ? [] : [carry]),
    ...tasksOf(events, tell).map(([task]) => task.toLowerCase()),
    ...(events.length === 0 ? ['nothing due'] : []),
  ].join(', ');
  return (
    <>
      <Text as="h2" fontSize="xl" mt="4" maxW="44rem">
        {answerOf(byDay, dips, today, (volume) => write(roughly(volume), 'volume'))}
      </Text>
      <section className="weeks-read" aria-label="The day that is read">
        <h3>
          {day === today ? 'Today, ' : ''}
          {writeDate(day, 'weekday')}, {writeDate(day, 'short')}
          {carry !== null && `: ${carry}`}
        </h3>
        {events.length === 0 ? <p>Nothing is due.</p> : <DayTasks events={events} names={names} />}
      </section>
      <WeeksWater
        {...{ strip, away, byDay, weeks, day, reading }}
        planters={shown}
        events={told.events}
        water={told.water}
        onDay={setChosen}
      />
    </>
  );
}

/** Whether it grows and nothing is known of its water; what is not planted yet has no filling at all. */
const isDipped = (events: readonly CalendarEvent[], id: string): boolean =>
  events.some(({ kind, planter }) => kind === 'fill' && planter === id);

/** To two figures: what many planters take some day is not known better. */
const roughly = (volume: number): number => Number(volume.toPrecision(2));

/** What these weeks ask for, in a sentence. @param dips planters of whose water nothing is known */
function answerOf(
  byDay: readonly DayWater[],
  dips: number,
  today: string,
  amount: (volume: number) => string,
): string {
  const on = (day: number) => writeDate(dayAfter(today, day), 'day');
  const wants = ({ planters, volume }: DayWater) =>
    `${planters} ${plural(planters, 'planter')}, ${amount(volume)}`;
  const [now] = byDay;
  const days = fullDays(byDay);
  const next = days && byDay[days.next];
  const most = days && byDay[days.most];
  const dip =
    dips > 0
      ? [
          `Dip ${dips} ${plural(dips, 'planter')}: ${dips === 1 ? 'its' : 'their'} water is not known.`,
        ]
      : [];
  const first = now && now.planters > 0 ? `Today ${wants(now)}.` : 'No water to carry today.';
  if (!days || !next || !most) {
    // Where nothing is known of any, that is all there is to say.
    if (dips > 0 && !now?.planters) return dip.join('');
    return [first, 'None after that in these weeks.', ...dip].join(' ');
  }
  return [
    first,
    `Next ${on(days.next)}: ${wants(next)}.`,
    ...(days.most !== days.next ? [`Most ${on(days.most)}: ${wants(most)}.`] : []),
    ...dip,
  ].join(' ');
}

type Names = ReadonlyMap<string, string>;

interface NowProps {
  events: readonly CalendarEvent[];
  names: Names;
}

/** What can be done today, each with the planters that want it; folded on a screen. */
function Now({ events, names }: NowProps) {
  const { tell } = useWords();
  if (events.length === 0) return null;
  const tasks = tasksOf(events, tell);
  return (
    <Fold title={`Due now, on any day: ${tasks.length}`} printed>
      <dl className="due-now">
        {tasks.map(([task, of]) => (
          <div key={task}>
            <dt>{task}</dt>
            <dd>
              {of.map((event) => (
                <span key={event.uid}>
                  <PlanterLink event={event} names={names} />
                  {event.kind === 'pick' &&
                    ` till ${writeDate(dayAfter(event.until, -1), 'short')}`}
                </span>
              ))}
            </dd>
          </div>
        ))}
      </dl>
    </Fold>
  );
}

function PlanterLink({ event, names }: { event: CalendarEvent; names: Names }) {
  const { planter } = event;
  if (planter === null) return null;
  return <Link to={`/planters/${planter}/log`}>{names.get(planter)}</Link>;
}

interface WeeksProps {
  weeks: readonly (readonly CalendarDay[])[];
  today: string;
  /** What the planters are called, by id. */
  names: Names;
}

/** A week a row; on a phone a day a row, without the days on which nothing is. */
function Weeks({ weeks, today, names }: WeeksProps) {
  return (
    <table className="weeks" aria-label="The weeks ahead">
      <thead>
        <tr>
          {(weeks[0] ?? []).map(({ date }) => (
            <th key={date} scope="col">
              {writeDate(date, 'weekday')}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {weeks.map((days) => (
          <tr key={days[0]?.date}>
            {days.map((day) => (
              <Day key={day.date} day={day} today={today} names={names} />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface DayProps {
  day: CalendarDay;
  today: string;
  names: Names;
}

function Day({ day: { date, events }, today, names }: DayProps) {
  const past = date < today;
  const state = date === today ? 'is-today' : past ? 'is-past' : '';
  return (
    <td className={`${state} ${events.length === 0 ? 'is-empty' : ''}`}>
      <p className="week-date" {...(date === today ? { 'aria-current': 'date' } : {})}>
        <span className="week-day">{writeDate(date, 'weekday')} </span>
        {writeDate(date, 'short')}
        {date === today && <b>, today</b>}
      </p>
      <DayTasks events={events} names={names} />
    </td>
  );
}

/** What is to be done on a day, each with the planters that want it. */
function DayTasks({ events, names }: { events: readonly CalendarEvent[]; names: Names }) {
  const { tell } = useWords();
  return (
    <ul>
      {tasksOf(events, tell).map(([task, of]) => (
        <li key={task}>
          <b>{task}</b>
          {of.some(({ planter }) => planter !== null) && (
            <ul>
              {of.map((event) => (
                <li key={event.uid}>
                  <PlanterLink event={event} names={names} />
                  <Range event={event} />
                </li>
              ))}
            </ul>
          )}
        </li>
      ))}
    </ul>
  );
}

/** From when till when it may be, where it is not for one day. */
function Range({ event: { from, until, likely } }: { event: CalendarEvent }) {
  const last = dayAfter(until, -1);
  if (likely === null || last <= from) return null;
  return (
    <small>
      {likely === from
        ? `till ${writeDate(last, 'short')}`
        : `${writeDate(from, 'short')} to ${writeDate(last, 'short')}`}
    </small>
  );
}

/** The calendar, to keep as a file or to subscribe to on this machine. */
function CalendarLink() {
  const { units } = useWords();
  return (
    <Button asChild>
      <a href={`/api/calendar.ics?units=${units}`} download="huerta.ics">
        <CalendarDays size={18} aria-hidden /> Calendar file
      </a>
    </Button>
  );
}
