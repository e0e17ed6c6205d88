import { Box, Button, Text } from '@chakra-ui/react';
import type { Site } from '@huerta/core/catalog';
import {
  readWeather,
  type WeatherChoice,
  type WeatherColumn,
  type WeatherDay,
  type WeatherReading,
} from '@huerta/core/physics/climate';
import { listed, plural } from '@huerta/core/units';
import Papa from 'papaparse';
import { useRef, useState } from 'react';
import { writeDate } from '../dates';
import { usePreferences, useWords } from '../preferences';
import { Table } from '../Table';

const MOST_BYTES = 20_000_000;
const MOST_SHOWN = 12;
/** What may stand between the cells; lines above a heading mislead the guess. */
const BETWEEN = ['', ',', ';', '\t', '|'];

interface WeatherFileProps {
  /** For what is not in the file. */
  site: Site;
  onUse(days: NonNullable<WeatherChoice['days']>): void;
}

type Good = Extract<WeatherReading, { ok: true }>;

/** Reads a table by each mark that may stand between its cells, until one gives days. */
function readTable(text: string, site: Site, monthFirst: boolean): WeatherReading {
  let first: WeatherReading | null = null;
  for (const delimiter of BETWEEN) {
    const { data } = Papa.parse<string[]>(text, { delimiter });
    const reading = readWeather(data, site, monthFirst);
    if (reading.ok) return reading;
    first ??= reading;
  }
  return first as WeatherReading;
}

/** Days of weather from a file, looked at before they are taken. */
export function WeatherFile({ site, onUse }: WeatherFileProps) {
  const file = useRef<HTMLInputElement>(null);
  const { dates } = usePreferences();
  const [read, setRead] = useState<{ name: string; reading: WeatherReading } | null>(null);
  const take = async (chosen: File) => {
    const reading: WeatherReading =
      chosen.size > MOST_BYTES
        ? { ok: false, message: 'It is larger than 20 MB; hours of many years are less.' }
        : readTable(await chosen.text(), site, dates === 'month-first');
    setRead({ name: chosen.name, reading });
  };
  return (
    <Box as="section" mt="5" aria-label="Days from a file">
      <Text as="h2" fontSize="lg">
        Days from a file
      </Text>
      <Text maxW="40rem">
        A CSV as a station or a weather bureau exports it, a row a day or an hour: dates,
        temperatures and rain, in °C and mm or in °F and inches; evaporation, wind, humidity and sun
        are taken if they are there. It is shown to you before it is used.
      </Text>
      <input
        ref={file}
        type="file"
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        aria-label="Weather file"
        hidden
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          if (chosen) void take(chosen);
          event.target.value = '';
        }}
      />
      <Button mt="2" onClick={() => file.current?.click()}>
        Choose a file
      </Button>
      {read && !read.reading.ok && (
        <Text role="alert" color="harm" mt="2">
          ‘{read.name}’ is not taken: {read.reading.message}
        </Text>
      )}
      {read?.reading.ok && (
        <Preview
          reading={read.reading}
          onUse={() => {
            if (read.reading.ok) onUse({ name: read.name, days: read.reading.days });
            setRead(null);
          }}
        />
      )}
    </Box>
  );
}

/** What each column is to a reader; dates go without saying. */
const COLUMNS: Partial<Record<WeatherColumn, string>> = {
  tMin: 'lows',
  tMax: 'highs',
  temperature: 'temperatures',
  rain: 'rain',
  et: 'evaporation',
  wind: 'wind',
  humidity: 'humidity',
  sun: 'sunshine',
};

function Preview({ reading, onUse }: { reading: Good; onUse(): void }) {
  const { days, bad, columns } = reading;
  const { write } = useWords();
  const fell = write(
    days.reduce((sum, day) => sum + day.rain, 0),
    'rain',
  );
  const read = columns.flatMap(({ what, title }) =>
    COLUMNS[what] ? [`${COLUMNS[what]} from ‘${title}’`] : [],
  );
  return (
    <Box mt="3" role="status">
      <Text>
        {days.length} days from {days[0]?.date} to {days.at(-1)?.date}, {fell} of rain.
        {saidOf(reading)}
      </Text>
      <Text fontSize="sm" color="faint">
        Read: {listed(read)}.
      </Text>
      <SomeDays days={days} />
      {bad.length > 0 && (
        <Box mt="2">
          <Text fontWeight="medium">
            {bad.length === 1 ? 'One row is left out:' : `${bad.length} rows are left out:`}
          </Text>
          <Box as="ul" listStyleType="none" fontSize="sm">
            {bad.slice(0, MOST_SHOWN).map(({ row, message }) => (
              <li key={`${row} ${message}`}>
                {row > 0 ? `Row ${row}: ` : ''}
                {message}
              </li>
            ))}
            {bad.length > MOST_SHOWN && <li>and {bad.length - MOST_SHOWN} more.</li>}
          </Box>
        </Box>
      )}
      <Button mt="2" variant="solid" onClick={onUse}>
        Use these days
      </Button>
    </Box>
  );
}

/** What was done to a table to make days of it. */
function saidOf({ filled, dry, together, fahrenheit, inches }: Good): string {
  const days = (count: number): string => `${count} ${plural(count, 'day')}`;
  const said = [
    together > 0 && `${days(together)} ${plural(together, 'is', 'are')} put together from hours.`,
    filled > 0 && `${days(filled)} missing ${plural(filled, 'is', 'are')} as usual at your place.`,
    dry > 0 && `${days(dry)} without a word on rain ${plural(dry, 'counts', 'count')} as dry.`,
    fahrenheit && 'The temperatures are read as Fahrenheit.',
    inches && 'The rain is read as inches.',
  ];
  return said
    .filter(Boolean)
    .map((one) => ` ${one as string}`)
    .join('');
}

/** Days at the beginning and at the end that are shown. */
const SHOWN = [4, 2] as const;

/** The first days and the last, as they were read. */
function SomeDays({ days }: { days: readonly WeatherDay[] }) {
  const { units, write } = useWords();
  const degrees = (celsius: number): string =>
    (units === 'us' ? (celsius * 9) / 5 + 32 : celsius).toFixed(0).replace('-', '−');
  const sign = units === 'us' ? '°F' : '°C';
  const [first, last] = SHOWN;
  const shown = days.length > first + last ? [...days.slice(0, first), ...days.slice(-last)] : days;
  return (
    <Box my="2" maxW="30rem">
      <Table
        head={['Day', `Low ${sign}`, `High ${sign}`, 'Rain']}
        rows={shown.map(({ date, tMin, tMax, rain }) => [
          date,
          writeDate(date, 'year'),
          degrees(tMin),
          degrees(tMax),
          write(rain, 'rain'),
        ])}
      />
    </Box>
  );
}
