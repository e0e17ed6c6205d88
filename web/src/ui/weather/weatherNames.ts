import { SITES } from '@huerta/core/catalog';
import type { WeatherChoice } from '@huerta/core/physics/climate';

/** Of where or whose the weather is, in words. */
export const weatherNames = ({
  normals,
  days,
}: WeatherChoice): Partial<Record<WeatherChoice['site'], string>> => ({
  ...Object.fromEntries(Object.entries(SITES).map(([id, { name }]) => [id, name])),
  ...(normals ? { 'own-normals': normals.name } : {}),
  ...(days ? { 'own-days': `Days of ${days.name}` } : {}),
});
