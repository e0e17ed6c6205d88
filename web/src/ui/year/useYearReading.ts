import type { Site } from '@huerta/core/catalog';
import {
  coldChance,
  dayAfter,
  daylight,
  dayOfYear,
  daysBetween,
} from '@huerta/core/physics/climate';
import { useState } from 'react';
import { useGardenDay } from '../../data/gardenDay';
import { writeDate } from '../dates';
import { useWords } from '../preferences';
import { DEMAND_STEP } from './demandDays';
import type { Strip } from './strip';

/** Chances of frost in a night below which it is rare, and hardly ever comes. */
const RARE = 0.1;
const HARDLY = 0.005;

function frostOn(site: Site, date: string): string {
  const chance = coldChance(site, dayOfYear(date), 0);
  if (chance < HARDLY) return 'no frost';
  if (chance < RARE) return 'frost is rare';
  return `frost in ${Math.max(Math.round(chance * 10), 1)} nights of 10`;
}

/**
 * The day of a strip that is read, today at first, and what is true on it.
 *
 * @param demand of all planters, m³ a day along the strip; null while it is not known
 */
export function useYearReading(strip: Strip, site: Site, demand: readonly number[] | null) {
  const { write } = useWords();
  const today = useGardenDay();
  const [chosen, setChosen] = useState<string | null>(null);
  const last = dayAfter(strip.from, strip.days - 1);
  const asked = chosen ?? today;
  const day = asked < strip.from ? strip.from : asked > last ? last : asked;
  const hours = daylight(site.latitude, dayOfYear(day));
  const drunk = demand?.[Math.round(daysBetween(strip.from, day) / DEMAND_STEP)];
  const reading = [
    `${writeDate(day, 'long')}: ${Math.round(hours)} hours of daylight`,
    frostOn(site, day),
    ...(drunk === undefined ? [] : [`${write(Number(drunk.toPrecision(2)), 'volume')} a day`]),
  ].join(', ');
  return { today, day, onDay: setChosen, reading };
}
