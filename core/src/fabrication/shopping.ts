import type { UnitSystem } from '../units';
import type { Currency } from './currencies';
import { ingredientGood, type Good } from './goods';
import { packsFor, type Bought } from './buying';
import { planCuts, type CutPlan, type Cut } from './cuts';
import type { PartLine, StockCuts } from './buildSheetBuilder';
import { packsIn, type PriceBook } from './priceBook';

/** What one planter brings to a shopping list. */
export interface Shopper {
  name: string;
  parts: readonly PartLine[];
  cuts: readonly StockCuts[];
  /** Usable water, m³. */
  usable: number;
}

/** What a planter whose sheet is made brings to a shopping list. */
export const asShopper = (
  name: string,
  { parts, cuts }: Pick<Shopper, 'parts' | 'cuts'>,
  { usable }: Pick<Shopper, 'usable'>,
): Shopper => ({ name, parts, cuts, usable });

/** One good to buy, for all planters of the list together. Amounts in the good's unit. */
export interface ShoppingLine {
  good: Good;
  /** What all planters take, and of that what lies at hand. */
  wanted: number;
  atHand: number;
  buy: Bought[];
  cost: number;
  /** Of the cost, what goes into the planters; the rest is left over in packs and lengths. */
  used: number;
  /** Whether a typical price counts, because the book has none of its own. */
  typical: boolean;
  /** What each planter takes, in the order of the planters. */
  amounts: number[];
  /** How lengths are cut, for a good that is sold by the length. */
  plan: CutPlan | null;
}

export interface ShoppingList {
  currency: Currency;
  lines: ShoppingLine[];
  /** What is paid at the till, and what of it goes into the planters. */
  total: number;
  used: number;
  /** Each planter's share of every line, by how much of it the planter takes. */
  planters: {
    name: string;
    cost: number;
    /** Cost for each m³ of usable water; null without any. */
    perUsable: number | null;
  }[];
}

interface Demand {
  good: Good;
  amounts: number[];
  pieces: Cut[];
}

/**
 * Everything that some planters take together, in packs on sale where people measure so, with what lies at hand used first.
 *
 * @param tidy whether cuts leave the longest offcut that they can, which changes no cost
 */
export function shoppingFor(
  planters: readonly Shopper[],
  book: PriceBook,
  units: UnitSystem,
  tidy = true,
): ShoppingList {
  const demands = new Map<string, Demand>();
  const want = (good: Good, planter: number, amount: number, pieces: readonly Cut[] = []) => {
    if (amount <= 0 || good.dug) return;
    const known = demands.get(good.id) ?? { good, amounts: planters.map(() => 0), pieces: [] };
    known.amounts[planter] = (known.amounts[planter] as number) + amount;
    known.pieces.push(...pieces);
    demands.set(good.id, known);
  };
  planters.forEach(({ name, parts, cuts }, i) => {
    const cut = new Set(cuts.map(({ good }) => good.id));
    for (const { good, quantity, ingredients } of parts) {
      if (ingredients && (book.mixing === 'own' || !good)) {
        ingredients.forEach(({ id, amount }) => want(ingredientGood(id), i, amount));
      } else if (good && !cut.has(good.id)) want(good, i, quantity);
    }
    for (const { good, pieces } of cuts) {
      const length = pieces.reduce((sum, piece) => sum + piece.length * piece.count, 0);
      const named = pieces.map((piece) => ({
        ...piece,
        label: planters.length > 1 ? `${piece.label}, ${name}` : piece.label,
      }));
      want(good, i, length, named);
    }
  });
  const lines = [...demands.values()].map((demand) => lineOf(demand, book, units, tidy));
  return {
    currency: book.currency,
    lines,
    total: lines.reduce((sum, { cost }) => sum + cost, 0),
    used: lines.reduce((sum, { used }) => sum + used, 0),
    planters: planters.map(({ name, usable }, i) => {
      const cost = lines.reduce(
        (sum, line) => sum + (line.cost * (line.amounts[i] as number)) / line.wanted,
        0,
      );
      return { name, cost, perUsable: usable > 0 ? cost / usable : null };
    }),
  };
}

function lineOf(
  { good, amounts, pieces }: Demand,
  book: PriceBook,
  units: UnitSystem,
  tidy: boolean,
): ShoppingLine {
  const wanted = amounts.reduce((sum, amount) => sum + amount, 0);
  const { packs, typical } = packsIn(book, good, units);
  const line = { good, wanted, amounts, typical };
  if (pieces.length > 0) {
    const offcuts = book.offcuts[good.id] ?? [];
    const plans = packs.map((pack) => {
      const plan = planCuts(pieces, { length: pack.size, kerf: book.kerf, offcuts, tidy });
      return { plan, pack, cost: plan.bought * pack.price };
    });
    // A length that takes all pieces before one that does not; then the cheaper.
    plans.sort((a, b) => a.plan.tooLong.length - b.plan.tooLong.length || a.cost - b.cost);
    const [best] = plans;
    if (!best) return { ...line, atHand: 0, buy: [], cost: 0, used: 0, plan: null };
    const cutFromHand = best.plan.bars
      .filter(({ atHand }) => atHand)
      .flatMap((bar) => bar.pieces)
      .reduce((sum, piece) => sum + piece.length, 0);
    const buy = best.plan.bought > 0 ? [{ ...best.pack, count: best.plan.bought }] : [];
    const used = usedOf(best.cost, wanted - cutFromHand, buy);
    return { ...line, atHand: cutFromHand, buy, cost: best.cost, used, plan: best.plan };
  }
  const atHand = Math.min(book.atHand[good.id] ?? 0, wanted);
  const buy = packsFor(good, wanted - atHand, packs);
  const cost = buy.reduce((sum, { count, price }) => sum + count * price, 0);
  return { ...line, atHand, buy, cost, used: usedOf(cost, wanted - atHand, buy), plan: null };
}

/** What of a cost goes into the planters: the share of what is bought that they take. */
function usedOf(cost: number, amount: number, buy: readonly Bought[]): number {
  const bought = buy.reduce((sum, { count, size }) => sum + count * size, 0);
  return bought > 0 ? cost * Math.min(amount / bought, 1) : 0;
}
