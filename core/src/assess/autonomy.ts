import { meanWaterContent, waterContent } from '../soil';
import { soilBeds, totalDelivery, type Planter } from '../planter';

const DAY = 86_400;

/**
 * Suction at which plants in a mix begin to go short, metres. Between saturation and 1 m a mix gives
 * its easily available and buffering water (De Boodt and Verdonck 1972); what it holds beyond that
 * comes too slowly for a hot day.
 */
const WILTING_BEGINS = 1;

/** Slices that the reservoir is emptied in. */
const SLICES = 24;

/** Days as they are said to a person: to the half below, from ten on to the whole, never rounded up. */
export function cautiousDays(days: number): number {
  if (!Number.isFinite(days)) return days;
  return days >= 10 ? Math.floor(days) : Math.floor(days * 2) / 2;
}

/** The same, or null where there are none to say: nothing drinks, or nothing reaches it. */
export function daysToSay(days: number): number | null {
  const said = cautiousDays(days);
  return said > 0 && Number.isFinite(said) ? said : null;
}

/** How long a full planter lasts with the same day over and over, in days. */
export interface Autonomy {
  /** Until plants wilt: reservoir, then what the soil holds. */
  days: number;
  /** Until the wicks no longer keep up with what plants ask. */
  reservoirDays: number;
}

/** Water that the soil gives between hanging over a full reservoir and wilting, m³. */
export function soilBuffer(planter: Planter, soilVolume: number): number {
  const { brim } = planter.heights;
  const beds = soilBeds(planter);
  // What is packed into cups and columns hangs as the lowest mix does.
  const packed = soilVolume - beds.reduce((sum, { volume }) => sum + volume, 0);
  return beds.reduce((sum, { mix, from, to, volume }, i) => {
    const low = Math.max(Math.max(from, planter.heights.base) - brim, 0);
    const holds = meanWaterContent(mix, low, Math.max(to - brim, 0));
    const gives = Math.max(holds - waterContent(mix, WILTING_BEGINS), 0);
    return sum + gives * (volume + (i === 0 ? packed : 0));
  }, 0);
}

/**
 * Empties a full planter at a steady demand. Each slice of the reservoir gives what plants ask or
 * what the wicks deliver at that level, whichever is less; the soil makes up the difference until
 * it has nothing left that plants can take.
 *
 * @param demand m³/s
 * @param buffer water that the soil gives before plants wilt, m³
 * @param open what dries up from the reservoir besides, m³/s
 */
export function autonomyAt(planter: Planter, demand: number, buffer: number, open = 0): Autonomy {
  if (demand <= 0) return { days: Infinity, reservoirDays: Infinity };
  const { storage, wicks, heights } = planter;
  const bottom = lastDropLevel(planter);
  const step = (heights.brim - bottom) / SLICES;
  let left = buffer;
  let seconds = 0;
  let keepsUp = 0;
  let behind = false;
  // A barrel behind a float valve keeps the level where it is until it is empty.
  const barrel = supplyOf(planter);
  const first = Math.min(demand, totalDelivery(wicks, heights.brim));
  if (barrel > 0 && first > 0) {
    const lasts = barrel / first;
    if ((demand - first) * lasts > left) return result(left / (demand - first), 0);
    left -= (demand - first) * lasts;
    seconds = lasts;
    behind = first < demand;
    if (!behind) keepsUp = seconds;
  }
  let above = storage.volumeBelow(heights.brim);
  for (let i = 0; i < SLICES && step > 0; i += 1) {
    const top = heights.brim - i * step;
    const below = storage.volumeBelow(top - step);
    const volume = above - below;
    above = below;
    const supply = Math.min(demand, totalDelivery(wicks, top - step / 2));
    if (supply <= 0) break;
    const lasts = volume / (supply + open);
    const shortfall = (demand - supply) * lasts;
    if (shortfall > left) {
      return result(seconds + left / (demand - supply), keepsUp);
    }
    left -= shortfall;
    seconds += lasts;
    behind ||= supply < demand;
    if (!behind) keepsUp = seconds;
  }
  return result(seconds + left / demand, keepsUp);
}

const result = (seconds: number, keepsUp: number): Autonomy => ({
  days: seconds / DAY,
  reservoirDays: keepsUp / DAY,
});

/** Water that waits in a supply barrel, m³. */
export const supplyOf = ({ design }: Planter): number => design.reservoir.supply?.volume ?? 0;

/** The level below which no wick can reach, metres; the brim when there is no wick at all. */
export function lastDropLevel({ wicks, heights }: Planter): number {
  const lowest = wicks.reduce((low, wick) => Math.min(low, wick.lastDrop), heights.brim);
  return Math.max(lowest, 0);
}

/**
 * The lowest level at which the wicks together still deliver `demand` (m³/s), metres; the brim when
 * they do not even at the brim.
 */
export function usableLevel(planter: Planter, demand: number): number {
  const { wicks, heights } = planter;
  let low = lastDropLevel(planter);
  let high = heights.brim;
  if (totalDelivery(wicks, high) < demand) return high;
  for (let i = 0; i < 32 && high - low > 1e-7; i += 1) {
    const middle = (low + high) / 2;
    if (totalDelivery(wicks, middle) < demand) low = middle;
    else high = middle;
  }
  return high;
}
