import { BYTE_ORDER_MARK, csvRows, DECIMAL_MARKS } from '@huerta/core/units';
import Papa from 'papaparse';
import { decimalMark } from './decimalMark';
import { saveFile } from './saveFile';

/** Saves rows as a CSV file under a name. */
export function saveCsv(name: string, rows: readonly Record<string, string | number>[]): void {
  const text = Papa.unparse(csvRows(rows, decimalMark()), {
    escapeFormulae: true,
    delimiter: DECIMAL_MARKS[decimalMark()].between,
  });
  const file = new Blob([`${BYTE_ORDER_MARK}${text}\r\n`], { type: 'text/csv' });
  saveFile(`${name.replace(/[^\p{L}\p{N}]+/gu, ' ').trim()}.csv`, file);
}
