import type { Site } from '../../catalog';
import { csvCell, FOOT, INCH, type DecimalMark, type UnitSystem } from '../../units';

/** The monthly averages of a site as people read and type them: a table of numbers in their own units. */

export const MONTHS = [
  ...['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
] as const;

export type Normal = 'tMin' | 'tMax' | 'rain' | 'wetDays' | 'humidity' | 'wind' | 'sun';

/** How one average is shown: `shown = kept × times + plus`. What it can be is told in what is kept. */
interface Column {
  name: string;
  times: number;
  plus?: number;
  places: number;
}

const FAHRENHEIT = { times: 1.8, plus: 32, places: 0 };
const CELSIUS = { times: 1, places: 1 };
const MM_IN_INCH = 1000 * INCH;
const MPH_IN_METRES_A_SECOND = 1 / 0.44704;

const SAME: Readonly<Record<'wetDays' | 'humidity' | 'sun', Column>> = {
  wetDays: { name: 'Wet days', times: 1, places: 1 },
  humidity: { name: 'Humidity %', times: 100, places: 1 },
  sun: { name: 'Sun %', times: 100, places: 1 },
};
const COLUMNS: Readonly<Record<UnitSystem, Readonly<Record<Normal, Column>>>> = {
  metric: {
    tMin: { name: 'Low °C', ...CELSIUS },
    tMax: { name: 'High °C', ...CELSIUS },
    rain: { name: 'Rain mm', times: 1, places: 1 },
    wind: { name: 'Wind m/s', times: 1, places: 1 },
    ...SAME,
  },
  us: {
    tMin: { name: 'Low °F', ...FAHRENHEIT },
    tMax: { name: 'High °F', ...FAHRENHEIT },
    rain: { name: 'Rain in', times: 1 / MM_IN_INCH, places: 1 },
    wind: { name: 'Wind mph', times: MPH_IN_METRES_A_SECOND, places: 1 },
    ...SAME,
  },
};
/** The columns in the order in which they stand. */
export const NORMALS: readonly Normal[] = [
  ...(['tMin', 'tMax', 'rain', 'wetDays', 'humidity', 'wind', 'sun'] as const),
];

/** Least and greatest of what is kept. */
const BOUNDS: Readonly<Record<Normal, readonly [number, number]>> = {
  tMin: [-50, 40],
  tMax: [-40, 55],
  rain: [0, 1500],
  wetDays: [0, 29],
  humidity: [0.05, 1],
  wind: [0, 20],
  sun: [0, 1],
};

export const normalName = (key: Normal, units: UnitSystem): string => COLUMNS[units][key].name;

const round = (value: number, places: number): number => Number(value.toFixed(places)) + 0;

const shownAs = (kept: number, key: Normal, units: UnitSystem): number => {
  const { times, plus = 0, places } = COLUMNS[units][key];
  return round(kept * times + plus, places);
};

/** One average of a site as it is shown. @param month 0 is January */
export const shownNormal = (
  site: Site,
  key: Normal,
  month: number,
  units: UnitSystem,
  mark: DecimalMark = 'point',
): string => csvCell(shownAs(site[key][month] ?? 0, key, units), mark);

/** An altitude as it is typed, in metres or feet; and what it is in metres. */
export const shownAltitude = (metres: number, units: UnitSystem): number =>
  Math.round(metres / altitudeUnit(units));
export const altitudeUnit = (units: UnitSystem): number => (units === 'us' ? FOOT : 1);

/** A number as it is typed, with a point or a comma; not a number where it is none. */
export const plainNumber = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));

/** What is kept of what was typed, or a sentence that says what can be. */
export function readNormal(
  text: string,
  key: Normal,
  month: number,
  units: UnitSystem,
): number | string {
  const { name, times, plus = 0 } = COLUMNS[units][key];
  const kept = (plainNumber(text) - plus) / times;
  const [least, most] = BOUNDS[key];
  const near = 1e-9;
  if (kept >= least - near && kept <= most + near) return kept;
  const [from, to] = [shownAs(least, key, units), shownAs(most, key, units)];
  return `${name} of ${MONTHS[month]} is a number from ${from} to ${to}.`;
}

/** The months with the highest days and with the lowest nights, 0 for January. */
export const extremeMonths = ({
  tMin,
  tMax,
}: Pick<Site, 'tMin' | 'tMax'>): { warmest: number; coldest: number } => ({
  warmest: tMax.indexOf(Math.max(...tMax)),
  coldest: tMin.indexOf(Math.min(...tMin)),
});
