/** The mark in numbers, and with it what stands between the columns of a table for a spreadsheet. */

export const DECIMAL_MARKS = {
  point: { name: '1.5 (tables by commas)', between: ',' },
  comma: { name: '1,5 (tables by semicolons)', between: ';' },
} as const;
export type DecimalMark = keyof typeof DECIMAL_MARKS;
export const DECIMAL_MARK_IDS = Object.keys(DECIMAL_MARKS) as [DecimalMark, ...DecimalMark[]];

/** What a spreadsheet knows UTF-8 by. */
export const BYTE_ORDER_MARK = '\uFEFF';

/** Rows with every cell as it is written. */
export const csvRows = (
  rows: readonly Readonly<Record<string, string | number>>[],
  mark: DecimalMark,
): Record<string, string>[] =>
  rows.map((row) =>
    Object.fromEntries(Object.entries(row).map(([head, value]) => [head, csvCell(value, mark)])),
  );

/** A cell as it is written: a number, also one that was rounded into text, with its mark; words as they are. */
export function csvCell(value: string | number, mark: DecimalMark): string {
  const text = String(value);
  return mark === 'comma' && /^-?\d+\.\d+$/.test(text) ? text.replace('.', ',') : text;
}
