import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { applyPatch } from '@huerta/core/document';
import { dayAfter, daysBetween, type WeatherChoice, siteOf } from '@huerta/core/physics/climate';
import { evaluate } from '@huerta/core/assessment';
import { plantedInLog, type JoinedTo, type LogEntry } from '@huerta/core/journal';
import {
  plantedOn,
  seasonDays,
  type SeasonPlan,
  type SeasonQuestion,
} from '@huerta/core/simulation/season';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useGardenDay } from '../../data/gardenDay';
import {
  showPlanter,
  useChangePlanter,
  useCreatePlanter,
  usePlanter,
} from '../../data/api/planters';
import { useLog } from '../../data/api/log';
import { useSaveSeasonPlan, useSeasonPlan } from '../../data/api/season';
import { useWeather } from '../../data/api/weather';
import { useWords } from '../../ui/preferences';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { useView, Views } from '../../ui/Views';
import { OwnWeather } from '../../ui/weather/OwnWeather';
import { SiteField } from '../../ui/weather/SiteField';
import { Loading } from '../../ui/Loading';
import type { JoinedSeason } from '../../compute/tasks';
import { useJoined } from '../../compute/waterLines';
import { useAway, useOutlook, useSeason, useWhatIf, warmSeason } from '../../compute/season';
import '../../ui/sheet.css';
import { AwayView } from './AwayView';
import { isDate } from './dates';
import { PlanFields, planLine } from './PlanFields';
import './season.css';
import { SearchView } from './SearchView';
import { SeasonView } from './SeasonView';
import { WhatIfView } from './WhatIfView';
import { YearView } from './YearView';

/** The season ahead of one planter. */
export default function SeasonPage() {
  const { id = '' } = useParams();
  const planter = usePlanter(id);
  const weather = useWeather();
  const plan = useSeasonPlan(id);
  const log = useLogOrNone(id);
  useEffect(warmSeason, []);
  return (
    <Page className="sheet">
      <Fetched
        what="the planter"
        title="The season of this planter cannot be fetched"
        queries={[planter, weather, plan, log]}
      >
        {(resource, choice, planned, entries) => (
          <JoinedPlanterSeason
            resource={resource}
            choice={choice}
            plan={planned}
            entries={entries}
          />
        )}
      </Fetched>
    </Page>
  );
}

/** Its season, once it is known whether other planters share its water. */
function JoinedPlanterSeason(props: Omit<SeasonProps, 'joined'>) {
  const { resource } = props;
  const joinedTo = useJoined(useMemo(() => [resource], [resource]));
  if (!joinedTo) return <Loading what="the planter" />;
  return <Season {...props} joined={joinedTo(resource.id)} />;
}

/** The log, which knows the day of planting; where it cannot be had, the season goes by its plan. */
function useLogOrNone(id: string) {
  const { data, error, refetch } = useLog(id);
  return { data: data ?? (error ? NO_ENTRIES : undefined), error, refetch };
}

const VIEWS = {
  season: 'The season',
  year: 'The year',
  away: 'Going away',
  'what-if': 'What if',
  search: 'Better designs',
  weather: 'Weather',
} as const;
type View = keyof typeof VIEWS;

/** Weathers that the bands and the absence come from. */
const SEEDS = 30;
const LONGEST_AWAY = 60;
const NO_ENTRIES: readonly LogEntry[] = [];
/** Grown enough for the question to matter. */
const USUAL_LEAVE = 75;
const USUAL_AWAY = 10;

interface SeasonProps {
  resource: PlanterResource;
  /** The line that it is joined to. */
  joined: JoinedTo | null;
  choice: WeatherChoice;
  plan: SeasonPlan;
  entries: readonly LogEntry[];
}

/** What a planter's season is asked with: when it was planted, its weather, and how it is filled. */
function useAsked({ resource, joined, choice, plan, entries }: SeasonProps) {
  const { design } = resource;
  const site = useMemo(() => siteOf(choice), [choice]);
  const ownDays = choice.site === 'own-days' ? choice.days : null;
  const length = seasonDays(design.planting);
  const today = useGardenDay();
  const logged = plantedInLog(entries);
  const planned = logged ?? plan.planted ?? ownDays?.days[0]?.date ?? null;
  const planted = plantedOn(planned, design.planting, today, site.latitude);
  const { filling, waterings } = plan;
  const question = useMemo<JoinedSeason>(
    () => ({
      design,
      joined,
      weather: ownDays ? { days: ownDays.days } : { site },
      planted,
      filling,
      waterings,
      days: length,
      seeds: SEEDS,
    }),
    [design, joined, ownDays, site, planted, filling, waterings, length],
  );
  return { site, ownDays, length, logged: logged !== null, planted, question };
}

/** Two days between which nobody is there, and what is wrong with them. */
function useLeave(planted: string, question: SeasonQuestion) {
  const [leave, onLeave] = useState(() => dayAfter(planted, USUAL_LEAVE));
  const [back, onBack] = useState(() => dayAfter(planted, USUAL_LEAVE + USUAL_AWAY));
  const error = awayError(leave, back);
  const asked = useMemo(
    () => (error === '' ? { ...question, from: leave, away: daysBetween(leave, back) } : null),
    [question, error, leave, back],
  );
  return { leave, back, onLeave, onBack, error, asked };
}

/** The answers to what a view shows: only what is looked at is worked out. */
function useAnswers(
  view: View,
  question: SeasonQuestion,
  awayQuestion: ReturnType<typeof useLeave>['asked'],
) {
  const season = useSeason(view === 'season' || view === 'what-if' ? question : null);
  const settled = season.current && !season.working;
  const outlook = useOutlook(view === 'season' && settled ? question : null);
  const away = useAway(view === 'away' ? awayQuestion : null);
  const whatIf = useWhatIf(view === 'what-if' ? question : null);
  const trouble = {
    season: season.trouble ?? outlook.trouble,
    year: null,
    away: away.trouble,
    'what-if': season.trouble ?? whatIf.trouble,
    search: null,
    weather: null,
  }[view];
  return { season, outlook, away, whatIf, trouble };
}

function Season(props: SeasonProps) {
  const { resource, choice, plan } = props;
  const { id, design } = resource;
  const view = useView(VIEWS);
  const { say } = useWords();
  const asked = useAsked(props);
  const { site, ownDays, length, logged, planted, question } = asked;
  const absence = useLeave(planted, question);
  const [day, setDay] = useState(USUAL_LEAVE);
  const save = useSaveSeasonPlan(id);
  const answers = useAnswers(view, question, absence.asked);
  return (
    <>
      <title>{`Season of ${design.name} · Huerta`}</title>
      <Box className="sheet-top">
        <Text as="h1" fontSize={{ base: 'xl', md: '2xl' }} minW="0" overflowWrap="anywhere">
          The season: {design.name}
        </Text>
      </Box>
      <Views label="Views of the season" views={VIEWS} view={view} />
      {view !== 'weather' && (
        <details className="season-plan">
          <summary>
            {planLine(plan, planted, say)}, weather of {ownDays ? `‘${ownDays.name}’` : site.name}.{' '}
            <u className="not-printed">Change</u>
          </summary>
          <Box className="season-head">
            <PlanFields
              planting={design.planting}
              dayOnly={view === 'year'}
              {...{ plan, planted, logged }}
              day={dayAfter(planted, Math.min(day, length - 1))}
              onChange={save}
            />
            <Link to="?view=weather" className="season-weather">
              Another weather
            </Link>
          </Box>
        </details>
      )}
      {answers.trouble && (
        <Text role="alert" className="unsent">
          {answers.trouble}
        </Text>
      )}
      {view === 'weather' ? (
        <Box className="weather">
          <Text mb="2">
            One weather for the whole garden: Today, the year and every planter count with it.
          </Text>
          <SiteField label="Weather of" choice={choice} />
          <OwnWeather choice={choice} />
        </Box>
      ) : (
        <Answered {...{ resource, plan, view, asked, absence, answers, day }} onDay={setDay} />
      )}
    </>
  );
}

interface AnsweredProps {
  resource: PlanterResource;
  plan: SeasonPlan;
  view: Exclude<View, 'weather'>;
  asked: ReturnType<typeof useAsked>;
  absence: ReturnType<typeof useLeave>;
  answers: ReturnType<typeof useAnswers>;
  /** Day of the season that is looked at. */
  day: number;
  onDay(day: number): void;
}

/** The view that is looked at, with its answers. */
function Answered(props: AnsweredProps) {
  const { resource, plan, view, asked, absence, answers, day, onDay } = props;
  const { id, design } = resource;
  const { site, ownDays, planted, question } = asked;
  const { leave, back, error, onLeave, onBack } = absence;
  const season = answers.season.value;
  const outlook = answers.outlook.value;
  const { waterings } = plan;
  const save = useSaveSeasonPlan(id);
  const create = useCreatePlanter();
  const navigate = useNavigate();
  const client = useQueryClient();
  const changePlanter = useChangePlanter();
  const { planter } = useMemo(() => evaluate(design), [design]);
  const waiting = <Loading what="the season" />;
  const ofAll = answers.outlook.current ? (outlook?.seeds ?? 0) : 0;
  const pages: Record<AnsweredProps['view'], ReactNode> = {
    season: season ? (
      <SeasonView
        name={design.name}
        {...{ planter, planted, season, day, onDay }}
        outlook={ownDays ? null : outlook}
        toCome={ownDays ? 0 : SEEDS - ofAll}
      />
    ) : (
      waiting
    ),
    away: (
      <AwayView
        {...{ leave, back, error, onLeave, onBack }}
        answer={answers.away.value}
        seeds={ownDays ? 1 : SEEDS}
        watered={waterings.some(({ date }) => date > leave && date < back)}
        onPlan={(more) => save({ ...plan, waterings: [...waterings, ...more] })}
        onVariant={(patch, label) =>
          create.mutate(
            { ...applyPatch(design, patch), variant: label.slice(0, 60) },
            {
              onSuccess: (made) => void navigate(`/planters/${made.id}`),
              onError: (failed) => notify(failed.message),
            },
          )
        }
      />
    ),
    'what-if': season ? (
      <WhatIfView name={design.name} {...{ question, season }} answers={answers.whatIf.value} />
    ) : (
      waiting
    ),
    search: (
      <SearchView
        weather={ownDays ? { days: ownDays.days } : { site }}
        {...{ design, planted, leave }}
      />
    ),
    year: (
      <YearView
        {...{ design, planted, site }}
        onChange={(patch) => {
          void showPlanter(client, { ...resource, design: applyPatch(design, patch) });
          changePlanter.mutate(
            { id, change: (now) => applyPatch(now, patch) },
            { onError: (failed) => notify(failed.message) },
          );
        }}
      />
    ),
  };
  return pages[view];
}

/** What is wrong with two dates, in a sentence; empty when nothing is. */
function awayError(leave: string, back: string): string {
  if (!isDate(leave) || !isDate(back)) return 'Choose both days.';
  const days = daysBetween(leave, back);
  if (days < 1) return 'You are back before you leave: choose a later day to be back.';
  if (days > LONGEST_AWAY) return `Huerta looks at absences of up to ${LONGEST_AWAY} days.`;
  return '';
}
