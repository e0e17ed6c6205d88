import { ownZone, type WeatherChoice } from '@huerta/core/physics/climate';
import { useEffect } from 'react';
import { setGardenZone } from '../gardenDay';
import { ONLY, useChange, useDocument } from './useDocument';

/** Which weather the garden has. */
export const useWeather = () => {
  const { data, error, refetch } = useDocument('weather', ONLY);
  const choice = data?.body.choice;
  useEffect(() => {
    if (choice) setGardenZone(choice.zone ?? null);
  }, [choice]);
  return { data: choice, error, refetch };
};

/** Chooses another. */
export function useSaveWeather(): (choice: WeatherChoice) => void {
  const { mutate } = useChange('weather', ONLY);
  // Whoever chooses the garden's weather stands in it, as long as nobody has said otherwise.
  return (choice) => mutate({ choice: { ...choice, zone: choice.zone ?? ownZone() } });
}
