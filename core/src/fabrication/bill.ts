import { plural, q, say, type Message } from '../units';
import type { Ingredient } from './amounts';
import { boughtOf } from './buying';
import { ingredientGood, type Good } from './goods';
import type { PartLine } from './buildSheetBuilder';
import type { ShoppingLine, ShoppingList } from './shopping';

/**
 * The bill of materials: every part once, and under a mix what it is mixed from, with what is bought
 * for it. Screen, paper and CSV write these lines and add nothing of their own.
 */

/** How a line is come by. */
type Sourcing =
  'bought' | 'found' | 'at-hand' | 'mixed' | 'above' | 'dug' | 'not-bought' | 'unpriced';

export interface BillLine {
  /** Unique within the bill. */
  id: string;
  what: Message;
  amount: Message;
  use: string;
  /** The part that this is mixed into, by its id, or null for a part of its own. */
  into: string | null;
  good: Good | null;
  sourcing: Sourcing;
  /** What is bought and what it costs, at the first line of each good; null everywhere else. */
  line: ShoppingLine | null;
}

/**
 * The bill of one planter.
 *
 * @param list its own shopping list, or null while there is none yet
 */
export function billOf(
  { parts }: { parts: readonly PartLine[] },
  list: ShoppingList | null,
): BillLine[] {
  const lines = new Map((list?.lines ?? []).map((line) => [line.good.id, line]));
  const said = new Set<string>();
  const come = (good: Good | null): Pick<BillLine, 'good' | 'sourcing' | 'line'> => {
    if (!good) return { good, sourcing: 'not-bought', line: null };
    if (good.dug) return { good: null, sourcing: 'dug', line: null };
    const line = lines.get(good.id);
    if (!line) return { good, sourcing: 'unpriced', line: null };
    if (said.has(good.id)) return { good, sourcing: 'above', line: null };
    said.add(good.id);
    const free = good.scrap === true && line.typical && line.buy.length > 0;
    const sourcing = free
      ? 'found'
      : line.buy.length > 0
        ? 'bought'
        : line.atHand > 0
          ? 'at-hand'
          : 'unpriced';
    return { good, sourcing, line };
  };
  return parts.flatMap((part): BillLine[] => {
    const { id, amount, use, good } = part;
    const own = { id, what: say`${part.what}`, amount, use, into: null };
    const mixed = list ? mixedFrom(part, (one) => lines.has(one)) : null;
    if (!mixed) return [{ ...own, ...come(good) }];
    return [
      { ...own, good: null, sourcing: 'mixed', line: null },
      ...mixed.map((one): BillLine => {
        const bought = ingredientGood(one.id);
        return {
          id: `${id}-${one.id}`,
          what: bought.name,
          amount: say`${q(one.parts, 'ratio')} ${plural(one.parts, 'part')}, ${q(one.volume, 'loose')}`,
          use: 'In the mix',
          into: id,
          ...come(bought),
        };
      }),
    ];
  });
}

/** What a line says of buying, in words. */
export function sourcingOf({ sourcing, line, good }: BillLine): Message {
  if (sourcing === 'bought' && line && good) {
    return say`${boughtOf(good, line.buy)}${line.atHand > 0 ? ', the rest at hand' : ''}`;
  }
  return say`${SOURCINGS[sourcing]}`;
}

const SOURCINGS: Readonly<Record<Sourcing, string>> = {
  bought: '',
  found: 'usually had for nothing',
  'at-hand': 'at hand',
  mixed: 'mixed from',
  above: 'with the above',
  dug: 'from your own garden',
  'not-bought': 'not bought',
  unpriced: '',
};

/** What a part is mixed from, where its ready mix is not on the list; null where it is bought as it is. */
const mixedFrom = (
  { good, ingredients }: Pick<PartLine, 'good' | 'ingredients'>,
  listed: (good: string) => boolean,
): readonly Ingredient[] | null => (ingredients && !(good && listed(good.id)) ? ingredients : null);
