import {
  extremeMonths,
  shownAltitude,
  shownNormal,
  siteOf,
  type WeatherChoice,
} from '@huerta/core/physics/climate';
import { useSaveWeather } from '../../data/api/weather';
import { ChoiceField } from '../ChoiceField';
import { useWords } from '../preferences';
import { weatherNames } from './weatherNames';

type SiteId = WeatherChoice['site'];

/** What one may compare one's own place with: its nights and days in the warmest and the coldest month, and where it lies. */
function aboutSite(choice: WeatherChoice, { units, mark }: ReturnType<typeof useWords>): string {
  if (choice.site === 'own-days') return 'One series of days: there are no bands.';
  const site = siteOf(choice);
  const { warmest, coldest } = extremeMonths(site);
  const span = (month: number): string =>
    `${shownNormal(site, 'tMin', month, units, mark)} to ${shownNormal(site, 'tMax', month, units, mark)} ${units === 'us' ? '°F' : '°C'}`;
  const north = `${Math.abs(site.latitude)}° ${site.latitude < 0 ? 'south' : 'north'}`;
  const high = `${shownAltitude(site.altitude, units)} ${units === 'us' ? 'ft' : 'm'}`;
  return `Warmest month ${span(warmest)}, coldest ${span(coldest)}. ${north}, ${high} above the sea.`;
}

/** Nothing is chosen yet. */
const NONE = 'none';

interface SiteFieldProps {
  label: string;
  choice: WeatherChoice;
  /** Whether somebody has said where the garden is; what is reckoned with until then is not shown as chosen. */
  chosen?: boolean;
}

/** Whose weather the garden has, on every page: of a made-up place that is alike, or one's own. */
export function SiteField({ label, choice, chosen = true }: SiteFieldProps) {
  const save = useSaveWeather();
  const words = useWords();
  const names = Object.entries(weatherNames(choice)).map(([id, name]) => [id, { name }] as const);
  const choices = Object.fromEntries([
    ...(chosen ? [] : [[NONE, { name: 'Choose the weather that is nearest' }] as const]),
    ...names,
  ]) as Record<SiteId | typeof NONE, { name: string }>;
  return (
    <ChoiceField
      label={label}
      value={chosen ? choice.site : NONE}
      choices={choices}
      onChoose={(id) => {
        if (id !== NONE) save({ ...choice, site: id });
      }}
      help={
        chosen ? aboutSite(choice, words) : 'Heat, rain, frost and days of water follow from it.'
      }
    />
  );
}
