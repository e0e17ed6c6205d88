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
  type WeatherChoice,
  siteOf,
} from '@huerta/core/physics/climate';
import type { Months, Site } from '@huerta/core/catalog';
import type { UnitSystem } from '@huerta/core/units';
import { useState } from 'react';
import { useSaveWeather } from '../../data/api/weather';
import { useWords } from '../preferences';
import { Table } from '../Table';
import { WeatherFile } from './WeatherFile';

/** Weather of one's own: days from a file, or the months' averages of the place. */
export function OwnWeather({ choice }: { choice: WeatherChoice }) {
  const save = useSaveWeather();
  const site = siteOf(choice);
  return (
    <>
      <WeatherFile site={site} onUse={(days) => save({ ...choice, site: 'own-days', days })} />
      <Normals
        key={`${choice.site} ${site.name}`}
        site={site}
        onKeep={(normals) => save({ ...choice, site: 'own-normals', normals })}
      />
    </>
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
