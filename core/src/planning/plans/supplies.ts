import { PIPES, type PipeId } from '../../catalog';
import {
  shoppingFor,
  type Good,
  type PriceBook,
  type Shopper,
  type ShoppingLine,
  type ShoppingList,
} from '../../fabrication';
import type { UnitSystem } from '../../units';
import { meansOf, type PlanWish } from './wish';

/** What lies about, taken off the shopping list of a plan. */

export type HeldMeans = PlanWish['means'][number];

/** How much of a thing that lies about a plan takes, in the thing's own unit. */
export interface Used {
  /** Its place in the list of what there is. */
  means: number;
  used: number;
}

export interface Supplied {
  list: ShoppingList;
  uses: Used[];
}

/** Loose density by which stone and sand in litres are set against those that are sold by weight, kg/m³. Typical. */
export const STONE_DENSITY = 1550;
/** Pipes are the same where they differ by no more than this, metres. */
const SAME_PIPE = 0.0025;

const MM = 1000;

/** Outside diameter of the pipe that a good is, by its id; null for what is none. Metres. */
function acrossOf({ id }: Good): number | null {
  const [kind, what = ''] = id.split(':');
  if (kind !== 'pipe' && kind !== 'drain') return null;
  if (what in PIPES) return PIPES[what as PipeId].outside;
  const mm = Number(what);
  return Number.isFinite(mm) ? mm / MM : null;
}

/** Whether a thing that lies about is this good. */
function isGood({ what, across }: HeldMeans, good: Good): boolean {
  if (!meansOf(what).goods.test(good.id)) return false;
  if (across === null) return true;
  const wide = acrossOf(good);
  return wide !== null && Math.abs(wide - across) <= SAME_PIPE;
}

/** How much of a good's unit one unit of the thing is. */
const perUnit = ({ what }: HeldMeans, { unit }: Good): number =>
  meansOf(what).unit === 'volume' && unit === 'mass' ? STONE_DENSITY : 1;

const isMix = ({ good, ingredients }: Shopper['parts'][number]): boolean =>
  ingredients !== undefined || (good?.id.startsWith('mix:') ?? false);

/** The planters with so much less mix to buy, an even share of each. */
function lessMix(shoppers: readonly Shopper[], volume: number): { left: Shopper[]; used: number } {
  const wanted = shoppers
    .flatMap(({ parts }) => parts.filter(isMix))
    .reduce((sum, { quantity }) => sum + quantity, 0);
  const used = Math.min(volume, wanted);
  const keep = wanted > 0 ? 1 - used / wanted : 1;
  const left = shoppers.map((one) => ({
    ...one,
    parts: one.parts.map((part) =>
      isMix(part)
        ? {
            ...part,
            quantity: part.quantity * keep,
            ...(part.ingredients && {
              ingredients: part.ingredients.map((ingredient) => ({
                ...ingredient,
                volume: ingredient.volume * keep,
                amount: ingredient.amount * keep,
              })),
            }),
          }
        : part,
    ),
  }));
  return { left, used };
}

/** A book with so much of some goods at hand beside what it has. */
interface AtHand {
  atHand: Record<string, number>;
  offcuts: Record<string, number[]>;
}

/** Takes a thing for the goods that it is, in the order in which they are wanted. */
function handOut(held: HeldMeans, lines: readonly ShoppingLine[], into: AtHand): void {
  let left = held.amount;
  for (const { good, wanted, plan } of lines) {
    if (left <= 0 || !isGood(held, good)) continue;
    const per = perUnit(held, good);
    const take = plan ? left * per : Math.min(left * per, wanted);
    if (plan) into.offcuts[good.id] = [...(into.offcuts[good.id] ?? []), take];
    else into.atHand[good.id] = (into.atHand[good.id] ?? 0) + take;
    left -= take / per;
  }
}

/**
 * The shopping list of some planters beyond what there is.
 *
 * @param vessels goods that are vessels, with how many of each there are
 */
export function supplied(
  shoppers: readonly Shopper[],
  means: readonly HeldMeans[],
  vessels: ReadonlyMap<string, number>,
  book: PriceBook,
  units: UnitSystem,
): Supplied {
  const mix = means.reduce((sum, { what, amount }) => sum + (what === 'mix' ? amount : 0), 0);
  if (means.length === 0 && vessels.size === 0)
    return { list: shoppingFor(shoppers, book, units, false), uses: [] };
  const { left, used: mixed } = lessMix(shoppers, mix);
  const lines = means.length > 0 ? shoppingFor(left, book, units, false).lines : [];
  const more: AtHand = { atHand: { ...book.atHand }, offcuts: {} };
  for (const [id, lengths] of Object.entries(book.offcuts)) more.offcuts[id] = [...lengths];
  for (const [id, count] of vessels) more.atHand[id] = (more.atHand[id] ?? 0) + count;
  for (const held of means) if (held.what !== 'mix') handOut(held, lines, more);
  const list = shoppingFor(left, { ...book, ...more }, units, false);
  return { list, uses: usesOf(means, list, book, mixed) };
}

/** What of each thing a list has taken from what lies about, beyond what the book had. */
function usesOf(
  means: readonly HeldMeans[],
  { lines }: ShoppingList,
  book: PriceBook,
  mixed: number,
): Used[] {
  const had = new Map(
    lines.map(({ good, atHand, plan }) => [
      good.id,
      Math.max(atHand - (plan ? 0 : Math.min(book.atHand[good.id] ?? 0, atHand)), 0),
    ]),
  );
  let mix = mixed;
  return means.flatMap((held, i): Used[] => {
    if (held.what === 'mix') {
      const used = Math.min(held.amount, mix);
      mix -= used;
      return used > 0 ? [{ means: i, used }] : [];
    }
    let used = 0;
    for (const { good } of lines) {
      const there = had.get(good.id) ?? 0;
      if (there <= 0 || !isGood(held, good)) continue;
      const per = perUnit(held, good);
      const take = Math.min(there / per, held.amount - used);
      had.set(good.id, there - take * per);
      used += take;
    }
    return used > 1e-9 ? [{ means: i, used }] : [];
  });
}
