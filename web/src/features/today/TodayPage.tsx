import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { plural } from '@huerta/core/units';
import {
  inOrder,
  TILL_IT_RAN,
  type LogEntry,
  type RoundPlan,
  type TendedState,
} from '@huerta/core/journal';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import { Download, Printer } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useGardenDay } from '../../data/gardenDay';
import { useRoundLog, useWriteLog, wholeLog } from '../../data/api/log';
import { useMeasuredDays, useWeather } from '../../data/api/weather';
import { useRoundPlanters } from '../../data/api/planters';
import { useRoundPlan } from '../../data/api/round';
import { useAllSeasonPlans, useSeasonPlans } from '../../data/api/season';
import { usePreferences, useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { keepLog } from '../../ui/logCsv';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { PageHead } from '../../ui/PageHead';
import { useView, Views } from '../../ui/Views';
import { WANTS } from '../../ui/tended';
import '../../ui/tended.css';
import { useRound } from '../../compute/round';
import type { Round } from '../../compute/roundStates';
import { RoundDuties } from './RoundDuties';
import { RoundItem } from './RoundItem';
import { Tank } from './Tank';
import { WeeksView } from './WeeksView';
import { Walk } from './Walk';
import { WeatherNotes } from './WeatherNotes';
import './today.css';

/** The round: what wants water today, what can wait, how much it takes and how sure that is. */
export default function TodayPage() {
  // What the round needs besides comes along with the rest.
  useMeasuredDays();
  useAllSeasonPlans();
  const planters = useRoundPlanters();
  const log = useRoundLog();
  const weather = useWeather();
  const plan = useRoundPlan();
  return (
    <Page title="Today" className="for-paper">
      <PageHead>Today</PageHead>
      <Fetched
        what="the round"
        title="What is due cannot be fetched"
        queries={[planters, log, weather, plan]}
      >
        {(all, entries, choice, round) => (
          <>
            {all.more > 0 && (
              <Text color="faint" mt="2">
                These are the first {all.planters.length} planters that grow something; {all.more}{' '}
                more have their logs.
              </Text>
            )}
            <Rounds planters={all.planters} entries={entries} choice={choice} plan={round} />
          </>
        )}
      </Fetched>
    </Page>
  );
}

interface RoundsProps {
  planters: readonly PlanterResource[];
  entries: readonly LogEntry[];
  choice: WeatherChoice;
  plan: RoundPlan;
}

const VIEWS = { round: 'The round', weeks: 'The weeks ahead' } as const;

function Rounds({ planters, entries, choice, plan }: RoundsProps) {
  const view = useView(VIEWS);
  const growing = useMemo(
    () => planters.filter(({ design }) => design.planting.crops.some(({ count }) => count > 0)),
    [planters],
  );
  const walked = useMemo(() => inOrder(growing, plan.order), [growing, plan.order]);
  if (growing.length === 0)
    return (
      <Text>
        Nothing grows yet. Build a planter, and come back when it is planted.{' '}
        <Link to="/new" style={{ textDecoration: 'underline' }}>
          New planter
        </Link>
      </Text>
    );
  const View = view === 'weeks' ? WeeksView : RoundView;
  return (
    <>
      <Views label="Today" views={VIEWS} view={view} />
      <View planters={growing} walked={walked} entries={entries} choice={choice} plan={plan} />
    </>
  );
}

/** What today and the weeks ahead are worked out from. */
interface ViewProps extends RoundsProps {
  /** The planters in the order of the walk. */
  walked: readonly PlanterResource[];
}

function RoundView({ planters, walked, entries, choice, plan }: ViewProps) {
  const plans = useSeasonPlans(planters.map(({ id }) => id));
  const { value, working, trouble } = useRound({ planters, plans, entries, choice });
  const round = value ?? {};
  const section = (wants: TendedState['wants']) => (
    <Section
      key={wants}
      wants={wants}
      planters={walked}
      round={round}
      ordered={plan.order.length > 0}
    />
  );
  return (
    <>
      <Lead round={round} working={working} />
      {trouble && <Text role="alert">{trouble}</Text>}
      <WeatherNotes planters={walked} round={round} />
      <Tank plan={plan} round={round} choice={choice} entries={entries} ready={!working} />
      <Together planters={walked} round={round} />
      {(['now', 'look', 'soon'] as const).map(section)}
      <RoundDuties planters={walked} round={round} />
      {section('later')}
      <NotYet planters={walked} round={round} />
      <Box className="not-printed" display="flex" flexWrap="wrap" gap="3" mt="6">
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print the round
        </Button>
        <Button
          onClick={() =>
            void wholeLog(null)
              .then((all) => keepLog('Garden log', all, planters))
              .catch((error: Error) => notify(error.message))
          }
        >
          <Download size={18} aria-hidden /> The whole log as CSV
        </Button>
      </Box>
      {walked.length > 1 && <Walk planters={walked} />}
    </>
  );
}

/** What there is to carry. */
function Lead({ round, working }: { round: Round; working: boolean }) {
  const today = useGardenDay();
  const { write } = useWords();
  const { can } = usePreferences();
  const water = Object.values(round).reduce(
    (sum, state) => (state?.wants === 'now' ? sum + state.room.middle : sum),
    0,
  );
  const cans = Math.ceil(water / can);
  return (
    <Text fontSize="lg" role="status" mt="4" mb="3">
      {writeDate(today, 'long')}.{' '}
      {water > 0
        ? `About ${write(water, 'volume')} to carry, ${cans} ${plural(cans, 'can')} of ${write(can, 'volume')}.`
        : Object.keys(round).length > 0 && !working
          ? 'Nothing has to be filled today.'
          : ''}
      {working && ' Working out how they stand…'}
    </Text>
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
    <Box className="not-printed" display="flex" flexWrap="wrap" gap="2" mb="4">
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
  /** Whether they come in an order that somebody set. */
  ordered: boolean;
}

function Section({ wants, planters, round, ordered }: SectionProps) {
  const mine = planters.flatMap((planter) => {
    const state = round[planter.id];
    return state?.wants === wants ? [{ planter, state }] : [];
  });
  if (!ordered) mine.sort((a, b) => a.state.daysLeft.likely - b.state.daysLeft.likely);
  if (mine.length === 0) return null;
  return (
    <Box as="section" mb="5" aria-label={WANTS[wants]}>
      <Text as="h2" fontSize="lg" className={`round-head is-${wants}`}>
        {WANTS[wants]}
      </Text>
      <ul className="round">
        {mine.map(({ planter, state }) => (
          <RoundItem key={planter.id} planter={planter} state={state} />
        ))}
      </ul>
    </Box>
  );
}

function NotYet({ planters, round }: { planters: readonly PlanterResource[]; round: Round }) {
  const waiting = planters.filter(({ id }) => round[id] === null);
  if (waiting.length === 0) return null;
  const names = [...new Set(waiting.map(({ design }) => design.name))];
  return (
    <Text color="faint">
      Not planted yet: {names.join(', ')}. When they are, open their logs and note: planted.
    </Text>
  );
}
