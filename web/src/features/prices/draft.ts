import {
  csvCell,
  q,
  readQuantity,
  say,
  tell,
  type UnitSystem,
  type Words,
} from '@huerta/core/units';
import {
  KIND_OF_UNIT,
  packKind,
  packsIn,
  type Good,
  type PriceBook,
} from '@huerta/core/fabrication';

/** What is typed for one good, as text, so that nothing typed is lost. */
export interface GoodDraft {
  packs: { size: string; price: string }[];
  atHand: string;
  offcuts: string;
}

/** A good's fields as the book has them. */
export function draftOf(good: Good, book: PriceBook, { units, mark, write }: Words): GoodDraft {
  const kind = KIND_OF_UNIT[good.unit];
  const offcuts = book.offcuts[good.id] ?? [];
  const atHand = book.atHand[good.id];
  return {
    packs: packsIn(book, good, units).packs.map((pack) => ({
      size: write(pack.size, packKind(good.unit)),
      price: csvCell(pack.price.toFixed(2), mark),
    })),
    atHand: atHand === undefined ? '' : write(atHand, kind),
    offcuts: offcuts.map((length) => write(length, 'length')).join('; '),
  };
}

/** Mistakes by field: `size 0`, `price 0`, `atHand`, `offcuts`. */
export type DraftErrors = Readonly<Record<string, string>>;

/** A good's entries in the book, or what is wrong with what was typed. */
export type DraftReading =
  | { ok: true; packs: { size: number; price: number }[]; atHand: number; offcuts: number[] }
  | { ok: false; errors: DraftErrors };

const MOST_PRICE = 100_000;
const OFFCUT = { least: 0.01, most: 20 };

/** Reads what was typed for a good. */
export function readDraft(good: Good, draft: GoodDraft, units: UnitSystem): DraftReading {
  const kind = KIND_OF_UNIT[good.unit];
  const errors: Record<string, string> = {};
  const packs = draft.packs.map(({ size, price: cost }, i) => {
    const read = readQuantity(size, packKind(good.unit), units);
    if (!read.ok) errors[`size ${i}`] = read.message;
    else if (read.value < 0.001) errors[`size ${i}`] = 'A pack holds more than nothing.';
    const amount = Number(cost.trim().replace(',', '.'));
    if (cost.trim() === '' || !Number.isFinite(amount)) {
      errors[`price ${i}`] = 'Type a price as a plain number, such as 4.50.';
    } else if (amount < 0 || amount > MOST_PRICE) {
      errors[`price ${i}`] = `A price is from 0 to ${MOST_PRICE.toLocaleString('en')}.`;
    }
    return { size: read.ok ? read.value : 0, price: amount };
  });
  const hand = readAmount(draft.atHand);
  const offcuts = draft.offcuts
    // A comma between two digits is the decimal mark.
    .split(/;|,(?!\d)/)
    .map((text) => text.trim())
    .filter(Boolean)
    .map((text) => {
      const read = readQuantity(text, 'length', units);
      if (!read.ok) errors.offcuts = read.message;
      else if (read.value < OFFCUT.least || read.value > OFFCUT.most) {
        errors.offcuts = tell(
          say`An offcut is from ${q(OFFCUT.least, 'length')} to ${q(OFFCUT.most, 'stock')}.`,
          units,
        );
      }
      return read.ok ? read.value : 0;
    });
  return Object.keys(errors).length > 0
    ? { ok: false, errors }
    : { ok: true, packs, atHand: hand, offcuts };

  function readAmount(text: string): number {
    if (text.trim() === '') return 0;
    const read = readQuantity(text, kind, units);
    if (!read.ok) errors.atHand = read.message;
    else if (read.value < 0) errors.atHand = 'What is at hand is 0 or more.';
    return read.ok ? read.value : 0;
  }
}

/** The book with a good's entries; packs that are the typical ones are not kept as one's own. */
export function withGood(
  book: PriceBook,
  good: Good,
  entry: Extract<DraftReading, { ok: true }>,
  units: UnitSystem,
): PriceBook {
  const { currency } = book;
  const typical = packsIn({ currency, prices: {} }, good, units).packs;
  const same =
    typical.length === entry.packs.length &&
    typical.every(({ size, price: cost }, i) => {
      const own = entry.packs[i];
      return own && Math.abs(own.size - size) < 0.01 * size && Math.abs(own.price - cost) < 0.005;
    });
  const prices = { ...book.prices[currency] };
  if (same) delete prices[good.id];
  else prices[good.id] = entry.packs;
  const atHand = { ...book.atHand };
  if (entry.atHand > 0) atHand[good.id] = entry.atHand;
  else delete atHand[good.id];
  const offcuts = { ...book.offcuts };
  if (entry.offcuts.length > 0) offcuts[good.id] = entry.offcuts;
  else delete offcuts[good.id];
  return { ...book, prices: { ...book.prices, [currency]: prices }, atHand, offcuts };
}
