import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { dayAfter, type WeatherChoice } from '@huerta/core/physics/climate';
import {
  partedAt,
  weeksOf,
  type CalendarDay,
  type CalendarEvent,
  type LogEntry,
  type RoundPlan,
} from '@huerta/core/journal';
import type { Words } from '@huerta/core/units';
import { CalendarDays, Printer } from 'lucide-react';
import { Link } from 'react-router';
import { useGardenDay } from '../../data/gardenDay';
import { useSeasonPlans } from '../../data/api/season';
import { usePreferences, useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { Loading } from '../../ui/Loading';
import { useCalendar } from '../../compute/round';
import './weeks.css';

/** Weeks that are looked ahead, the one that is under way among them. */
const WEEKS = 5;

interface WeeksViewProps {
  planters: readonly PlanterResource[];
  /** The planters in the order of the walk. */
  walked: readonly PlanterResource[];
  entries: readonly LogEntry[];
  choice: WeatherChoice;
  plan: RoundPlan;
}

/** What the weeks ahead bring: a sheet to hang up, a week a row. */
export function WeeksView({ walked, entries, choice, plan }: WeeksViewProps) {
  const plans = useSeasonPlans(walked.map(({ id }) => id));
  const { week } = usePreferences();
  const { value, trouble } = useCalendar({ planters: walked, plans, entries, choice }, plan.away);
  const today = useGardenDay();
  if (trouble) return <Text role="alert">{trouble}</Text>;
  if (!value) return <Loading what="the weeks ahead" />;
  const names = new Map(walked.map(({ id, design }) => [id, design.name]));
  const [now, ahead] = partedAt(value, today);
  const weeks = weeksOf(ahead, today, week, WEEKS);
  const none =
    now.length === 0 && weeks.every((days) => days.every(({ events }) => events.length === 0));
  return (
    <>
      <Text maxW="44rem" mt="4" mb="4">
        {none
          ? 'Nothing is due in these weeks. What is planted shows up here: open a planter’s log and note it.'
          : 'Each filling stands on its likeliest day, if you fill to the brim whenever a planter reads low. Look again after you have filled or dipped it.'}
      </Text>
      <Weeks weeks={weeks} today={today} names={names} />
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

type Names = ReadonlyMap<string, string>;

/** What can be done today, each with the planters that want it. */
function Now({ events, names }: { events: readonly CalendarEvent[]; names: Names }) {
  const { tell } = useWords();
  if (events.length === 0) return null;
  return (
    <Box as="section" aria-labelledby="due-now" mt="6">
      <Text as="h2" id="due-now" fontSize="lg" mb="1">
        Due now, on any day
      </Text>
      <dl className="due-now">
        {tasksOf(events, tell).map(([task, of]) => (
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
    </Box>
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
  const { tell } = useWords();
  const tasks = tasksOf(events, tell);
  const past = date < today;
  const state = date === today ? 'is-today' : past ? 'is-past' : '';
  return (
    <td className={`${state} ${events.length === 0 ? 'is-empty' : ''}`}>
      <p className="week-date" {...(date === today ? { 'aria-current': 'date' } : {})}>
        <span className="week-day">{writeDate(date, 'weekday')} </span>
        {writeDate(date, 'short')}
        {date === today && <b>, today</b>}
      </p>
      <ul>
        {tasks.map(([task, of]) => (
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
    </td>
  );
}

/** What is to be done on a day, each with the planters that want it. */
function tasksOf(
  events: readonly CalendarEvent[],
  tell: Words['tell'],
): [task: string, of: CalendarEvent[]][] {
  const tasks = new Map<string, CalendarEvent[]>();
  for (const event of events) {
    const task = tell(event.task);
    tasks.set(task, [...(tasks.get(task) ?? []), event]);
  }
  return [...tasks];
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
