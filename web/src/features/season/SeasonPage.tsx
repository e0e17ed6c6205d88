import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { applyPatch } from '@huerta/core/document';
import { dayAfter, daysBetween, type WeatherChoice, siteOf } from '@huerta/core/physics/climate';
import { evaluate } from '@huerta/core/assessment';
import { plantedInLog, type LogEntry } from '@huerta/core/journal';
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
import { Loading } from '../../ui/Loading';
import { useAway, useOutlook, useSeason, useWhatIf, warmSeason } from '../../compute/season';
import '../../ui/sheet.css';
import { AwayView } from './AwayView';
import { isDate } from './dates';
import { PlanFields, planLine } from './PlanFields';
import './season.css';
import { SearchView } from './SearchView';
import { SeasonView } from './SeasonView';
import { WeatherView } from './WeatherView';
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
          <Season resource={resource} choice={choice} plan={planned} entries={entries} />
        )}
      </Fetched>
    </Page>
  );
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
  choice: WeatherChoice;
  plan: SeasonPlan;
  entries: readonly LogEntry[];
}

function Season({ resource, choice, plan, entries }: SeasonProps) {
  const { id, design } = resource;
  const view = useView(VIEWS);
  const { say } = useWords();
  const site = useMemo(() => siteOf(choice), [choice]);
  const ownDays = choice.site === 'own-days' ? choice.days : null;
  const length = seasonDays(design.planting);
  const today = useGardenDay();
  const logged = plantedInLog(entries);
  const planned = logged ?? plan.planted ?? ownDays?.days[0]?.date ?? null;
  const planted = plantedOn(planned, design.planting, today, site.latitude);
  const [leave, setLeave] = useState(() => dayAfter(planted, USUAL_LEAVE));
  const [back, setBack] = useState(() => dayAfter(planted, USUAL_LEAVE + USUAL_AWAY));
  const [day, setDay] = useState(USUAL_LEAVE);
  const save = useSaveSeasonPlan(id);
  const create = useCreatePlanter();
  const navigate = useNavigate();
  const client = useQueryClient();
  const changePlanter = useChangePlanter();
  const { planter } = useMemo(() => evaluate(design), [design]);
  const { filling, waterings } = plan;
  const error = awayError(leave, back);
  const question = useMemo<SeasonQuestion>(
    () => ({
      design,
      weather: ownDays ? { days: ownDays.days } : { site },
      planted,
      filling,
      waterings,
      days: length,
      seeds: SEEDS,
    }),
    [design, ownDays, site, planted, filling, waterings, length],
  );
  const awayQuestion = useMemo(
    () => (error === '' ? { ...question, from: leave, away: daysBetween(leave, back) } : null),
    [question, error, leave, back],
  );
  // Only what is looked at is worked out.
  const {
    value: season,
    current: known,
    working: atSeason,
    trouble: noSeason,
  } = useSeason(view === 'season' || view === 'what-if' ? question : null);
  const {
    value: outlook,
    current,
    trouble: noOutlook,
  } = useOutlook(view === 'season' && known && !atSeason ? question : null);
  const { value: away, trouble: noAway } = useAway(view === 'away' ? awayQuestion : null);
  const { value: whatIf, trouble: noWhatIf } = useWhatIf(view === 'what-if' ? question : null);
  const trouble = {
    season: noSeason ?? noOutlook,
    year: null,
    away: noAway,
    'what-if': noSeason ?? noWhatIf,
    search: null,
    weather: null,
  }[view];
  const seeds = ownDays ? 1 : SEEDS;
  const waiting = <Loading what="the season" />;
  const pages: Record<View, ReactNode> = {
    season: season ? (
      <SeasonView
        name={design.name}
        planter={planter}
        season={season}
        outlook={ownDays ? null : outlook}
        toCome={ownDays ? 0 : SEEDS - (current ? (outlook?.seeds ?? 0) : 0)}
        day={day}
        onDay={setDay}
      />
    ) : (
      waiting
    ),
    away: (
      <AwayView
        leave={leave}
        back={back}
        error={error}
        answer={away}
        seeds={seeds}
        onLeave={setLeave}
        onBack={setBack}
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
      <WhatIfView name={design.name} question={question} season={season} answers={whatIf} />
    ) : (
      waiting
    ),
    search: (
      <SearchView
        design={design}
        weather={ownDays ? { days: ownDays.days } : { site }}
        planted={planted}
        leave={leave}
      />
    ),
    year: (
      <YearView
        design={design}
        planted={planted}
        site={site}
        onChange={(patch) => {
          void showPlanter(client, { ...resource, design: applyPatch(design, patch) });
          changePlanter.mutate(
            { id, change: (now) => applyPatch(now, patch) },
            { onError: (failed) => notify(failed.message) },
          );
        }}
      />
    ),
    weather: <WeatherView choice={choice} />,
  };
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
              plan={plan}
              planted={planted}
              logged={logged !== null}
              day={dayAfter(planted, Math.min(day, length - 1))}
              onChange={save}
            />
            <Link to="?view=weather" className="season-weather">
              Another weather
            </Link>
          </Box>
        </details>
      )}
      {trouble && (
        <Text role="alert" className="unsent">
          {trouble}
        </Text>
      )}
      {pages[view]}
    </>
  );
}

/** What is wrong with two dates, in a sentence; empty when nothing is. */
function awayError(leave: string, back: string): string {
  if (!isDate(leave) || !isDate(back)) return 'Choose both days.';
  const days = daysBetween(leave, back);
  if (days < 1) return 'You are back before you leave: choose a later day to be back.';
  if (days > LONGEST_AWAY) return `Huerta looks at absences of up to ${LONGEST_AWAY} days.`;
  return '';
}
