import { SHORT_SUCTION } from '../physics/crop';
import { meanWaterContent, waterContent } from '../physics/soil';
import {
  BASE_SUCTION,
  freeWaterBelow,
  rootSupply,
  soilBeds,
  totalDelivery,
  type Planter,
  type RootWay,
} from '../assembly';

const DAY = 86_400;

/** Slices that the reservoir is emptied in. */
const SLICES = 20;

/**
 * Share of a hot day's thirst that must still come up from below for the water to count as usable, where
 * the soil's reserve makes up the rest.
 */
const STILL_COMES = 0.5;

/**
 * How much more than is drunk must be able to come up on the whole, so that the soil gets back what it lacked:
 * the wetter it is again, the less it draws.
 */
const RECOVERS = 1.2;

/**
 * Share of what comes up from the full reservoir that is asked for at the most: a wick that only just carries the day
 * has nothing to spare at any level, and its soil stands drier instead.
 */
const OF_FULL = 0.75;

/** What is less than half a day is said to be: more than nothing, less than a half. */
const LESS_THAN_HALF = 0.25;

/** Days as they are said to a person: to the half below, from ten on to the whole, never rounded up. */
export function cautiousDays(days: number): number {
  if (!Number.isFinite(days)) return days;
  if (days > 1e-3 && days < 0.5 - 1e-9) return Math.min(days, LESS_THAN_HALF);
  return days >= 10 ? Math.floor(days + 1e-9) : Math.floor(days * 2 + 1e-9) / 2;
}

/** The same, or null where there are none to say: nothing drinks, or nothing reaches it. */
export function daysToSay(days: number): number | null {
  const said = cautiousDays(days);
  return said > 0 && Number.isFinite(said) ? said : null;
}

/** How long a full planter lasts with the same day over and over. */
export interface DaysOfWater {
  /** Until it reads low, days: from one filling to the next. */
  days: number;
  /** Until plants go short, days: the soil’s easily available water used up too. */
  short: number;
  /** Days from the one to the other: what the soil still holds. */
  reserve: number;
  /** Level down to which the reservoir is of use that way, metres above the inside floor. */
  level: number;
  /** Water that is of use that way, supply and all, m³. */
  used: number;
}

/** Water that waits in a supply barrel, or comes from the line that it is joined to, m³. */
export const supplyOf = ({ design, share }: Pick<Planter, 'design' | 'share'>): number =>
  (share ?? design.reservoir.supply)?.volume ?? 0;

/** The level below which no wick can reach, metres; the brim when there is no wick at all. */
export function lastDropLevel({ wicks, heights }: Planter): number {
  const lowest = wicks.reduce((low, wick) => Math.min(low, wick.lastDrop), heights.brim);
  return Math.max(lowest, 0);
}

/** The reservoir in slices from the brim down: what is in them, and what comes up from each. */
export interface Descent {
  /** From the brim down to the last drop, metres; one more than there are slices. */
  readonly levels: readonly number[];
  /** m³ of each slice, and what wicks and roots bring up with the water in its middle, m³/s. */
  readonly volumes: readonly number[];
  readonly brings: readonly number[];
  /** What they bring from the full reservoir, m³/s. */
  readonly full: number;
  /** Waits in a supply barrel, m³. */
  readonly supply: number;
}

/** What wicks, and roots that are down, bring up with the water at a level, m³/s. */
export const broughtAt = (
  { wicks }: Pick<Planter, 'wicks'>,
  ways: readonly RootWay[],
  level: number,
): number => totalDelivery(wicks, level) + rootSupply(ways, level);

/** @param ways of the roots to the water; none while they are not down */
export function descentOf(planter: Planter, ways: readonly RootWay[]): Descent {
  const { brim } = planter.heights;
  const bottom = ways.reduce((low, { foot }) => Math.min(low, foot), lastDropLevel(planter));
  const step = (brim - Math.max(bottom, 0)) / SLICES;
  const levels = Array.from({ length: SLICES + 1 }, (_, i) => brim - i * step);
  const below = levels.map((level) => freeWaterBelow(planter, level));
  return {
    levels,
    volumes: levels.slice(1).map((_, i) => (below[i] as number) - (below[i + 1] as number)),
    brings: levels
      .slice(1)
      .map((level) => (step > 0 ? broughtAt(planter, ways, level + step / 2) : 0)),
    full: broughtAt(planter, ways, brim),
    supply: supplyOf(planter),
  };
}

/**
 * Water that the soil gives, from carrying a day's thirst up from a full reservoir until it is so dry
 * throughout that plants go short, m³.
 *
 * @param demand m³/s, and what comes up from the `full` reservoir
 */
export function soilReserve(planter: Planter, demand: number, full: number): number {
  const { brim, base } = planter.heights;
  const hangs = Math.max(base - brim, 0);
  // The suction at the base grows from hanging to what makes the wicks bring what is asked.
  const most = pullOf(planter);
  const pulls = Math.max(most - hangs, 0) * Math.min(full > 0 ? demand / full : 1, 1);
  return soilBeds(planter).reduce((sum, { mix, from, to, volume }) => {
    const low = Math.max(from, base) - base + hangs + pulls;
    const holds = meanWaterContent(mix, low, Math.max(to - base, 0) + hangs + pulls);
    return sum + Math.max(holds - waterContent(mix, SHORT_SUCTION), 0) * volume;
  }, 0);
}

/** The same reservoir while roots are still in the soil. */
export const byWicksAlone = ({ wicks, heights }: Planter, descent: Descent): Descent => ({
  ...descent,
  brings: descent.levels
    .slice(1)
    .map((level, i) => totalDelivery(wicks, (level + (descent.levels[i] as number)) / 2)),
  full: totalDelivery(wicks, heights.brim),
});

/** The suction at which the wicks deliver their most from a full reservoir, each by its share. Metres. */
function pullOf({ wicks, heights }: Planter): number {
  let sum = 0;
  let all = 0;
  for (const wick of wicks) {
    const brings = wick.deliveryAt(heights.brim);
    sum += brings * wick.pulls;
    all += brings;
  }
  return all > 0 ? sum / all : BASE_SUCTION;
}

/**
 * Empties a full planter at a steady thirst, again and again. Water counts as long as half of what is asked
 * still comes up, the soil's reserve makes up the rest, and from filling to filling as much comes up as is
 * drunk; then what passes through the reservoir is what is drunk, so the days are its usable water over the
 * thirst. What the soil still holds then, with the little that comes up below, is the reserve.
 *
 * @param demand m³/s; @param reserve that the soil gives, m³; @param open what dries up besides, m³/s
 */
export function daysOfWaterOf(
  descent: Descent,
  demand: number,
  reserve: number,
  open = 0,
): DaysOfWater {
  const { levels, volumes, brings, supply, full } = descent;
  const brim = levels[0] as number;
  if (demand <= 0)
    return { days: Infinity, short: Infinity, reserve: Infinity, level: brim, used: 0 };
  if (full <= 0) {
    const short = reserve / demand / DAY;
    return { days: 0, short, reserve: short, level: brim, used: 0 };
  }
  const told = (used: number, until: number, level: number): DaysOfWater => {
    const days = used / (demand + open) / DAY;
    const short = Math.max(until / DAY, days);
    return { days, short, reserve: short - days, level, used };
  };
  // A barrel behind a float valve keeps the level where it is until it is empty.
  const first = Math.min(demand, full);
  let seconds = supply > 0 && first > 0 ? supply / (first + open) : 0;
  let quickest = supply > 0 && full > 0 ? supply / (full + open) : 0;
  let used = seconds > 0 ? supply : 0;
  let lacked = (demand - first) * seconds;
  if (lacked > reserve) {
    const until = reserve / (demand - first);
    return told(until * (first + open), until, brim);
  }
  const least = STILL_COMES * Math.min(demand, full);
  const comesBack = Math.min(RECOVERS * demand, OF_FULL * full) / demand;
  let i = 0;
  let part = 0;
  for (; i < volumes.length; i += 1) {
    const brought = brings[i] as number;
    if (brought < least || brought <= 0) {
      // It falls below the least somewhere between the middles of two slices.
      const before = i > 0 ? (brings[i - 1] as number) : full;
      const at = i > 0 ? (before - least) / (before - brought) - 0.5 : 0;
      const of = Math.floor(i + at);
      const volume = at * (volumes[of] as number);
      used += volume;
      seconds += volume / (least + open);
      lacked += (volume * (demand - least)) / (least + open);
      part = i + at - of;
      i = of;
      break;
    }
    const volume = volumes[i] as number;
    const comes = Math.min(demand, brought);
    const lasts = volume / (comes + open);
    const lacks = (demand - comes) * lasts;
    // As far as the reserve carries it, and as far as it is made good after the next filling.
    part = lacks > 0 ? Math.min((reserve - lacked) / lacks, 1) : 1;
    const quick = volume / (brought + open);
    const spare = (used + volume) / (demand + open) - comesBack * (quickest + quick);
    if (spare < 0) {
      const now = used / (demand + open) - comesBack * quickest;
      part = Math.min(part, now / (now - spare));
    }
    used += part * volume;
    seconds += part * lasts;
    quickest += part * quick;
    lacked += part * lacks;
    if (part < 1) break;
  }
  const level = levelAt(levels, i, part);
  const later = after(descent, i, part, demand, reserve - lacked, open);
  return told(used, seconds + later, level);
}

/**
 * How long a planter lasts until it reads low, by what waits in a supply barrel beside it.
 *
 * @param asks what leaves it on a day, m³/s
 * @returns days by m³ in the barrel; rises with it
 */
export function daysBySupply(
  planter: Planter,
  { total, open }: { total: number; open: number },
  ways: readonly RootWay[],
): (supply: number) => number {
  const descent = descentOf(planter, ways);
  const reserve = soilReserve(planter, total, descent.full);
  return (supply) => daysOfWaterOf({ ...descent, supply }, total, reserve, open).days;
}

const levelAt = (levels: readonly number[], i: number, part: number): number => {
  const [top, bottom] = [levels[i] as number, levels[i + 1]];
  return bottom === undefined || part >= 1 ? top : top + (bottom - top) * part;
};

/** Seconds until the soil's reserve is used up, with what still comes up of the slices from `i` on. */
function after(
  { volumes, brings }: Descent,
  i: number,
  part: number,
  demand: number,
  reserve: number,
  open: number,
): number {
  let left = Math.max(reserve, 0);
  let seconds = 0;
  for (let k = i; k < volumes.length; k += 1) {
    const comes = Math.min(brings[k] as number, demand);
    if (comes <= 0) break;
    const share = k === i && part < 1 ? 1 - part : 1;
    const lasts = (share * (volumes[k] as number)) / (comes + open);
    const lacks = (demand - comes) * lasts;
    if (lacks > left) return seconds + left / (demand - comes);
    left -= lacks;
    seconds += lasts;
  }
  return seconds + left / demand;
}
