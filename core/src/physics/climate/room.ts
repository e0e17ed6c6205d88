import type { WeatherDay } from './weather';

/**
 * The air of a room by a window. Penman's equation has no wind to go by there, so the day's evaporation is
 * taken in two parts: what comes with the light through the glass, a share of what the sky gives outside in
 * that month, and what heated, dry air takes at any time of the year. How much sun the window has, and that it
 * is indoors, multiply both as they do elsewhere. Typical values.
 */

/** Share of the day's evaporation outside that comes in with the light. */
const THROUGH_GLASS = 0.6;
/** What dry room air takes besides, m/s: two millimetres a day. */
const DRY_AIR = 2e-3 / 86_400;
/** Temperatures of a lived-in room, °C; a summer's day warms it. */
const COOL = 17;
const WARM = 22;
const HOTTEST = 30;

/** A day as a plant by a window has it. */
export const roomDay = (day: WeatherDay): WeatherDay => ({
  date: day.date,
  tMin: COOL,
  tMax: Math.min(Math.max(day.tMax, WARM), HOTTEST),
  rain: 0,
  et: THROUGH_GLASS * day.et + DRY_AIR,
});
