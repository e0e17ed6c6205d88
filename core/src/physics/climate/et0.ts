/**
 * Reference evapotranspiration of a day by FAO Irrigation and Drainage Paper 56 (Allen and others
 * 1998), with its procedures for data that are missing. Numbers in brackets are its equations.
 * Temperatures are degrees Celsius, radiation MJ/m² a day, vapour pressure kPa, as in the paper; the
 * result is SI.
 */

/** What is known of a day. What is left out is estimated as the paper says. */
export interface DayAir {
  /** Least and greatest air temperature, °C. */
  tMin: number;
  tMax: number;
  /** Relative humidity, 0 to 1: least and greatest, or the mean. */
  humidity?: { min: number; max: number } | { mean: number };
  /** Wind at 2 m, m/s. */
  wind?: number;
  /** Hours of bright sun as a share of the day's length, 0 to 1. */
  sun?: number;
}

/** Where it is. */
export interface Spot {
  /** Radians, north positive. */
  latitude: number;
  /** Metres above the sea. */
  altitude: number;
  /** At the sea, where days and nights differ less for the same sun. */
  coastal?: boolean;
}

const MM_A_DAY = 1e-3 / 86_400;
const SOLAR_CONSTANT = 0.082;
const STEFAN_BOLTZMANN = 4.903e-9;
const ALBEDO = 0.23;
/** Evaporation in mm that 1 MJ/m² gives. */
const TO_MM = 0.408;
/** Wind where none is known, m/s (the paper's average of 2000 stations). */
const USUAL_WIND = 2;

/** Saturation vapour pressure at a temperature, kPa [11]. */
export const saturationPressure = (t: number): number =>
  0.6108 * Math.exp((17.27 * t) / (t + 237.3));

/** Wind at 2 m from wind at another height, m/s [47]. @param height metres */
export const windAtTwoMetres = (wind: number, height: number): number =>
  (wind * 4.87) / Math.log(67.8 * height - 5.42);

/**
 * Radiation at the top of the air, MJ/m² a day [21], and the length of the day, hours [34].
 *
 * @param dayOfYear 1 to 366
 */
export function sky(latitude: number, dayOfYear: number): { radiation: number; hours: number } {
  const year = (2 * Math.PI * dayOfYear) / 365;
  const distance = 1 + 0.033 * Math.cos(year);
  const declination = 0.409 * Math.sin(year - 1.39);
  const x = -Math.tan(latitude) * Math.tan(declination);
  const sunset = Math.acos(Math.min(Math.max(x, -1), 1));
  const radiation =
    ((24 * 60) / Math.PI) *
    SOLAR_CONSTANT *
    distance *
    (sunset * Math.sin(latitude) * Math.sin(declination) +
      Math.cos(latitude) * Math.cos(declination) * Math.sin(sunset));
  return { radiation: Math.max(radiation, 0), hours: (24 / Math.PI) * sunset };
}

/** The length of a day, hours. @param latitude degrees; @param dayOfYear 1 to 366 */
export const daylight = (latitude: number, dayOfYear: number): number =>
  sky((latitude * Math.PI) / 180, dayOfYear).hours;

/** Actual vapour pressure, kPa [17, 19]; without humidity the dew point is the night's least [48]. */
export function vapourPressure({ tMin, tMax, humidity }: DayAir): number {
  if (!humidity) return saturationPressure(tMin);
  const [cold, warm] = [saturationPressure(tMin), saturationPressure(tMax)];
  if ('mean' in humidity) return (humidity.mean * (cold + warm)) / 2;
  return (cold * humidity.max + warm * humidity.min) / 2;
}

/** Sunlight at the ground, MJ/m² a day [35]; without hours of sun from the day's range [50]. */
export function sunlight(air: DayAir, spot: Spot, radiation: number): number {
  if (air.sun !== undefined) return (0.25 + 0.5 * air.sun) * radiation;
  const k = spot.coastal ? 0.19 : 0.16;
  const clear = (0.75 + 2e-5 * spot.altitude) * radiation;
  return Math.min(k * Math.sqrt(Math.max(air.tMax - air.tMin, 0)) * radiation, clear);
}

/**
 * Penman–Monteith reference evapotranspiration of a grass [6].
 *
 * @returns m/s of water depth, as a mean over the day; never below zero
 */
export function referenceEt(air: DayAir, spot: Spot, dayOfYear: number): number {
  const { tMin, tMax } = air;
  const mean = (tMin + tMax) / 2;
  const es = (saturationPressure(tMin) + saturationPressure(tMax)) / 2;
  const ea = Math.min(vapourPressure(air), es);
  const slope = (4098 * saturationPressure(mean)) / (mean + 237.3) ** 2;
  const pressure = 101.3 * ((293 - 0.0065 * spot.altitude) / 293) ** 5.26;
  const gamma = 0.665e-3 * pressure;
  const { radiation } = sky(spot.latitude, dayOfYear);
  const light = sunlight(air, spot, radiation);
  const clear = (0.75 + 2e-5 * spot.altitude) * radiation;
  const cloud = clear > 0 ? Math.min(light / clear, 1) : 1;
  const hot = ((tMax + 273.16) ** 4 + (tMin + 273.16) ** 4) / 2;
  const longwave = STEFAN_BOLTZMANN * hot * (0.34 - 0.14 * Math.sqrt(ea)) * (1.35 * cloud - 0.35);
  const net = (1 - ALBEDO) * light - longwave;
  const wind = air.wind ?? USUAL_WIND;
  const mm =
    (TO_MM * slope * net + gamma * (900 / (mean + 273)) * wind * (es - ea)) /
    (slope + gamma * (1 + 0.34 * wind));
  return Math.max(mm, 0) * MM_A_DAY;
}

/**
 * Hargreaves’ estimate from temperatures alone [52].
 *
 * @returns m/s of water depth, as a mean over the day
 */
export function hargreavesEt(
  { tMin, tMax }: Pick<DayAir, 'tMin' | 'tMax'>,
  { latitude }: Pick<Spot, 'latitude'>,
  dayOfYear: number,
): number {
  const { radiation } = sky(latitude, dayOfYear);
  const range = Math.sqrt(Math.max(tMax - tMin, 0));
  const mm = 0.0023 * ((tMin + tMax) / 2 + 17.8) * range * radiation * TO_MM;
  return Math.max(mm, 0) * MM_A_DAY;
}
