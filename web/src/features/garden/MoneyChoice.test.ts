/** @jest-environment jsdom */
import { usualMark } from '../../ui/decimalMark';
import { usualCurrency } from './MoneyChoice';

test.each([
  ['en-US', 'USD', 'point'],
  ['en-GB', 'GBP', 'point'],
  ['en', 'USD', 'point'],
  ['de-DE', 'EUR', 'comma'],
  ['fr-CA', 'CAD', 'comma'],
  ['es-MX', 'MXN', 'point'],
  ['pt-BR', 'EUR', 'comma'],
])('a browser from %s begins with %s, and a %s in tables', (language, currency, mark) => {
  expect(usualCurrency(language)).toBe(currency);
  expect(usualMark(language)).toBe(mark);
});
