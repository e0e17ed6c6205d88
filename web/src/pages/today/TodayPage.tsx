import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { TILL_IT_RAN, type LogEntry, type TendedState, type WeatherChoice } from '@huerta/core';
import { formatISO } from 'date-fns';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useWholeLog, useWriteLog } from '../../api/log';
import { usePlanters } from '../../api/planters';
import { useSeasonPlans } from '../../api/season';
import { useWeather } from '../../api/weather';
import { useWords } from '../../app/preferences';
import { writeDate } from '../../components/dates';
import { Duties } from '../../components/Duties';
import { notify } from '../../components/notices';
import { Fetched, Page } from '../../components/Page';
import { sayLevel, sayNext, saySurprises, WANTS } from '../../components/tended';
import '../../components/tended.css';
import { useRound, type Round } from '../../workers/round';
import './today.css';

/** The round: what wants water today, what can wait, how much it takes and how sure that is. */
export default function TodayPage() {
  const planters = usePlanters();
  const log = useWholeLog();
  const weather = useWeather();
  return (
    <Page title="Today">
      <Box display="flex" flexWrap="wrap" gap="4" alignItems="baseline" mb="3">
        <Text as="h1" fontSize="2xl" flex="1">
          Today
        </Text>
        <Link to="/" style={{ textDecoration: 'underline' }}>
          To the garden
        </Link>
      </Box>
      <Fetched
        what="the round"
        title="The round cannot be fetched"
        queries={[planters, log, weather]}
      >
        {(all, entries, choice) => <Rounds planters={all} entries={entries} choice={choice} />}
      </Fetched>
    </Page>
  );
}

interface RoundsProps {
  planters: readonly PlanterResource[];
  entries: readonly LogEntry[];
  choice: WeatherChoice;
}

/** Most planters of one round. */
const MOST = 120;
/** A usual can, m³. */
const CAN = 0.01;

function Rounds({ planters, entries, choice }: RoundsProps) {
  const today = formatISO(new Date(), { representation: 'date' });
  const { write } = useWords();
  const growing = useMemo(
    () =>
      planters
        .filter(({ design }) => design.planting.crops.some(({ count }) => count > 0))
        .slice(0, MOST),
    [planters],
  );
  const plans = useSeasonPlans(growing.map(({ id }) => id));
  const { value, working, trouble } = useRound({ planters: growing, plans, entries, choice });
  if (growing.length === 0)
    return (
      <Text>
        Nothing grows yet. Build a planter, and come back when it is planted.{' '}
        <Link to="/new" style={{ textDecoration: 'underline' }}>
          New planter
        </Link>
      </Text>
    );
  const round = value ?? {};
  const water = growing.reduce((sum, { id }) => {
    const state = round[id];
    return state && state.wants === 'now' ? sum + state.room.middle : sum;
  }, 0);
  return (
    <>
      <Text fontSize="lg" role="status" mb="3">
        {writeDate(today, 'long')}.{' '}
        {water > 0
          ? `About ${write(water, 'volume')} to carry, ${Math.ceil(water / CAN)} ${water > CAN ? 'cans' : 'can'} of ${write(CAN, 'volume')}.`
          : Object.keys(round).length > 0 && !working
            ? 'Nothing has to be filled today.'
            : ''}
        {working && ' Working out how they stand…'}
      </Text>
      {trouble && <Text role="alert">{trouble}</Text>}
      <Together planters={growing} round={round} />
      {(['now', 'look', 'soon', 'later'] as const).map((wants) => (
        <Section key={wants} wants={wants} planters={growing} round={round} />
      ))}
      <NotYet planters={growing} round={round} />
    </>
  );
}

/** Planters of one place that want water, filled at once. */
function Together({ planters, round }: { planters: readonly PlanterResource[]; round: Round }) {
  const log = useWriteLog();
  const places = new Map<string, string[]>();
  for (const { id, design } of planters) {
    const wants = round[id]?.wants;
    if (design.place.name === '' || wants === undefined || wants === 'later') continue;
    places.set(design.place.name, [...(places.get(design.place.name) ?? []), id]);
  }
  const several = [...places].filter(([, ids]) => ids.length > 1);
  if (several.length === 0) return null;
  return (
    <Box display="flex" flexWrap="wrap" gap="2" mb="4">
      {several.map(([place, ids]) => (
        <Button
          key={place}
          onClick={() =>
            void log.write(ids, { did: TILL_IT_RAN }).then((entries) =>
              notify(`${place}: all ${ids.length} filled till they ran.`, {
                label: 'Undo',
                run: () => entries.forEach((entry) => void log.takeOut(entry)),
              }),
            )
          }
        >
          {place}: filled all {ids.length}
        </Button>
      ))}
    </Box>
  );
}

interface SectionProps {
  wants: TendedState['wants'];
  planters: readonly PlanterResource[];
  round: Round;
}

function Section({ wants, planters, round }: SectionProps) {
  const mine = planters
    .flatMap((planter) => {
      const state = round[planter.id];
      return state?.wants === wants ? [{ planter, state }] : [];
    })
    .sort((a, b) => a.state.daysLeft.likely - b.state.daysLeft.likely);
  if (mine.length === 0) return null;
  return (
    <Box as="section" mb="5" aria-label={WANTS[wants]}>
      <Text as="h2" fontSize="lg" className={`round-head is-${wants}`}>
        {WANTS[wants]}
      </Text>
      <ul className="round">
        {mine.map(({ planter, state }) => (
          <Item key={planter.id} planter={planter} state={state} />
        ))}
      </ul>
    </Box>
  );
}

function Item({ planter, state }: { planter: PlanterResource; state: TendedState }) {
  const { id, design } = planter;
  const { write } = useWords();
  const log = useWriteLog();
  const fill = () =>
    void log.write([id], { did: TILL_IT_RAN }).then(([entry]) =>
      notify(`${design.name}: filled till it ran.`, {
        label: 'Undo',
        run: () => void (entry && log.takeOut(entry)),
      }),
    );
  return (
    <li>
      <div>
        <Link to={`/planters/${id}/log`}>
          <b style={{ textDecoration: 'underline' }}>{design.name}</b>
        </Link>
        {design.place.name && <span className="round-place"> {design.place.name}</span>}
        <Text>{sayNext(state)}</Text>
        <Text fontSize="sm" color="faint">
          {sayLevel(state, write)}
          {!state.certain && ' Worked out from the day of planting: no filling is noted yet.'}
        </Text>
        {state.duties.length > 0 && (
          <Duties planter={id} name={design.name} duties={state.duties} />
        )}
        {saySurprises(state.thirst.surprises, write).map((words) => (
          <Text key={words} className="surprise">
            {words}
          </Text>
        ))}
      </div>
      <Button
        variant={state.wants === 'now' ? 'solid' : 'outline'}
        aria-label={`Filled till it ran: ${design.name}`}
        onClick={fill}
      >
        Filled till it ran
      </Button>
    </li>
  );
}

function NotYet({ planters, round }: { planters: readonly PlanterResource[]; round: Round }) {
  const waiting = planters.filter(({ id }) => round[id] === null);
  if (waiting.length === 0) return null;
  return (
    <Text color="faint">
      Not planted yet: {waiting.map(({ design }) => design.name).join(', ')}. When they are, open
      their logs and note: planted.
    </Text>
  );
}
