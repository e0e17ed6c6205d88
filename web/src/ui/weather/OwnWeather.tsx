import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import {
  altitudeUnit,
  MONTHS,
  normalName,
  NORMALS,
  plainNumber,
  POLAR,
  readNormal,
  shownAltitude,
  shownNormal,
  type Normal,
  readWeather,
  type WeatherChoice,
  type WeatherReading,
  siteOf,
} from '@huerta/core/physics/climate';
import type { Months, Site } from '@huerta/core/catalog';
import type { UnitSystem } from '@huerta/core/units';
import Papa from 'papaparse';
import { useRef, useState } from 'react';
import { useSaveWeather } from '../../data/api/weather';
import { useWords } from '../preferences';
import { Table } from '../Table';

const MOST_BYTES = 5_000_000;
const MOST_SHOWN = 12;

/** Weather of one's own: days from a file, or the months' averages of the place. */
export function OwnWeather({ choice }: { choice: WeatherChoice }) {
  const save = useSaveWeather();
  const site = siteOf(choice);
  return (
    <>
      <Import site={site} onUse={(days) => save({ ...choice, site: 'own-days', days })} />
      <Normals
        key={`${choice.site} ${site.name}`}
        site={site}
        onKeep={(normals) => save({ ...choice, site: 'own-normals', normals })}
      />
    </>
  );
}

function Import({
  site,
  onUse,
}: {
  site: Site;
  onUse(days: NonNullable<WeatherChoice['days']>): void;
}) {
  const file = useRef<HTMLInputElement>(null);
  const [read, setRead] = useState<{ name: string; reading: WeatherReading } | null>(null);
  const take = async (chosen: File) => {
    if (chosen.size > MOST_BYTES) {
      const message = 'This file is larger than 5 MB; daily weather of many years is far less.';
      setRead({ name: chosen.name, reading: { ok: false, message } });
      return;
    }
    const { data } = Papa.parse<string[]>(await chosen.text(), { skipEmptyLines: 'greedy' });
    setRead({ name: chosen.name, reading: readWeather(data, site) });
  };
  return (
    <Box as="section" mt="5" aria-label="Days from a file">
      <Text as="h2" fontSize="lg">
        Days from a file
      </Text>
      <Text maxW="40rem">
        A CSV with a heading: date (as 2026-05-01), tmin, tmax and rain, in °C and mm or in °F and
        inches. Columns for et0, wind, humidity (%) and sun (hours) are taken if they are there. A
        heading may say its unit: wind mph; without, wind is in m/s.
      </Text>
      <input
        ref={file}
        type="file"
        accept=".csv,text/csv"
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

function Preview({
  reading,
  onUse,
}: {
  reading: Extract<WeatherReading, { ok: true }>;
  onUse(): void;
}) {
  const { days, bad, filled, fahrenheit, inches } = reading;
  const { write } = useWords();
  const rain = days.reduce((sum, day) => sum + day.rain, 0);
  const fell = write(rain, 'rain');
  return (
    <Box mt="3" role="status">
      <Text>
        {days.length} days from {days[0]?.date} to {days[days.length - 1]?.date}, {fell} of rain.
        {filled > 0 && ` ${filled} missing days are filled with the day before.`}
        {fahrenheit && ' The temperatures are read as Fahrenheit.'}
        {inches && ' The rain is read as inches.'}
      </Text>
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

/** What was typed for a site's averages. */
interface TypedNormals {
  drafts: Readonly<Record<Normal, readonly string[]>>;
  latitude: string;
  altitude: string;
}

/** Reads averages that were typed. @param shown how a value that was kept is written */
function readNormals(
  site: Site,
  { drafts, latitude, altitude }: TypedNormals,
  units: UnitSystem,
  shown: (key: Normal, month: number) => string,
): { ok: true; site: Site } | { ok: false; errors: string[] } {
  const errors: string[] = [];
  const north = plainNumber(latitude);
  const high = plainNumber(altitude) * altitudeUnit(units);
  if (!(Math.abs(north) <= POLAR))
    errors.push(
      `Latitude is a number from -${POLAR} to ${POLAR}, south below zero. Nearer to a pole the sun stays up or down for weeks, and a day’s evaporation cannot be told by these formulas.`,
    );
  if (!(high >= -400 && high <= 5000))
    errors.push(
      `Height above the sea is from ${units === 'us' ? '-1300 to 16,400 ft' : '-400 to 5000 m'}.`,
    );
  const valuesOf = (key: Normal) =>
    drafts[key].map((text, m) => {
      // What was not touched stays as it was kept, not as it was rounded to be shown.
      if (text === shown(key, m)) return site[key][m] ?? 0;
      const read = readNormal(text, key, m, units);
      if (typeof read === 'string') errors.push(read);
      return read;
    }) as unknown as Months;
  const values = Object.fromEntries(NORMALS.map((key) => [key, valuesOf(key)])) as Record<
    Normal,
    Months
  >;
  values.tMin.forEach((low, m) => {
    if (low >= (values.tMax[m] ?? 0)) errors.push(`In ${MONTHS[m]} the low is not below the high.`);
  });
  if (errors.length > 0) return { ok: false, errors };
  const name = 'Your own averages';
  return { ok: true, site: { ...site, ...values, name, latitude: north, altitude: high } };
}

/** The months' normals: to look at, and to begin one's own from. */
function Normals({ site, onKeep }: { site: Site; onKeep(normals: Site): void }) {
  const [drafts, setDrafts] = useState<Record<Normal, string[]> | null>(null);
  const [errors, setErrors] = useState<string[]>([]);
  const [latitude, setLatitude] = useState(String(site.latitude));
  const { units: now, mark } = useWords();
  // What is being typed keeps the units in which it was begun.
  const [begun, setBegun] = useState<UnitSystem | null>(null);
  const units = begun ?? now;
  const [altitude, setAltitude] = useState('');
  const shown = (key: Normal, month: number) => shownNormal(site, key, month, units, mark);
  const begin = () => {
    setBegun(now);
    setAltitude(String(shownAltitude(site.altitude, now)));
    setDrafts(
      Object.fromEntries(
        NORMALS.map((key) => [key, MONTHS.map((_, m) => shown(key, m))]),
      ) as Record<Normal, string[]>,
    );
  };
  const keep = () => {
    if (!drafts) return;
    const read = readNormals(site, { drafts, latitude, altitude }, units, shown);
    setErrors(read.ok ? [] : read.errors);
    if (read.ok) onKeep(read.site);
  };
  return (
    <Box as="section" mt="5" aria-label="Monthly averages">
      <Text as="h2" fontSize="lg">
        Monthly averages
      </Text>
      {drafts && (
        <Box className="away-dates" mb="3">
          <Field.Root>
            <Field.Label>Latitude, degrees</Field.Label>
            <Input value={latitude} onChange={(event) => setLatitude(event.target.value)} />
            <Field.HelperText>South below zero.</Field.HelperText>
          </Field.Root>
          <Field.Root>
            <Field.Label>Above the sea, {units === 'us' ? 'ft' : 'm'}</Field.Label>
            <Input value={altitude} onChange={(event) => setAltitude(event.target.value)} />
          </Field.Root>
        </Box>
      )}
      <Table
        head={['Month', ...NORMALS.map((key) => normalName(key, units))]}
        rows={MONTHS.map((month, m) => [
          month,
          month,
          ...NORMALS.map((key) =>
            drafts ? (
              <Field.Root
                key={key}
                invalid={
                  errors.length > 0 &&
                  typeof readNormal(drafts[key][m] ?? '', key, m, units) === 'string'
                }
              >
                <Input
                  aria-label={`${normalName(key, units)}, ${month}`}
                  value={drafts[key][m] ?? ''}
                  minW="4rem"
                  onChange={(event) =>
                    setDrafts({
                      ...drafts,
                      [key]: drafts[key].map((text, i) => (i === m ? event.target.value : text)),
                    })
                  }
                />
              </Field.Root>
            ) : (
              shown(key, m)
            ),
          ),
        ])}
      />
      {errors.length > 0 && (
        <Box role="alert" color="harm" mt="2">
          {errors.slice(0, 4).map((error) => (
            <Text key={error}>{error}</Text>
          ))}
        </Box>
      )}
      {drafts ? (
        <Button mt="3" variant="solid" onClick={keep}>
          Keep them as your own averages
        </Button>
      ) : (
        <Button mt="3" onClick={begin}>
          Make your own from these
        </Button>
      )}
    </Box>
  );
}
