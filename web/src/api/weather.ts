import type { WeatherChoice } from '@huerta/core';
import { ONLY, useChange, useDocument } from './useDocument';

/** Which weather the garden has. */
export const useWeather = () => {
  const { data, error, refetch } = useDocument('weather', ONLY);
  return { data: data?.body.choice, error, refetch };
};

/** Chooses another. */
export function useSaveWeather(): (choice: WeatherChoice) => void {
  const { mutate } = useChange('weather', ONLY);
  return (choice) => mutate({ choice });
}
