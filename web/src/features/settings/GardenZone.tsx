import { Button, Text } from '@chakra-ui/react';
import { dayIn, ownZone, zoneNames } from '@huerta/core/physics/climate';
import { useSaveWeather, useWeather } from '../../data/api/weather';
import { ChoiceField } from '../../ui/ChoiceField';
import { writeDate } from '../../ui/dates';
import { Section } from './Section';

/** Names as they are said: the place first, as in ‘Los Angeles, America’. */
const said = (zone: string): string => zone.replaceAll('_', ' ').split('/').reverse().join(', ');

/** In which time zone the garden lies: by it a day begins for all who look after it. */
export function GardenZone() {
  const { data: choice, error, refetch } = useWeather();
  const save = useSaveWeather();
  if (!choice)
    return error ? (
      <Section title="The garden’s days">
        <Text role="alert">
          The garden’s time zone cannot be fetched now: {error.message} Days are told by this
          device, in {said(ownZone())}.
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
    <Section title="The garden’s days">
      <ChoiceField
        own
        label="Time zone of the garden"
        value={zone}
        choices={Object.fromEntries(names.map((name) => [name, { name: said(name) }]))}
        onChoose={(name) => save({ ...choice, zone: name })}
      />
      <Text mt="2" maxW="40rem" fontSize="sm">
        There it is {writeDate(dayIn(zone), 'long')}. What is noted counts for that day, wherever
        the device is that notes it.
        {choice.zone == null && ' Until you choose one, each device takes its own.'}
        {choice.zone != null && choice.zone !== own && ` This device is set to ${said(own)}.`}
      </Text>
    </Section>
  );
}
