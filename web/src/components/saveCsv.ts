import Papa from 'papaparse';

/** Saves rows as a CSV file under a name. */
export function saveCsv(name: string, rows: readonly Record<string, string | number>[]): void {
  const text = Papa.unparse([...rows], { escapeFormulae: true });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([`${text}\r\n`], { type: 'text/csv' }));
  link.download = `${name.replace(/[^\p{L}\p{N}]+/gu, ' ').trim()}.csv`;
  link.click();
  URL.revokeObjectURL(link.href);
}
