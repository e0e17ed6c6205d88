export { inWords, usualWords, WORD_STYLES, type WordStyle } from './american';
export {
  BYTE_ORDER_MARK,
  csvCell,
  csvRows,
  DECIMAL_MARK_IDS,
  DECIMAL_MARKS,
  type DecimalMark,
} from './csv';
export { CUBIC_FOOT, DRY_QUART, FOOT, INCH, POUND, US_GALLON } from './units';
export { capital, listed, plural, spelled } from './plural';
export { portionOf } from './portion';
export { PERSON, type QuantityKind, type UnitSystem } from './kinds';
export { readQuantity, type Reading } from './read';
export {
  writeQuantity,
  writeParts,
  roughly,
  fieldUnit,
  nudgeStep,
  type WrittenQuantity,
} from './write';
export { say, tell, q, type Message } from './message';
export { wordsIn, type Words } from './words';
