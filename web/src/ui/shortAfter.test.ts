import { writeQuantity } from '@huerta/core/units';
import { shortAfter } from './shortAfter';

test.each([
  [0, 'on the first day'],
  [0.4, 'on the first day'],
  [1, 'after 1\u00a0day'],
  [3.5, 'after 3.5\u00a0days'],
])('%d days until plants go short: %s', (days, said) =>
  expect(shortAfter(days, (value) => writeQuantity(value, 'days', 'metric'))).toBe(said),
);
