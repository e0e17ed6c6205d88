import { SITES, SITE_IDS } from '../../catalog';
import {
  dayOfYear,
  hargreavesEt,
  normalOn,
  readWeather,
  referenceEt,
  saturationPressure,
  sky,
  sunlight,
  vapourPressure,
  weatherOf,
  windAtTwoMetres,
} from '.';

const MM_A_DAY = 1e-3 / 86_400;
const rad = (degrees: number) => (degrees * Math.PI) / 180;
/** Uccle, FAO-56 example 18. */
const UCCLE = { latitude: rad(50.8), altitude: 100 };

describe('FAO-56', () => {
  test('example 18: 3.9 mm on 6 July', () => {
    const { hours } = sky(UCCLE.latitude, 187);
    const air = {
      tMin: 12.3,
      tMax: 21.5,
      humidity: { min: 0.63, max: 0.84 },
      wind: windAtTwoMetres(10 / 3.6, 10),
      sun: 9.25 / hours,
    };
    expect(Math.abs(referenceEt(air, UCCLE, 187) / MM_A_DAY - 3.9)).toBeLessThan(0.05);
    // Its steps: wind 2.078 m/s, es 1.997, ea 1.409 kPa, Ra 41.09, N 16.1 h, Rs 22.07.
    expect(air.wind).toBeCloseTo(2.078, 3);
    expect((saturationPressure(12.3) + saturationPressure(21.5)) / 2).toBeCloseTo(1.997, 3);
    expect(vapourPressure(air)).toBeCloseTo(1.409, 3);
    expect(sky(UCCLE.latitude, 187).radiation).toBeCloseTo(41.09, 1);
    expect(hours).toBeCloseTo(16.1, 1);
    expect(sunlight(air, UCCLE, 41.09)).toBeCloseTo(22.07, 1);
  });

  test('examples 3, 5, 8, 9 and 14', () => {
    expect((saturationPressure(24.5) + saturationPressure(15)) / 2).toBeCloseTo(2.39, 2);
    expect(vapourPressure({ tMin: 18, tMax: 25, humidity: { min: 0.54, max: 0.82 } })).toBeCloseTo(
      1.7,
      2,
    );
    const september = sky(rad(-20), 246);
    expect(september.radiation).toBeCloseTo(32.2, 1);
    expect(september.hours).toBeCloseTo(11.7, 1);
    expect(windAtTwoMetres(3.2, 10)).toBeCloseTo(2.4, 1);
  });

  test('what is missing: dew at the night’s least, sun from the range, a wind of 2 m/s', () => {
    const air = { tMin: 14.8, tMax: 26.6 };
    const lyon = { latitude: rad(45.72), altitude: 200 };
    const { radiation } = sky(lyon.latitude, 196);
    expect(vapourPressure(air)).toBeCloseTo(0.6108 * Math.exp((17.27 * 14.8) / (14.8 + 237.3)), 9);
    expect(sunlight(air, lyon, radiation)).toBeCloseTo(0.16 * Math.sqrt(11.8) * radiation, 9);
    const known = {
      ...air,
      wind: 2,
      humidity: {
        mean:
          saturationPressure(14.8) / ((saturationPressure(14.8) + saturationPressure(26.6)) / 2),
      },
    };
    expect(referenceEt(air, lyon, 196)).toBeCloseTo(referenceEt(known, lyon, 196), 12);
    // By hand: 0.0023 · 38.5 · √11.8 · 40.6 · 0.408.
    expect(hargreavesEt(air, lyon, 196) / MM_A_DAY).toBeCloseTo(5.04, 1);
  });

  test('no sun under the pole’s night, and no evaporation below zero', () => {
    expect(sky(rad(89), 355).radiation).toBe(0);
    expect(
      referenceEt({ tMin: -30, tMax: -25 }, { latitude: rad(89), altitude: 0 }, 355),
    ).toBeGreaterThanOrEqual(0);
  });
});

test('made-up weather keeps its normals over many years, on both hemispheres', () => {
  expect(SITE_IDS.length).toBeGreaterThanOrEqual(8);
  expect(SITE_IDS.some((id) => SITES[id].latitude < 0)).toBe(true);
  for (const id of SITE_IDS) {
    const site = SITES[id];
    const days = Array.from({ length: 25 }, (_, seed) =>
      weatherOf(site, '2027-01-01', 365, seed),
    ).flat();
    const mean = (value: (day: (typeof days)[number]) => number) =>
      days.reduce((sum, day) => sum + value(day), 0) / days.length;
    const normal = (months: readonly number[]) => months.reduce((sum, one) => sum + one, 0) / 12;
    expect(Math.abs(mean((day) => day.tMax) - normal(site.tMax))).toBeLessThan(0.6);
    expect(Math.abs(mean((day) => day.tMin) - normal(site.tMin))).toBeLessThan(0.6);
    const rain = mean((day) => day.rain) * 365.25;
    const year = site.rain.reduce((sum, one) => sum + one, 0) / 1000;
    expect([id, Math.abs(rain - year) / year < 0.12]).toEqual([id, true]);
    const wet =
      (mean((day) => (day.rain > 0 ? 1 : 0)) * 365.25) /
      site.wetDays.reduce((sum, one) => sum + one, 0);
    expect([id, Math.abs(wet - 1) < 0.1]).toEqual([id, true]);
    // More of a year's evaporation in its warm half.
    const warm = mean((day) =>
      normalOn(site.tMax, dayOfYear(day.date)) > normal(site.tMax) ? day.et : 0,
    );
    expect(warm).toBeGreaterThan(0.5 * mean((day) => day.et));
  }
});

describe('weather of one’s own', () => {
  const site = SITES.vallesol;
  const table = (...rows: string[]) => rows.map((row) => row.split(','));
  const days = (from: number, count: number) =>
    Array.from({ length: count }, (_, i) => `2026-05-${String(from + i).padStart(2, '0')},10,24,0`);
  const read = (...rows: string[]) => {
    const reading = readWeather(table(...rows), site);
    if (!reading.ok) throw new Error(reading.message);
    return reading;
  };
  const refused = (...rows: string[]) => {
    const reading = readWeather(table(...rows), site);
    if (reading.ok) throw new Error('taken');
    return reading.message;
  };

  test('columns in any order, with units in their headings, and what is given is taken', () => {
    const reading = read(
      'Rain (mm),Date,T max [°C],T min,ET0',
      ...days(1, 8).map((row) => {
        const [date, low, high] = row.split(',');
        return `1.5,${date},${high},${low},4.2`;
      }),
    );
    expect(reading.days).toHaveLength(8);
    expect(reading.days[0]!.rain).toBeCloseTo(0.0015, 9);
    expect(reading.days[0]!.et / MM_A_DAY).toBeCloseTo(4.2, 9);
  });

  test('bad rows are named and left out, a day stands once, and gaps are as usual there', () => {
    const rows = [
      'date,tmin,tmax,rain',
      ...days(1, 8),
      '2026-05-09,30,20,0',
      '2026-05-10,10,24,-1',
      'soon,1,2,0',
      ...days(11, 2),
      '2026-05-03,10,24,0',
      ...days(20, 2),
    ];
    const reading = read(...rows);
    expect(reading.filled).toBe(9);
    expect(reading.days).toHaveLength(21);
    expect(reading.bad.map(({ row }) => row)).toEqual([10, 11, 12, 15]);
    expect(reading.bad.map(({ message }) => message).join(' ')).toMatch(
      /above the greatest.*millimetres.*no date.*stands in row 4 already/,
    );
  });

  test('Fahrenheit is seen and turned, other columns and too few days are explained', () => {
    const hot = days(1, 8).map((row) => row.replace(',10,24,', ',50,75.2,'));
    const reading = read('date,tmin,tmax,rain', ...hot);
    expect(reading.fahrenheit).toBe(true);
    expect(reading.days[0]).toMatchObject({ tMin: 10, tMax: expect.closeTo(24, 9) });
    expect(reading.inches).toBe(true);
    expect(refused('a,b,c', '1,2,3')).toMatch(/no column for ‘date’, ‘tmin’, ‘tmax’, ‘rain’/);
    expect(refused('date,tmin,tmax,rain', ...days(1, 3))).toMatch(/Only 3 days/);
    expect(refused('date,tmin,tmax,rain')).toBe('The file holds no rows.');
  });

  test('a heading says its unit: a table in °F, inches and mph gives the weather of the one in °C, mm and m/s', () => {
    const dates = Array.from({ length: 8 }, (_, i) => `2026-05-0${i + 1}`);
    const metric = read(
      'date,tmin (°C),tmax (°C),rain (mm),wind (m/s),et0 (mm)',
      ...dates.map((date) => `${date},10,24,25.4,4.4704,5.08`),
    );
    const us = read(
      'Date,Low °F,High °F,Rain in,Wind mph,et0 (in)',
      ...dates.map((date) => `${date},50,75.2,1,10,0.2`),
    );
    expect([metric.fahrenheit, metric.inches]).toEqual([false, false]);
    expect([us.fahrenheit, us.inches]).toEqual([true, true]);
    us.days.forEach((day, i) => {
      const same = metric.days[i]!;
      expect(day.date).toBe(same.date);
      for (const key of ['tMin', 'tMax', 'rain', 'et'] as const)
        expect(day[key]).toBeCloseTo(same[key], 9);
    });
    expect(us.days[0]!.rain).toBeCloseTo(0.0254, 12);
  });

  test('wind by its unit is the same air: in km/h, mph, knots and m/s', () => {
    const dates = Array.from({ length: 8 }, (_, i) => `2026-05-0${i + 1}`);
    const airy = (heading: string, wind: number) =>
      read(`date,tmin,tmax,rain,${heading}`, ...dates.map((date) => `${date},10,24,0,${wind}`))
        .days[0]!.et;
    const calm = airy('wind', 5);
    expect(airy('wind (km/h)', 18)).toBeCloseTo(calm, 12);
    expect(airy('wind mph', 5 / 0.44704)).toBeCloseTo(calm, 12);
    expect(airy('windspeed (knots)', (5 * 3600) / 1852)).toBeCloseTo(calm, 12);
    expect(airy('wind', 1)).toBeLessThan(calm);
  });

  test('rain in millimetres beside °F stays millimetres where its heading says so', () => {
    const hot = days(1, 8).map((row) => row.replace(/,10,24,0$/, ',50,75.2,5'));
    const reading = read('date,tmin,tmax,rain (mm)', ...hot);
    expect([reading.fahrenheit, reading.inches]).toEqual([true, false]);
    expect(reading.days[0]!.rain).toBeCloseTo(0.005, 12);
  });
});
