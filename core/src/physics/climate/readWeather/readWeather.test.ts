import fc from 'fast-check';
import { SITES } from '../../../catalog';
import { dayAfter } from '../weather';
import { columnsIn, missingIn } from './columns';
import { readWeather } from '.';

const site = SITES.vallesol;
const parse = (text: string, between = ','): string[][] =>
  text
    .trim()
    .split('\n')
    .map((line) => line.trim().split(between));
const taken = (rows: readonly (readonly string[])[], monthFirst = false) => {
  const reading = readWeather(rows, site, monthFirst);
  if (!reading.ok) throw new Error(reading.message);
  return reading;
};

interface Day {
  low: number;
  high: number;
  rain: number;
}
const pad = (n: number): string => String(n).padStart(2, '0');
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** How somebody's table writes a day, its numbers and its heading. */
const STYLES: Record<string, (date: string) => string> = {
  iso: (date) => date,
  slashes: (date) => date.replaceAll('-', '/'),
  packed: (date) => date.replaceAll('-', ''),
  moment: (date) => `${date}T12:00:00+01:00`,
  dots: (date) => date.split('-').reverse().join('.'),
  'day first': (date) => date.split('-').reverse().join('/'),
  'month first': (date) =>
    `${Number(date.slice(5, 7))}/${Number(date.slice(8))}/${date.slice(0, 4)}`,
  named: (date) =>
    `${Number(date.slice(8))} ${MONTHS[Number(date.slice(5, 7)) - 1]} ${date.slice(0, 4)}`,
  american: (date) =>
    `${MONTHS[Number(date.slice(5, 7)) - 1]} ${Number(date.slice(8))}, ${date.slice(0, 4)}`,
};
const HEADS: readonly (readonly string[])[] = [
  ['date', 'tmin', 'tmax', 'rain'],
  ['DATE', 'TMIN (°C)', 'TMAX (°C)', 'PRCP (mm)'],
  ['Datum', 'Tiefsttemperatur', 'Höchsttemperatur', 'Niederschlag [mm]'],
  ['Fecha', 'Temperatura mínima', 'Temperatura máxima', 'Precipitación'],
  ['Jour', 'Température minimale', 'Température maximale', 'Précipitations'],
  ['Data', 'Temperatura minima', 'Temperatura massima', 'Pioggia'],
  ['time', 'temperature_2m_min', 'temperature_2m_max', 'precipitation_sum'],
  ['MESS_DATUM', ' TNK', ' TXK', ' RSK'],
];

const aDay: fc.Arbitrary<Day> = fc
  .record({
    low: fc.integer({ min: -80, max: 250 }),
    span: fc.integer({ min: 0, max: 150 }),
    rain: fc.integer({ min: 0, max: 400 }),
  })
  .map(({ low, span, rain }) => ({ low: low / 10, high: (low + span) / 10, rain: rain / 10 }));
const tables = fc.record({
  days: fc.array(aDay, { minLength: 40, maxLength: 60 }),
  from: fc.integer({ min: 0, max: 700 }).map((n) => dayAfter('2024-01-01', n)),
  style: fc.constantFrom(...Object.keys(STYLES)),
  head: fc.constantFrom(...HEADS),
  order: fc.shuffledSubarray([1, 2, 3], { minLength: 3 }),
  comma: fc.boolean(),
  descending: fc.boolean(),
  before: fc.array(fc.constantFrom('Station: Casa Lumbre', '', 'Height;640 m'), { maxLength: 5 }),
  unitsRow: fc.boolean(),
});

test('the same days are read from any usual date, order, language, mark, and lines above the heading', () => {
  fc.assert(
    fc.property(
      tables,
      ({ days, from, style, head, order, comma, descending, before, unitsRow }) => {
        const write = (value: number): string => String(value).replace('.', comma ? ',' : '.');
        const rows = days.map(({ low, high, rain }, i) => {
          const cells = ['', write(low), write(high), write(rain)];
          return [STYLES[style]!(dayAfter(from, i)), ...order.map((k) => cells[k]!)];
        });
        if (descending) rows.reverse();
        const unit = ['', '°C', '°C', 'mm'];
        const table = [
          ...before.map((line) => line.split(';')),
          [head[0]!, ...order.map((k) => head[k]!)],
          ...(unitsRow ? [['', ...order.map((k) => unit[k]!)]] : []),
          ...rows,
        ];
        const reading = taken(table);
        expect(reading.bad).toEqual([]);
        expect(reading.filled).toBe(0);
        expect(reading.days.map(({ date }) => date)).toEqual(days.map((_, i) => dayAfter(from, i)));
        reading.days.forEach(({ tMin, tMax, rain }, i) => {
          expect(tMin).toBeCloseTo(days[i]!.low, 9);
          expect(tMax).toBeCloseTo(days[i]!.high, 9);
          expect(rain).toBeCloseTo(days[i]!.rain / 1000, 12);
        });
      },
    ),
    { numRuns: 150 },
  );
});

test('hours become days: least, greatest, sum of rain, and a day with few of them is named', () => {
  const rows = Array.from({ length: 9 * 24 }, (_, i) => {
    const hour = i % 24;
    const t = 16 - 6 * Math.cos(((hour - 3) * Math.PI) / 12);
    return [
      `2026-06-${pad(1 + Math.floor(i / 24))} ${pad(hour)}:00`,
      t.toFixed(1),
      hour === 5 ? '1.2' : '0',
      '50',
    ];
  });
  const reading = taken([['Date/Time', 'Temp Out', 'Rain', 'Hum'], ...rows.slice(0, -20)]);
  expect(reading.together).toBe(8);
  expect(reading.days).toHaveLength(8);
  for (const { tMin, tMax, rain } of reading.days)
    expect([tMin, tMax, rain]).toEqual([10, 22, expect.closeTo(0.0012, 12)]);
  expect(reading.bad[0]!.message).toBe('2026-06-09 has 4 rows where other days have 24.');
});

test('year, month, day and hour may have columns of their own', () => {
  const rows = Array.from({ length: 8 * 4 }, (_, i) => [
    '2026',
    '6',
    String(1 + (i >> 2)),
    String(6 * (i % 4)),
    String(10 + (i % 4)),
    '0,5',
  ]);
  const { days } = taken([['YEAR', 'MO', 'DY', 'HR', 'T2M temp', 'PRECTOTCORR precip'], ...rows]);
  expect(days).toHaveLength(8);
  expect(days[0]).toMatchObject({
    date: '2026-06-01',
    tMin: 10,
    tMax: 13,
    rain: expect.closeTo(0.002, 12),
  });
});

test('traces, blanks and marks: none of them stops a table, and what counts as dry is said', () => {
  const reading = taken(
    parse(`
      date,tmin,tmax,rain
      2026-05-01,10,24,T
      2026-05-02,10,24,
      2026-05-03,10,24,--
      2026-05-04,10.5*,24 °C,1.2s
      2026-05-05,-9999,24,0
      2026-05-06,10,24,0
      2026-05-07,M,M,3
      2026-05-08,10,24,0
      2026-05-09,10,24,much`),
  );
  expect(reading.dry).toBe(2);
  expect(reading.bad.map(({ row }) => row)).toEqual([6, 8, 10]);
  // Two days between are as they usually are there in May.
  expect(reading.filled).toBe(2);
  expect(reading.days[4]).toMatchObject({ tMin: site.tMin[4], tMax: site.tMax[4] });
  expect(reading.days[3]!.rain).toBeCloseTo(0.0012, 12);
  expect(reading.days).toHaveLength(8);
});

test('of parts with a long gap between them the longest is used, and that is said', () => {
  const part = (from: string, count: number): string[][] =>
    Array.from({ length: count }, (_, i) => [dayAfter(from, i), '9', '20', '0']);
  const reading = taken([
    ['date', 'tmin', 'tmax', 'rain'],
    ...part('2026-01-01', 10),
    ...part('2026-05-01', 30),
  ]);
  expect(reading.days[0]!.date).toBe('2026-05-01');
  expect(reading.bad).toEqual([
    { row: 0, message: expect.stringMatching(/from 2026-05-01 to 2026-05-30/) },
  ]);
});

test('where day and month cannot be told apart, the order counts in which days follow each other', () => {
  const table = (dates: readonly string[]) => [
    ['date', 'low', 'high', 'rain'],
    ...dates.map((date) => [date, '9', '20', '0']),
  ];
  const june = Array.from({ length: 9 }, (_, i) => `6/${i + 1}/2026`);
  expect(taken(table(june)).days[0]!.date).toBe('2026-06-01');
  // By themselves these are the first of months or the first days of one.
  const start = Array.from({ length: 9 }, (_, i) => `${i + 1}/6/2026`);
  expect(taken(table(start), true).days.map(({ date }) => date)).toEqual(
    start.map((_, i) => dayAfter('2026-06-01', i)),
  );
});

test.each([
  ['Date,Low °F,High °F,Rain in', []],
  ['Date,Dew Point,Temp,Rain Rate,Rain', []],
  ['Date,Temperature Feels Like Max,Tmax,Tmin,Precipitation Hours,Precipitation', []],
  ['Zeit,Temperatur Mittel,Temp. Max.,Temp. Min.,Windböe max,Regen', []],
  ['Date,Wind Max,Humidity Min,Rain', ['tmin', 'tmax']],
  ['a,b,c', ['date', 'tmin', 'tmax', 'rain']],
])('%s lacks %j', (head, missing) =>
  expect(missingIn(columnsIn(head.split(',')))).toEqual(missing),
);

test('of several columns the right one is taken', () => {
  const at = (head: string) => columnsIn(head.split(','));
  expect(at('Date,Dew Point,Temp,Rain Rate,Rain')).toEqual({ date: 0, temperature: 2, rain: 4 });
  expect(at('Datum,Windböe max,Wind km/h,Temp. Max.,Temp. Min.,Luftfeuchte')).toEqual({
    ...{ date: 0, wind: 2, tMax: 3, tMin: 4, humidity: 5 },
  });
  expect(at('date,et0_fao_evapotranspiration,sunshine_duration (s),wind_speed_10m_mean')).toEqual({
    ...{ date: 0, et: 1, sun: 2, wind: 3 },
  });
});
