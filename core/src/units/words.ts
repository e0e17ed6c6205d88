import { inWords, usualWords, type WordStyle } from './american';
import type { DecimalMark } from './csv';
import type { QuantityKind, UnitSystem } from './kinds';
import { tell, type Message } from './message';
import {
  commonSize,
  LANGUAGE,
  writeNumber,
  writeParts,
  writeQuantity,
  type Amount,
  type WrittenQuantity,
} from './write';

/** How one person has everything written: measures, words and numbers. */
export interface Words {
  readonly units: UnitSystem;
  readonly mark: DecimalMark;
  /** A text of Huerta's own. */
  say(text: string): string;
  tell(message: Message): string;
  /** A quantity in SI, with its unit. */
  write(value: number, kind: QuantityKind): string;
  /** Writes amounts of one sentence, column or table in one unit, so that they can be compared. */
  writeTogether(amounts: readonly Amount[]): (value: number, kind: QuantityKind) => string;
  parts(value: number, kind: QuantityKind): WrittenQuantity;
  /** A bare number with so many places at the most. */
  number(value: number, places: number): string;
  /** A sum of money. @param currency by ISO 4217 */
  money(value: number, currency: string): string;
}

/**
 * Writes for somebody who measures in `units`.
 *
 * @param mark between whole numbers and their decimals
 * @param style of those who measure so, unless chosen
 */
export const wordsIn = (
  units: UnitSystem,
  mark: DecimalMark = 'point',
  style: WordStyle = usualWords(units),
): Words => ({
  units,
  mark,
  say: (text) => inWords(text, style),
  tell: (message) => tell(message, units, style, mark),
  write: (value, kind) => writeQuantity(value, kind, units, mark),
  writeTogether: (amounts) => (value, kind) =>
    writeQuantity(value, kind, units, mark, commonSize(amounts, kind, units)),
  parts: (value, kind) => writeParts(value, kind, units, mark),
  number: (value, places) => writeNumber(value, places, mark),
  money: (value, currency) =>
    new Intl.NumberFormat(LANGUAGE[mark], { style: 'currency', currency }).format(value),
});
