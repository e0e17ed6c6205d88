import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import { ROUND, type PlanterResource } from '@huerta/contract';
import {
  absenceSchema,
  inOrder,
  type GardenAbsence,
  type GardenAwayAnswer,
  type LogEntry,
  type RainTank,
  type RoundPlan,
} from '@huerta/core/journal';
import { dayAfter, daysBetween, type WeatherChoice } from '@huerta/core/physics/climate';
import { capital, spelled } from '@huerta/core/units';
import { FileText } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useGardenDay } from '../../data/gardenDay';
import { keepPaper } from '../../data/api/paper';
import { useWholeLog } from '../../data/api/log';
import { usePlanters } from '../../data/api/planters';
import { useChangeRound, useRoundPlan } from '../../data/api/round';
import { useSeasonPlans } from '../../data/api/season';
import { useWeather } from '../../data/api/weather';
import { usePreferences, useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { shortAfter } from '../../ui/shortAfter';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { PageHead } from '../../ui/PageHead';
import { useGardenAway, useRound, type RoundAsked } from '../../compute/round';
import type { AwayTold } from '../../compute/tasks';
import { useTankOutlook } from '../../compute/tank';
import { AwayChart } from './AwayChart';
import './away.css';

/** The whole garden while nobody is at home: what lasts, what does not, and when somebody has to come. */
export default function AwayPage() {
  const planters = usePlanters();
  const log = useWholeLog();
  const weather = useWeather();
  const plan = useRoundPlan();
  return (
    <Page title="Going away" className="for-paper">
      <PageHead>Going away</PageHead>
      <Fetched
        what="the garden"
        title="The garden cannot be fetched"
        queries={[planters, log, weather, plan]}
      >
        {(all, entries, choice, round) => (
          <Away planters={all} entries={entries} choice={choice} plan={round} />
        )}
      </Fetched>
    </Page>
  );
}

/** What is proposed first: leaving in three days, for two weeks. */
const usual = (today: string): GardenAbsence => ({
  from: dayAfter(today, 3),
  until: dayAfter(today, 17),
});

interface AwayProps {
  planters: readonly PlanterResource[];
  entries: readonly LogEntry[];
  choice: WeatherChoice;
  plan: RoundPlan;
}

function Away({ planters, entries, choice, plan }: AwayProps) {
  const today = useGardenDay();
  const change = useChangeRound();
  const past = plan.away && plan.away.until <= today;
  const kept = plan.away && !past ? plan.away : usual(today);
  const [draft, setDraft] = useState<GardenAbsence | null>(null);
  const shown = draft ?? kept;
  const error = errorOf(shown, today);
  const growing = useMemo(
    () =>
      inOrder(
        planters.filter(({ design }) => design.planting.crops.some(({ count }) => count > 0)),
        plan.order,
      ),
    [planters, plan.order],
  );
  const plans = useSeasonPlans(growing.map(({ id }) => id));
  const { value, current, trouble } = useGardenAway(
    { planters: growing, plans, entries, choice },
    error === '' ? shown : null,
  );
  const set = (part: Partial<GardenAbsence>) => {
    const next = { ...shown, ...part };
    const wrong = errorOf(next, today) !== '';
    setDraft(wrong ? next : null);
    if (!wrong) change({ away: next });
  };
  // What was answered last stays while other days are worked out, with the days that it is of.
  const [answered, setAnswered] = useState<{ told: AwayTold; absence: GardenAbsence } | null>(null);
  if (current && value && answered?.told !== value) setAnswered({ told: value, absence: shown });
  const told = error === '' && !trouble ? (answered?.told ?? null) : null;
  return (
    <>
      <Box className="absence-dates not-printed">
        <Field.Root invalid={error !== ''}>
          <Field.Label>You leave on</Field.Label>
          <Input
            type="date"
            value={shown.from}
            onChange={({ target }) => set({ from: target.value })}
          />
          <Field.ErrorText>{error}</Field.ErrorText>
        </Field.Root>
        <Field.Root>
          <Field.Label>and are back on</Field.Label>
          <Input
            type="date"
            value={shown.until}
            onChange={({ target }) => set({ until: target.value })}
          />
        </Field.Root>
      </Box>
      {trouble && <Text role="alert">{trouble}</Text>}
      {error === '' && !current && !trouble && (
        <Text role="status" mt="4">
          Working out how each planter fares…
        </Text>
      )}
      {told && told.answer.alone.length === 0 && (
        <Text mt="4">Nothing is planted yet, so nothing can go short.</Text>
      )}
      {told && answered && told.answer.alone.length > 0 && (
        <Box aria-busy={!current} opacity={current ? 1 : 0.6}>
          <Answer told={told} absence={answered.absence} planters={growing} onMove={set}>
            {plan.tank && (
              <FromTank
                tank={plan.tank}
                wants={told.answer.water}
                asked={{ planters: growing, plans, entries, choice }}
              />
            )}
          </Answer>
        </Box>
      )}
    </>
  );
}

function errorOf(absence: GardenAbsence, today: string): string {
  const read = absenceSchema.safeParse(absence);
  if (!read.success) return read.error.issues[0]?.message ?? 'Choose two days.';
  return absence.from < today ? 'That day is over. Choose today or a later one.' : '';
}

interface FromTankProps {
  tank: RainTank;
  wants: GardenAwayAnswer['water'];
  asked: RoundAsked;
}

/** Whether the rain tank gives what leaving and visits take. */
function FromTank({ tank, wants, asked }: FromTankProps) {
  const { write } = useWords();
  const { value, working } = useRound(asked);
  const { choice, entries } = asked;
  const { water } = useTankOutlook(tank, { round: value ?? {}, choice, entries });
  if (working) return null;
  const asks = wants.leaving + wants.visits;
  return (
    <Text mt="2">
      The rain tank has about {write(water, 'volume')} today; leaving and visits take about{' '}
      {write(asks, 'volume')}
      {water >= asks ? ', so it is enough without rain.' : '. See that there is water besides.'}
    </Text>
  );
}

interface AnswerProps {
  children?: ReactNode;
  told: AwayTold;
  absence: GardenAbsence;
  planters: readonly PlanterResource[];
  onMove(absence: GardenAbsence): void;
}

function Answer(props: AnswerProps) {
  const { told, absence, planters, onMove, children } = props;
  const { answer, changes } = told;
  const { write } = useWords();
  const names = new Map(planters.map(({ id, design }) => [id, design.name]));
  return (
    <Box mt="4">
      <Text fontSize="2xl" fontFamily="heading" fontWeight="bold" lineHeight="1.15">
        {headOf(answer)}
      </Text>
      <Text role="status" mt="1" maxW="44rem">
        {leadOf(answer)}
      </Text>
      <AwayChart {...{ answer, absence, planters, onMove }} />
      <Text mt="3" maxW="44rem">
        This holds if all are full when you leave on {writeDate(absence.from, 'long')}: fill them
        that morning. A planter lasts if its plants do not go short in nine cases of ten, whatever
        the weather and however thirsty it turns out to be.
      </Text>
      {children}
      <Visits answer={answer} absence={absence} planters={planters} names={names} />
      <Text as="h2" fontSize="lg" mt="6">
        Each by itself
      </Text>
      <ul className="away-list" aria-label="Each by itself">
        {planters.flatMap(({ id }) => {
          const one = answer.alone.find((alone) => alone.id === id);
          if (!one) return [];
          const enough = one.safe >= answer.days;
          return [
            <li key={id} className={enough ? 'is-enough' : undefined}>
              <b>{names.get(id)}</b>
              <span>
                {enough
                  ? 'Plants do not go short until you are back.'
                  : `Plants may go short ${shortAfter(one.safe, write)}, likely ${shortAfter(one.likely, write)} of ${write(answer.days, 'days')}.`}
              </span>
              {!enough && <Change id={id} change={changes[id]} days={answer.days} />}
            </li>,
          ];
        })}
      </ul>
    </Box>
  );
}

/** What it comes to, in a few words. */
function headOf({ alone, visits, days, beyond }: GardenAwayAnswer): string {
  if (alone.every(({ safe }) => safe >= days)) return 'No one needs to come.';
  if (visits.length === 0)
    return `${capital(spelled(beyond.length))} ${beyond.length === 1 ? 'goes' : 'go'} short.`;
  const times =
    visits.length < 3
      ? (['', 'once', 'twice'] as const)[visits.length]
      : `${spelled(visits.length)} times`;
  return `Someone has to come ${times}.`;
}

/** The answer in one sentence. */
function leadOf({ alone, visits, beyond, days }: GardenAwayAnswer): string {
  const lasting = alone.filter(({ safe }) => safe >= days).length;
  if (lasting === alone.length)
    return alone.length === 1
      ? 'It will last. No one needs to water.'
      : `All ${spelled(alone.length)} will last. No one needs to water.`;
  const times =
    visits.length === 0
      ? 'no visits keep the others alive'
      : visits.length === 1
        ? 'one visit keeps the others alive'
        : `${spelled(visits.length)} visits keep the others alive`;
  const but = beyond.length > 0 && visits.length > 0 ? `, but for ${spelled(beyond.length)}` : '';
  return `${capital(spelled(lasting))} of ${spelled(alone.length)} last; ${times}${but}.`;
}

function Change({
  id,
  change,
  days,
}: {
  id: string;
  change: AwayTold['changes'][string] | undefined;
  days: number;
}) {
  const { write, tell } = useWords();
  if (change === undefined) return <span className="away-change">Looking for a change…</span>;
  if (change === null)
    return <span className="away-change">No single change makes it last longer.</span>;
  return (
    <span className="away-change">
      <Link to={`/planters/${id}`} style={{ textDecoration: 'underline' }}>
        {tell(change.label)}
      </Link>
      : plants go short {shortAfter(change.safe, write)} at the earliest
      {change.safe >= days ? ', which is enough' : ''}.
    </span>
  );
}

interface VisitsProps {
  answer: GardenAwayAnswer;
  absence: GardenAbsence;
  planters: readonly PlanterResource[];
  names: ReadonlyMap<string, string>;
}

/** When somebody comes, what each takes then, and the sheet for them. */
function Visits({ answer, absence, planters, names }: VisitsProps) {
  const { writeTogether } = useWords();
  const { units, paper, decimal } = usePreferences();
  const { visits, beyond } = answer;
  const write = writeTogether(
    visits.flatMap(({ fills }) =>
      fills.map(({ volume }) => ({ value: volume, kind: 'volume' as const })),
    ),
  );
  const [drawing, setDrawing] = useState(false);
  const draw = () => {
    setDrawing(true);
    const order = planters
      .map(({ id }) => id)
      .filter((id) => answer.alone.some((one) => one.id === id));
    void keepPaper('Watering while we are away.pdf', ROUND.neighbour, {
      ...absence,
      order,
      visits,
      beyond,
      units,
      paper,
      decimal,
    })
      .catch((error: Error) => notify(error.message))
      .finally(() => setDrawing(false));
  };
  return (
    <Box as="section" mt="5" aria-label="Visits">
      {visits.length > 0 && (
        <>
          <Text as="h2" fontSize="lg">
            When somebody comes
          </Text>
          <ol className="visits">
            {visits.map(({ date, fills }) => (
              <li key={date}>
                <b>{writeDate(date, 'long')}</b>
                <span>
                  {fills
                    .map(({ id, volume }) => `${names.get(id)} ${write(volume, 'volume')}`)
                    .join(', ')}
                </span>
                <span className="visit-sum">
                  {write(
                    fills.reduce((sum, { volume }) => sum + volume, 0),
                    'volume',
                  )}
                </span>
              </li>
            ))}
          </ol>
          <Text mt="2">{write(answer.water.visits, 'volume')} in all.</Text>
        </>
      )}
      {beyond.length > 0 && (
        <Text mt="2" className="surprise" maxW="44rem">
          Visits every few days do not keep these alive:{' '}
          {beyond.map((id) => names.get(id)).join(', ')}. They go short within a day or two. Change
          them, or lend them out.
        </Text>
      )}
      <Button className="not-printed" mt="3" variant="solid" loading={drawing} onClick={draw}>
        <FileText size={18} aria-hidden /> A sheet for the neighbour
      </Button>
      <Text className="not-printed" fontSize="sm" color="faint" mt="1">
        {daysBetween(absence.from, absence.until)} days, in the order of your walk, with a picture
        of each and a box to tick.
      </Text>
    </Box>
  );
}
