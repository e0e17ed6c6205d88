import type { Site } from '../../catalog';
import { INCH } from '../../units';
import { referenceEt, type DayAir } from './et0';
import { dayOfYear, daysBetween, type WeatherDay } from './weather';

/** A row that could not be taken, by its number in the file (the heading is 1). */
export interface BadRow {
  row: number;
  message: string;
}

export type WeatherReading =
  | {
      ok: true;
      days: WeatherDay[];
      bad: BadRow[];
      filled: number;
      /** In what the table was read, where that is not °C and mm. */
      fahrenheit: boolean;
      inches: boolean;
    }
  | { ok: false; message: string };

type Column = 'date' | 'tMin' | 'tMax' | 'rain' | 'et' | 'wind' | 'humidity' | 'sun';

/** Headings that are understood, in lower case without units and signs. */
const HEADINGS: Readonly<Record<Column, readonly string[]>> = {
  date: ['date', 'day', 'datum', 'fecha'],
  tMin: ['tmin', 'min', 'mintemp', 'tempmin', 'temperaturemin', 'low', 'lowest'],
  tMax: ['tmax', 'max', 'maxtemp', 'tempmax', 'temperaturemax', 'high', 'highest'],
  rain: ['rain', 'precipitation', 'prcp', 'rainfall', 'precip'],
  et: ['et0', 'eto', 'evapotranspiration', 'referenceet'],
  wind: ['wind', 'windspeed', 'u2'],
  humidity: ['humidity', 'rh', 'rhmean'],
  sun: ['sun', 'sunshine', 'sunhours'],
};
const REQUIRED: readonly Column[] = ['date', 'tMin', 'tMax', 'rain'];
const NAMES: Readonly<Record<Column, string>> = {
  date: 'date',
  tMin: 'tmin',
  tMax: 'tmax',
  rain: 'rain',
  et: 'et0',
  wind: 'wind',
  humidity: 'humidity',
  sun: 'sun',
};

/** Fewest days that a season can be worked out from. */
const LEAST_DAYS = 7;
/** Gaps of so many days are bridged by the days beside them; a longer one ends the series. */
const BRIDGED = 3;
/** Temperatures outside this are taken for a mistake, °C. */
const COLDEST = -60;
const HOTTEST = 58;
/** A month whose warmest days are beyond this on the whole is in Fahrenheit. */
const SURELY_FAHRENHEIT = 45;
const MOST_RAIN_MM = 600;
const MM = 1e-3;
const MM_A_DAY = 1e-3 / 86_400;

/**
 * Reads daily weather from the rows of a table. Needs date (2026-05-01), least and greatest temperature
 * and rain; evapotranspiration, wind, humidity (%) and sun (h) are taken where they are there. A heading
 * may say its unit: `tmax (°F)`, `rain in`, `wind mph`. Without, a summer beyond any on Earth is in °F, and
 * rain beside °F is in inches; wind is in m/s. Rows that cannot be are named; short gaps are bridged, and said.
 *
 * @param rows cells as text, the heading first
 * @param site for what is not in the table
 */
export function readWeather(rows: readonly (readonly string[])[], site: Site): WeatherReading {
  const [head, ...body] = rows.filter((row) => row.some((cell) => cell.trim() !== ''));
  if (!head || body.length === 0) return no('The file holds no rows.');
  const at = columnsOf(head);
  const missing = REQUIRED.filter((column) => at[column] === undefined);
  if (missing.length > 0) {
    return no(
      `The heading has no column for ${missing.map((column) => `‘${NAMES[column]}’`).join(', ')}. It should read: date, tmin, tmax, rain; et0, wind, humidity and sun may follow.`,
    );
  }
  const tops = body.map((row) => number(row[at.tMax as number])).filter((t) => !Number.isNaN(t));
  const mean = tops.reduce((sum, t) => sum + t, 0) / Math.max(tops.length, 1);
  const units = unitsOf(head, at, mean);
  const { fahrenheit, inches } = units;
  const celsius = (t: number): number => (fahrenheit ? ((t - 32) * 5) / 9 : t);
  const bad: BadRow[] = [];
  const days: WeatherDay[] = [];
  body.forEach((row, i) => {
    const cell = (column: Column): string | undefined => {
      const index = at[column];
      return index === undefined ? undefined : row[index];
    };
    const refuse = (message: string) => bad.push({ row: i + 2, message });
    const date = (cell('date') ?? '').trim();
    if (!isDate(date)) {
      refuse(`‘${date}’ is no date; write it as 2026-05-01.`);
      return;
    }
    const last = days[days.length - 1];
    if (last && daysBetween(last.date, date) < 1) {
      refuse(`${date} does not come after ${last.date}; sort the rows by date.`);
      return;
    }
    const [tMin, tMax] = [celsius(number(cell('tMin'))), celsius(number(cell('tMax')))];
    const rain = number(cell('rain')) * units.rain;
    if (Number.isNaN(tMin) || Number.isNaN(tMax)) {
      refuse('A temperature is missing or is no number.');
      return;
    }
    if (tMin < COLDEST || tMax > HOTTEST) {
      refuse(`${tMin} to ${tMax} °C cannot be.`);
      return;
    }
    if (tMin > tMax) {
      refuse(`The least, ${tMin}, is above the greatest, ${tMax}.`);
      return;
    }
    if (Number.isNaN(rain) || rain < 0 || rain > MOST_RAIN_MM) {
      refuse(`Rain is in ${inches ? 'inches' : 'millimetres'} of that day, 0 or more.`);
      return;
    }
    const place = { ...site, latitude: (site.latitude * Math.PI) / 180 };
    const given = number(cell('et')) * units.et;
    const et =
      given >= 0 && given < 25
        ? given * MM_A_DAY
        : referenceEt(airOf(cell, tMin, tMax, units.wind), place, dayOfYear(date));
    days.push({ date, tMin, tMax, rain: rain * MM, et });
  });
  const whole = bridge(days);
  if (whole.days.length < LEAST_DAYS) {
    const why = bad[0] ? ` Row ${bad[0].row}: ${bad[0].message}` : '';
    return no(
      `Only ${whole.days.length} days without a long gap could be read; a season wants ${LEAST_DAYS} or more.${why}`,
    );
  }
  if (whole.cut) bad.push({ row: 0, message: whole.cut });
  return { ok: true, days: whole.days, bad, filled: whole.filled, fahrenheit, inches };
}

const no = (message: string): WeatherReading => ({ ok: false, message });

function columnsOf(head: readonly string[]): Partial<Record<Column, number>> {
  const plain = head.map((title) =>
    title
      .toLowerCase()
      .replace(/\(.*?\)|\[.*?\]/g, '')
      .replace(UNIT_WORDS, '')
      .replace(/[^a-z0-9]/g, ''),
  );
  const found: Partial<Record<Column, number>> = {};
  for (const column of Object.keys(HEADINGS) as Column[]) {
    const index = plain.findIndex((title) => HEADINGS[column].includes(title));
    if (index >= 0) found[column] = index;
  }
  return found;
}

/** What one of a column's unit is worth in °C steps, mm, mm and m/s, by its heading or by what stands in it. */
interface Units {
  fahrenheit: boolean;
  inches: boolean;
  rain: number;
  et: number;
  wind: number;
}

const MM_IN_INCH = 1000 * INCH;
const WINDS: readonly (readonly [RegExp, number])[] = [
  [/mph|miles/, 0.44704],
  [/km|kph/, 1 / 3.6],
  [/kn|kt/, 1852 / 3600],
];

function unitsOf(
  head: readonly string[],
  at: Partial<Record<Column, number>>,
  meanHigh: number,
): Units {
  const title = (column: Column): string => (head[at[column] ?? -1] ?? '').toLowerCase();
  const inInches = (column: Column): boolean => /\b(in|inch|inches)\b|["″]/.test(title(column));
  const inMillimetres = (column: Column): boolean => /\b(mm|millimet)/.test(title(column));
  const says = `${title('tMin')} ${title('tMax')}`;
  const fahrenheit = /°\s*f|\bf\b|fahrenheit/.test(says)
    ? true
    : !/°\s*c|\bc\b|celsius/.test(says) && meanHigh > SURELY_FAHRENHEIT;
  const worth = (column: Column): number =>
    inInches(column) || (fahrenheit && !inMillimetres(column)) ? MM_IN_INCH : 1;
  const wind = WINDS.find(([unit]) => unit.test(title('wind').replace('wind', '')));
  return {
    fahrenheit,
    inches: worth('rain') > 1,
    rain: worth('rain'),
    // Evapotranspiration is told in millimetres unless its own heading says otherwise.
    et: inInches('et') ? MM_IN_INCH : 1,
    wind: wind?.[1] ?? 1,
  };
}

/** Units at the end of a heading. */
const UNIT_WORDS = /[\s_,]+(in|inch|inches|mm|mph|km\/?h|kph|m\/s|knots|°?\s*[cf]|%|h)\s*$/;

const number = (text: string | undefined): number =>
  text === undefined || text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));

const isDate = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(`${text}T00:00:00Z`));

function airOf(
  cell: (column: Column) => string | undefined,
  tMin: number,
  tMax: number,
  inMetres: number,
): DayAir {
  const wind = number(cell('wind')) * inMetres;
  const humidity = number(cell('humidity'));
  const sun = number(cell('sun'));
  return {
    tMin,
    tMax,
    ...(wind >= 0 && wind < 60 ? { wind } : {}),
    ...(humidity > 1 && humidity <= 100 ? { humidity: { mean: humidity / 100 } } : {}),
    ...(sun >= 0 && sun <= 24 ? { sun: Math.min(sun / 12, 1) } : {}),
  };
}

/** Bridges short gaps by what was the day before; a long one ends the series, and that is said. */
function bridge(days: readonly WeatherDay[]): { days: WeatherDay[]; filled: number; cut: string } {
  const whole: WeatherDay[] = [];
  let filled = 0;
  for (const day of days) {
    const last = whole[whole.length - 1];
    const gap = last ? daysBetween(last.date, day.date) - 1 : 0;
    if (gap > BRIDGED) {
      return {
        days: whole,
        filled,
        cut: `${gap} days are missing after ${last?.date ?? ''}; only what comes before is used.`,
      };
    }
    for (let i = 0; i < gap && last; i += 1) {
      const date = new Date(Date.parse(`${last.date}T00:00:00Z`) + (i + 1) * 86_400_000);
      whole.push({ ...last, date: date.toISOString().slice(0, 10), rain: 0 });
      filled += 1;
    }
    whole.push(day);
  }
  return { days: whole, filled, cut: '' };
}
