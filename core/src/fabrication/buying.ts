import type { Good, GoodUnit, Pack } from './goods';
import { q, say, type Message, type QuantityKind } from '../units';

/** How an amount of a good is written. */
export const KIND_OF_UNIT: Readonly<Record<GoodUnit, QuantityKind>> = {
  piece: 'count',
  length: 'stock',
  area: 'area',
  volume: 'loose',
  mass: 'mass',
};

/** How the size of a pack of it is written. */
export const packKind = (unit: GoodUnit): QuantityKind =>
  unit === 'length' ? 'pack' : KIND_OF_UNIT[unit];

/** An amount of a good, in words. */
export const amountOf = ({ unit }: Pick<Good, 'unit'>, amount: number): Message =>
  say`${q(amount, KIND_OF_UNIT[unit])}`;

/** What is bought, in words: `2 × 20 L, 1 × 50 L`; of things by the piece only how many. */
export function boughtOf({ unit }: Pick<Good, 'unit'>, bought: readonly Bought[]): Message {
  return bought.flatMap(({ count, size }, i): Message => {
    const pack = unit === 'piece' && size === 1 ? say`` : say` × ${q(size, packKind(unit))}`;
    return say`${i > 0 ? ', ' : ''}${q(count, 'count')}${pack}`;
  });
}

/** How many packs of one size. */
export interface Bought extends Pack {
  count: number;
}

/** Amounts are compared in steps of the unit: a piece, 1 cm, 1 dm², 0.1 L, 0.1 kg. */
const STEP = { piece: 1, length: 0.01, area: 0.01, volume: 1e-4, mass: 0.1 } as const;
/** With more steps than this they are made coarser. */
const MOST_STEPS = 60_000;

/**
 * Packs that hold at least `amount` and cost least; of equally dear choices the one that leaves
 * least over. Exact to the step of the good's unit, by dynamic programming over the amount.
 *
 * @param amount in the good's unit; @param packs sizes on sale, at least one
 */
export function packsFor(
  { unit }: Pick<Good, 'unit'>,
  amount: number,
  packs: readonly Pack[],
): Bought[] {
  if (amount <= 1e-9 || packs.length === 0) return [];
  const largest = Math.max(...packs.map(({ size }) => size));
  const step = Math.max(STEP[unit], amount / MOST_STEPS, largest / MOST_STEPS);
  const wanted = Math.ceil(amount / step - 1e-6);
  const sizes = packs.map(({ size }) => Math.max(Math.floor(size / step + 1e-6), 1));
  // For each amount still wanted: least cost, then least bought.
  const cost = new Float64Array(wanted + 1);
  const over = new Float64Array(wanted + 1);
  const choice = new Int16Array(wanted + 1);
  for (let left = 1; left <= wanted; left += 1) {
    cost[left] = Infinity;
    over[left] = Infinity;
    packs.forEach(({ price }, i) => {
      const rest = Math.max(left - (sizes[i] as number), 0);
      const dear = price + (cost[rest] as number);
      const bulk = (sizes[i] as number) + (over[rest] as number);
      const now = cost[left] as number;
      if (dear < now - 1e-9 || (dear < now + 1e-9 && bulk < (over[left] as number))) {
        cost[left] = dear;
        over[left] = bulk;
        choice[left] = i;
      }
    });
  }
  const counts = packs.map(() => 0);
  for (let left = wanted; left > 0;) {
    const i = choice[left] as number;
    counts[i] = (counts[i] as number) + 1;
    left = Math.max(left - (sizes[i] as number), 0);
  }
  return packs.flatMap((pack, i) => (counts[i] ? [{ ...pack, count: counts[i] as number }] : []));
}
