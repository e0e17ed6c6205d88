import {
  ingredientGood,
  tell,
  type BuildSheet,
  type Good,
  type ShoppingList,
  type UnitSystem,
} from '@huerta/core';
import Papa from 'papaparse';

/** Tables as CSV with a heading line; numbers are plain, in the units that the heading names. */

const LENGTH = { metric: ['mm', 1e-3], us: ['in', 0.0254] } as const;
const UNITS: Readonly<Record<Good['unit'], Record<UnitSystem, readonly [string, number]>>> = {
  piece: { metric: ['piece', 1], us: ['piece', 1] },
  length: { metric: ['m', 1], us: ['ft', 0.3048] },
  area: { metric: ['m2', 1], us: ['ft2', 0.3048 ** 2] },
  volume: { metric: ['L', 1e-3], us: ['gal', 231 * 0.0254 ** 3] },
  mass: { metric: ['kg', 1], us: ['lb', 0.45359237] },
};
const round = (value: number, places = 3): number => Number(value.toFixed(places));

/** What a spreadsheet would take for a formula begins with a quote instead. */
const csv = (rows: Record<string, string | number>[]): string =>
  `${Papa.unparse(rows, { escapeFormulae: true })}\r\n`;

/** Everything to have or buy: a line for each good, and one for each part that is not bought. */
export function partsCsv(sheet: BuildSheet, list: ShoppingList, units: UnitSystem): string {
  const parts = (good: Good): string =>
    sheet.parts
      .filter(
        (part) =>
          part.good?.id === good.id ||
          part.ingredients?.some(({ id }) => ingredientGood(id).id === good.id),
      )
      .map(({ what }) => what)
      .join('; ');
  const bought = list.lines.map(({ good, wanted, atHand, buy, cost }) => {
    const [unit, worth] = UNITS[good.unit][units];
    return {
      good: tell(good.name, units),
      parts: parts(good),
      wanted: round(wanted / worth),
      'at hand': round(atHand / worth),
      unit,
      buy: buy.map(({ count, size }) => `${count} x ${round(size / worth)} ${unit}`).join(' + '),
      cost: round(cost, 2),
      currency: list.currency,
    };
  });
  const made = sheet.parts
    .filter(({ good }) => good === null)
    .map(({ what, amount }) => ({
      good: '',
      parts: what,
      wanted: tell(amount, units),
      'at hand': '',
      unit: '',
      buy: '',
      cost: 0,
      currency: list.currency,
    }));
  return csv([...bought, ...made]);
}

/** Every piece of every length, in the order in which it is sawn off. */
export function cutsCsv(list: ShoppingList, units: UnitSystem): string {
  const [unit, worth] = LENGTH[units];
  return csv(
    list.lines.flatMap(({ good, plan }) =>
      (plan?.bars ?? []).flatMap((bar, i) =>
        bar.pieces.map((piece) => ({
          stock: tell(good.name, units),
          length: i + 1,
          'at hand': bar.atHand ? 'yes' : 'no',
          [`length ${unit}`]: round(bar.length / worth, 2),
          piece: piece.label,
          [`from ${unit}`]: round(piece.at / worth, 2),
          [`piece ${unit}`]: round(piece.length / worth, 2),
          [`left ${unit}`]: round(bar.left / worth, 2),
        })),
      ),
    ),
  );
}
