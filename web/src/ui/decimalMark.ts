import type { DecimalMark } from '@huerta/core/units';

let mark: DecimalMark = 'point';

/** How numbers are written in tables. */
export const decimalMark = (): DecimalMark => mark;

/** Says how numbers are written in tables from now on. */
export const setDecimalMark = (next: DecimalMark): void => {
  mark = next;
};

/** The mark that people write where a browser’s language is spoken. */
export const usualMark = (language: string): DecimalMark =>
  new Intl.NumberFormat(language).format(1.5).includes(',') ? 'comma' : 'point';
