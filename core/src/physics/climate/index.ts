export {
  altitudeUnit,
  MONTHS,
  normalName,
  NORMALS,
  plainNumber,
  readNormal,
  shownAltitude,
  shownNormal,
  type Normal,
  extremeMonths,
} from './averages';
export { waterDemandOn, dryingOf, exposureOf, type WaterDemand, type OpenWater } from './thirst';
export {
  hargreavesEt,
  daylight,
  referenceEt,
  saturationPressure,
  sky,
  sunlight,
  vapourPressure,
  windAtTwoMetres,
  type DayAir,
  type Spot as Ground,
} from './et0';
export {
  FIRST_WEATHER,
  daysThatCount,
  forecastUntil,
  measuredDaySchema,
  POLAR,
  siteOf,
  weatherChoiceSchema,
  type MeasuredDay,
  type WeatherChoice,
} from './choice';
export { roomDay } from './room';
export { readWeather, type WeatherColumn, type WeatherReading } from './readWeather';
export { dayIn, isZone, noonIn, ownZone, timeIn, zoned, zonedTime, zoneNames } from './zone';
export {
  averageDay,
  coldChance,
  dayAfter,
  dayOfYear,
  daysBetween,
  normalOn,
  weatherOf,
  type WeatherDay,
} from './weather';
