import type { Site } from '../../../catalog';
import { referenceEt, type DayAir } from '../et0';
import { dayOfYear, type WeatherDay } from '../weather';
import { numberIn, rainIn } from './cells';
import type { Column, Columns, Units } from './columns';
import { dayIn, hasHour, monthStandsFirst } from './dates';

/** A row that could not be taken, by its number in the file; 0 for the table as a whole. */
export interface BadRow {
  row: number;
  message: string;
}

/** A row as it was read: °C, mm, mm, m/s, %, hours; NaN where nothing was measured. */
interface Measured {
  row: number;
  date: string;
  low: number;
  high: number;
  rain: number;
  et: number;
  wind: number;
  humidity: number;
  sun: number;
}

interface DaysQuestion {
  body: readonly { cells: readonly string[]; row: number }[];
  at: Columns;
  worth: Units;
  site: Site;
  monthFirst: boolean;
}

/** Temperatures outside this are taken for a mistake, °C. */
const COLDEST = -60;
const HOTTEST = 58;
const MOST_RAIN_MM = 600;
const MM = 1e-3;
const MM_A_DAY = 1e-3 / 86_400;
/** A day of hours counts where it has this share of the rows that days usually have. */
const ENOUGH = 0.75;

/** Days of a table in their order, with the rows that are left out. */
export function readDays(question: DaysQuestion): {
  days: WeatherDay[];
  bad: BadRow[];
  dry: number;
  together: number;
} {
  const { body, at, site, monthFirst } = question;
  const dates = body.map(({ cells }) => dateCell(cells, at));
  const order = monthStandsFirst(dates, monthFirst);
  const hourly = at.time !== undefined || dates.some(hasHour);
  const bad: BadRow[] = [];
  const byDay = new Map<string, Measured[]>();
  body.forEach(({ cells, row }, i) => {
    const date = dayIn(dates[i]!, order);
    const read =
      date === null
        ? `‘${dates[i]!.trim()}’ is no date; write it as 2026-05-01.`
        : measured(cells, row, date, question);
    if (typeof read === 'string') {
      bad.push({ row, message: read });
      return;
    }
    const others = byDay.get(read.date) ?? [];
    if (others.length > 0 && !hourly)
      bad.push({ row, message: `${read.date} stands in row ${others[0]!.row} already.` });
    else byDay.set(read.date, [...others, read]);
  });
  const counts = [...byDay.values()].map(({ length }) => length).sort((a, b) => a - b);
  const usual = counts[Math.floor(counts.length / 2)] ?? 1;
  const whole = [...byDay]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .filter(([date, rows]) => {
      if (rows.length >= ENOUGH * usual) return true;
      const message = `${date} has ${rows.length} rows where other days have ${usual}.`;
      bad.push({ row: rows[0]!.row, message });
      return false;
    });
  const together = whole.filter(([, rows]) => rows.length > 1).length;
  const days = whole.map(([date, rows]) => dayOf(date, rows, site));
  const dry = whole.filter(([, rows]) => rows.every(({ rain }) => Number.isNaN(rain))).length;
  return { days, bad: bad.sort((a, b) => a.row - b.row), dry, together };
}

/** The date of a row as one text, also where year, month and day have a column each. */
function dateCell(cells: readonly string[], at: Columns): string {
  const cell = (column: Column): string => cells[at[column] ?? -1] ?? '';
  if (at.date !== undefined) return cell('date');
  if (at.year !== undefined && at.month !== undefined && at.day !== undefined)
    return `${cell('year').trim()}-${cell('month').trim()}-${cell('day').trim()}`;
  return cell('time');
}

/** What a row says, or why it cannot be. */
function measured(
  cells: readonly string[],
  row: number,
  date: string,
  { at, worth }: DaysQuestion,
): Measured | string {
  const cell = (column: Column): string | undefined =>
    at[column] === undefined ? '' : cells[at[column]];
  const warm = numberIn(cell('temperature'));
  const celsius = (t: number): number => (worth.fahrenheit ? ((t - 32) * 5) / 9 : t);
  const either = (column: 'tMin' | 'tMax'): number | undefined =>
    at[column] === undefined ? warm : numberIn(cell(column));
  const [least, greatest] = [either('tMin'), either('tMax')];
  if (least === undefined || greatest === undefined || Number.isNaN(least + greatest))
    return 'A temperature is missing or is no number.';
  const [low, high] = [celsius(least), celsius(greatest)];
  if (low < COLDEST || high > HOTTEST) return `${round(low)} to ${round(high)} °C cannot be.`;
  if (low > high) return `The least, ${least}, is above the greatest, ${greatest}.`;
  const fell = rainIn(cell('rain'));
  if (fell === undefined || fell < 0 || fell * worth.rain > MOST_RAIN_MM)
    return `Rain is in ${worth.inches ? 'inches' : 'millimetres'} of that day, 0 or more.`;
  const other = (column: Column, unit = 1): number => (numberIn(cell(column)) ?? NaN) * unit;
  return {
    ...{ row, date, low, high, rain: fell * worth.rain, et: other('et', worth.et) },
    ...{ wind: other('wind', worth.wind), humidity: other('humidity') },
    sun: other('sun', worth.sun),
  };
}

const round = (value: number): number => Math.round(value * 10) / 10;

type Value = 'rain' | 'et' | 'wind' | 'humidity' | 'sun';
const toldOf = (rows: readonly Measured[], key: Value): number[] =>
  rows.map((one) => one[key]).filter((value) => !Number.isNaN(value));
/** The sum of what was measured; NaN where nothing was. */
const sumOf = (rows: readonly Measured[], key: Value): number => {
  const told = toldOf(rows, key);
  return told.length === 0 ? NaN : told.reduce((sum, one) => sum + one, 0);
};
const meanOf = (rows: readonly Measured[], key: Value): number =>
  sumOf(rows, key) / toldOf(rows, key).length;

/** A day of one row or of its hours. */
function dayOf(date: string, rows: readonly Measured[], site: Site): WeatherDay {
  const tMin = Math.min(...rows.map(({ low }) => low));
  const tMax = Math.max(...rows.map(({ high }) => high));
  const rain = sumOf(rows, 'rain');
  const given = sumOf(rows, 'et');
  const place = { ...site, latitude: (site.latitude * Math.PI) / 180 };
  const et =
    given >= 0 && given < 25
      ? given * MM_A_DAY
      : referenceEt(airOf(rows, tMin, tMax), place, dayOfYear(date));
  return { date, tMin, tMax, rain: (Number.isNaN(rain) ? 0 : rain) * MM, et };
}

function airOf(rows: readonly Measured[], tMin: number, tMax: number): DayAir {
  const [wind, humidity, sun] = [
    meanOf(rows, 'wind'),
    meanOf(rows, 'humidity'),
    sumOf(rows, 'sun'),
  ];
  return {
    tMin,
    tMax,
    ...(wind >= 0 && wind < 60 ? { wind } : {}),
    ...(humidity > 1 && humidity <= 100 ? { humidity: { mean: humidity / 100 } } : {}),
    ...(sun >= 0 && sun <= 24 ? { sun: Math.min(sun / 12, 1) } : {}),
  };
}
