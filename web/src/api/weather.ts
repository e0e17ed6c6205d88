import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { weatherChoiceSchema, type WeatherChoice } from '@huerta/core';
import { call } from './client';

const WEATHER = ['weather'] as const;

/** Which weather the garden has. */
export function useWeather() {
  return useQuery({
    queryKey: WEATHER,
    queryFn: () => call('/weather', weatherChoiceSchema),
    staleTime: 60_000,
  });
}

export function useSaveWeather() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (choice: WeatherChoice) =>
      call('/weather', weatherChoiceSchema, { method: 'PUT', body: choice }),
    onSuccess: (saved) => client.setQueryData(WEATHER, saved),
  });
}
