import { z } from 'zod';
import type { UnitSystem } from '../units';
import { CURRENCIES, CURRENCY_IDS, type Currency } from './currencies';
import type { Good, Pack } from './goods';
import { soldIn } from './packs';

/**
 * One's own prices, what lies in the shed, and how one buys. A good that is not in the book has its
 * typical price, turned into the chosen currency at a rough rate.
 */

const goodId = z.string().min(1).max(80);
const pack = z.strictObject({
  size: z.number().min(0.001, 'A pack holds more than nothing.').max(5000),
  price: z.number().min(0, 'A price is 0 or more.').max(100_000, 'That price is too high.'),
});
/** The most that a cubic metre of water costs anywhere, in any currency. */
export const MOST_WATER_PRICE = 5000;
const MOST_SIZES = 6;
const MOST_GOODS = 2000;
const fewer = <T extends object>(list: T) => Object.keys(list).length <= MOST_GOODS;

export const priceBookSchema = z.strictObject({
  currency: z.enum(CURRENCY_IDS),
  mixing: z.enum(['own', 'ready']).describe('Mix the soil oneself, or buy it ready mixed'),
  kerf: z.number().min(0).max(0.02, 'A saw takes 20 mm at most.').describe('Metres a cut takes'),
  prices: z.partialRecord(
    z.enum(CURRENCY_IDS),
    z.record(goodId, z.array(pack).min(1).max(MOST_SIZES)).refine(fewer),
  ),
  atHand: z.record(goodId, z.number().min(0).max(1e5)).refine(fewer),
  offcuts: z
    .record(goodId, z.array(z.number().min(0.01, 'An offcut is 10 mm or more.').max(20)).max(60))
    .refine(fewer)
    .describe('Lengths at hand, metres'),
  water: z
    .partialRecord(
      z.enum(CURRENCY_IDS),
      z.number().min(0, 'A price is 0 or more.').max(MOST_WATER_PRICE, 'That price is too high.'),
    )
    .optional()
    .describe('What a cubic metre of tap water costs'),
});
export type PriceBook = z.infer<typeof priceBookSchema>;

export const NEW_BOOK: PriceBook = {
  currency: 'EUR',
  mixing: 'own',
  kerf: 0.003,
  prices: {},
  atHand: {},
  offcuts: {},
};

/**
 * The packs in which a good is bought by this book, and whether their prices are typical ones.
 *
 * @param units typical packs are those on sale where people measure so
 */
export function packsIn(
  { currency, prices }: Pick<PriceBook, 'currency' | 'prices'>,
  { id, unit, packs }: Good,
  units: UnitSystem,
): { packs: readonly Pack[]; typical: boolean } {
  const own = prices[currency]?.[id];
  if (own) return { packs: own, typical: false };
  return {
    packs: packs.map((one) => {
      const { size, price } = soldIn(one, unit, units);
      return { size, price: inCurrency(price, currency) };
    }),
    typical: true,
  };
}

function inCurrency(price: number, currency: Currency): number {
  return Math.round(price * CURRENCIES[currency].worth * 20) / 20;
}
