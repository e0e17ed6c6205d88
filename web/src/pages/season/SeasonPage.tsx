import { Box, Field, Input, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import {
  CROPS,
  dayAfter,
  daysBetween,
  evaluate,
  seasonLength,
  type WeatherChoice,
} from '@huerta/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { usePlanter } from '../../api/planters';
import { useWeather } from '../../api/weather';
import { TopBar } from '../../components/TopBar';
import { Trouble } from '../../components/Trouble';
import { useView, Views } from '../../components/Views';
import { Waiting } from '../../components/Waiting';
import { useSeason, type SeasonQuestion } from '../../workers/season';
import '../build/build.css';
import { AwayView } from './AwayView';
import './season.css';
import { SearchView } from './SearchView';
import { SeasonView } from './SeasonView';
import { siteOf } from './settings';
import { WeatherView } from './WeatherView';
import { WhatIfView } from './WhatIfView';

/** The season ahead of one planter. */
export default function SeasonPage() {
  const { id = '' } = useParams();
  const { data, error: noPlanter, refetch } = usePlanter(id);
  const weather = useWeather();
  const error = data ? weather.error : noPlanter;
  const ready = data && weather.data;
  return (
    <Box minH="full">
      <TopBar />
      <Box
        as="main"
        className="sheet"
        px={{ base: '4', md: '8' }}
        pt={{ base: '3', md: '6' }}
        pb="16"
      >
        {!ready && !error && <Waiting what="the planter" />}
        {error && !ready && (
          <Trouble
            title={data ? 'The weather cannot be fetched' : 'This planter cannot be opened'}
            detail={error.message}
            retry={() => {
              void refetch();
              void weather.refetch();
            }}
          />
        )}
        {data && weather.data && <Season resource={data} choice={weather.data} />}
      </Box>
    </Box>
  );
}

const VIEWS = {
  season: 'The season',
  away: 'Going away',
  'what-if': 'What if',
  search: 'Better designs',
  weather: 'Weather',
} as const;
type View = keyof typeof VIEWS;

/** Weathers that the bands and the absence come from. */
const SEEDS = 30;
/** Shortest and longest season that is looked at, days. */
const SHORTEST = 60;
const LONGEST = 240;
const LONGEST_AWAY = 60;
/** Grown enough for the question to matter. */
const USUAL_LEAVE = 75;
const USUAL_AWAY = 10;

const isDate = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text));

function Season({ resource, choice }: { resource: PlanterResource; choice: WeatherChoice }) {
  const { id, design } = resource;
  const view = useView(VIEWS);
  const site = useMemo(() => siteOf(choice), [choice]);
  const ownDays = choice.site === 'own-days' ? choice.days : null;
  const spring = `${new Date().getFullYear()}-${site.latitude < 0 ? '11' : '05'}-01`;
  const [typed, setTyped] = useState<string | null>(null);
  const planted = typed ?? ownDays?.days[0]?.date ?? spring;
  const [leave, setLeave] = useState(() => dayAfter(spring, USUAL_LEAVE));
  const [back, setBack] = useState(() => dayAfter(spring, USUAL_LEAVE + USUAL_AWAY));
  const [day, setDay] = useState(USUAL_LEAVE);
  const { planter } = useMemo(() => evaluate(design), [design]);
  const length = Math.min(Math.max(seasonLength(design.planting.crop), SHORTEST), LONGEST);
  const error = awayError(leave, back);
  const question = useMemo<SeasonQuestion | null>(() => {
    if (!isDate(planted)) return null;
    return {
      design,
      weather: ownDays ? { days: ownDays.days } : { site },
      planted,
      days: length,
      seeds: SEEDS,
      away: error === '' ? { from: leave, days: daysBetween(leave, back) } : null,
    };
  }, [design, ownDays, site, planted, length, leave, back, error]);
  const { season, outlook, toCome, away, whatIf, trouble } = useSeason(question);
  const seeds = ownDays ? 1 : SEEDS;
  const waiting = <Waiting what="the season" />;
  const pages: Record<View, ReactNode> = {
    season: season ? (
      <SeasonView
        name={design.name}
        planter={planter}
        season={season}
        outlook={ownDays ? null : outlook}
        toCome={toCome}
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
      />
    ),
    'what-if': season ? <WhatIfView base={season.totals} answers={whatIf} /> : waiting,
    search: (
      <SearchView
        design={design}
        weather={ownDays ? { days: ownDays.days } : { site }}
        planted={planted}
        leave={leave}
      />
    ),
    weather: <WeatherView choice={choice} />,
  };
  return (
    <>
      <title>{`Season of ${design.name} · Huerta`}</title>
      <Box className="sheet-top">
        <Text as="h1" fontSize={{ base: 'xl', md: '2xl' }}>
          The season: {design.name}
        </Text>
        <Link to={`/planters/${id}`} style={{ textDecoration: 'underline' }}>
          To the bench
        </Link>
      </Box>
      <Views label="Views of the season" views={VIEWS} view={view} />
      <Box className="season-head">
        <Field.Root invalid={!isDate(planted)} w="12rem">
          <Field.Label>{CROPS[design.planting.crop].name} planted on</Field.Label>
          <Input type="date" value={planted} onChange={(event) => setTyped(event.target.value)} />
          <Field.ErrorText>Choose a day.</Field.ErrorText>
        </Field.Root>
        <Text color="faint">
          Weather of {ownDays ? `‘${ownDays.name}’` : site.name}.{' '}
          <Link to="?view=weather" replace style={{ textDecoration: 'underline' }}>
            Another
          </Link>
        </Text>
      </Box>
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
