import { BYTE_ORDER_MARK, csvRows, DECIMAL_MARKS, type DecimalMark } from '@huerta/core/units';
import Papa from 'papaparse';
import { saveFile } from './saveFile';

let mark: DecimalMark = 'point';

/** Says how numbers are written in tables from now on. */
export const setDecimalMark = (next: DecimalMark): void => {
  mark = next;
};

/** The mark that people write where a browser’s language is spoken. */
export const usualMark = (language: string): DecimalMark =>
  new Intl.NumberFormat(language).format(1.5).includes(',') ? 'comma' : 'point';

/** Saves rows as a CSV file under a name. */
export function saveCsv(name: string, rows: readonly Record<string, string | number>[]): void {
  const text = Papa.unparse(csvRows(rows, mark), {
    escapeFormulae: true,
    delimiter: DECIMAL_MARKS[mark].between,
  });
  const file = new Blob([`${BYTE_ORDER_MARK}${text}\r\n`], { type: 'text/csv' });
  saveFile(`${name.replace(/[^\p{L}\p{N}]+/gu, ' ').trim()}.csv`, file);
}
