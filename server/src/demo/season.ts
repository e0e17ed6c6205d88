import { FIRST_WEATHER, type WeatherChoice } from '@huerta/core/physics/climate';
import type { Services } from '../services';
import { ONLY } from '../services/kinds';

/** The demo garden lies where it is summer on the day on which it is made, so that it is alive whenever one looks. */

/** The day that the demo leads up to where none is said: that of pictures and tests. */
export const DEMO_DAY = '2026-07-15';

/** Months from which on, and before which, it is summer in the north. */
const FROM = 5;
const UNTIL = 11;

/** Where the garden lies on a day: in the dry hill town, or on the mild coast of the south. */
export function demoSite(today: string): 'vallesol' | 'south-coast' {
  const month = Number(today.slice(5, 7));
  return month >= FROM && month < UNTIL ? 'vallesol' : 'south-coast';
}

/** Chooses the weather of that place, unless somebody has chosen one. */
export async function loadDemoWeather({ weather }: Services, today: string): Promise<void> {
  const { revision } = await weather.get(ONLY);
  if (revision > 0) return;
  const value: WeatherChoice = { ...FIRST_WEATHER, site: demoSite(today) };
  await weather.save(ONLY, { revision: 0, saveId: null, after: [] }, { name: 'Weather', value });
}
