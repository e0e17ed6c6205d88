import {
  billOf,
  sourcingOf,
  type BuildSheet,
  type Good,
  type ShoppingList,
} from '@huerta/core/fabrication';
import {
  BYTE_ORDER_MARK,
  csvRows,
  DECIMAL_MARKS,
  type DecimalMark,
  wordsIn,
  type UnitSystem,
} from '@huerta/core/units';
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

/**
 * What a spreadsheet would take for a formula begins with a quote instead; spaces that hold a number to
 * its unit are plain ones.
 */
function csv(rows: Record<string, string | number>[], mark: DecimalMark): string {
  const text = Papa.unparse(csvRows(rows, mark), {
    escapeFormulae: true,
    delimiter: DECIMAL_MARKS[mark].between,
  });
  return `${BYTE_ORDER_MARK}${text}\r\n`.replace(/[\u00a0\u202f]/g, ' ');
}

/** The bill of materials: a line for each part, and the good with its packs and cost at its first line. */
export function partsCsv(
  sheet: BuildSheet,
  list: ShoppingList,
  units: UnitSystem,
  mark: DecimalMark = 'point',
): string {
  const { tell } = wordsIn(units, mark);
  return csv(
    billOf(sheet, list).map((one) => {
      const { what, amount, use, good, line, sourcing } = one;
      const [unit, worth] = good ? UNITS[good.unit][units] : ['', 1];
      return {
        part: tell(what),
        'how much': tell(amount),
        where: use,
        buy: tell(sourcingOf(one)),
        good: good && sourcing !== 'above' ? tell(good.name) : '',
        wanted: line ? round(line.wanted / worth) : '',
        'at hand': line ? round(line.atHand / worth) : '',
        unit: line ? unit : '',
        cost: line ? round(line.cost, 2) : '',
        currency: list.currency,
      };
    }),
    mark,
  );
}

/** Every piece of every length, in the order in which it is sawn off. */
export function cutsCsv(
  list: ShoppingList,
  units: UnitSystem,
  mark: DecimalMark = 'point',
): string {
  const { tell } = wordsIn(units, mark);
  const [unit, worth] = LENGTH[units];
  return csv(
    list.lines.flatMap(({ good, plan }) =>
      (plan?.bars ?? []).flatMap((bar, i) =>
        bar.pieces.map((piece) => ({
          stock: tell(good.name),
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
    mark,
  );
}
