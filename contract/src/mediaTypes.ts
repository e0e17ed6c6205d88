/** Media types of the files that are answered. */

export const PDF = 'application/pdf';
export const CSV = 'text/csv; charset=utf-8';
