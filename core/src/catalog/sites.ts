/**
 * Made-up places with monthly normals, each the kind of climate that gardeners know. None is a real
 * place; the numbers are plausible together.
 */

/** Twelve values, January first. */
export type Months = readonly [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];

export interface Site {
  name: string;
  /** Degrees, north positive. */
  latitude: number;
  /** Metres above the sea. */
  altitude: number;
  coastal: boolean;
  /** Mean daily least and greatest temperature, °C. */
  tMin: Months;
  tMax: Months;
  /** Rain of the month, millimetres, and days with rain. */
  rain: Months;
  wetDays: Months;
  /** Mean relative humidity, 0 to 1. */
  humidity: Months;
  /** Mean wind at 2 m, m/s. */
  wind: Months;
  /** Share of the day with bright sun, 0 to 1. */
  sun: Months;
}

const even = (value: number): Months =>
  Array.from({ length: 12 }, () => value) as unknown as Months;

/** Twelve values by a yearly wave. @param peak month of the greatest value, 0 to 11 */
const wave = (least: number, greatest: number, peak: number): Months =>
  Array.from({ length: 12 }, (_, i) => {
    const at = Math.cos(((i - peak) * 2 * Math.PI) / 12);
    return Math.round(((least + greatest) / 2 + ((greatest - least) / 2) * at) * 100) / 100;
  }) as unknown as Months;

export const SITES = {
  vallesol: {
    name: 'Vallesol, dry hill town',
    latitude: 39.2,
    altitude: 620,
    coastal: false,
    tMin: [1, 2, 4, 7, 10, 14, 18, 18, 14, 10, 5, 2],
    tMax: [10, 12, 16, 18, 23, 29, 34, 33, 28, 21, 14, 11],
    rain: [45, 40, 35, 48, 40, 20, 6, 10, 28, 55, 58, 52],
    wetDays: [7, 6, 6, 8, 7, 3, 1, 1, 4, 7, 8, 8],
    humidity: [0.78, 0.72, 0.63, 0.6, 0.55, 0.45, 0.38, 0.41, 0.52, 0.66, 0.76, 0.8],
    wind: even(2),
    sun: [0.48, 0.53, 0.56, 0.58, 0.63, 0.72, 0.83, 0.8, 0.68, 0.57, 0.5, 0.45],
  },
  'cool-coast': {
    name: 'Cool north coast',
    latitude: 55.5,
    altitude: 15,
    coastal: true,
    tMin: wave(1.5, 11.5, 7),
    tMax: wave(6.5, 18.5, 7),
    rain: wave(55, 105, 10),
    wetDays: wave(11, 18, 11),
    humidity: even(0.83),
    wind: wave(3.2, 4.6, 0),
    sun: wave(0.2, 0.4, 5),
  },
  lowland: {
    name: 'Mild river lowland',
    latitude: 48.4,
    altitude: 130,
    coastal: false,
    tMin: wave(0, 14.5, 6),
    tMax: wave(6, 25.5, 6),
    rain: wave(48, 66, 5),
    wetDays: wave(8, 11, 0),
    humidity: wave(0.68, 0.86, 0),
    wind: wave(1.8, 2.8, 1),
    sun: wave(0.22, 0.54, 6),
  },
  plain: {
    name: 'Continental plain',
    latitude: 46.5,
    altitude: 240,
    coastal: false,
    tMin: wave(-7, 15.5, 6),
    tMax: wave(0, 29, 6),
    rain: wave(28, 78, 5),
    wetDays: wave(6, 10, 5),
    humidity: wave(0.6, 0.84, 0),
    wind: even(2.6),
    sun: wave(0.28, 0.64, 6),
  },
  plateau: {
    name: 'Hot dry plateau',
    latitude: 31,
    altitude: 1150,
    coastal: false,
    tMin: wave(2, 23, 6),
    tMax: wave(15, 38, 6),
    rain: wave(3, 24, 8),
    wetDays: wave(1, 4, 8),
    humidity: wave(0.2, 0.46, 0),
    wind: wave(2.2, 3.2, 4),
    sun: wave(0.74, 0.88, 5),
  },
  tropics: {
    name: 'Wet tropics',
    latitude: 4.5,
    altitude: 60,
    coastal: true,
    tMin: wave(22.5, 24, 4),
    tMax: wave(29.5, 31.5, 3),
    rain: wave(150, 330, 10),
    wetDays: wave(13, 22, 10),
    humidity: even(0.84),
    wind: even(1.2),
    sun: wave(0.36, 0.56, 2),
  },
  'south-coast': {
    name: 'Southern mild coast',
    latitude: -34,
    altitude: 40,
    coastal: true,
    tMin: wave(7, 17.5, 1),
    tMax: wave(16.5, 27, 1),
    rain: wave(14, 92, 6),
    wetDays: wave(3, 11, 6),
    humidity: wave(0.66, 0.8, 6),
    wind: wave(2.6, 3.8, 0),
    sun: wave(0.52, 0.74, 0),
  },
  'south-inland': {
    name: 'Southern high valley',
    latitude: -21,
    altitude: 1700,
    coastal: false,
    tMin: wave(4, 14.5, 0),
    tMax: wave(20, 27.5, 11),
    rain: wave(2, 160, 0),
    wetDays: wave(0.5, 16, 0),
    humidity: wave(0.42, 0.74, 1),
    wind: even(1.9),
    sun: wave(0.5, 0.84, 6),
  },
} as const satisfies Record<string, Site>;

export type SiteId = keyof typeof SITES;
export const SITE_IDS = Object.keys(SITES) as [SiteId, ...SiteId[]];
