import type { Site } from '../../../catalog';
import type { WeatherDay } from '../weather';
import { numberIn } from './cells';
import { columnsIn, missingIn, unitsIn, type Column, type Columns } from './columns';
import { dayIn } from './dates';
import { withoutGaps } from './gaps';
import { readDays, type BadRow } from './days';

export type { Column as WeatherColumn } from './columns';

export type WeatherReading =
  | {
      ok: true;
      days: WeatherDay[];
      bad: BadRow[];
      /** Days that were missing and are as usual at the place. */
      filled: number;
      /** Days of whose rain nothing is said: they count as dry. */
      dry: number;
      /** Days that were put together from several rows, as of hours. */
      together: number;
      /** In what the table was read, where that is not °C and mm. */
      fahrenheit: boolean;
      inches: boolean;
      /** What each column was taken for, by its heading. */
      columns: readonly { what: Column; title: string }[];
    }
  | { ok: false; message: string };

/** Fewest days that a season can be worked out from. */
const LEAST_DAYS = 7;
/** Rows in which a heading is looked for: bureaus tell of the station before it. */
const PREAMBLE = 80;

/**
 * Reads weather from the rows of a table, as stations, models and bureaus export it: a row a day or several, any usual
 * way to write a day, in any order, with lines before the heading and a row of units after it. Needs a date,
 * temperatures (least and greatest, or one each hour) and rain; evapotranspiration, wind, humidity (%) and sun (h)
 * are taken where they are there. A heading may say its unit: `tmax (°F)`, `rain in`, `wind mph`. Without, a summer
 * beyond any on Earth is in °F, and rain beside °F is in inches; wind is in m/s. A trace of rain is none, a blank of it
 * counts as dry. Rows that cannot be are named; gaps up to a month are filled with what is usual there, and said.
 *
 * @param rows cells as text
 * @param site for what is not in the table
 * @param monthFirst how the reader writes dates, where the table does not show it
 */
export function readWeather(
  rows: readonly (readonly string[])[],
  site: Site,
  monthFirst = false,
): WeatherReading {
  const filled = rows.map((row) => row.some((cell) => cell.trim() !== ''));
  if (filled.filter(Boolean).length < 2) return no('The file holds no rows.');
  const heading = headingOf(rows);
  const head = rows[heading.row] as readonly string[];
  if (heading.missing.length > 0) {
    const names = heading.missing.map((name) => `‘${name}’`).join(', ');
    return no(
      `The heading has no column for ${names}. It should read: date, tmin, tmax, rain; et0, wind, humidity and sun may follow.`,
    );
  }
  const { at } = heading;
  const second = rows[heading.row + 1] ?? [];
  const units = isUnits(second, at) ? second : [];
  const first = heading.row + (units.length > 0 ? 2 : 1);
  const body = rows
    .map((cells, row) => ({ cells, row: row + 1 }))
    .filter(({ row }) => row > first && filled[row - 1]);
  const warmest = at.tMax ?? at.temperature;
  const tops = body
    .map(({ cells }) => numberIn(cells[warmest as number]) ?? NaN)
    .filter((t) => !Number.isNaN(t));
  const mean = tops.reduce((sum, t) => sum + t, 0) / Math.max(tops.length, 1);
  const worth = unitsIn(head, units, at, mean);
  const read = readDays({ body, at, worth, site, monthFirst });
  const whole = withoutGaps(read.days, site);
  if (whole.days.length < LEAST_DAYS) {
    const [bad] = read.bad;
    const why = bad ? ` Row ${bad.row}: ${bad.message}` : '';
    return no(
      `Only ${whole.days.length} days without a long gap could be read; a season wants ${LEAST_DAYS} or more.${why}`,
    );
  }
  const bad = whole.cut ? [...read.bad, { row: 0, message: whole.cut }] : read.bad;
  const columns = (Object.keys(at) as Column[]).map((what) => ({
    what,
    title: (head[at[what] as number] ?? '').trim(),
  }));
  return {
    ...{ ok: true, days: whole.days, bad, filled: whole.filled, columns },
    ...{ dry: read.dry, together: read.together },
    ...{ fahrenheit: worth.fahrenheit, inches: worth.inches },
  };
}

const no = (message: string): WeatherReading => ({ ok: false, message });

/** The row that names most of what is needed, the first of several. */
function headingOf(rows: readonly (readonly string[])[]) {
  const tried = rows.slice(0, PREAMBLE).map((cells, row) => {
    const at = columnsIn(cells);
    return { row, at, missing: missingIn(at) };
  });
  return tried.reduce((best, one) => (one.missing.length < best.missing.length ? one : best));
}

/** Whether a row has units in it instead of a day. */
function isUnits(cells: readonly string[], at: Columns): boolean {
  const date = cells[at.date ?? at.time ?? at.year ?? 0] ?? '';
  const told = cells.filter((cell) => cell.trim() !== '');
  return (
    dayIn(date, false) === null &&
    told.length > 0 &&
    told.every((cell) => numberIn(cell) === undefined || Number.isNaN(numberIn(cell)))
  );
}
