import { SITES, type Site, type SiteId, type WeatherDay } from '@huerta/core';
import { createStore } from 'zustand/vanilla';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Weather of one's own, as it was read from a file. */
interface OwnWeather {
  name: string;
  days: WeatherDay[];
}

/** Which weather the garden has, kept on this device. */
interface WeatherChoice {
  site: SiteId | 'own-normals' | 'own-days';
  normals: Site | null;
  days: OwnWeather | null;
  choose(site: WeatherChoice['site']): void;
  keepNormals(normals: Site): void;
  keepDays(days: OwnWeather): void;
}

export const weatherChoice = createStore<WeatherChoice>()(
  persist(
    (set) => ({
      site: 'vallesol',
      normals: null,
      days: null,
      choose: (site) => set({ site }),
      keepNormals: (normals) => set({ normals, site: 'own-normals' }),
      keepDays: (days) => set({ days, site: 'own-days' }),
    }),
    {
      name: 'huerta.weather',
      storage: createJSONStorage(() => localStorage),
      partialize: ({ site, normals, days }) => ({ site, normals, days }),
    },
  ),
);

/** The site whose normals count: the chosen one, or that of one's own normals. */
export const siteOf = ({ site, normals }: Pick<WeatherChoice, 'site' | 'normals'>): Site =>
  site === 'own-normals' && normals
    ? normals
    : site in SITES
      ? SITES[site as SiteId]
      : SITES.vallesol;
