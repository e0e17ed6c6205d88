import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { siteOf, type WeatherChoice } from '@huerta/core/physics/climate';
import type { LogEntry } from '@huerta/core/journal';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useGardenDemand } from '../../compute/gardenYear';
import { useGardenDay } from '../../data/gardenDay';
import { useWholeLog } from '../../data/api/log';
import { usePlanters } from '../../data/api/planters';
import { useSeasonPlans } from '../../data/api/season';
import { useWeather } from '../../data/api/weather';
import { Fetched, Page } from '../../ui/Page';
import { PageHead } from '../../ui/PageHead';
import { useWords } from '../../ui/preferences';
import { writeDate, writeMonth } from '../../ui/dates';
import { LogYears } from '../../ui/LogYears';
import { DEMAND_STEP, demandDays } from '../../ui/year/demandDays';
import { useYearReading } from '../../ui/year/useYearReading';
import { YearHead } from '../../ui/year/YearHead';
import { GardenSowOffers } from '../../ui/year/GardenSowOffers';
import { SowNowFold } from '../../ui/year/SowNowFold';
import { PlanterYearRow } from './PlanterYearRow';
import { gardenYear, standing, thirstiest, yearRow, type YearRow } from './yearRows';
import './gardenYear.css';

/** The year of the whole garden: every planter a leaf under the same months. */
export default function YearPage() {
  const planters = usePlanters();
  const weather = useWeather();
  const log = useWholeLog();
  return (
    <Page title="The year">
      {/* Once it is there, its heading is what it says. */}
      {!(planters.data && weather.data && log.data) && <PageHead>The year</PageHead>}
      <Fetched
        what="the garden"
        title="The garden cannot be fetched"
        queries={[planters, weather, log]}
      >
        {(all, choice, entries) => <GardenYear planters={all} choice={choice} entries={entries} />}
      </Fetched>
    </Page>
  );
}

/** Planters that are shown at first, and more at a press. */
const AT_ONCE = 30;

interface GardenYearProps {
  planters: PlanterResource[];
  choice: WeatherChoice;
  entries: readonly LogEntry[];
}

function GardenYear({ planters, choice, entries }: GardenYearProps) {
  const [most, setMost] = useState(AT_ONCE);
  const [later, setLater] = useState(0);
  const site = useMemo(() => siteOf(choice), [choice]);
  const growing = useMemo(
    () => planters.filter(({ design }) => design.planting.crops.some(({ count }) => count > 0)),
    [planters],
  );
  const shown = useMemo(() => growing.slice(0, most), [growing, most]);
  const plans = useSeasonPlans(shown.map(({ id }) => id));
  const today = useGardenDay();
  const rows = useMemo(
    () =>
      shown.map((one) => {
        const own = entries.filter(({ planter }) => planter === one.id);
        return yearRow(one, plans[one.id], own, site, today);
      }),
    [shown, plans, entries, site, today],
  );
  if (growing.length === 0)
    return (
      <>
        <PageHead>The year</PageHead>
        <Text>Nothing grows yet. Add crops in the soil room of a planter’s bench.</Text>
      </>
    );
  return (
    <>
      <YearPicture {...{ rows, site, later, onLater: setLater }} whole={growing.length <= most} />
      {growing.length > most && (
        <Button mt="3" onClick={() => setMost(most + AT_ONCE)}>
          Show {Math.min(growing.length - most, AT_ONCE)} more
        </Button>
      )}
      <SowNowFold className="not-printed">
        <GardenSowOffers {...{ rows, site }} />
      </SowNowFold>
      <LogYears planter={null} name="Garden" latitude={site.latitude} planters={shown} />
    </>
  );
}

interface YearPictureProps {
  rows: readonly YearRow[];
  site: ReturnType<typeof siteOf>;
  /** Years after this one. */
  later: number;
  onLater(later: number): void;
  /** Whether these are all planters of the garden. */
  whole: boolean;
}

function YearPicture({ rows, site, later, onLater, whole }: YearPictureProps) {
  const { write } = useWords();
  const today = useGardenDay();
  const strip = useMemo(
    () => gardenYear(site.latitude, today, later),
    [site.latitude, today, later],
  );
  const asked = useMemo(
    () => rows.map(({ planter: { id, design }, planted }) => ({ id, design, planted })),
    [rows],
  );
  const demand = useGardenDemand(asked, site, demandDays(strip));
  const all = useMemo(
    () => demand && summed(standing(rows).map(({ planter }) => demand[planter.id] ?? [])),
    [demand, rows],
  );
  const { day, onDay, reading } = useYearReading(strip, site, all);
  const peak = all && thirstiest(strip, DEMAND_STEP, all);
  const mostOfOne = Math.max(...Object.values(demand ?? {}).flat(), Number.MIN_VALUE);
  const frostFree = rows.find(({ year }) => year.frostFree)?.year.frostFree ?? null;
  return (
    <>
      <Flex gap="2" align="start" wrap="wrap" justify="space-between" mb="2">
        <PageHead>
          {!whole || !all
            ? 'The year'
            : peak
              ? `${writeMonth(peak.month, 'monthLong')} is the thirstiest month: ${write(roughly(peak.daily), 'volume')} a day`
              : `Nothing grows in ${strip.name}`}
        </PageHead>
        <Flex className="not-printed" align="center" gap="1">
          <Button aria-label="The year before" onClick={() => onLater(later - 1)}>
            <ChevronLeft size={18} aria-hidden />
          </Button>
          <Text minW="4.5rem" textAlign="center" fontWeight="bold">
            {strip.name}
          </Text>
          <Button aria-label="The year after" onClick={() => onLater(later + 1)}>
            <ChevronRight size={18} aria-hidden />
          </Button>
        </Flex>
      </Flex>
      <Text>
        {frostFree
          ? `Frost is rare from ${writeDate(frostFree.from, 'long')} to ${writeDate(frostFree.to, 'long')}: the hatched time is when it comes.`
          : 'It hardly ever freezes here.'}
      </Text>
      <div className="garden-year in-colour">
        <div className="garden-year-top">
          <p className="garden-year-key">
            Each planter is a leaf: as long as it grows, as thick as it drinks.
            <span>
              <i className="leaf-sow" /> sow or plant
            </span>
            <span>
              <i className="leaf-picks" /> pick
            </span>
          </p>
          <div>
            <p className="year-reading">{reading}</p>
            <YearHead {...{ strip, site, demand: all, day, onDay, reading }} />
          </div>
        </div>
        {rows.map((row) => (
          <PlanterYearRow
            key={row.planter.id}
            {...{ row, strip, frostFree, today, day }}
            demand={demand?.[row.planter.id] ?? null}
            most={mostOfOne}
          />
        ))}
      </div>
      <Box mb="6" />
    </>
  );
}

/** To two figures: what many plants drink is not known better. */
const roughly = (volume: number): number => Number(volume.toPrecision(2));

/** Sums day by day. */
const summed = (all: readonly (readonly number[])[]): number[] =>
  (all[0] ?? []).map((_, i) => all.reduce((sum, one) => sum + (one[i] ?? 0), 0));
