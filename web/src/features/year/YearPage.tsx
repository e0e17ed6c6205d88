import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { dayAfter, daysBetween, siteOf, type WeatherChoice } from '@huerta/core/physics/climate';
import { plantedInLog, type LogEntry } from '@huerta/core/journal';
import { plantedOn, stripOf, yearOf, type SeasonPlan } from '@huerta/core/simulation/season';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useGardenDay } from '../../data/gardenDay';
import { useWholeLog } from '../../data/api/log';
import { usePlanters } from '../../data/api/planters';
import { useSeasonPlans } from '../../data/api/season';
import { useWeather } from '../../data/api/weather';
import { Fetched, Page } from '../../ui/Page';
import { PageHead } from '../../ui/PageHead';
import { writeDate } from '../../ui/dates';
import { LogYears } from '../../ui/LogYears';
import { YearStrip } from '../../ui/year/YearStrip';

/** The year of the whole garden: every planter's strip over the same months. */
export default function YearPage() {
  const planters = usePlanters();
  const weather = useWeather();
  const log = useWholeLog();
  return (
    <Page title="The year">
      <PageHead>The year</PageHead>
      <Fetched
        what="the garden"
        title="The garden cannot be fetched"
        queries={[planters, weather, log]}
      >
        {(all, choice, entries) => <Years planters={all} choice={choice} entries={entries} />}
      </Fetched>
    </Page>
  );
}

/** Planters that are shown at first, and more at a press. */
const AT_ONCE = 30;

interface YearsProps {
  planters: PlanterResource[];
  choice: WeatherChoice;
  entries: readonly LogEntry[];
}

function Years({ planters, choice, entries }: YearsProps) {
  const [most, setMost] = useState(AT_ONCE);
  const site = useMemo(() => siteOf(choice), [choice]);
  const growing = useMemo(
    () => planters.filter(({ design }) => design.planting.crops.some(({ count }) => count > 0)),
    [planters],
  );
  const shown = growing.slice(0, most);
  const plans = useSeasonPlans(shown.map(({ id }) => id));
  const today = useGardenDay();
  const years = useMemo(
    () =>
      shown.map((one) =>
        yearIn(
          one,
          plans[one.id],
          entries.filter(({ planter }) => planter === one.id),
          site,
          today,
        ),
      ),
    [shown, plans, entries, site, today],
  );
  const strip = useMemo(() => overAll(years), [years]);
  const frostFree = years.find((one) => one.year.frostFree)?.year.frostFree;
  if (growing.length === 0)
    return <Text>Nothing grows yet. Add crops in the soil room of a planter’s bench.</Text>;
  return (
    <>
      <Text maxW="44rem">
        {frostFree
          ? `Frost is rare from ${writeDate(frostFree.from, 'long')} to ${writeDate(frostFree.to, 'long')}: the hatched time is when it comes.`
          : 'It hardly ever freezes here.'}{' '}
        <span className="not-printed">Press a planter to move what grows in it.</span>
      </Text>
      <div className="year-scroll">
        {years.map(({ planter, year }) => (
          <Box
            role="group"
            className="in-colour"
            key={planter.id}
            mb="5"
            aria-label={[planter.design.name, planter.design.variant].filter(Boolean).join(', ')}
          >
            <Text as="h2" fontSize="lg" overflowWrap="anywhere">
              <Link to={`/planters/${planter.id}/season?view=year`}>
                <span style={{ textDecoration: 'underline' }}>{planter.design.name}</span>
                {planter.design.variant ? `, ${planter.design.variant}` : ''}
              </Link>
            </Text>
            <YearStrip strip={strip} frostFree={year.frostFree} bars={year.bars} />
          </Box>
        ))}
      </div>
      {growing.length > most && (
        <Button onClick={() => setMost(most + AT_ONCE)}>
          Show {Math.min(growing.length - most, AT_ONCE)} more
        </Button>
      )}
      <LogYears planter={null} name="Garden" latitude={site.latitude} planters={shown} />
    </>
  );
}

function yearIn(
  planter: PlanterResource,
  plan: SeasonPlan | undefined,
  entries: readonly LogEntry[],
  site: ReturnType<typeof siteOf>,
  today: string,
) {
  const { planting } = planter.design;
  const planned = plantedInLog(entries) ?? plan?.planted ?? null;
  const planted = plantedOn(planned, planting, today, site.latitude);
  return { planter, planted, year: yearOf(planter.design, planted, site) };
}

/** Months that hold all of them. */
function overAll(years: readonly ReturnType<typeof yearIn>[]): { from: string; days: number } {
  const strips = years.map(({ year, planted }) => stripOf(year, planted));
  const from = strips.reduce((least, one) => (one.from < least ? one.from : least), '9999');
  const to = strips.reduce((most, one) => {
    const end = dayAfter(one.from, one.days);
    return end > most ? end : most;
  }, '0000');
  return { from, days: strips.length > 0 ? daysBetween(from, to) : 366 };
}
