import { Box, Button, Text } from '@chakra-ui/react';
import { dayIn, ownZone, zoneNames } from '@huerta/core/physics/climate';
import { Suspense } from 'react';
import { useSaveWeather, useWeather } from '../../data/api/weather';
import { ChoiceField } from '../../ui/ChoiceField';
import { writeDate } from '../../ui/dates';
import { Fold } from '../../ui/Fold';
import { Loading } from '../../ui/Loading';
import { onDemand } from '../../ui/onDemand';
import { SiteField } from '../../ui/weather/SiteField';
import { Section } from './Section';

/** It reads files, which is seldom wanted. */
const OwnWeather = onDemand(() =>
  import('../../ui/weather/OwnWeather').then(({ OwnWeather: part }) => part),
);

/** Names as they are said: the place first, as in ‘Los Angeles, America’. */
const said = (zone: string): string => zone.replaceAll('_', ' ').split('/').reverse().join(', ');

/** Where the garden is: whose weather it has, and by which time zone a day begins for all who look after it. */
export function GardenPlace() {
  const { data: choice, chosen, error, refetch } = useWeather();
  const save = useSaveWeather();
  if (!choice)
    return error ? (
      <Section title="Where the garden is">
        <Text role="alert">
          The garden’s weather and time zone cannot be fetched now: {error.message} Days are told by
          this device, in {said(ownZone())}.
        </Text>
        <Button mt="2" onClick={() => void refetch()}>
          Try again
        </Button>
      </Section>
    ) : null;
  const own = ownZone();
  const zone = choice.zone ?? own;
  const names = [...new Set([own, zone, ...zoneNames()])].sort((a, b) =>
    said(a).localeCompare(said(b)),
  );
  return (
    <Section title="Where the garden is">
      <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(15rem, 1fr))" gap="4">
        <SiteField label="Weather of" choice={choice} chosen={chosen} />
        <ChoiceField
          own
          label="Time zone of the garden"
          value={zone}
          choices={Object.fromEntries(names.map((name) => [name, { name: said(name) }]))}
          onChoose={(name) => save({ ...choice, zone: name })}
        />
      </Box>
      <Text mt="2" maxW="40rem" fontSize="sm">
        There it is {writeDate(dayIn(zone), 'long')}. What is noted counts for that day, wherever
        the device is that notes it.
        {choice.zone == null && ' Until you choose one, each device takes its own.'}
        {choice.zone != null && choice.zone !== own && ` This device is set to ${said(own)}.`}
      </Text>
      <Fold title="Weather of your own: a file, or averages">
        <Suspense fallback={<Loading what="the weather" />}>
          <OwnWeather choice={choice} />
        </Suspense>
      </Fold>
    </Section>
  );
}
