import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { inOrder, TILL_IT_RAN, type LogEntry, type RoundPlan } from '@huerta/core/journal';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import { Download, Printer } from 'lucide-react';
import { Suspense, useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useRoundLog, useWriteLog, wholeLog } from '../../data/api/log';
import { useMeasuredDays, useWeather } from '../../data/api/weather';
import { useRoundPlanters } from '../../data/api/planters';
import { useRoundPlan } from '../../data/api/round';
import { useAllSeasonPlans, useSeasonPlans } from '../../data/api/season';
import { keepLog } from '../../ui/logCsv';
import { notify } from '../../ui/notices';
import { Loading } from '../../ui/Loading';
import { Fetched, Page } from '../../ui/Page';
import { PageHead } from '../../ui/PageHead';
import { useView, Views } from '../../ui/Views';
import { onDemand } from '../../ui/onDemand';
import { useGradually } from '../../ui/useGradually';
import { UnexplainedReadings } from '../../ui/UnexplainedReadings';
import { usePrinting } from '../../ui/usePrinting';
import { SowNowFold } from '../../ui/year/SowNowFold';
import '../../ui/tended.css';
import { useRound } from '../../compute/round';
import type { Round } from '../../compute/roundStates';
import { JoinedWater } from './JoinedWater';
import { PrintedRound } from './PrintedRound';
import { RoundDuties } from './RoundDuties';
import { Tank } from './Tank';
import { TodayHead } from './TodayHead';
import { Walk } from './Walk';
import { WeatherNotes } from './WeatherNotes';
import './today.css';

/** Its drawings ask for shapes of vessels: it comes while the states are worked out. */
const Courtyard = onDemand(() => import('./Courtyard').then(({ Courtyard: part }) => part));

const SowToday = onDemand(() => import('./SowToday').then(({ SowToday: part }) => part));

const WeeksView = onDemand(() => import('./WeeksView').then(({ WeeksView: part }) => part));

/** The round: what wants water today, what can wait, how much it takes and how sure that is. */
export default function TodayPage() {
  // What the round needs besides comes along with the rest.
  useMeasuredDays();
  useAllSeasonPlans();
  const planters = useRoundPlanters();
  const log = useRoundLog();
  const weather = useWeather();
  const plan = useRoundPlan();
  const view = useView(VIEWS);
  return (
    <Page title="Today" className="for-paper">
      <Box className="today-bar">
        <PageHead>Today</PageHead>
        <Views label="Today" views={VIEWS} view={view} />
      </Box>
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
    <Suspense fallback={<Loading what="the weeks ahead" />}>
      <View planters={growing} walked={walked} entries={entries} choice={choice} plan={plan} />
    </Suspense>
  );
}

/** What today and the weeks ahead are worked out from. */
interface ViewProps extends RoundsProps {
  /** The planters in the order of the walk. */
  walked: readonly PlanterResource[];
}

/** Of more planters than these those that are fine are folded. */
const MANY = 24;

function RoundView({ planters, walked, entries, choice, plan }: ViewProps) {
  const plans = useSeasonPlans(planters.map(({ id }) => id));
  const { value, working, trouble } = useRound({ planters, plans, entries, choice });
  const round = value ?? {};
  const printing = usePrinting();
  return (
    <>
      <TodayHead planters={walked} lines={plan.lines} {...{ round, choice, working }}>
        <WeatherNotes planters={walked} round={round} />
        <Tank plan={plan} round={round} choice={choice} entries={entries} ready={!working} />
      </TodayHead>
      {trouble && <Text role="alert">{trouble}</Text>}
      <JoinedWater lines={plan.lines} planters={walked} round={round} />
      {printing ? (
        <PrintedRound planters={walked} round={round} />
      ) : (
        <Ledges planters={walked} round={round} draws={!working} />
      )}
      <Together planters={walked} round={round} />
      <Unexplained planters={walked} round={round} />
      <RoundDuties planters={walked} round={round} />
      <SowNowFold className="not-printed">
        <Suspense fallback={<Loading what="what can be sown" />}>
          <SowToday planters={walked} {...{ plans, entries, choice }} />
        </Suspense>
      </SowNowFold>
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

interface LedgesProps {
  planters: readonly PlanterResource[];
  round: Round;
  /** Whether drawings are made: not before all states are known, which they would hold up. */
  draws: boolean;
}

/** The planters in the order of the walk; those that are not planted yet apart, and of many those that are fine. */
function Ledges({ planters, round, draws }: LedgesProps) {
  const planted = planters.filter(({ id }) => round[id] !== null);
  const waiting = planters.filter(({ id }) => round[id] === null);
  const fine = ({ id }: PlanterResource) => ['soon', 'later'].includes(round[id]?.wants ?? '');
  const folds = planted.length > MANY;
  const open = folds ? planted.filter((one) => !fine(one)) : planted;
  // Most of many are fine in the end: no place is made for them before that is known.
  const shown = open.slice(0, useGradually(open.length, MANY, draws));
  const folded = folds ? planted.filter(fine) : [];
  return (
    <Suspense fallback={null}>
      {shown.length > 0 && <Courtyard planters={shown} {...{ round, draws }} label="The round" />}
      {folded.length > 0 && (
        <Folded name={`${folded.length} planters are fine`}>
          <Courtyard planters={folded} {...{ round, draws }} label="Planters that are fine" />
        </Folded>
      )}
      {waiting.length > 0 && (
        <Folded name={`Not planted yet: ${waiting.length}`}>
          <Text color="faint">When they are, open their logs and note: planted.</Text>
          <Courtyard planters={waiting} {...{ round, draws }} label="Not planted yet" />
        </Folded>
      )}
    </Suspense>
  );
}

/** What is drawn only once it is opened. */
function Folded({ name, children }: { name: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <details
      className="round-folded not-printed"
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary>{name}</summary>
      {open && children}
    </details>
  );
}

/** Readings that nothing usual explains, by planter. */
function Unexplained({ planters, round }: { planters: readonly PlanterResource[]; round: Round }) {
  const strange = planters.filter(({ id }) => (round[id]?.thirst.surprises.length ?? 0) > 0);
  if (strange.length === 0) return null;
  return (
    <Box as="section" aria-label="Something is not right" mb="5">
      <Text as="h2" fontSize="lg">
        Something is not right
      </Text>
      <ul className="unexplained">
        {strange.map(({ id, design }) => (
          <li key={id}>
            <Link to={`/planters/${id}/log`}>
              <b style={{ textDecoration: 'underline' }}>{design.name}</b>
            </Link>
            <UnexplainedReadings planter={id} surprises={round[id]?.thirst.surprises ?? []} />
          </li>
        ))}
      </ul>
    </Box>
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
              notify(`${place}: all ${ids.length} filled to overflow.`, {
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
