import { SITES, type Site, type WeatherChoice } from '@huerta/core';

/** The site whose normals count: the chosen one, or that of one's own normals. */
export function siteOf({ site, normals }: WeatherChoice): Site {
  if (site === 'own-normals' && normals) return normals;
  return site === 'own-normals' || site === 'own-days' ? SITES.vallesol : SITES[site];
}
