import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { logYears, sameTime, type LogEntry, type LogYear } from '@huerta/core/journal';
import { daysBetween } from '@huerta/core/physics/climate';
import { useQuery } from '@tanstack/react-query';
import { ChevronDown, ChevronUp, Download } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { wholeLog } from '../data/api/log';
import { usePriceBook } from '../data/api/prices';
import { useGardenDay } from '../data/gardenDay';
import { writeDate } from './dates';
import { useWords } from './preferences';
import { saveCsv } from './saveCsv';
import { Table } from './Table';
import './logYears.css';

const LogMonths = lazy(() => import('./LogMonths'));

const TITLE = 'This year and the years before';
/** Years that stand side by side at the most. */
const MOST_YEARS = 3;
const DAYS_A_YEAR = 366;

interface LogYearsProps {
  /** Of one planter, or null for the garden. */
  planter: string | null;
  /** What the file is called. */
  name: string;
  /** Degrees, which say when a year of growing begins. */
  latitude: number;
  /** For the garden: what each planter gave. */
  planters?: readonly Pick<PlanterResource, 'id' | 'design'>[];
}

/** What the log says of this year and those before. It is read when it is opened: for that it is wanted whole. */
export function LogYears(props: LogYearsProps) {
  const [open, setOpen] = useState(false);
  const log = useQuery({
    queryKey: ['log', 'years', props.planter],
    queryFn: () => wholeLog(props.planter),
    enabled: open,
    networkMode: 'always',
  });
  return (
    <Box as="section" className="log-years" aria-label={TITLE}>
      <Button aria-expanded={open} onClick={() => setOpen(!open)}>
        {TITLE}
        {open ? <ChevronUp size={18} aria-hidden /> : <ChevronDown size={18} aria-hidden />}
      </Button>
      {log.isError && <Text role="alert">{log.error.message}</Text>}
      {open && log.isPending && <Text role="status">Reading the whole log…</Text>}
      {open && log.data && <Compared {...props} entries={log.data} />}
    </Box>
  );
}

/** A column of the comparison. */
interface Column {
  head: string;
  year: LogYear;
}

/** The years of a log as columns, with the same part of the last one where the latest is under way. */
function columnsOf(entries: readonly LogEntry[], latitude: number, today: string): Column[] {
  const years = logYears(entries, latitude < 0 ? 'south' : 'north').slice(0, MOST_YEARS);
  const [now, before, ...older] = years;
  if (!now) return [];
  const whole = (year: LogYear): Column => ({ head: year.name, year });
  const underWay = daysBetween(now.from, today) < DAYS_A_YEAR;
  if (!before || !underWay) return years.map(whole);
  const until = {
    head: `${before.name}, to this day`,
    year: sameTime(entries, before, now, today),
  };
  return [{ head: `${now.name} so far`, year: now }, until, ...[before, ...older].map(whole)];
}

const DASH = '–';
/** Kilograms. */
const POUND = 0.45359237;

function Compared({
  name,
  latitude,
  planters = [],
  entries,
}: LogYearsProps & { entries: readonly LogEntry[] }) {
  const today = useGardenDay();
  const { write, money, units } = useWords();
  const prices = usePriceBook();
  const columns = useMemo(() => columnsOf(entries, latitude, today), [entries, latitude, today]);
  if (columns.length === 0) return <Text>Nothing is in the log yet.</Text>;
  const some = (value: number, as: 'volume' | 'length' | 'mass'): string =>
    value > 0 ? write(value, as) : DASH;
  const row = (title: string, of: (year: LogYear) => string): [string, ...string[]] => [
    title,
    title,
    ...columns.map(({ year }) => of(year)),
  ];
  const book = prices.data?.book;
  const price = book?.water?.[book.currency];
  const cost = (volume: number): string =>
    book && price !== undefined && volume > 0 ? money(volume * price, book.currency) : DASH;
  const unit = units === 'us' ? POUND : 1;
  const crops = [...new Set(columns.flatMap(({ year }) => year.picked.map(({ what }) => what)))];
  const rows = [
    row('Fillings', ({ fillings }) => (fillings > 0 ? `${fillings}` : DASH)),
    row('Of them not measured', ({ unmeasured }) => (unmeasured > 0 ? `${unmeasured}` : DASH)),
    row('Water, measured', ({ water }) => some(water, 'volume')),
    row('Rain, noted', ({ rain }) => some(rain, 'length')),
    row('Harvest, weighed', ({ mass }) => some(mass, 'mass')),
    row(units === 'us' ? 'Water for a pound' : 'Water for a kilogram', ({ perKilogram }) =>
      perKilogram === null ? DASH : write(perKilogram * unit, 'volume'),
    ),
    row('What the water cost', ({ water }) => cost(water)),
    row(units === 'us' ? 'Cost of it for a pound' : 'Cost of it for a kilogram', (year) =>
      cost((year.perKilogram ?? 0) * unit),
    ),
    ...crops.map((crop) => row(crop, (year) => pickedOf(year, crop, write))),
  ].filter(([, , ...cells]) => cells.some((cell) => cell !== DASH));
  return (
    <Box mt="3">
      <Text fontSize="sm" color="faint" mb="2">
        As it stands in the log until {writeDate(today, 'long')}. Water that nobody measured is not
        in the sum.
      </Text>
      <Table head={['', ...columns.map(({ head }) => head)]} rows={rows} />
      {planters.length > 1 && <ByPlanter {...{ planters, entries, latitude, today }} />}
      <Suspense fallback={null}>
        <LogMonths years={logYears(entries, latitude < 0 ? 'south' : 'north')} />
      </Suspense>
      <Button
        className="not-printed"
        mt="3"
        onClick={() => saveCsv(`${name}, by year`, columns.map(asRow))}
      >
        <Download size={18} aria-hidden /> The years as CSV
      </Button>
    </Box>
  );
}

type Write = ReturnType<typeof useWords>['write'];

/** What was picked of a crop: weighed, else counted. */
function pickedOf({ picked }: LogYear, crop: string, write: Write): string {
  const found = picked.find(({ what }) => what === crop);
  if (!found) return DASH;
  if (found.mass > 0) return write(found.mass, 'mass');
  return found.count > 0 ? `${found.count}` : 'some';
}

/** What each planter took and gave, this year and to the same day of the last. */
function ByPlanter({
  planters,
  entries,
  latitude,
  today,
}: Required<Pick<LogYearsProps, 'planters' | 'latitude'>> & {
  entries: readonly LogEntry[];
  today: string;
}) {
  const { write } = useWords();
  const all = columnsOf(entries, latitude, today).slice(0, 2);
  const of = (year: LogYear | undefined, as: 'water' | 'mass'): string => {
    const value = year?.[as] ?? 0;
    return value > 0 ? write(value, as === 'water' ? 'volume' : 'mass') : DASH;
  };
  const rows = planters.flatMap(({ id, design }): [string, ...string[]][] => {
    const own = columnsOf(
      entries.filter(({ planter }) => planter === id),
      latitude,
      today,
    );
    const years = all.map(({ head }) => own.find((one) => one.head === head)?.year);
    if (years.every((year) => !year)) return [];
    return [[id, design.name, ...years.flatMap((year) => [of(year, 'water'), of(year, 'mass')])]];
  });
  const head = ['Planter', ...all.flatMap((one) => [`Water ${one.head}`, `Harvest ${one.head}`])];
  return (
    <Box mt="4">
      <Table head={head} rows={rows} />
    </Box>
  );
}

/** A year as a row of a table for a spreadsheet: litres, millimetres, kilograms. */
const asRow = ({ head, year }: Column): Record<string, string | number> => ({
  year: head,
  fillings: year.fillings,
  'not measured': year.unmeasured,
  litres: +(year.water * 1000).toFixed(2),
  'rain mm': +(year.rain * 1000).toFixed(1),
  'fed kg': +year.fed.toFixed(3),
  'harvest kg': +year.mass.toFixed(3),
  'litres a kg': year.perKilogram === null ? '' : +(year.perKilogram * 1000).toFixed(2),
  harvest: year.picked
    .map(({ what, mass, count }) => `${what} ${mass > 0 ? `${mass.toFixed(3)} kg` : count}`)
    .join('; '),
});
