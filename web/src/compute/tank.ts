import { tankStands, type LogEntry, type RainTank, type TankOutlook } from '@huerta/core/journal';
import { siteOf, type WeatherChoice } from '@huerta/core/physics/climate';
import { useMemo } from 'react';
import { useMeasuredDays } from '../data/api/weather';
import { useGardenDay } from '../data/gardenDay';
import type { Round } from './roundStates';

interface TankInputs {
  round: Round;
  choice: WeatherChoice;
  entries: readonly LogEntry[];
}

/** How the tank stands, from the round and the weather that was. */
export function useTankOutlook(
  tank: RainTank,
  { round, choice, entries }: TankInputs,
): TankOutlook {
  const measured = useMeasuredDays();
  const today = useGardenDay();
  return useMemo(() => {
    const states = Object.values(round).flatMap((state) => state ?? []);
    const days = [...(choice.days?.days ?? []), ...(measured ?? [])];
    return tankStands(tank, { states, entries, site: siteOf(choice), days, today });
  }, [tank, round, choice, entries, measured, today]);
}
