// By name: looked up once, these loops run millions of times.
const { min, max, cos, ceil, PI } = Math;

/**
 * A day in blocks, within which sun and rain stay the same. Daylight is a half sine from six to six and
 * is taken in blocks of four hours with their own mean; the dark hours after it and before it are one
 * block each; rain falls by the hour.
 */
export interface Block {
  /** Hours of the day. */
  from: number;
  to: number;
  /** Evaporation as a multiple of the day's mean. */
  light: number;
  rains: boolean;
}

export const HOUR = 3600;
const HOURS = 24;
const DAWN = 6;
const DUSK = 18;
/** Rain of a day falls at most this fast, metres an hour, from this hour on. */
const HEAVY = 0.008;
const RAIN_FROM = 14;
const EVERY_HOUR = Array.from({ length: HOURS + 1 }, (_, hour) => hour);
const BY_LIGHT = [0, DAWN, 10, 14, DUSK, HOURS];

/** What of a day's sun has come by an hour, 0 to 1. */
const sunUntil = (hour: number): number =>
  (1 - cos((PI * (min(max(hour, DAWN), DUSK) - DAWN)) / (DUSK - DAWN))) / 2;

/** For how many hours of the day it rains. @param rain of the day, metres */
export const wetHours = (rain: number): number =>
  rain > 0 ? min(max(ceil(rain / HEAVY), 1), HOURS) : 0;

const made = new Map<string, readonly Block[]>();

/** The blocks of a day with so many hours of rain. @param hourly every hour one of its own */
export function blocksOf(wet: number, hourly = false): readonly Block[] {
  const key = `${wet} ${hourly}`;
  const known = made.get(key);
  if (known) return known;
  const from = min(RAIN_FROM, HOURS - wet);
  const edges = [
    ...new Set([...(hourly ? EVERY_HOUR : BY_LIGHT), ...(wet > 0 ? [from, from + wet] : [])]),
  ];
  edges.sort((a, b) => a - b);
  const blocks = edges.slice(1).map((to, i): Block => {
    const start = edges[i] as number;
    const light = ((sunUntil(to) - sunUntil(start)) * HOURS) / (to - start);
    return { from: start, to, light, rains: wet > 0 && start >= from && to <= from + wet };
  });
  made.set(key, blocks);
  return blocks;
}

/** When the stick is read and water is given: at first light. */
export const MORNING = DAWN;
