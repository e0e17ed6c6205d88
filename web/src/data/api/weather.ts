import { WEATHER } from '@huerta/contract';
import { useQuery } from '@tanstack/react-query';
import { ownZone, type MeasuredDay, type WeatherChoice } from '@huerta/core/physics/climate';
import { useEffect } from 'react';
import { setGardenZone } from '../gardenDay';
import { callRoute } from './client';
import { ONLY, useChange, useDocument } from './useDocument';

/** Which weather the garden has. */
export const useWeather = () => {
  const { data, error, refetch } = useDocument('weather', ONLY);
  const choice = data?.body.choice;
  /** Whether somebody has said whose weather it is, here or anywhere. */
  const chosen = data !== undefined && (data.revision > 0 || data.kept !== null);
  useEffect(() => {
    if (choice) setGardenZone(choice.zone ?? null);
  }, [choice]);
  return { data: choice, chosen, error, refetch };
};

/** Chooses another. */
export function useSaveWeather(): (choice: WeatherChoice) => void {
  const { mutate } = useChange('weather', ONLY);
  // Whoever chooses the garden's weather stands in it, as long as nobody has said otherwise.
  return (choice) => mutate({ choice: { ...choice, zone: choice.zone ?? ownZone() } });
}

const NO_DAYS: readonly MeasuredDay[] = [];

/** Days of weather as a station told them; none where that cannot be known, and null before anything is. */
export function useMeasuredDays(): readonly MeasuredDay[] | null {
  const { data, isError } = useQuery({
    queryKey: ['weather-days'],
    queryFn: () => callRoute(WEATHER.days),
    staleTime: 60_000,
  });
  return data?.days ?? (isError ? NO_DAYS : null);
}
